import type { FilePreview } from '@candid-leaf/contract';
import { columnsOf, unitsOf, type DateOrder, type Decimal, type TableColumn } from '@candid-leaf/core/tables';
import { Select } from '../../../ui/select';
import { SelectField } from '../../../ui/select-field';

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
      <ul aria-label="Match the columns" className="grid grid-cols-1 gap-x-8 sm:grid-cols-2">
        {columnsOf(table).map((column) => {
          const mapped = columns.find((c) => c.field === column.field);
          const units = unitChoices(column);
          const sample = mapped && rows[0]?.[mapped.at];
          return (
            <li key={column.field} className="border-t border-line py-2">
              <p className="flex justify-between gap-3">
                <span className="font-semibold">
                  {column.label}
                  {column.needed && <span className="text-sm font-normal text-soft"> required</span>}
                </span>
                {sample && <span className="max-w-48 truncate text-sm text-soft tabular-nums">first: {sample}</span>}
              </p>
              <div className="flex flex-wrap gap-2 *:min-w-40 *:flex-1">
                <Select
                  aria-label={`Column for ${column.label}`}
                  value={String(mapped?.at ?? -1)}
                  onChange={(at) => choose(column, Number(at))}
                  options={[
                    ['-1', 'not in the file'],
                    ...heads.map((h, i): [string, string] => [String(i), h || `column ${i + 1}`]),
                  ]}
                />
                {mapped && units.length > 0 && (
                  <Select
                    aria-label={`Unit of ${column.label}`}
                    value={mapped.unit ?? ''}
                    onChange={(unit) => choose(column, mapped.at, unit)}
                    options={units.map((u) => [u, unitWords(u)])}
                  />
                )}
              </div>
            </li>
          );
        })}
      </ul>
      <div className="grid gap-3 sm:grid-cols-2">
        <SelectField
          label="Date format"
          options={preview.unclearDay === null ? DATES : [['', 'choose'], ...DATES.slice(1)]}
          value={preview.unclearDay === null ? preview.dateOrder : ''}
          hint={preview.unclearDay === null ? undefined : `${preview.unclearDay}: which number is the month?`}
          onChange={(order) => order && onChange({ dateOrder: order as DateOrder, unclearDay: null })}
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
