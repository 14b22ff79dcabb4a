// Flow is for the whole bed or pot, litres per hour.

/**
 * Returns the litres each plant gets from a run of `minutes` at `flowLPerH` shared by `plants`.
 * @example litresFromMinutes(30, 12, 3) // 2
 */
export function litresFromMinutes(minutes: number, flowLPerH: number, plants: number): number {
  if (plants < 1) throw new RangeError('a run must water at least one plant');
  return (minutes * flowLPerH) / 60 / plants;
}

/**
 * Returns the minutes that give each of `plants` its `litres` at `flowLPerH`.
 * @example minutesForLitres(2, 12, 3) // 30
 */
export const minutesForLitres = (litres: number, flowLPerH: number, plants: number): number =>
  (litres * plants * 60) / flowLPerH;
