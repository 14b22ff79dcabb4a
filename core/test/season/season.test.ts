import fc from 'fast-check';
import type { WeatherDay } from '@candid-leaf/core/climate';
import {
  actInWords,
  hardSpells,
  seasonStart,
  spellInWords,
  spellPlan,
  type HardSpell,
  type PlaceInSpell,
  type SpellAct,
} from '@candid-leaf/core/season';
import { addDays, daysBetween, formatterFor, METRIC, METRIC_FORMAT } from '@candid-leaf/core/units';

const TODAY = '2026-07-18';
const ahead = (max: readonly number[], min: readonly number[] = []): WeatherDay[] =>
  max.map((tMaxC, i) => ({ date: addDays(TODAY, i), tMaxC, tMinC: min[i] ?? 18, rainMm: 0 }));

describe('spells in the forecast', () => {
  test('two days at 32 °C make a wave, one does not, and 31.9 is none', () => {
    expect(hardSpells(TODAY, ahead([32, 31, 33, 30]))).toEqual([]);
    expect(hardSpells(TODAY, ahead([31.9, 31.9, 31.9]))).toEqual([]);
    expect(hardSpells(TODAY, ahead([30, 32, 34, 33, 29, 36, 36]))).toEqual([
      { kind: 'heat', from: addDays(TODAY, 1), to: addDays(TODAY, 3), extremeC: 34 },
    ]);
  });
  test('frost is a night at 1 °C or less; nights in a row are one spell', () => {
    expect(hardSpells(TODAY, ahead([12, 12], [1.1, 2]))).toEqual([]);
    expect(hardSpells(TODAY, ahead([12, 12, 12], [3, 1, -2]))).toEqual([
      { kind: 'frost', from: addDays(TODAY, 1), to: addDays(TODAY, 2), extremeC: -2 },
    ]);
  });
  test('days that are over do not count, and the order of the days does not matter', () => {
    const days = [{ date: addDays(TODAY, -1), tMaxC: 36, tMinC: 20, rainMm: 0 }, ...ahead([36, 25])];
    expect(hardSpells(TODAY, days)).toEqual([]);
    fc.assert(
      fc.property(fc.shuffledSubarray(ahead([33, 35, 30, 34]), { minLength: 4, maxLength: 4 }), (mixed) => {
        expect(hardSpells(TODAY, mixed)).toEqual(hardSpells(TODAY, ahead([33, 35, 30, 34])));
      }),
    );
  });
});

const heat: HardSpell = { kind: 'heat', from: addDays(TODAY, 2), to: addDays(TODAY, 4), extremeC: 36 };
const frost: HardSpell = { kind: 'frost', from: addDays(TODAY, 1), to: addDays(TODAY, 1), extremeC: -1 };
const place = (more: Partial<PlaceInSpell> = {}): PlaceInSpell => ({
  facts: { kind: 'ground', texture: 'loam', areaM2: 2 },
  plants: 4,
  areaM2: 2,
  stages: ['ripening', 'fruiting'],
  water: { usedPerDayL: 8, spellPerDayL: 10, plannedOn: () => 9 },
  latitude: 45,
  ...more,
});
const pots = (volumeL: number) => place({ facts: { kind: 'container', texture: 'potting-mix', volumeL } });
const acts = (spell: HardSpell, p: PlaceInSpell) => spellPlan(spell, TODAY, p).map((a) => a.what.act);
const act = <A extends SpellAct['act']>(spell: HardSpell, p: PlaceInSpell, which: A) =>
  spellPlan(spell, TODAY, p).find((a) => a.what.act === which);

describe('the plan for a heat wave', () => {
  test('a bed: picked and shaded the day before, watered as the plan has it, mulched once', () => {
    expect(acts(heat, place())).toEqual(['harvest', 'water-more', 'shade', 'mulch', 'heat-not']);
    expect(act(heat, place(), 'shade')).toEqual({
      on: addDays(TODAY, 1),
      what: { act: 'shade', areaM2: 2, side: 'south' },
    });
    // 2 m² at 6 cm are 120 L
    expect(act(heat, place(), 'mulch')!.what).toEqual({ act: 'mulch', litres: 120 });
    const covered = place({
      facts: {
        ...place().facts,
        mulch: [{ from: '2026-06-01', depthMm: 50 }],
        shade: [{ from: '2026-06-01', blockPct: 40 }],
      },
    });
    expect(acts(heat, covered)).toEqual(['harvest', 'water-more', 'heat-not']);
    const over = place({
      facts: { ...place().facts, shade: [{ from: '2026-06-01', to: '2026-06-20', blockPct: 40 }] },
    });
    expect(acts(heat, over)).toContain('shade');
  });
  test('its litres are the sum of what the plan gives on those days; the habit is half as long again of use', () => {
    expect(act(heat, place(), 'water-more')!.what).toEqual({
      act: 'water-more',
      litres: 27,
      habitLitres: 36,
      sharePct: 25,
    });
    const none = (water: PlaceInSpell['water']) => act(heat, place({ water }), 'water-more');
    expect(none(null)).toBeUndefined();
    expect(none({ usedPerDayL: 8, spellPerDayL: 8.2, plannedOn: () => 9 })).toBeUndefined();
    expect(none({ usedPerDayL: 8, spellPerDayL: 10, plannedOn: () => 0 })).toBeUndefined();
    expect(none({ usedPerDayL: 0, spellPerDayL: 0, plannedOn: () => 3 })).toBeUndefined();
  });
  test('shade hangs to the south in the north and to the north in the south', () => {
    expect(act(heat, place({ latitude: -33 }), 'shade')!.what).toMatchObject({ side: 'north' });
  });
  test('a pot that can be carried is moved; a large one is shaded; a small one is lifted twice a day', () => {
    expect(acts(heat, pots(12))).toEqual(['harvest', 'water-more', 'check-pots', 'move-pots', 'heat-not']);
    expect(acts(heat, pots(25))).toContain('move-pots');
    expect(acts(heat, pots(26))).toEqual(['harvest', 'water-more', 'check-pots', 'shade', 'heat-not']);
    expect(act(heat, pots(14.9), 'check-pots')!.what).toMatchObject({ twice: true });
    expect(act(heat, pots(15), 'check-pots')!.what).toMatchObject({ twice: false });
  });
  test('begun already, what was for the day before is for today; an empty place asks for nothing', () => {
    const now = { ...heat, from: TODAY };
    expect(spellPlan(now, TODAY, place()).every((a) => a.on === TODAY)).toBe(true);
    expect(spellPlan(heat, TODAY, place({ plants: 0 }))).toEqual([]);
  });
});

