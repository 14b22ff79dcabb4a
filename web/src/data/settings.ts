import type { CalendarLinkDto, NewCalendarLink } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../lib/api';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { defineWrite, type OfGarden } from '../lib/writes';

export const calendarQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'calendar'] as const,
    queryFn: () => api<CalendarLinkDto>('GET', apiOf(gardenId, 'calendar')),
  });

export const renewCalendar = defineWrite('calendar.renew', ({ gardenId }: OfGarden) =>
  api<NewCalendarLink>('POST', apiOf(gardenId, 'calendar')),
);
export const revokeCalendar = defineWrite('calendar.revoke', ({ gardenId }: OfGarden) =>
  api('DELETE', apiOf(gardenId, 'calendar')),
);
