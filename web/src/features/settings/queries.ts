import type { CalendarLinkDto } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { queryKeys } from '../../lib/query-keys';

export const calendarQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'calendar'] as const,
    queryFn: () => api<CalendarLinkDto>('GET', apiOf(gardenId, 'calendar')),
  });
