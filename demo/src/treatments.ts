import type { Outcome } from '@candid-leaf/contract';
import type { DisorderCode } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { idOf } from './ids.js';

/** Earlier treatments of the season and their results. */
interface PastTreatment {
  id: string;
  plantId: string;
  disorder: DisorderCode;
  openedOn: Day;
  closedOn: Day;
  outcome: Outcome;
}

export const PAST_TREATMENTS: PastTreatment[] = [
  {
    id: idOf('treatment Coal Scuttle aphids'),
    plantId: idOf('Coal Scuttle'),
    disorder: 'aphids',
    openedOn: '2026-06-19',
    closedOn: '2026-06-27',
    outcome: 'worked',
  },
];
