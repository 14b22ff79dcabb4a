import { SAMPLE_CASES } from './cases/all.js';
import { reportOn } from '@candid-leaf/core/assessment';
import { CHECKS, DRIVER_CODES, type DriverCode, DISORDERS } from '@candid-leaf/core/diagnosis';
import { type SignCode, signRow } from '@candid-leaf/core/records';
import { caseOf } from './cases/sample-case.js';

/** The tables at work: everything in them can be reached from a case. */

test.each(DISORDERS.map((d) => [d.code, d] as const))('%s leads where its own signs are seen', (code, d) => {
  const crop = d.crop ?? 'tomato';
  const fits = (sign: SignCode) => (signRow(sign).crop ?? crop) === crop;
  const signs = d.signs.filter(([sign, chance]) => chance >= 0.5 && fits(sign)).map(([sign]) => sign);
  const plant = { crop, type: crop === 'pepper' ? ('sweet' as const) : ('slicer' as const) };
  const r = reportOn(
    caseOf({ name: code, group: d.group, signs, truth: [code], plant, records: { watering: [] } }, signs),
  );
  expect(r.diagnosis.slice(0, 2).map((x) => x.disorder)).toContain(code);
});

describe('over all sample cases, and each again with one sign not yet looked for', () => {
  const reports = SAMPLE_CASES.flatMap((t) =>
    [t.signs, ...t.signs.map((s) => t.signs.filter((x) => x !== s))].map((signs) => reportOn(caseOf(t, signs))),
  );
  test('every driver is found in some records', () => {
    const found = new Set(reports.flatMap((r) => r.diagnosis.flatMap((d) => d.drivers.map((x) => x.driver))));
    expect(DRIVER_CODES.filter((c: DriverCode) => !found.has(c))).toEqual([]);
  });
  test('every check splits something somewhere', () => {
    const proposed = new Set(
      reports.flatMap((r) => r.nextChecks.filter((c) => c.splits.length > 0).map((c) => c.check)),
    );
    expect(CHECKS.map((c) => c.code).filter((c) => !proposed.has(c))).toEqual([]);
  });
  test('what a check may show is open, and telling it is accepted as findings', () => {
    for (const r of reports)
      for (const c of r.nextChecks)
        for (const f of c.mayShow)
          expect(new Set([...f.present, ...f.absent]).size).toBe(f.present.length + f.absent.length);
  });
});
