import type { ChangedRow, ChangedWhy, ImportDto, ImportUndoPreview } from '@candid-leaf/contract';
import { TABLES } from '@candid-leaf/core/tables';
import { useFormat } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Sheet } from '../../../ui/sheet';

const WHY: Record<ChangedWhy, string> = {
  edited: 'edited since',
  records: 'has newer records',
  photos: 'has photos',
  treated: 'is being treated',
};

interface Props {
  of: ImportDto;
  preview: ImportUndoPreview;
  onClose: () => void;
  onUndo: (edited: 'keep' | 'remove') => void;
}

/** Shows what changed since an import before it is undone. */
export function UndoChanged({ of, preview: { rows, changed, more }, onClose, onUndo }: Props) {
  const format = useFormat();
  const count = changed.length + more;
  const edited = changed.some((c) => c.why === 'edited');
  const named = ({ name, day }: ChangedRow): string =>
    [name ?? TABLES[of.table].label, day && format.day(day)].filter(Boolean).join(', ');
  return (
    <Sheet open onClose={onClose} title={`Undo the import of ${of.name}?`}>
      <p>
        {count} of {rows} rows {count === 1 ? 'was' : 'were'} used or edited since.{' '}
        {count === 1 ? 'It stays' : 'They stay'}; the others are removed.
      </p>
      <ul className="mt-2 max-h-64 list-disc overflow-y-auto pl-5">
        {changed.map((c, i) => (
          <li key={i}>
            {named(c)} <span className="text-soft">({WHY[c.why]})</span>
          </li>
        ))}
        {more > 0 && <li className="text-soft">and {more} more</li>}
      </ul>
      <div className="mt-4 flex flex-wrap gap-2">
        <Button look="main" onClick={() => onUndo('keep')}>
          Undo, keep these
        </Button>
        {edited && (
          <Button look="quiet" onClick={() => onUndo('remove')}>
            Remove the edited ones too
          </Button>
        )}
        <Button look="quiet" onClick={onClose}>
          Cancel
        </Button>
      </div>
    </Sheet>
  );
}
