import { contextOf } from '../../src/diagnosis/context.js';
import { diagnose } from '../../src/diagnosis/engine/diagnose.js';
import { likelySigns } from '../../src/diagnosis/engine/likely-signs.js';
import { drawPractice } from '../../src/practice/index.js';
import type { PlantCase } from '../../src/records/plant-case.js';
import { PARTS, type SignCode, signRow } from '../../src/records/vocabulary/signs.js';

const ranked = (c: PlantCase): SignCode[] => likelySigns(diagnose(contextOf(c)));
const withSeen = (c: PlantCase, ...signs: SignCode[]): PlantCase => ({
  ...c,
  observations: signs.map((sign) => ({ sign, present: true, date: c.asOf })),
});
const FIRST = 8;
const onPart = (signs: readonly SignCode[], part: (typeof PARTS)[number]) =>
  signs.filter((s) => signRow(s).parts.includes(part)).slice(0, FIRST);

describe('the signs to look for first', () => {
  const { plant } = drawPractice('wilting', 1);
  const fresh = withSeen(plant);

  it('come each once, and enough for every part', () => {
    const signs = ranked(fresh);
    expect(new Set(signs).size).toBe(signs.length);
    for (const part of PARTS) expect(onPart(signs, part).length).toBeGreaterThanOrEqual(4);
  });

  it('follow what was seen: with aphids the honeydew moves up, with wilting the stem is looked into', () => {
    const place = (c: PlantCase, sign: SignCode) => ranked(c).indexOf(sign);
    const [before, after] = [fresh, withSeen(plant, 'pest-aphids')].map((c) => place(c, 'leaf-sticky'));
    expect(after).toBeGreaterThanOrEqual(0);
    if (before! >= 0) expect(after).toBeLessThan(before!);
  });

  it('hold, of a plant drawn with a problem, most of what is there to be seen', () => {
    let shown = 0;
    let there = 0;
    for (let seed = 1; seed <= 12; seed++) {
      const p = drawPractice('spots', seed);
      const signs = ranked(p.plant);
      for (const s of p.there)
        if (signRow(s).kind === 'sign') {
          there += 1;
          shown += signRow(s).parts.some((part) => onPart(signs, part).includes(s)) ? 1 : 0;
        }
    }
    expect(shown / there).toBeGreaterThan(0.7);
  });
});
