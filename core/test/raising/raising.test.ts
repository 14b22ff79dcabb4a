import { addDays } from '@candid-leaf/core/units';
import fc from 'fast-check';
import {
  actsAfter,
  lightOn,
  nextLookOn,
  nibblersOn,
  plantingSequence,
  SEEDLING_ROWS,
  thinOn,
  potMlOf,
  trayWater,
  type PlantingDay,
  type TrayQuestion,
} from '../../src/raising/index.js';

const SOWN = '2026-03-05';
const tray = (more: Partial<TrayQuestion> = {}) => trayWater({ sownOn: SOWN, count: 12, today: '2026-03-20', ...more });

describe('watering from below', () => {
  test('by hand: a cell of 50 mL holds a quarter, half of it available, with a tenth on top', () => {
    // 50 mL × (0.45 − 0.20) × 0.5 = 6.25 mL a cell; 12 cells and a tenth: 82.5 mL, poured as 100
    expect(tray()).toEqual({ everyDays: 1, dueOn: '2026-03-06', ml: 100, lightG: null });
    // eight cells: 55 mL, poured as 100
    expect(tray({ count: 8 }).ml).toBe(100);
    // a 9 cm pot of 350 mL: 43.75 mL, at 22 mL a day two days; just potted on, half as long again
    const pots = { pottedOn: '2026-03-18', wateredOn: '2026-03-25', count: 4 };
    expect(tray({ ...pots, today: '2026-03-25' })).toEqual({
      everyDays: 2,
      dueOn: '2026-03-27',
      ml: 200,
      lightG: null,
    });
    expect(tray({ ...pots, today: '2026-03-24' }).everyDays).toBe(3);
    // as bought: 11 cm across is about 0.64 L, and waits longer
    expect(tray({ ...pots, today: '2026-03-25', potMl: potMlOf(11) }).everyDays).toBe(4);
    expect(tray({ cellMl: 120 }).everyDays).toBe(3);
  });
  test('by weight: a gram a millilitre; under its cover it hardly dries', () => {
    expect(tray({ wetG: 1500 }).lightG).toBe(1425);
    expect(tray({ today: '2026-03-08' }).everyDays).toBe(3);
    expect(tray({ today: '2026-03-08', pottedOn: '2026-03-07' }).everyDays).toBe(3);
  });
  test('property: more cells never take less, nor weigh more when light; a watering always moves the day on', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 300 }),
        fc.integer({ min: 1, max: 40 }),
        fc.boolean(),
        (count, day, pots) => {
          const on = addDays(SOWN, day);
          const q = { count, today: on, wetG: 50_000, pottedOn: pots ? SOWN : null };
          const [few, more] = [tray(q), tray({ ...q, count: count + 1 })];
          expect(more.ml).toBeGreaterThanOrEqual(few.ml);
          expect(more.lightG!).toBeLessThan(few.lightG!);
          expect(tray({ ...q, wateredOn: on }).dueOn > on).toBe(true);
        },
      ),
    );
  });
});

describe('checking the seedlings', () => {
  test('first after a week, healthy ones every four days, fallen or eaten ones the next day', () => {
    expect(nextLookOn(SOWN, [])).toBe('2026-03-11');
    expect(nextLookOn(SOWN, [{ on: '2026-03-11', what: 'sound' }])).toBe('2026-03-15');
    // the newest counts, in whatever order they are told
    const looks = [
      { on: '2026-03-15', what: 'fallen' as const },
      { on: '2026-03-11', what: 'sound' as const },
    ];
    expect(nextLookOn(SOWN, looks)).toBe('2026-03-16');
    expect(nextLookOn(SOWN, [...looks].reverse())).toBe('2026-03-16');
    expect(actsAfter('tomato', looks)[1]).toMatch(/Do not water until the top is dry/);
  });
  test('leggy: a tomato is set deeper, a pepper never; a healthy one needs nothing', () => {
    const leggy = [{ on: SOWN, what: 'leggy' as const }];
    expect(actsAfter('tomato', leggy).join(' ')).toMatch(/Pot on deeper/);
    expect(actsAfter('pepper', leggy).join(' ')).not.toMatch(/deeper/);
    expect(actsAfter('tomato', [{ on: SOWN, what: 'sound' }])).toEqual([]);
    for (const row of SEEDLING_ROWS) expect([row.code, row.acts.length > 0]).toEqual([row.code, row.code !== 'sound']);
  });
  test('light when they emerge, thinned before they are potted on', () => {
    expect([lightOn(SOWN), thinOn(SOWN)]).toEqual(['2026-03-11', '2026-03-19']);
  });
});

