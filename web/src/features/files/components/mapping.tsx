import type { FilePreview } from '@candid-leaf/contract';
import { columnsOf, unitsOf, type DateOrder, type Decimal, type TableColumn } from '@candid-leaf/core/tables';
import { inputLook } from '../../../ui/field';

interface Props {
  preview: FilePreview;
  onChange: (more: Partial<FilePreview>) => void;
}

const DATES: readonly (readonly [DateOrder, string])[] = [
  ['ymd', 'year, month, day'],
  ['dmy', 'day, month, year'],
  ['mdy', 'month, day, year'],
];
const DECIMALS: readonly (readonly [Decimal, string])[] = [
  ['.', 'a point: 1.5'],
  [',', 'a comma: 1,5'],
];

const unitChoices = (column: TableColumn): readonly string[] =>
  column.quantity ? unitsOf(column.quantity) : (column.keptUnits ?? []);

/** Which column of the file is which, in which unit, with what stands in its first rows. */
export function Mapping({ preview, onChange }: Props) {
  const { table, columns, heads, rows } = preview;
  const choose = (column: TableColumn, at: number, unit?: string): void => {
    const others = columns.filter((c) => c.field !== column.field);
    const own = unit ?? columns.find((c) => c.field === column.field)?.unit ?? unitChoices(column)[0];
    onChange({ columns: at < 0 ? others : [...others, { field: column.field, at, ...(own ? { unit: own } : {}) }] });
  };
  return (
    <>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Which column is which">
        <table className="w-full min-w-96 text-left">
          <thead className="text-sm text-soft">
            <tr>
              <th scope="col" className="pr-3 font-normal">
                Here
              </th>
              <th scope="col" className="pr-3 font-normal">
                In the file
              </th>
              <th scope="col" className="pr-3 font-normal">
                Unit
              </th>
              <th scope="col" className="font-normal">
                First row
              </th>
            </tr>
          </thead>
          <tbody>
            {columnsOf(table).map((column) => {
              const mapped = columns.find((c) => c.field === column.field);
              const units = unitChoices(column);
              return (
                <tr key={column.field} className="border-t border-line">
                  <th scope="row" className="py-1 pr-3 font-semibold">
                    {column.label}
                    {column.needed && <span className="text-sm font-normal text-soft"> needed</span>}
                  </th>
                  <td className="py-1 pr-3">
                    <select
                      aria-label={`Column for ${column.label}`}
                      className={inputLook}
                      value={mapped?.at ?? -1}
                      onChange={(e) => choose(column, Number(e.target.value))}
                    >
                      <option value={-1}>not in it</option>
                      {heads.map((h, i) => (
                        <option key={i} value={i}>
                          {h || `column ${i + 1}`}
                        </option>
                      ))}
                    </select>
                  </td>
                  <td className="py-1 pr-3">
                    {mapped && units.length > 0 && (
                      <select
                        aria-label={`Unit of ${column.label}`}
                        className={inputLook}
                        value={mapped.unit}
                        onChange={(e) => choose(column, mapped.at, e.target.value)}
                      >
                        {units.map((u) => (
                          <option key={u} value={u}>
                            {u
                              .replace(/^([CF])\b/, '°$1')
                              .replace('gal-us', 'US gal')
                              .replace('gal-imp', 'imp gal')
                              .replace('m2', 'm²')}
                          </option>
                        ))}
                      </select>
                    )}
                  </td>
                  <td className="max-w-40 truncate py-1 tabular-nums">{mapped ? (rows[0]?.[mapped.at] ?? '') : ''}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <div className="grid grid-cols-2 gap-3">
        <Choice
          label="Days are written"
          options={DATES}
          value={preview.dateOrder}
          onChange={(dateOrder) => onChange({ dateOrder })}
        />
        <Choice
          label="Decimals have"
          options={DECIMALS}
          value={preview.decimal}
          onChange={(decimal) => onChange({ decimal })}
        />
      </div>
    </>
  );
}

interface ChoiceProps<T extends string> {
  label: string;
  options: readonly (readonly [T, string])[];
  value: T;
  onChange: (value: T) => void;
}
function Choice<T extends string>({ label, options, value, onChange }: ChoiceProps<T>) {
  return (
    <label className="flex flex-col gap-1 font-semibold">
      {label}
      <select className={`${inputLook} font-normal`} value={value} onChange={(e) => onChange(e.target.value as T)}>
        {options.map(([v, words]) => (
          <option key={v} value={v}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}
