import { isOfGarden, isOfPlantOnly, type RecordInput } from '@candid-leaf/contract';
import type { Fault } from '@candid-leaf/core/records';

/** What a record is about: its type, and the ids of its plant or bed. */
type Target = Pick<RecordInput, 'type' | 'plantId' | 'placeId'>;

/** Returns a fault unless a record belongs to what its type allows: one plant, one bed or pot, or the whole garden. */
export function targetFaults(input: Target): Fault[] {
  if (isOfGarden(input.type))
    return input.plantId != null || input.placeId != null
      ? [{ path: input.plantId != null ? 'plantId' : 'placeId', reason: `${input.type} belongs to the whole garden` }]
      : [];
  const named = [input.plantId, input.placeId].filter((id) => id != null).length;
  if (named !== 1)
    return [
      {
        path: 'plantId',
        reason: 'a record belongs to one plant or to one bed or pot: give exactly one of plantId and placeId',
      },
    ];
  return input.placeId && isOfPlantOnly(input.type)
    ? [{ path: 'placeId', reason: `${input.type} is recorded plant by plant` }]
    : [];
}
