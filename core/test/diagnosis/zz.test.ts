import { SAMPLE_CASES } from './cases/all.js';
import { measure } from './cases/measure.js';
test('x', () => {
  const n = new Map<string, number>();
  for (const t of SAMPLE_CASES) { const o = measure(t); const l = o.report.diagnosis[0]; if ((l?.probability ?? 0) < 0.97 || o.report.nextChecks.length === 0) continue;
    const k = o.report.nextChecks.map((c) => `${c.check} g${c.gain} c${(c as any).changes}`).join(' ');
    console.log('=>', l!.disorder, l!.probability, o.report.diagnosis.slice(1, 4).map((d) => d.disorder + d.probability).join(','), '|', k); }
});
