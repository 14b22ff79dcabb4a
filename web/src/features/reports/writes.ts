import type { SeasonNotesDto, SeasonNotesInput } from '@candid-leaf/contract';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { defineWrite, type OfGarden } from '../../lib/writes';

export const saveNotes = defineWrite('season.notes', ({ gardenId, notes }: OfGarden & { notes: SeasonNotesInput }) =>
  api<SeasonNotesDto>('PUT', apiOf(gardenId, 'season', 'notes'), notes),
);
