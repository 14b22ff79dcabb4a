import { SAMPLE_CASES } from './cases/all.js';
import { reportOn } from '@candid-leaf/core/assessment';
import {
  type CheckCode,
  checkRow,
  CHECKS,
  DRIVER_CODES,
  type DriverCode,
  DISORDERS,
  shownBy,
} from '@candid-leaf/core/diagnosis';
import { type SignCode, signRow, SIGNS } from '@candid-leaf/core/records';
import { caseOf, GULF as SOUTH_COAST_OF_AMERICA, on } from './cases/sample-case.js';

/** The tables at work: everything in them can be reached from a case. */

test.each(DISORDERS.map((d) => [d.code, d] as const))('%s is first when its own signs are seen', (code, d) => {
  const crop = d.crop ?? 'tomato';
  const fits = (sign: SignCode) => (signRow(sign).crop ?? crop) === crop;
  const signs = d.signs.filter(([sign, chance]) => chance >= 0.5 && fits(sign)).map(([sign]) => sign);
  const plant = { crop, type: crop === 'pepper' ? ('sweet' as const) : ('slicer' as const) };
  const r = reportOn(
    caseOf(
      {
        name: code,
        group: d.group,
        signs,
        truth: [code],
        plant: {
          ...plant,
          ...(code === 'transplant-shock' ? { transplantedOn: on(8), stage: 'establishing' as const } : {}),
        },
        records: { watering: [] },
        garden: d.livesIn ? SOUTH_COAST_OF_AMERICA : {},
      },
      signs,
    ),
  );
  expect(r.diagnosis.slice(0, 2).map((x) => x.disorder)).toContain(code);
});

describe('over all sample cases, and many more with one sign not yet checked', () => {
  const reports = SAMPLE_CASES.flatMap((t, i) =>
    [
      t.signs,
      ...(i % 8 === 0 ? t.signs.map((s) => t.signs.filter((x) => x !== s)) : []),
      // ants alone: what they look after is asked
      ...(t.signs.includes('pest-ants') ? [['pest-ants' as const]] : []),
    ].map((signs) => reportOn(caseOf(t, signs))),
  );
  test('every driver is found in some records', () => {
    const found = new Set(reports.flatMap((r) => r.diagnosis.flatMap((d) => d.drivers.map((x) => x.driver))));
    expect(DRIVER_CODES.filter((c: DriverCode) => !found.has(c))).toEqual([]);
  });
  test('every check separates something somewhere', () => {
    const proposed = new Set(
      reports.flatMap((r) => r.nextChecks.filter((c) => c.splits.length > 0).map((c) => c.check)),
    );
    expect(CHECKS.map((c) => c.code).filter((c) => !proposed.has(c))).toEqual([]);
  });
  test('what a check may show is still unknown, and its answer is accepted as findings', () => {
    for (const r of reports)
      for (const c of r.nextChecks)
        for (const f of c.mayShow)
          expect(new Set([...f.present, ...f.absent]).size).toBe(f.present.length + f.absent.length);
  });
});

test('every doNot reads as a don’t, and "good to know" forbids nothing', () => {
  for (const d of DISORDERS) {
    expect([d.code, d.doNot.length > 0]).toEqual([d.code, true]);
    for (const line of d.doNot) expect([d.code, line]).toEqual([d.code, expect.stringMatching(/^(No|Do not|Never) /)]);
    for (const line of d.goodToKnow ?? [])
      expect([d.code, line]).not.toEqual([d.code, expect.stringMatching(/^(No|Do not|Never) /)]);
  }
});

test('without any driver every problem has a first step, marked as general if it is', () => {
  const lacking = DISORDERS.filter((d) => !d.inGeneral?.length && !d.remedies.some((r) => !r.drivers && !r.facts)).map(
    (d) => d.code,
  );
  expect(lacking).toEqual([]);
});

test('checks of fruit, roots and leaf patterns can show every sign of their part', () => {
  const shows = (code: CheckCode) => new Set<string>(shownBy(checkRow(code)));
  const lacking = (code: CheckCode, of: RegExp, but: readonly string[] = []) =>
    SIGNS.map((s) => s.code as string).filter((s) => of.test(s) && !but.includes(s) && !shows(code).has(s));
  // which side faces the sun, and how colouring goes, have checks of their own
  expect(lacking('smell-fruit', /^fruit-/, ['fruit-patch-sun-side', 'fruit-slow-to-colour'])).toEqual([]);
  expect(lacking('inspect-roots', /^root-/)).toEqual([]);
  expect(
    lacking(
      'compare-old-and-new-leaves',
      /^leaf-(yellow|edge|tip|bleached|purple|dark|mottle|bronze|blackened|target|small|greasy|frogeye|scorch|roll|curl|strap|cup|bubbled|mines|blotch)/,
    ),
  ).toEqual([]);
});

test('each problem limited to a part of the world says why', () => {
  for (const d of DISORDERS.filter((x) => x.livesIn)) expect(d.livesIn!.why.length).toBeGreaterThan(5);
  for (const d of DISORDERS)
    for (const r of d.records ?? []) {
      expect([d.code, r.reading, r.why.length > 5]).toEqual([d.code, r.reading, true]);
      for (const f of [r.yes, r.no]) if (f !== undefined) expect(f >= 0.01 && f <= 30).toBe(true);
    }
});
