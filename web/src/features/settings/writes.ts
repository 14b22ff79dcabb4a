import type { NewCalendarLink } from '@candid-leaf/contract';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { defineWrite, type OfGarden } from '../../lib/writes';

export const renewCalendar = defineWrite('calendar.renew', ({ gardenId }: OfGarden) =>
  api<NewCalendarLink>('POST', apiOf(gardenId, 'calendar')),
);
export const revokeCalendar = defineWrite('calendar.revoke', ({ gardenId }: OfGarden) =>
  api('DELETE', apiOf(gardenId, 'calendar')),
);
