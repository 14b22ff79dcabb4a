import type { RecordDto } from '@candid-leaf/contract';
import type { RecordType } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';

/** The subject of a record. */
export type RecordTarget =
  | { plantId: string; placeId: null; name: string }
  | { plantId: null; placeId: string; name: string };

/** Values of a record form by field. */
export type Values = Record<string, unknown>;

/** What the sheet to record something needs. */
export interface RecordSheetProps {
  open: boolean;
  onClose: () => void;
  target: RecordTarget;
  day: Day;
  /** only these types are offered; all that fit by default */
  kinds?: readonly RecordType[];
  /** a record to edit; otherwise a new one */
  record?: RecordDto;
  /** what is already known of a new record */
  filled?: Values;
}
