import fc from 'fast-check';
import { COVERINGS, type Covering, isMulched, mulchOn, spellOn, spellsWith } from '@candid-leaf/core/records';
import { weatherInPlace } from '@candid-leaf/core/climate';
import { addDays } from '@candid-leaf/core/units';

const MAY = '2026-05-01';
const mulched = (date: string, depthCm?: number): Covering => ({
  date,
  what: 'mulch',
  did: 'on',
  ...(depthCm === undefined ? {} : { depthCm }),
});

test('a record counts from its day until the next one', () => {
  const off: Covering = { date: '2026-07-01', what: 'mulch', did: 'off' };
  const { mulch } = spellsWith({ mulch: [{ from: MAY, depthMm: 30 }] }, [mulched('2026-06-10', 6), off]);
  const deep = (day: string) => spellOn(mulch, day)?.depthMm ?? 0;
  expect(['2026-04-30', MAY, '2026-06-09', '2026-06-10', '2026-06-30', '2026-07-01'].map(deep)).toEqual([
    0, 30, 30, 60, 60, 0,
  ]);
});

test('only "mulched" and only "shade hung" take the usual depth and cloth', () => {
  const { mulch, shade } = spellsWith({}, [mulched(MAY), { date: MAY, what: 'shade', did: 'on' }]);
  expect(spellOn(mulch, MAY)?.depthMm).toBe(50);
  expect(spellOn(shade, MAY)?.blockPct).toBe(30);
});

test('loose mulch settles, clippings sooner than straw and straw than bark; sheets, sand and what was measured stay', () => {
  const after = (kind: string | undefined, days: number) =>
    mulchOn([{ from: MAY, depthMm: 60, ...(kind ? { kind } : {}) }], addDays(MAY, days))!.depthMm;
  expect(after('clippings', 40)).toBe(30);
  expect(after('straw', 150)).toBe(30);
  for (const days of [1, 40, 200]) {
    expect(after('clippings', days)).toBeLessThan(after('straw', days));
    expect(after('straw', days)).toBeLessThan(after('bark', days));
    for (const stays of ['sand', 'paper', 'dark-fabric', 'other', undefined]) expect(after(stays, days)).toBe(60);
  }
  expect(after('straw', 0)).toBe(60);
  expect(mulchOn([{ from: MAY, to: MAY, depthMm: 60 }], addDays(MAY, 1))).toBeUndefined();
});

test('bare soil that was recorded is not mulched; thin fabric and what has settled are', () => {
  const on = (depthMm: number, kind?: string) =>
    isMulched([{ from: MAY, depthMm, ...(kind ? { kind } : {}) }], '2026-09-01');
  expect([on(0), on(0, 'dark-fabric'), on(2, 'paper'), on(60, 'clippings')]).toEqual([false, true, true, true]);
  expect(isMulched([{ from: MAY, to: MAY, depthMm: 60 }], '2026-09-01')).toBe(false);
  expect(isMulched(undefined, MAY)).toBe(false);
});

test('weeds laid as mulch cover bare soil, and nothing that already lies there', () => {
  const weeds = [{ date: '2026-06-01', what: 'weeds', did: 'laid-as-mulch' }] as const;
  expect(spellOn(spellsWith({}, [], weeds).mulch, '2026-06-02')).toMatchObject({ kind: 'weeds', depthMm: 20 });
  expect(spellOn(spellsWith({}, [mulched(MAY, 6)], weeds).mulch, '2026-06-02')?.depthMm).toBe(60);
  expect(spellsWith({}, [], [{ date: MAY, what: 'weeds', did: 'cleared' }]).mulch).toEqual([]);
});

test('under a rain cover no rain falls, from the day it was put on', () => {
  const { roofed } = spellsWith({}, [{ date: '2026-06-01', what: 'roof', did: 'on' }]);
  const rain = (date: string) =>
    weatherInPlace(
      { kind: 'ground', roofed },
      { date, tMinC: 12, tMaxC: 22, rainMm: 9 },
      { latitude: 48, elevationM: 300 },
    ).rainMm;
  expect([rain('2026-05-31'), rain('2026-06-01')]).toEqual([9, 0]);
});

test('spells never overlap, and records counted twice change nothing', () => {
  const record = fc.record({
    date: fc.integer({ min: 0, max: 60 }).map((n) => addDays(MAY, n)),
    what: fc.constantFrom(...COVERINGS),
    did: fc.constantFrom('on' as const, 'off' as const),
  });
  fc.assert(
    fc.property(fc.array(record, { maxLength: 8 }), (list) => {
      const records = [...list].sort((a, b) => (a.date < b.date ? -1 : 1));
      const once = spellsWith({}, records);
      for (const spells of [once.mulch, once.shade, once.roofed])
        for (let n = 0; n < 70; n++) {
          const day = addDays(MAY, n);
          expect(spells.filter((s) => s.from <= day && (s.to == null || day <= s.to)).length).toBeLessThan(2);
        }
      expect(spellsWith(once, records)).toEqual(once);
    }),
    { numRuns: 80 },
  );
});
