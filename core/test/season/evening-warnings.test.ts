import fc from 'fast-check';
import {
  actInWords,
  eveningWarnings,
  hardSpells,
  spellInWords,
  spellPlan,
  WARNING_EVENTS,
  type HardSpell,
  type PlaceInSpell,
  type WarningTask,
} from '@candid-leaf/core/season';
import type { PlaceFacts } from '@candid-leaf/core/records';
import { addDays, METRIC_FORMAT } from '@candid-leaf/core/units';

const TODAY = '2026-07-18';
const TOMORROW = addDays(TODAY, 1);
const plain = (text: string): string => text.replaceAll('\u00a0', ' ');
const task = (
  place: string,
  event: (typeof WARNING_EVENTS)[number],
  on = TOMORROW,
  acts = ['Cover it.'],
): WarningTask => ({
  place,
  warns: { event, on },
  why: 'down to 1 °C',
  acts: acts.map((text) => ({ on: TODAY, text })),
});

test('one warning for each event of tomorrow, over all beds; frost before wind before heat', () => {
  const found = eveningWarnings(TODAY, [
    task('Wall bed', 'heat'),
    task('Wall bed', 'frost'),
    task('Low bed', 'frost'),
    task('Pots', 'frost'),
    task('Hill', 'storm'),
  ]);
  expect(found.map((w) => w.title)).toEqual([
    'Frost tonight: Wall bed, Low bed and 1 more',
    'Strong wind tomorrow: Hill',
    'Heat from tomorrow: Wall bed',
  ]);
  expect(found[0]!.places).toEqual(['Wall bed', 'Low bed', 'Pots']);
});

test('two acts: alike for all beds they are said once, else with the bed; where a task has one, a second stands beside it', () => {
  const [frost] = eveningWarnings(TODAY, [
    task('Wall bed', 'frost', TOMORROW, ['Pick.', 'Cover 2 m².', 'Water.']),
    task('Low bed', 'frost', TOMORROW, ['Pick.', 'Cover 3 m².']),
  ]);
  expect(frost!.acts).toEqual(['Pick.', 'Wall bed: Cover 2 m².']);
  const [blight] = eveningWarnings(TODAY, [task('Wall bed', 'blight')]);
  expect(blight!.acts).toEqual(['Cover it.', expect.stringContaining('spotted leaves') as string]);
});

test('no warning for today, for later days, or for a task that prepares for nothing', () => {
  expect(
    eveningWarnings(TODAY, [
      task('Wall bed', 'frost', TODAY),
      task('Wall bed', 'frost', addDays(TODAY, 2)),
      { place: 'Wall bed', why: '', acts: [] },
    ]),
  ).toEqual([]);
  fc.assert(
    fc.property(
      fc.array(
        fc.tuple(fc.constantFrom('A', 'B', 'C'), fc.constantFrom(...WARNING_EVENTS), fc.integer({ min: -2, max: 3 })),
      ),
      (list) => {
        const found = eveningWarnings(
          TODAY,
          list.map(([p, e, n]) => task(p, e, addDays(TODAY, n))),
        );
        expect(found.map((w) => w.event)).toEqual(
          WARNING_EVENTS.filter((e) => list.some(([, event, n]) => event === e && n === 1)),
        );
        for (const w of found) expect([w.on, w.acts.length <= 2]).toEqual([TOMORROW, true]);
      },
    ),
  );
});

describe('strong wind', () => {
  const day = (n: number, windMs?: number) => ({
    date: addDays(TODAY, n),
    tMinC: 15,
    tMaxC: 24,
    rainMm: 0,
    ...(windMs ? { windMs } : {}),
  });
  const at = (facts: PlaceFacts, winds: (number | undefined)[]) =>
    hardSpells(
      TODAY,
      winds.map((w, n) => day(n, w)),
      { facts, newlyPlanted: false },
    );
  const bed: PlaceFacts = { kind: 'ground', texture: 'loam' };
  test('from a daily mean of 8 m/s outdoors; indoors and without a measured wind none', () => {
    expect(at(bed, [2, 7.9, 8, 9.5, 3])).toEqual([
      { kind: 'storm', from: addDays(TODAY, 2), to: addDays(TODAY, 3), extremeC: 24, windMs: 9.5 },
    ]);
    expect(at(bed, [undefined, undefined])).toEqual([]);
    expect(at({ ...bed, kind: 'container', cover: 'indoors' }, [12, 12])).toEqual([]);
  });
  test('the evening before: what could fly, by what stands there, and what holds the stems', () => {
    const storm: HardSpell = { kind: 'storm', from: TOMORROW, to: TOMORROW, extremeC: 24, windMs: 9.5 };
    const said = (facts: PlaceFacts): [string, string][] => {
      const place: PlaceInSpell = { facts, plants: 2, areaM2: 2, stages: ['fruiting'], water: null, latitude: 45 };
      return spellPlan(storm, TODAY, place).map((a) => [a.on, actInWords(a.what, METRIC_FORMAT).text]);
    };
    const second = [TODAY, expect.stringContaining('Check stakes and ties') as string];
    expect(said(bed)).toEqual([[TODAY, expect.stringContaining('weigh down') as string], second]);
    expect(said({ ...bed, kind: 'container', volumeL: 12 })).toEqual([
      [TODAY, expect.stringContaining('the 2 pots') as string],
      second,
    ]);
    expect(said({ ...bed, kind: 'container', volumeL: 60 })[0]![1]).toContain('weigh down');
    expect(said({ ...bed, kind: 'tunnel-bed' })[0]![1]).toContain('Close doors and vents');
    expect(said({ ...bed, shade: [{ from: '2026-07-10', to: null, densityPct: 40 }] } as never)[0]![1]).toContain(
      'shade cloth',
    );
    expect(plain(spellInWords(storm, TODAY, METRIC_FORMAT))).toBe(
      'wind of 10 m/s on average is forecast on 19 July: gusts are far stronger',
    );
  });
});
