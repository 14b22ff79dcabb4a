import type { FilePreview } from '@candid-leaf/contract';
import { columnsOf, unitsOf, type DateOrder, type Decimal, type TableColumn } from '@candid-leaf/core/tables';
import { Select } from '../../../ui/select';
import { SelectField } from '../../../ui/select-field';
import { Scroller } from '../../../ui/scroller';

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

const unitWords = (unit: string): string =>
  unit
    .replace(/^([CF])\b/, '°$1')
    .replace('gal-us', 'US gal')
    .replace('gal-imp', 'imp gal')
    .replace('m2', 'm²');

/** Matches the file's columns and units, showing the first row. */
export function Mapping({ preview, onChange }: Props) {
  const { table, columns, heads, rows } = preview;
  const choose = (column: TableColumn, at: number, unit?: string): void => {
    const others = columns.filter((c) => c.field !== column.field);
    const own = unit ?? columns.find((c) => c.field === column.field)?.unit ?? unitChoices(column)[0];
    onChange({ columns: at < 0 ? others : [...others, { field: column.field, at, ...(own ? { unit: own } : {}) }] });
  };
  return (
    <>
      <Scroller label="Match the columns">
        <table className="w-full min-w-96 text-left">
          <thead className="text-sm text-soft">
            <tr>
              <th scope="col" className="pr-3 font-normal">
                Field
              </th>
              <th scope="col" className="pr-3 font-normal">
                Column in the file
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
                    {column.needed && <span className="text-sm font-normal text-soft"> required</span>}
                  </th>
                  <td className="py-1 pr-3">
                    <Select
                      aria-label={`Column for ${column.label}`}
                      value={String(mapped?.at ?? -1)}
                      onChange={(at) => choose(column, Number(at))}
                      options={[
                        ['-1', 'not in the file'],
                        ...heads.map((h, i): [string, string] => [String(i), h || `column ${i + 1}`]),
                      ]}
                    />
                  </td>
                  <td className="py-1 pr-3">
                    {mapped && units.length > 0 && (
                      <Select
                        aria-label={`Unit of ${column.label}`}
                        value={mapped.unit ?? ''}
                        onChange={(unit) => choose(column, mapped.at, unit)}
                        options={units.map((u) => [u, unitWords(u)])}
                      />
                    )}
                  </td>
                  <td className="max-w-40 truncate py-1 tabular-nums">{mapped ? (rows[0]?.[mapped.at] ?? '') : ''}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </Scroller>
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label="Date format"
          options={DATES}
          value={preview.dateOrder}
          onChange={(order) => onChange({ dateOrder: order as DateOrder })}
        />
        <SelectField
          label="Decimal mark"
          options={DECIMALS}
          value={preview.decimal}
          onChange={(mark) => onChange({ decimal: mark as Decimal })}
        />
      </div>
    </>
  );
}
