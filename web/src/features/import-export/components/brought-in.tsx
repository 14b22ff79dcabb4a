import { TABLES } from '@candid-leaf/core/tables';
import { useQuery } from '@tanstack/react-query';
import { format, parseISO } from 'date-fns';
import { Undo2 } from 'lucide-react';
import { useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { useWrite } from '../../../ui/use-write';
import { importsQuery } from '../../../data/imports';
import { undoImport } from '../../../data/imports';

/** Imported files; each can be undone as a whole. */
export function BroughtIn() {
  const garden = useGarden();
  const list = useQuery(importsQuery(garden.id)).data ?? [];
  const undo = useWrite(undoImport, garden.id);
  if (list.length === 0) return null;
  return (
    <Panel title="Imports">
      <ul className="mt-1 divide-y divide-line">
        {list.map((i) => (
          <li key={i.id} className="flex items-center justify-between gap-2 py-1">
            <span>
              <strong>{i.name}</strong>
              <span className="block text-sm text-soft">
                {TABLES[i.table].label}, {i.made} rows, {format(parseISO(i.at), 'd MMMM yyyy')}
              </span>
            </span>
            {i.undone ? (
              <span className="text-soft">undone</span>
            ) : (
              <Button
                look="quiet"
                aria-label={`Undo the import of ${i.name}`}
                disabled={undo.isPending}
                onClick={() => undo.mutate({ id: i.id }, { said: `Import of ${i.name} undone.` })}
              >
                <Undo2 aria-hidden size={17} /> Undo
              </Button>
            )}
          </li>
        ))}
      </ul>
    </Panel>
  );
}
