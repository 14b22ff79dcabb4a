import type { ImportDto, ImportUndoPreview } from '@candid-leaf/contract';
import { TABLES } from '@candid-leaf/core/tables';
import { useQuery } from '@tanstack/react-query';
import { format, parseISO } from 'date-fns';
import { Undo2 } from 'lucide-react';
import { useState } from 'react';
import { useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { useSay } from '../../../ui/toast';
import { useWrite } from '../../../ui/use-write';
import { importsQuery, undoImport, undoPreview } from '../../../data/imports';
import { UndoChanged } from './undo-changed';

const rowsInWords = (count: number): string => (count === 1 ? 'one row' : `${count} rows`);

/** Imported files; each can be undone. Rows changed since are shown first, and stay. */
export function BroughtIn() {
  const garden = useGarden();
  const say = useSay();
  const list = useQuery(importsQuery(garden.id)).data ?? [];
  const undo = useWrite(undoImport, garden.id);
  const [asked, setAsked] = useState<{ of: ImportDto; preview: ImportUndoPreview } | null>(null);
  if (list.length === 0) return null;
  const run = ({ id, name }: ImportDto, edited: 'keep' | 'remove'): void => {
    setAsked(null);
    undo.mutate(
      { id, edited },
      {
        said: ({ kept }) =>
          kept === 0 ? `Import of ${name} undone.` : `Import of ${name} undone; ${rowsInWords(kept)} kept.`,
      },
    );
  };
  const ask = (of: ImportDto): void =>
    void undoPreview(garden.id, of.id).then(
      (preview) => (preview.changed.length === 0 ? run(of, 'keep') : setAsked({ of, preview })),
      (error: Error) => say(error.message, { bad: true }),
    );
  return (
    <Panel title="Imports">
      <ul className="mt-1 divide-y divide-line">
        {list.map((i) => (
          <li key={i.id} className="flex items-center justify-between gap-2 py-1">
            <span>
              <strong>{i.name}</strong>
              <span className="block text-sm text-soft">
                {TABLES[i.table].label}, {rowsInWords(i.made)}, {format(parseISO(i.at), 'd MMMM yyyy')}
              </span>
            </span>
            {i.undone ? (
              <span className="text-soft">undone</span>
            ) : (
              <Button
                look="quiet"
                aria-label={`Undo the import of ${i.name}`}
                disabled={undo.isPending}
                onClick={() => ask(i)}
              >
                <Undo2 aria-hidden size={17} /> Undo
              </Button>
            )}
          </li>
        ))}
      </ul>
      {asked && <UndoChanged {...asked} onClose={() => setAsked(null)} onUndo={(edited) => run(asked.of, edited)} />}
    </Panel>
  );
}
