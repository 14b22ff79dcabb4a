import type { GardenInput } from '@candid-leaf/contract';
import type { Fault } from '@candid-leaf/core/records';
import { frostFaults } from '@candid-leaf/core/season';
import { daysBetween } from '@candid-leaf/core/units';

/** Longest absence, days. */
const MOST_AWAY_DAYS = 366;

const awayFaults = (away: GardenInput['away']): Fault[] =>
  (away ?? []).flatMap(({ from, to }, i) => {
    if (to < from) return [{ path: `away[${i}].to`, reason: 'must not be before the first day' }];
    return daysBetween(from, to) >= MOST_AWAY_DAYS
      ? [{ path: `away[${i}].to`, reason: 'must be within a year of the first day' }]
      : [];
  });

/** Returns the faults of a garden's settings: an absence that ends before it begins or lasts for years, swapped frosts. */
export const gardenFaults = (g: Parameters<typeof frostFaults>[0] & Pick<GardenInput, 'away'>): Fault[] => [
  ...awayFaults(g.away),
  ...frostFaults(g),
];
