import { reportOn } from '@candid-leaf/core/assessment';
import type { RemedyCode } from '@candid-leaf/core/diagnosis';
import fc from 'fast-check';
import { SAMPLE_CASES } from './cases/all.js';
import { caseOf } from './cases/sample-case.js';

/** No report asks for two acts that undo each other, whatever was seen together; nor against its own water. */
const OPPOSITES: readonly (readonly [RemedyCode[], RemedyCode[]])[] = [
  [
    ['water-now', 'even-watering', 'deep-soak', 'flush-pot', 'leach-bed'],
    ['water-less', 'dry-tray'],
  ],
  [['pause-feeding'], ['light-feed', 'nitrogen-feed', 'bloom-feed', 'potassium-feed', 'phosphorus-feed']],
  [['keep-shading-leaves'], ['thin-for-air', 'remove-suckers', 'top-plant']],
  [['shade-cloth', 'move-to-shade'], ['more-light']],
];
function faultsOf(report: ReturnType<typeof reportOn>): string[] {
  const acts = new Set<RemedyCode>(report.remedies.map((r) => r.remedy));
  // within one problem its own steps follow each other
  const both = OPPOSITES.filter(([a, b]) =>
    report.remedies.some(
      (x) =>
        a.includes(x.remedy) && report.remedies.some((y) => b.includes(y.remedy) && y.forDisorder !== x.forDisorder),
    ),
  );
  const water = report.remedies.find((r) => ['water-now', 'even-watering', 'deep-soak'].includes(r.remedy));
  const next = report.water.nextWatering;
  return [
    ...both.map(([a, b]) => `${a.join('/')} with ${b.join('/')}`),
    ...(acts.has('water-less') && next ? [`water-less, and ${next.litres} L on ${next.date}`] : []),
    ...(water && next && water.when !== next.date ? [`watered on ${water.when}, planned for ${next.date}`] : []),
  ];
}

test('over all told cases, and over the signs of two of them on one plant', () => {
  for (const t of SAMPLE_CASES) expect([t.name, faultsOf(reportOn(caseOf(t)))]).toEqual([t.name, []]);
  const any = fc.integer({ min: 0, max: SAMPLE_CASES.length - 1 });
  let together = 0;
  fc.assert(
    fc.property(any, any, (i, j) => {
      const [a, b] = [SAMPLE_CASES[i]!, SAMPLE_CASES[j]!];
      if ((a.plant?.crop ?? 'tomato') !== (b.plant?.crop ?? 'tomato')) return;
      const seen = [...new Set([...a.signs, ...b.signs])].filter((s) => !s.startsWith('-'));
      together += 1;
      expect([a.name, b.name, faultsOf(reportOn(caseOf(a, seen)))]).toEqual([a.name, b.name, []]);
    }),
    { numRuns: 160 },
  );
  expect(together).toBeGreaterThan(60);
});
