import type { DisorderCode, EarlierYear } from '@candid-leaf/core/records';
import { seasonYear } from '@candid-leaf/core/season';
import type { Day } from '@candid-leaf/core/units';
import type { EntityManager } from 'typeorm';
import { GardenEntity } from '../gardens/garden.entity.js';
import { updateRows } from '../shared/rows.js';
import { PlaceEntity } from './place.entity.js';

/**
 * Notes automatically what grew in a bed in the season of a day, and its problems. The gardener's own notes of earlier years stay
 * beside it.
 */
export async function noteGrown(
  m: EntityManager,
  placeId: string,
  day: Day,
  problems: readonly DisorderCode[] = [],
): Promise<void> {
  const place = await m.findOneBy(PlaceEntity, { id: placeId });
  if (!place) return;
  const year = seasonYear(await m.findOneByOrFail(GardenEntity, { id: place.gardenId }), day);
  const before = (place.grown ?? []).find((y) => y.year === year);
  const known = before?.problems ?? [];
  if (before && problems.every((p) => known.includes(p))) return;
  const now: EarlierYear = { year, family: 'nightshade', problems: [...new Set([...known, ...problems])] };
  const grown = [...(place.grown ?? []).filter((y) => y.year !== year), now].sort((a, b) => a.year - b.year);
  await updateRows(m, PlaceEntity, { id: placeId }, { grown });
}
