import fc from 'fast-check';
import type { WeatherDay } from '@candid-leaf/core/climate';
import {
  actInWords,
  type Exposure,
  hardSpells,
  plantedBeforeLastFrost,
  seasonEnd,
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

const bed: Exposure = { facts: { kind: 'ground' }, newlyPlanted: false };
const spells = (days: readonly WeatherDay[], e: Exposure = bed) => hardSpells(TODAY, days, e);

describe('spells in the forecast', () => {
  test('two days at 32 °C make a heat wave, one does not, nor does 31.9; a single day of 38 °C alerts by itself', () => {
    expect(spells(ahead([32, 31, 33, 30]))).toEqual([]);
    expect(spells(ahead([31.9, 31.9, 31.9]))).toEqual([]);
    expect(spells(ahead([30, 32, 34, 33, 29, 36, 36]))).toEqual([
      { kind: 'heat', from: addDays(TODAY, 1), to: addDays(TODAY, 3), extremeC: 34 },
    ]);
    expect(spells(ahead([30, 37.9, 30]))).toEqual([]);
    expect(spells(ahead([30, 38, 30, 33, 33]))).toEqual([
      { kind: 'heat', from: addDays(TODAY, 1), to: addDays(TODAY, 1), extremeC: 38 },
    ]);
  });
  test('ground frost alerts from 3 °C, in a hollow and on new plants from 5, in a tunnel from 1.5, indoors never', () => {
    const nights = (min: number, e: Exposure) => spells(ahead([15, 15], [12, min]), e).map((s) => s.kind);
    const hollow: Exposure = { facts: { kind: 'ground', hollow: true }, newlyPlanted: false };
    const fresh: Exposure = { facts: { kind: 'ground' }, newlyPlanted: true };
    const tunnel: Exposure = { facts: { kind: 'tunnel-bed' }, newlyPlanted: false };
    const sill: Exposure = { facts: { kind: 'container', cover: 'indoors' }, newlyPlanted: true };
    expect([nights(3, bed), nights(3.1, bed)]).toEqual([['frost'], []]);
    expect([nights(5, hollow), nights(5.1, hollow)]).toEqual([['frost'], []]);
    // on new plants a night under 10 is too cold, without frost
    expect([nights(5, fresh), nights(5.1, fresh), nights(9.9, fresh), nights(10, fresh)]).toEqual([
      ['frost'],
      ['chill'],
      ['chill'],
      [],
    ]);
    expect([nights(1.5, tunnel), nights(1.6, tunnel)]).toEqual([['frost'], []]);
    expect(nights(-15, sill)).toEqual([]);
  });
  test('past days do not count, and the order of the days does not matter', () => {
    const days = [{ date: addDays(TODAY, -1), tMaxC: 36, tMinC: 20, rainMm: 0 }, ...ahead([36, 25])];
    expect(spells(days)).toEqual([]);
    fc.assert(
      fc.property(fc.shuffledSubarray(ahead([33, 35, 30, 34]), { minLength: 4, maxLength: 4 }), (mixed) => {
        expect(spells(mixed)).toEqual(spells(ahead([33, 35, 30, 34])));
      }),
    );
  });
});

const heat: HardSpell = { kind: 'heat', from: addDays(TODAY, 2), to: addDays(TODAY, 4), extremeC: 36 };
/** A minimum of the day after tomorrow falls at its dawn. */
const frost: HardSpell = { kind: 'frost', from: addDays(TODAY, 2), to: addDays(TODAY, 2), extremeC: -1 };
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
  test('a bed: picked and shaded the day before, watered by the plan, mulched once', () => {
    expect(acts(heat, place()).sort()).toEqual(['check-bed', 'harvest', 'heat-not', 'mulch', 'shade', 'water-more']);
    expect(act(heat, place(), 'shade')).toEqual({
      on: addDays(TODAY, 1),
      what: { act: 'shade', areaM2: 2, side: 'south' },
    });
    // 2 m² at 6 cm are 120 L
    expect(act(heat, place(), 'mulch')!.what).toEqual({ act: 'mulch', litres: 120 });
    // bare soil that was recorded is no mulch
    const bare = { ...place().facts, mulch: [{ from: '2026-06-01', depthMm: 0 }] };
    expect(acts(heat, place({ facts: bare }))).toContain('mulch');
    const covered = place({
      facts: {
        ...place().facts,
        mulch: [{ from: '2026-06-01', depthMm: 50 }],
        shade: [{ from: '2026-06-01', blockPct: 40 }],
      },
    });
    expect(acts(heat, covered).sort()).toEqual(['check-bed', 'harvest', 'heat-not', 'water-more']);
    const over = place({
      facts: { ...place().facts, shade: [{ from: '2026-06-01', to: '2026-06-20', blockPct: 40 }] },
    });
    expect(acts(heat, over)).toContain('shade');
  });
  test('its litres are the plan’s sum for those days; the habit is half as much again', () => {
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
  test('a portable pot is moved; a large one is shaded; each day the pots are lifted, small ones at midday too', () => {
    const once = (p: PlaceInSpell) => [...new Set(acts(heat, p))].sort();
    expect(once(pots(12))).toEqual(['check-pots', 'harvest', 'heat-not', 'move-pots', 'water-more']);
    expect(once(pots(25))).toContain('move-pots');
    expect(once(pots(26))).toEqual(['check-pots', 'harvest', 'heat-not', 'shade', 'water-more']);
    const lifts = spellPlan(heat, TODAY, pots(14.9)).filter((a) => a.what.act === 'check-pots');
    expect(lifts.map((a) => a.on)).toEqual([2, 3, 4].map((n) => addDays(TODAY, n)));
    expect(lifts[0]!.what).toMatchObject({ midday: true });
    expect(act(heat, pots(15), 'check-pots')!.what).toMatchObject({ midday: false });
    // at 38 °C every pot is looked at again at midday, and the plan's second watering is told
    const scorching = { ...heat, extremeC: 38 };
    const second = { ...pots(40), water: { ...pots(40).water!, laterOn: () => 3.2 } };
    expect(act(scorching, second, 'check-pots')!.what).toMatchObject({ midday: true, secondL: 3.2 });
  });
  test('under cover doors and vents come first', () => {
    const tunnel = place({ facts: { kind: 'tunnel-bed', texture: 'loam' } });
    const plan = spellPlan({ ...heat, from: TODAY }, TODAY, tunnel).filter((a) => a.on === TODAY);
    expect(plan[0]!.what).toEqual({ act: 'open-vents' });
    expect(acts(heat, place())).not.toContain('open-vents');
  });
  test('once it has begun, the day before’s tasks are due today; an empty place asks for nothing', () => {
    const now = { ...heat, from: TODAY };
    expect(spellPlan(now, TODAY, place()).every((a) => a.on === TODAY)).toBe(true);
    expect(spellPlan(heat, TODAY, place({ plants: 0 }))).toEqual([]);
  });
});

describe('the plan for a frost night', () => {
  test('everything is done the evening before the dawn of the minimum', () => {
    for (const p of [place(), pots(12), pots(40)])
      expect(new Set(spellPlan(frost, TODAY, p).map((a) => a.on))).toEqual(new Set([addDays(TODAY, 1)]));
    // the night of this morning is over
    expect(spellPlan({ ...frost, from: TODAY, to: TODAY }, TODAY, place())).toEqual([]);
  });
  test('every night of a spell has its evening: one tick does not dismiss the rest', () => {
    const nights = spellPlan({ ...frost, to: addDays(TODAY, 4) }, TODAY, place()).filter((a) => a.what.act === 'cover');
    expect(nights.map((a) => a.on)).toEqual([1, 2, 3].map((n) => addDays(TODAY, n)));
  });
  test('a bed is watered as planned and covered, pots come in, and fruit is picked if there is any', () => {
    expect(acts(frost, place())).toEqual(['harvest-tender', 'water-before', 'cover']);
    expect(act(frost, place(), 'water-before')!.what).toEqual({ act: 'water-before', litres: 9 });
    expect(act(frost, place({ water: null }), 'water-before')!.what).toEqual({ act: 'water-before', litres: null });
    expect(acts(frost, place({ stages: ['vegetative', null] }))).toEqual(['water-before', 'cover']);
    expect(acts(frost, pots(12))).toContain('pots-in');
    expect(acts(frost, pots(40))).toContain('cover');
    expect(acts({ ...frost, kind: 'chill' }, place())).toEqual(['cover']);
  });
  test('in grades: covered to −3 °C, doubly below, and from −4 °C on everything is picked; film keeps a little', () => {
    const at = (extremeC: number, p = place()) => spellPlan({ ...frost, extremeC }, TODAY, p).map((a) => a.what);
    const cover = (acts: SpellAct[]) => acts.find((a) => a.act === 'cover');
    expect(cover(at(-3))).toMatchObject({ double: false });
    expect(cover(at(-3.5))).toMatchObject({ double: true });
    expect(at(-4).map((a) => a.act)).toEqual(['harvest-all']);
    expect(at(-4, place({ stages: ['vegetative'] }))).toEqual([]);
    const tunnel = place({ facts: { kind: 'tunnel-bed', texture: 'loam' } });
    expect(cover(at(-5, tunnel))).toMatchObject({ inside: true, double: true });
    expect(at(-5.5, tunnel).map((a) => a.act)).toEqual(['harvest-all']);
    // a pot that can be carried comes in, however cold
    expect(at(-8, pots(12)).map((a) => a.act)).toContain('pots-in');
    expect(actInWords({ act: 'harvest-all', peppers: true, hot: false }, METRIC_FORMAT).text).toMatch(/no cover saves/);
  });
  test('in heat it is fed at half strength after watering; from 38 °C on not at all', () => {
    const feed = (extremeC: number) => act({ ...heat, extremeC }, place(), 'heat-not')!.what;
    expect(actInWords(feed(37), METRIC_FORMAT).text).toMatch(/feed at half strength only, after watering/);
    expect(actInWords(feed(38), METRIC_FORMAT).text).toMatch(/^No feeding/);
  });
  test('nothing recorded about a place’s ground: an amount for each plant', () => {
    expect(act(frost, place({ areaM2: null }), 'cover')!.what).toEqual({
      act: 'cover',
      areaM2: 1.2,
      inside: false,
      double: false,
    });
  });
  test('green peppers are not sent indoors to ripen, and hot ones have their caution', () => {
    const said = (more: Partial<PlaceInSpell>) =>
      actInWords(act(frost, place(more), 'harvest-tender')!.what, METRIC_FORMAT);
    expect(said({}).text).toMatch(/green tomatoes ripen indoors/);
    expect(said({ peppers: true }).text).toMatch(/eat green ones green/);
    expect(said({ peppers: true }).caution).toBeUndefined();
    expect(said({ peppers: true, hotPeppers: true }).caution).toMatch(/gloves/);
  });
});

describe('the garden’s own frost days', () => {
  test('early means before the last frost of the spring that the planting belongs to', () => {
    const early = (lastFrost: string | null, planted: string) => plantedBeforeLastFrost({ lastFrost }, planted);
    expect(early('05-10', '2026-05-01')).toBe(true);
    expect(early('05-10', '2026-05-10')).toBe(false);
    expect(early('05-10', '2026-07-01')).toBe(false);
    // the south: planted in January, the last frost was in September
    expect(early('09-10', '2027-01-15')).toBe(false);
    expect(early('09-10', '2026-09-01')).toBe(true);
    // autumn there: the next last frost is half a year away and not its own
    expect(early('09-10', '2027-03-20')).toBe(false);
    // a last frost about New Year
    expect(early('01-05', '2026-12-28')).toBe(true);
    expect(early(null, '2026-01-01')).toBe(false);
  });
  test('a season ends at the first frost ahead, or with its hemisphere if there is none', () => {
    expect(seasonEnd({ latitude: 45, firstFrost: '10-20' }, '2026-07-18')).toBe('2026-10-20');
    expect(seasonEnd({ latitude: -34, firstFrost: '06-05' }, '2027-01-10')).toBe('2027-06-05');
    expect(seasonEnd({ latitude: -34 }, '2027-01-10')).toBe('2027-05-01');
    expect(seasonEnd({ latitude: 45 }, '2026-07-18')).toBe('2026-11-01');
    // near the equator one season follows the other
    expect(seasonEnd({ latitude: 6.5 }, '2026-07-18')).toBe('2027-01-14');
  });
});

describe('in words', () => {
  const plain = (s: string): string => s.replaceAll('\u00a0', ' ');
  test('amounts and days in the gardener’s units, with the caution at the act', () => {
    const us = formatterFor({ ...METRIC, temperature: 'F', volume: 'gal-us', area: 'ft2' }, 'MMMM d');
    expect(plain(spellInWords(heat, TODAY, METRIC_FORMAT))).toBe('up to 36 °C is forecast from 20 July to 22 July');
    expect(plain(spellInWords(heat, TODAY, us))).toBe('up to 97 °F is forecast from July 20 to July 22');
    expect(plain(spellInWords(frost, TODAY, METRIC_FORMAT))).toMatch(
      /^down to .1 °C is forecast at dawn on 20 July: ground frost is possible; cover the evening before$/,
    );
    expect(plain(spellInWords({ ...heat, to: heat.from, extremeC: 38 }, TODAY, METRIC_FORMAT))).toBe(
      'up to 38 °C is forecast on 20 July',
    );
    expect(actInWords({ act: 'shade', areaM2: 2, side: 'north' }, METRIC_FORMAT)).toMatchObject({
      text: expect.stringContaining('west and north side') as string,
      caution: expect.stringContaining('or in wind') as string,
    });
    expect(plain(actInWords({ act: 'mulch', litres: 120 }, us).text)).toMatch(/about 31\.7|about 32/);
    expect(actInWords({ act: 'move-pots', pots: 1 }, METRIC_FORMAT).text).toMatch(/Move the pot into/);
    expect(actInWords({ act: 'water-before', litres: null }, METRIC_FORMAT).text).toMatch(/^Check the soil/);
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

test('frost is judged at screen height outdoors, never by the air where the plants grow', () => {
  const outdoors = ahead([15, 14, 15], [8, 2, 8]);
  const inside = outdoors.map((d) => ({ ...d, tMinC: d.tMinC + 4 }));
  const frosts = (out: WeatherDay[], own: WeatherDay[]) =>
    hardSpells(TODAY, out, bed, own).filter((s) => s.kind === 'frost');
  expect(frosts(outdoors, inside)).toMatchObject([{ from: addDays(TODAY, 1), extremeC: 2 }]);
  expect(frosts(inside, outdoors)).toEqual([]);
});
