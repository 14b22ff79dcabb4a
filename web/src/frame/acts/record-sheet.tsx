import type { RecordDto } from '@candid-leaf/contract';
import type { RecordType } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { fetchedLater } from '../../ui/fetched-later';

/** The subject of a record. */
export type RecordTarget =
  { plantId: string; placeId: null; name: string } | { plantId: null; placeId: string; name: string };

export interface RecordSheetProps {
  open: boolean;
  onClose: () => void;
  target: RecordTarget;
  day: Day;
  /** only these types are offered; all that fit by default */
  kinds?: readonly RecordType[];
  /** a record to edit; otherwise a new one */
  record?: RecordDto;
}

/** Records or edits something. Its forms load when idle or first opened. */
export const RecordSheet = fetchedLater(async () => (await import('./whole-record-sheet')).WholeRecordSheet);
