import { Download } from 'lucide-react';
import Papa from 'papaparse';
import { useState } from 'react';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { Scroller } from '../../../ui/scroller';

/** A cell: the shown text, and the file's value if that is a plain number. */
export type Cell = string | { shown: string; value: number | string | null };
const shown = (c: Cell): string => (typeof c === 'string' ? c : c.shown);
/** Text aligns left, numbers right. */
const side = (c: Cell | undefined): string => (typeof c === 'object' ? 'text-right' : 'text-left');
const value = (c: Cell): string | number => (typeof c === 'string' ? c : (c.value ?? ''));

interface Props {
  title: string;
  /** file name without extension */
  file: string;
  columns: readonly string[];
  rows: readonly (readonly Cell[])[];
  /** shown if empty */
  none: string;
  /** the numbers open at a touch; printed, they are there */
  folded?: boolean;
  children?: React.ReactNode;
}

/** A table to read, print and download; numbers without units. */
export function ReportTable({ title, file, columns, rows, none, folded = false, children }: Props) {
  const [open, setOpen] = useState(!folded);
  const take = () => {
    const csv = Papa.unparse({ fields: [...columns], data: rows.map((r) => r.map(value)) }, { escapeFormulae: true });
    const address = URL.createObjectURL(new Blob([csv], { type: 'text/csv;charset=utf-8' }));
    const link = document.createElement('a');
    link.href = address;
    link.download = `${file}.csv`;
    link.click();
    URL.revokeObjectURL(address);
  };
  return (
    <Panel title={title} className="break-inside-avoid">
      {children}
      {rows.length === 0 ? (
        none && <p className="mt-1 text-soft">{none}</p>
      ) : (
        <>
          {!open && (
            <Button look="quiet" className="mt-1 -ml-3 print:hidden" onClick={() => setOpen(true)}>
              Show the numbers
            </Button>
          )}
          <div className={`mt-2 ${open ? '' : 'hidden print:block'}`}>
            <Scroller label={`${title}, table`}>
              <table className="w-full text-left text-sm">
                <thead>
                  <tr className="text-soft">
                    {columns.map((c, i) => (
                      <th
                        key={c}
                        scope="col"
                        className={`pb-1 pr-3 font-normal last:pr-0 ${i === 0 ? '' : side(rows[0]?.[i])}`}
                      >
                        {c}
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {rows.map((r, i) => (
                    <tr key={i} className="border-t border-line">
                      {r.map((c, k) =>
                        k === 0 ? (
                          <th key={k} scope="row" className="py-1 pr-3 font-semibold">
                            {shown(c)}
                          </th>
                        ) : (
                          <td key={k} className={`py-1 pr-3 tabular-nums last:pr-0 ${side(c)}`}>
                            {shown(c)}
                          </td>
                        ),
                      )}
                    </tr>
                  ))}
                </tbody>
              </table>
            </Scroller>
            <Button
              look="quiet"
              className="mt-1 -ml-3 print:hidden"
              onClick={take}
              aria-label={`Download ${title} as CSV`}
            >
              <Download aria-hidden size={17} /> Download CSV
            </Button>
          </div>
        </>
      )}
    </Panel>
  );
}
