import { addDays, daysBetween, METRIC_FORMAT } from '@candid-leaf/core/units';
import fc from 'fast-check';
import {
  gateInWords,
  gateRowInWords,
  HARDENING_STEPS,
  hardeningPlan,
  pauseOf,
  settingOutGate,
  soilWarmth,
  SOIL_ERROR_C,
  stepInWords,
  type GateQuestion,
} from '../../src/setting-out/index.js';

const TODAY = '2026-05-04';
const days = (from: number, to: number, tMinC: number, tMaxC: number, windMs = 2) =>
  Array.from({ length: to - from + 1 }, (_, i) => ({
    date: addDays(TODAY, from + i),
    tMinC,
    tMaxC,
    rainMm: 0,
    windMs,
  }));

const q = (more: Partial<GateQuestion> = {}): GateQuestion => ({
  crop: 'tomato',
  today: TODAY,
  lastFrost: '2026-04-18',
  weather: days(0, 8, 12, 22),
  soil: { celsius: 17 },
  hardened: true,
  ...more,
});

describe('may it go out? (handbook: soil 16, nights 12 and more, days 18 to 21, last frost past)', () => {
  test('all is well: today', () => {
    expect(settingOutGate(q()).verdict).toEqual({ go: 'today' });
    expect(settingOutGate(q({ hardened: null })).verdict).toEqual({ go: 'today' });
    // too hot by day: in the evening, under cloth
    const hot = settingOutGate(q({ weather: days(0, 8, 22, 34) }));
    expect(hot.verdict).toEqual({ go: 'today', inTheEvening: true });
    expect(gateInWords(hot, METRIC_FORMAT)).toMatch(/^Plant out this evening: it is too hot by day\. Hang shade cloth/);
    expect(settingOutGate(q({ weather: days(0, 8, 22, 33) })).verdict).toEqual({ go: 'today' });
  });
  test('unknown does not mean cold: without soil or nights it asks, and orders nothing', () => {
    const unknown = settingOutGate(q({ soil: null, hardened: null }));
    expect(unknown.verdict).toEqual({ go: 'ask', about: ['soil'] });
    expect(settingOutGate(q({ weather: [] })).verdict).toEqual({ go: 'ask', about: ['nights'] });
    expect(settingOutGate(q({ weather: [], soil: { celsius: 12 } })).verdict.go).toBe('wait');
    expect(gateInWords(unknown, METRIC_FORMAT)).toMatch(/we don’t know: soil\. Check with a thermometer/);
    expect(unknown.rows.map((r) => gateRowInWords(r, METRIC_FORMAT)).slice(0, 2)).toEqual([
      'Hardened off: nothing recorded',
      'Soil: unknown',
    ]);
  });
  test.each([
    ['a soil of 15.9 °C', { soil: { celsius: 15.9 } }, 'soil'],
    ['not hardened', { hardened: false }, 'hardened'],
    ['frost in the forecast', { weather: [...days(0, 3, 12, 22), ...days(4, 4, 3, 18)] }, 'frost'],
    ['the last frost is in the future', { lastFrost: TODAY }, 'frost'],
  ])('%s: wait', (_, more, check) => {
    const gate = settingOutGate(q(more));
    expect(gate.verdict.go).toBe('wait');
    expect(gate.rows.filter((r) => r.ok === false).map((r) => r.check)).toContain(check);
  });
  test('peppers need warmer nights and days than tomatoes', () => {
    expect(settingOutGate(q({ crop: 'pepper' })).verdict).toEqual({ go: 'at-risk', cover: 'fleece' });
    expect(settingOutGate(q({ crop: 'pepper', weather: days(0, 8, 13, 21) })).verdict).toEqual({ go: 'today' });
    expect(settingOutGate(q({ crop: 'pepper', weather: days(0, 8, 13, 20.9) })).verdict.go).toBe('at-risk');
  });
  test('nights a little too cold: at risk under fleece; too cold for fleece: wait', () => {
    expect(settingOutGate(q({ weather: days(0, 8, 9, 22) })).verdict).toEqual({ go: 'at-risk', cover: 'fleece' });
    expect(settingOutGate(q({ weather: days(0, 8, 8.9, 22) })).verdict.go).toBe('wait');
    expect(settingOutGate(q({ weather: days(0, 8, 12, 22, 8) })).verdict).toEqual({
      go: 'at-risk',
      cover: 'wind-break',
    });
  });
  test('it says until when: the first day on which all conditions hold', () => {
    const gate = settingOutGate(q({ soil: { celsius: 20 }, weather: [...days(0, 2, 2, 15), ...days(3, 9, 12, 23)] }));
    expect(gate.verdict).toEqual({ go: 'wait', until: addDays(TODAY, 3) });
    expect(gateInWords(gate, METRIC_FORMAT)).toMatch(/^Wait until 7 May: .*last frost date.* A week later costs about/);
    expect(settingOutGate(q({ weather: days(0, 9, 2, 14) })).verdict).toEqual({ go: 'wait', until: null });
    // the soil warms with the air, a tenth of the way a day: 15.5 °C under days of 19 °C
    const warming = settingOutGate(q({ soil: { celsius: 15.5 }, weather: days(0, 9, 13, 25), canBeWarmed: true }));
    expect(warming.verdict).toEqual({ go: 'wait', until: addDays(TODAY, 2) });
    expect(gateInWords(warming, METRIC_FORMAT)).toMatch(/Dark fabric on the bed warms the soil by about 2\.5.°C/);
    expect(gateInWords(gate, METRIC_FORMAT)).not.toMatch(/fabric/);
    // a pot, or a bed under dark fabric
    expect(gateInWords({ ...warming, warmSoil: false }, METRIC_FORMAT)).not.toMatch(/fabric/);
    expect(settingOutGate(q({ soil: { celsius: 15.5 }, weather: days(0, 9, 13, 25) })).warmSoil).toBe(false);
  });
  test('the cost of waiting, in numbers: a cold week little, a warm one a week', () => {
    const costs = (tMinC: number, tMaxC: number) => settingOutGate(q({ weather: days(0, 8, tMinC, tMaxC) })).weekCosts!;
    // nights of 5 count as 6 °C: half of 14 − 6 is 4 °C·d a day, of a usual day’s 17
    expect(costs(5, 14)).toBeCloseTo((7 * 4) / 17, 1);
    expect(costs(18, 28)).toBeCloseTo(7, 1);
    expect(settingOutGate(q({ weather: [] })).weekCosts).toBeNull();
  });
});

