import { fetchedLater } from '../../ui/fetched-later';

/** Records or edits something. Its forms load when idle or first opened. */
export const RecordSheet = fetchedLater(async () => (await import('./whole-record-sheet')).WholeRecordSheet);