describe('the plan for a frost night', () => {
  test('a bed is watered as planned and covered, pots come in, and fruit is picked where there is any', () => {
    expect(acts(frost, place())).toEqual(['harvest-tender', 'water-before', 'cover']);
    expect(act(frost, place(), 'water-before')!.what).toEqual({ act: 'water-before', litres: 9 });
    expect(act(frost, place({ water: null }), 'water-before')!.what).toEqual({ act: 'water-before', litres: null });
    expect(acts(frost, place({ stages: ['vegetative', null] }))).toEqual(['water-before', 'cover']);
    expect(acts(frost, pots(12))).toContain('pots-in');
    expect(acts(frost, pots(40))).toContain('cover');
  });
  test('a tunnel holds a degree or two off, not more', () => {
    const tunnel = place({ facts: { kind: 'tunnel-bed', texture: 'loam' } });
    expect(acts(frost, tunnel)).toEqual([]);
    expect(acts({ ...frost, extremeC: -2 }, tunnel)).toContain('cover');
  });
  test('nothing recorded about a place’s ground: so much for each plant', () => {
    expect(act(frost, place({ areaM2: null }), 'cover')!.what).toEqual({ act: 'cover', areaM2: 1.2 });
  });
});

describe('in words', () => {
  const plain = (s: string): string => s.replaceAll('\u00a0', ' ');
  test('amounts and days as the gardener reads them, with the caution at the act', () => {
    const us = formatterFor({ ...METRIC, temperature: 'F', volume: 'gal-us', area: 'ft2' }, 'MMMM d');
    expect(plain(spellInWords(heat, TODAY, METRIC_FORMAT))).toBe(
      '32 °C or more is expected from 20 July to 22 July, up to 36 °C',
    );
    expect(plain(spellInWords(heat, TODAY, us))).toBe('90 °F or more is expected from July 20 to July 22, up to 97 °F');
    expect(plain(spellInWords({ ...frost, from: TODAY, to: TODAY }, TODAY, METRIC_FORMAT))).toBe(
      '1 °C or less is expected in the night from today, down to -1 °C'.replace(
        '-',
        plain(METRIC_FORMAT.temperature(-1)).charAt(0),
      ),
    );
    expect(actInWords({ act: 'shade', areaM2: 2, side: 'north' }, METRIC_FORMAT)).toMatchObject({
      text: expect.stringContaining('west and north side') as string,
      caution: expect.stringContaining('not in wind') as string,
    });
    expect(plain(actInWords({ act: 'mulch', litres: 120 }, us).text)).toMatch(/about 31\.7|about 32/);
    expect(actInWords({ act: 'move-pots', pots: 1 }, METRIC_FORMAT).text).toMatch(/Move the pot into/);
    expect(actInWords({ act: 'water-before', litres: null }, METRIC_FORMAT).text).toMatch(/^Feel the soil/);
  });
});

describe('which season a day belongs to', () => {
  test('the turn of the year in the north, mid-year in the south, and never under five months', () => {
    expect(seasonStart('2026-07-18', 45)).toBe('2026-01-01');
    expect(seasonStart('2026-02-10', 45)).toBe(addDays('2026-02-10', -150));
    expect(seasonStart('2026-12-20', -33)).toBe('2026-07-01');
    expect(seasonStart('2027-03-01', -33)).toBe('2026-07-01');
    expect(seasonStart('2026-07-18', -33)).toBe(addDays('2026-07-18', -150));
  });
  test('it is bounded: between five months and a year and a half back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 4000 }), fc.integer({ min: -60, max: 60 }), (n, latitude) => {
        const day = addDays('2020-01-01', n);
        const back = daysBetween(seasonStart(day, latitude), day);
        expect(back).toBeGreaterThanOrEqual(150);
        expect(back).toBeLessThanOrEqual(366);
      }),
    );
  });
});
