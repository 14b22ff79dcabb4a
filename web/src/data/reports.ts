import type { SeasonNotesDto, SeasonNotesInput, SeasonReportView } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../lib/api';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { defineWrite, type OfGarden } from '../lib/writes';

export const reportQuery = (gardenId: string, year: number | null) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'report', year] as const,
    queryFn: () =>
      api<SeasonReportView>('GET', `${apiOf(gardenId, 'season', 'report')}${year === null ? '' : `?year=${year}`}`),
  });

export const saveNotes = defineWrite('season.notes', ({ gardenId, notes }: OfGarden & { notes: SeasonNotesInput }) =>
  api<SeasonNotesDto>('PUT', apiOf(gardenId, 'season', 'notes'), notes),
);
