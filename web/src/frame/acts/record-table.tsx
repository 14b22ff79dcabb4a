import type { RecordDto } from '@candid-leaf/contract';
import { describeRecord, RECORD_TYPES } from '@candid-leaf/core/records';
import {
  type Column,
  createColumnHelper,
  getCoreRowModel,
  getFilteredRowModel,
  getPaginationRowModel,
  getSortedRowModel,
  type SortingState,
  useReactTable,
} from '@tanstack/react-table';
import clsx from 'clsx';
import { ArrowDown, ArrowUp, ChevronLeft, ChevronRight } from 'lucide-react';
import { type ReactNode, useMemo, useState } from 'react';
import { useFormat, useGarden } from '../../lib/garden-context';
import { Button } from '../../ui/button';
import { TextField } from '../../ui/field';
import { SelectField } from '../../ui/select-field';
import { RECORD_FORMS } from './record-forms';
import { useNames } from '../../data/people';
import { RecordSheet } from './record-sheet';
import type { RecordTarget } from './record-target';
import { useDeleteWithUndo } from './use-delete-with-undo';
import { IconButton } from '../../ui/icon-button';

interface Props {
  records: readonly RecordDto[];
  /** null: read-only */
  targetOf: ((r: RecordDto) => RecordTarget) | null;
  /** a bed's list: no need to say "whole bed" */
  ofPlace?: boolean;
  /** the newest few, until all are asked for */
  brief?: boolean;
}

interface Row {
  record: RecordDto;
  day: string;
  kind: string;
  words: string;
  by: string;
}

/** Rows per page; shorter lists have no filter. */
const ON_A_PAGE = 12;
/** Rows of a brief list. */
const NEWEST = 4;
const column = createColumnHelper<Row>();
const COLUMNS = [
  column.accessor('day', { header: 'Date', sortingFn: 'basic', sortDescFirst: true }),
  column.accessor('kind', { header: 'Type', filterFn: 'equalsString' }),
  column.accessor('words', { header: 'Details' }),
];

/** Records, newest first: filter, search, sort, pages; touching one opens it for editing. */
export function RecordTable({ records, targetOf, ofPlace, brief = false }: Props) {
  const garden = useGarden();
  const remove = useDeleteWithUndo(garden.id);
  const rows = useRows(records);
  const [open, setOpen] = useState<RecordDto | null>(null);
  const [sorting, setSorting] = useState<SortingState>([{ id: 'day', desc: true }]);
  const [words, setWords] = useState('');
  const [kind, setKind] = useState('');
  const [page, setPage] = useState(0);
  const [all, setAll] = useState(!brief);
  const short = !all && rows.length > NEWEST;
  const narrow = (change: () => void) => {
    change();
    setPage(0);
  };
  const table = useReactTable({
    data: rows,
    columns: COLUMNS,
    state: {
      sorting,
      globalFilter: words,
      columnFilters: kind ? [{ id: 'kind', value: kind }] : [],
      pagination: { pageIndex: page, pageSize: short ? NEWEST : ON_A_PAGE },
    },
    globalFilterFn: (row, _column, asked: string) =>
      `${row.original.kind} ${row.original.words}`.toLowerCase().includes(asked.trim().toLowerCase()),
    onSortingChange: (next) => {
      setSorting(next);
      setPage(0);
    },
    // a refetched list must not reset the page
    autoResetPageIndex: false,
    getCoreRowModel: getCoreRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getPaginationRowModel: getPaginationRowModel(),
  });
  const found = table.getFilteredRowModel().rows.length;
  const kinds = [...new Set(rows.map((r) => r.kind))].sort();
  return (
    <div className="@container">
      {!short && rows.length > ON_A_PAGE && (
        <div className="mb-2 grid max-w-xl grid-cols-2 gap-3 print:hidden">
          <SelectField
            label="Type"
            value={kind}
            onChange={(chosen) => narrow(() => setKind(chosen))}
            options={[['', 'all types'], ...kinds.map((k) => [k, k] as const)]}
          />
          <TextField label="Search" value={words} onChange={(e) => narrow(() => setWords(e.target.value))} />
        </div>
      )}
      <table className="w-full table-fixed border-collapse">
        <colgroup>
          <col className="w-16 @md:w-24" />
          <col className="hidden w-36 @md:table-column" />
          <col />
        </colgroup>
        <thead className={clsx('text-left text-sm text-soft', short && 'sr-only')}>
          <tr className="border-b border-line">
            <Heading column={table.getColumn('day')!} className="w-16 @md:w-24">
              Date
            </Heading>
            <Heading column={table.getColumn('kind')!} className="hidden w-36 @md:table-cell">
              Type
            </Heading>
            <Heading column={table.getColumn('words')!}>Details</Heading>
          </tr>
        </thead>
        <tbody className="divide-y divide-line">
          {table.getRowModel().rows.map(({ original }) => (
            <RecordRow
              key={original.record.id}
              row={original}
              ofPlace={ofPlace}
              onOpen={targetOf && (() => setOpen(original.record))}
              onDelete={targetOf && (() => remove(original.record.id))}
            />
          ))}
        </tbody>
      </table>
      {found === 0 && rows.length > 0 && (
        <p role="status" className="py-3 text-soft">
          No record of this type contains these words.
        </p>
      )}
      {short && (
        <Button look="quiet" className="mt-1 -ml-3 print:hidden" onClick={() => setAll(true)}>
          All {rows.length} records
        </Button>
      )}
      {!short && found > ON_A_PAGE && (
        <nav aria-label="Pages of records" className="mt-2 flex items-center gap-2 print:hidden">
          <IconButton icon={ChevronLeft} label="Newer page" disabled={page === 0} onClick={() => setPage(page - 1)} />
          <span className="text-soft tabular-nums" aria-live="polite">
            {page * ON_A_PAGE + 1} to {Math.min(found, (page + 1) * ON_A_PAGE)} of {found}
          </span>
          <IconButton
            icon={ChevronRight}
            label="Older page"
            disabled={(page + 1) * ON_A_PAGE >= found}
            onClick={() => setPage(page + 1)}
          />
        </nav>
      )}
      {open && targetOf && (
        <RecordSheet open onClose={() => setOpen(null)} target={targetOf(open)} day={open.day} record={open} />
      )}
    </div>
  );
}

