import { PlaceInput, PlantInput, RecordInput } from '@candid-leaf/contract';
import { checked, RECORD_CLASSES } from '@candid-leaf/core/records';
import { DEMO_DAY } from '../src/account.js';
import { GARDEN, PLACES, PLANTS } from '../src/garden.js';
import { RECORDS } from '../src/season.js';
import { PAST_TREATMENTS } from '../src/treatments.js';

test('the garden has its five places and fourteen plants, each in one of them', () => {
  expect([PLACES.length, PLANTS.length]).toEqual([5, 14]);
  expect(PLACES.map((p) => p.kind).sort()).toEqual(['container', 'container', 'ground', 'raised-bed', 'tunnel-bed']);
  const ids = new Set(PLACES.map((p) => p.id));
  expect(PLANTS.every((p) => ids.has(p.placeId))).toBe(true);
  expect(GARDEN.pinnedDate).toBe(DEMO_DAY);
});

test('every part of it passes the same checks as anyone’s data', () => {
  for (const p of PLACES) checked(PlaceInput, p);
  for (const p of PLANTS) checked(PlantInput, p);
  for (const r of RECORDS) {
    checked(RecordInput, r);
    checked(RECORD_CLASSES[r.type] as new () => object, r.data);
  }
});

test('every treatment had its problem seen on that plant before, and closed within the season', () => {
  expect(PAST_TREATMENTS.length).toBeGreaterThan(0);
  for (const t of PAST_TREATMENTS) {
    const seen = RECORDS.filter(
      (r) => r.plantId === t.plantId && r.type === 'inspection' && !(r.data as { allClear: boolean }).allClear,
    ).map((r) => (r.data as { date: string }).date);
    expect(seen.some((date) => date <= t.openedOn)).toBe(true);
    expect([t.openedOn < t.closedOn, t.closedOn <= DEMO_DAY]).toEqual([true, true]);
  }
});

test('two earlier seasons, and this one from April to mid July; no two records with one id', () => {
  const days = RECORDS.map((r) => (r.data as { date: string }).date);
  for (const year of ['2024', '2025', '2026']) expect(days.some((d) => d.startsWith(year))).toBe(true);
  expect(days.filter((d) => d > '2026')[0]! < '2026-05-01').toBe(true);
  expect(days.at(-1)! <= DEMO_DAY && days.at(-1)! >= '2026-07-15').toBe(true);
  expect(new Set(RECORDS.map((r) => r.id)).size).toBe(RECORDS.length);
});
