import { DISORDERS, remedyRow, type RemedyCode } from '@candid-leaf/core/diagnosis';
import { ofNextSeason, stepsOf } from '../../src/diagnosis/remedies/steps.js';

const steps = (...codes: RemedyCode[]): number[] => stepsOf(codes.map(remedyRow));

test('water, cover and picking run together; cuts after them, then feeds, then one spray after another', () => {
  expect(
    steps(
      'even-watering',
      'mulch',
      'pick-off-affected-fruit',
      'prune-lower-leaves',
      'light-feed',
      'soap-spray',
      'neem-spray',
    ),
  ).toEqual([1, 1, 1, 2, 3, 4, 5]);
});
test('the first one is step 1; next season’s tasks do not wait for a follow-up', () => {
  expect(steps('soap-spray', 'rotate', 'neem-spray')).toEqual([1, 0, 2]);
  expect(steps('rotate', 'resistant-cultivar')).toEqual([0, 0]);
});
test('property: in every problem steps have no gap, sprays never share one, and a gentler rung never waits for a stronger one', () => {
  for (const d of DISORDERS) {
    const rows = [...new Set(d.remedies.map((l) => l.remedy))].map(remedyRow);
    rows.sort((a, b) => a.rung - b.rung);
    const of = stepsOf(rows);
    const levels = [...new Set(of.filter((s) => s > 0))].sort((a, b) => a - b);
    expect([d.code, levels]).toEqual([d.code, levels.map((_, i) => i + 1)]);
    for (const [i, r] of rows.entries()) {
      expect([d.code, r.code, of[i] === 0]).toEqual([d.code, r.code, ofNextSeason(r)]);
      if (!r.sprays) continue;
      for (const [j, other] of rows.entries())
        if (j !== i && of[j]! > 0) {
          expect([d.code, r.code, other.code, of[i] === of[j]]).toEqual([d.code, r.code, other.code, false]);
          if (!other.sprays) expect([r.code, other.code, of[j]! < of[i]!]).toEqual([r.code, other.code, true]);
        }
    }
  }
});