test('soil is the mean of eleven days of air, with its error; five days are too few', () => {
  const w = days(-10, 0, 10, 20);
  expect(soilWarmth(w, TODAY)).toEqual({ celsius: 15, error: SOIL_ERROR_C });
  expect(soilWarmth([...days(-30, -11, 0, 5), ...w, ...days(1, 5, 30, 40)], TODAY)!.celsius).toBe(15);
  expect(soilWarmth(days(-3, 0, 10, 20), TODAY)).toBeNull();
  // dark fabric warms it, however thin; white fabric and straw keep it cooler
  const under = (kind: string, depthMm = 50) => soilWarmth(w, TODAY, { kind, depthMm })!.celsius;
  expect([under('dark-fabric', 1), under('white-fabric', 1), under('straw'), under('straw', 0)]).toEqual([
    17.5, 14, 13, 15,
  ]);
  // straw that has settled to half of what cools fully cools half as much
  expect([under('straw', 25), under('straw', 90)]).toEqual([14, 13]);
});

describe('hardening off (handbook: 7 to 14 days; shade 1 to 2 h, then longer, then sun, then a day and a night)', () => {
  const plan = (more: object = {}) =>
    hardeningPlan({ startOn: TODAY, today: TODAY, done: [], weather: days(0, 20, 12, 20), ...more });

  test('ten days in mild weather, each a little longer, the night last', () => {
    const { days: list, readyOn } = plan();
    expect(list.map((d) => d.step)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9]);
    expect(readyOn).toBe(addDays(TODAY, 10));
    expect(HARDENING_STEPS.filter((s) => s.night)).toEqual([HARDENING_STEPS.at(-1)]);
    const sun = HARDENING_STEPS.map((s) => s.sunH);
    expect(sun).toEqual([...sun].sort((a, b) => a - b));
    expect([stepInWords(HARDENING_STEPS[0]!), stepInWords(HARDENING_STEPS[4]!)]).toEqual([
      '1 hour in the shade, out of the wind',
      '3 hours in the shade and 2 hours in the sun',
    ]);
  });
  test('cold hours outside and strong wind pause it, and it continues where it was', () => {
    const weather = [...days(0, 1, 12, 20), ...days(2, 3, 4, 14), ...days(4, 4, 12, 20, 8), ...days(5, 30, 12, 20)];
    const { days: list, readyOn } = plan({ weather });
    expect(list.map((d) => d.step)).toEqual([0, 1, null, null, null, 2, 3, 4, 5, 6, 7, 8, 9]);
    expect(list.slice(2, 5).map((d) => d.pause)).toEqual(['cold', 'cold', 'wind']);
    expect(readyOn).toBe(addDays(TODAY, 13));
  });
  test('a cold night indoors pauses nothing; one outside does', () => {
    const [byDay, overnight] = [HARDENING_STEPS[3]!, HARDENING_STEPS.at(-1)!];
    expect(pauseOf(days(0, 0, 6, 18)[0], byDay)).toBeNull();
    expect(pauseOf(days(0, 0, 3, 12)[0], byDay)).toBe('cold');
    expect(pauseOf(days(0, 0, 10, 18)[0], overnight)).toBeNull();
    expect(pauseOf(days(0, 0, 9.9, 18)[0], overnight)).toBe('cold');
    expect(pauseOf(undefined, overnight)).toBeNull();
  });
  test('a missed day is not made up for in one leap', () => {
    const done = [TODAY, addDays(TODAY, 2)];
    const { days: list } = plan({ today: addDays(TODAY, 3), done });
    expect(list.slice(0, 4).map((d) => [d.step, d.done])).toEqual([
      [0, true],
      [null, false],
      [1, true],
      [2, false],
    ]);
  });
  test('in any weather: steps come in order, one a day, none on a paused day, and it ends', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 18 }), fc.integer({ min: 0, max: 12 })), { maxLength: 40 }),
        (nights) => {
          const weather = nights.map(([tMinC, windMs], i) => ({
            date: addDays(TODAY, i),
            tMinC,
            tMaxC: tMinC + 8,
            rainMm: 0,
            windMs,
          }));
          const { days: list, readyOn } = plan({ weather });
          const steps = list.flatMap((d) => d.step ?? []);
          expect(steps).toEqual(steps.map((_, i) => i));
          for (const d of list) {
            const w = weather.find((x) => x.date === d.day);
            if (d.step !== null && w) expect(pauseOf(w, HARDENING_STEPS[d.step]!)).toBeNull();
          }
          expect(daysBetween(TODAY, readyOn)).toBe(list.length);
        },
      ),
    );
  });
});
