import { parseCase } from '@candid-leaf/core/casefile';
import type { PlantCase } from '@candid-leaf/core/records';
import { addDays } from '@candid-leaf/core/units';

type Deep<T> = { [K in keyof T]?: T[K] extends (infer U)[] ? U[] : T[K] extends object ? Deep<T[K]> : T[K] };
export const ASOF = '2026-07-18';

/** A plain healthy tomato in loam with `days` days of fair weather; `change` overrides any part. */
export function aCase(change: Deep<PlantCase> = {}, days = 40): PlantCase {
  const weather = Array.from({ length: days }, (_, i) => ({
    date: addDays(ASOF, i + 1 - days),
    tMinC: 15,
    tMaxC: 27,
    rainMm: 0,
  }));
  return parseCase({
    format: 'candid-leaf-case',
    version: 1,
    asOf: change.asOf ?? ASOF,
    garden: { latitude: 45.6, longitude: 9, elevationM: 180, ...change.garden },
    place: { kind: 'ground', texture: 'loam', areaM2: 0.25, ...change.place },
    plant: { crop: 'tomato', stage: 'fruiting', transplantedOn: '2026-05-15', heightM: 1.2, ...change.plant },
    records: { weather, ...change.records },
    observations: change.observations ?? [],
  });
}

export const seen = (sign: string, more: object = {}) => ({ date: ASOF, sign, present: true, ...more }) as never;
export const notSeen = (sign: string) => ({ date: ASOF, sign, present: false }) as never;
export const everyNDays = (n: number, litres: number, days = 40) =>
  Array.from({ length: Math.floor(days / n) }, (_, i) => ({ date: addDays(ASOF, -i * n), litres })).reverse();
