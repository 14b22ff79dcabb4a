import type { SeasonNotesDto, SeasonNotesInput } from '@candid-leaf/contract';
import { useRef, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useGarden } from '../../lib/garden-context';
import { useWrite } from '../../ui/use-write';
import { saveNotes } from '../../data/reports';

export type NotesPatch = Partial<Pick<SeasonNotesInput, 'worked' | 'change' | 'kit' | 'closedOn'>>;

/**
 * The season's review, saved in parts that follow each other quickly. Each part builds on the one before, so none
 * overwrites another or is rejected as outdated.
 */
export function useNotes(year: number, notes: SeasonNotesDto | null) {
  const garden = useGarden();
  const save = useWrite(saveNotes, garden.id);
  const [id] = useState(() => notes?.id ?? uuid());
  const newest = useRef(notes);
  const last = useRef<Promise<unknown>>(Promise.resolve());
  const change = (patch: NotesPatch): Promise<SeasonNotesDto> => {
    const next = last.current.then(async () => {
      // someone else's change arrived in the meantime
      if (notes && notes.version > (newest.current?.version ?? 0)) newest.current = notes;
      newest.current = await save.send({ notes: { ...(newest.current ?? { id, year }), ...patch } });
      return newest.current;
    });
    last.current = next.catch(() => undefined);
    return next;
  };
  return { change, isPending: save.isPending };
}
