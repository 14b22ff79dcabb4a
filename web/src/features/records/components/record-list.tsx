import type { RecordDto } from '@candid-leaf/contract';
import { describeRecord } from '@candid-leaf/core/records';
import { useState } from 'react';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { RECORD_FORMS } from '../record-forms';
import { useNames } from '../../people/queries';
import { RecordSheet, type RecordTarget } from './record-sheet';
import { useDeleteWithUndo } from './use-delete-with-undo';

interface Props {
  records: readonly RecordDto[];
  /** null: to look at only */
  targetOf: ((r: RecordDto) => RecordTarget) | null;
  /** the list of a place: that a record is of the whole place goes without saying */
  ofPlace?: boolean;
}

const SHOWN_FIRST = 12;

/** Records in a list, newest first; touching one opens it to be corrected. */
export function RecordList({ records, targetOf, ofPlace }: Props) {
  const garden = useGarden();
  const format = useFormat();
  const remove = useDeleteWithUndo(garden.id);
  const nameOf = useNames(garden.id);
  const [open, setOpen] = useState<RecordDto | null>(null);
  const [all, setAll] = useState(false);
  const shown = all ? records : records.slice(0, SHOWN_FIRST);
  return (
    <>
      <ul className="divide-y divide-line">
        {shown.map((r) => {
          const { icon: Icon, asks } = RECORD_FORMS[r.type];
          const words = describeRecord(r.type, r.data, format);
          const editable = targetOf !== null && asks.length > 0;
          const line = (
            <>
              <span className="w-24 shrink-0 text-left text-soft tabular-nums">{format.day(r.day)}</span>
              <Icon aria-hidden size={18} className="mt-1 shrink-0 text-soft" />
              <span className="text-left">
                {words}
                {r.placeId && !ofPlace && <span className="text-soft"> · whole place</span>}
                {nameOf(r.by) && <span className="text-soft"> · {nameOf(r.by)}</span>}
              </span>
            </>
          );
          return (
            <li key={r.id} className="flex items-center gap-2">
              {editable ? (
                <button
                  type="button"
                  className="flex min-h-11 flex-1 items-start gap-2 rounded py-2 hover:bg-leafwash"
                  onClick={() => setOpen(r)}
                >
                  {line}
                </button>
              ) : (
                <div className="flex min-h-11 flex-1 items-start gap-2 py-2">{line}</div>
              )}
              {targetOf && !editable && (
                <Button look="quiet" aria-label={`Delete: ${words}`} onClick={() => remove(r.id)}>
                  Delete
                </Button>
              )}
            </li>
          );
        })}
      </ul>
      {records.length > shown.length && (
        <Button look="quiet" className="mt-2" onClick={() => setAll(true)}>
          All {records.length} records
        </Button>
      )}
      {open && targetOf && (
        <RecordSheet open onClose={() => setOpen(null)} target={targetOf(open)} day={open.day} record={open} />
      )}
    </>
  );
}