describe('planting day', () => {
  const day = (more: Partial<PlantingDay> = {}): string =>
    plantingSequence({
      crop: 'tomato',
      habit: 'indeterminate',
      place: { kind: 'ground', underCover: false },
      starter: null,
      boneDry: false,
      soilWarm: false,
      ...more,
    }).join('\n');

  test('a tomato goes in deep, a pepper as deep as before; support before watering in, mulch only on warm soil', () => {
    const tomato = day();
    expect(tomato).toMatch(/deep as the stem up to its first leaves/);
    expect(day({ crop: 'pepper', habit: null })).toMatch(/no deeper than before/);
    expect(day({ crop: 'pepper', habit: null })).not.toMatch(/first leaves|trench/);
    expect(tomato).toMatch(/Put in the stake or string now[^]*Water it in/);
    expect(tomato).toMatch(/No mulch yet/);
    expect(day({ soilWarm: true })).toMatch(/Mulch, a hand’s width/);
  });
  test('bone-dry soil is soaked first; no bottle is buried in a pot; under cover there are vents, not fleece', () => {
    expect(day({ boneDry: true })).toMatch(/fill the hole with water, let it drain/);
    expect(day()).not.toMatch(/Bone dry/);
    expect(day({ place: { kind: 'container', underCover: false } })).not.toMatch(/bottle/);
    const covered = day({ place: { kind: 'tunnel-bed', underCover: true } });
    expect(covered).toMatch(/Open vents by day/);
    expect(covered).not.toMatch(/fleece/i);
  });
  test('each method feeds in its own way, and all by the label', () => {
    for (const starter of ['compost-balanced', 'nitrogen-led', 'phosphorus-led', 'by-test', null] as const)
      expect(day({ starter })).toMatch(/by the label|the label:/);
    expect(day({ starter: 'nitrogen-led' })).toMatch(/No feed in the hole/);
  });
  test('in sandy soil two spades of compost go into the hole, unless a soil test decides', () => {
    const ground = (texture: 'sand' | 'loam') => ({ kind: 'ground' as const, underCover: false, texture });
    expect(day({ place: ground('sand') })).toMatch(/two spades of ripe compost/);
    expect(day({ place: ground('sand'), starter: 'by-test' })).not.toMatch(/spades/);
    expect(day({ place: ground('loam') })).not.toMatch(/spades/);
    expect(day({ place: { ...ground('sand'), kind: 'container' } })).not.toMatch(/spades/);
  });
  test('slugs are checked until 30 cm or four weeks, every third day', () => {
    const q = { plantedOn: '2026-05-06', heightM: null, lookedOn: null, today: '2026-05-10' };
    expect(nibblersOn(q)).toBe('2026-05-07');
    expect(nibblersOn({ ...q, lookedOn: '2026-05-09' })).toBe('2026-05-12');
    expect(nibblersOn({ ...q, heightM: 0.29 })).not.toBeNull();
    expect(nibblersOn({ ...q, heightM: 0.3 })).toBeNull();
    expect(nibblersOn({ ...q, today: '2026-06-03' })).not.toBeNull();
    expect(nibblersOn({ ...q, today: '2026-06-04' })).toBeNull();
    expect(nibblersOn({ ...q, plantedOn: null })).toBeNull();
  });
});
