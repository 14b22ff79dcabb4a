import type { RecordDto } from '@candid-leaf/contract';
import type { RecordKind } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { fetchedLater } from '../../../ui/fetched-later';

/** What a record is of. */
export type RecordTarget =
  { plantId: string; placeId: null; name: string } | { plantId: null; placeId: string; name: string };

export interface RecordSheetProps {
  open: boolean;
  onClose: () => void;
  target: RecordTarget;
  day: Day;
  /** only these kinds are offered; by default all that fit */
  kinds?: readonly RecordKind[];
  /** a record to correct; without it a new one is made */
  record?: RecordDto;
}

/** Records something done, or corrects it. Its forms come when the page has time, or when it is first opened. */
export const RecordSheet = fetchedLater(async () => (await import('./whole-record-sheet')).WholeRecordSheet);