function useRows(records: readonly RecordDto[]): Row[] {
  const garden = useGarden();
  const format = useFormat();
  const nameOf = useNames(garden.id);
  return useMemo(
    () =>
      records.map((record) => ({
        record,
        day: record.day,
        kind: RECORD_TYPES[record.type].label,
        words: describeRecord(record.type, record.data, format),
        by: nameOf(record.by) ?? '',
      })),
    [records, format, nameOf],
  );
}

function Heading({ column, children, className }: { column: Column<Row>; children: ReactNode; className?: string }) {
  const sorted = column.getIsSorted();
  return (
    <th
      scope="col"
      aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
      className={className}
    >
      <button
        type="button"
        className="inline-flex min-h-11 min-w-11 items-center gap-1 font-semibold hover:text-leaf"
        onClick={column.getToggleSortingHandler()}
      >
        {children}
        {sorted === 'asc' && <ArrowUp aria-hidden size={15} />}
        {sorted === 'desc' && <ArrowDown aria-hidden size={15} />}
      </button>
    </th>
  );
}

interface RowProps {
  row: Row;
  ofPlace: boolean | undefined;
  onOpen: (() => void) | null;
  onDelete: (() => void) | null;
}

function RecordRow({ row: { record, kind, words, by }, ofPlace, onOpen, onDelete }: RowProps) {
  const format = useFormat();
  const { icon: Icon, asks } = RECORD_FORMS[record.type];
  const editable = onOpen && asks.length > 0;
  const said = (
    <span>
      {words}
      {record.placeId && !ofPlace && <span className="text-soft"> · whole bed or pot</span>}
      {by && <span className="text-soft"> · {by}</span>}
    </span>
  );
  return (
    <tr className="align-top">
      <td className="py-2.5 pr-2 text-soft tabular-nums">{format.dayShort(record.day)}</td>
      <td className="hidden py-2.5 pr-2 @md:table-cell">
        <Icon aria-hidden size={17} className="mr-1.5 inline text-soft" />
        {kind}
      </td>
      <td>
        {editable ? (
          <button
            type="button"
            className="-mx-2 flex min-h-11 w-full rounded px-2 py-2.5 text-left hover:bg-leafwash"
            onClick={onOpen}
          >
            {said}
          </button>
        ) : (
          <div className="flex items-start justify-between gap-2">
            <div className="py-2.5">{said}</div>
            {onDelete && (
              <Button look="quiet" aria-label={`Delete: ${words}`} onClick={onDelete}>
                Delete
              </Button>
            )}
          </div>
        )}
      </td>
    </tr>
  );
}
