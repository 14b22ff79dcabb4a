import { render } from '@testing-library/react';
import fc from 'fast-check';
import jsQR from 'jsqr';
import { Qr } from '../src/features/labels/components/qr';
import { marginsOf, pagesOf, SHEETS } from '../src/features/labels/sheets';
import { behind, codeOf, labelled, type Labelled } from '../src/lib/label-code';

const GARDEN = '01a233f0-36da-77fc-b217-15fd606f368e';
const PLANT = '01a232b8-dfdc-7405-9573-a1abd8b911a8';

describe('the code of a label', () => {
  test('it names its plant or bed and nothing else can be read from another text', () => {
    fc.assert(
      fc.property(fc.constantFrom<Labelled['of'][]>('plant', 'place'), fc.uuid(), fc.uuid(), (of, gardenId, id) => {
        const code = codeOf({ of, gardenId, id });
        expect(code).toMatch(/^[pb][\w-]{43}$/);
        expect(labelled(code)).toEqual({ of, gardenId, id });
      }),
    );
    for (const none of ['', 'p', 'x'.repeat(44), `p${'a'.repeat(44)}`, 'p../../../etc'.padEnd(44, '.')])
      expect(labelled(none)).toBeNull();
  });

  test('it never changes: a label printed today opens the same plant for ever', () => {
    const code = codeOf({ of: 'plant', gardenId: GARDEN, id: PLANT });
    expect(code).toBe('pAaIz8Dbad_yyFxX9YG82jgGiMrjf3HQFlXOhq9i5Eag');
    expect(behind(labelled(code)!)).toBe(`/gardens/${GARDEN}/plants/${PLANT}`);
    expect(behind({ of: 'place', gardenId: GARDEN, id: PLANT })).toBe(`/gardens/${GARDEN}/places/${PLANT}/walk`);
  });

  test('a camera reads it: what is drawn is decoded by another program, small enough for narrow tape', () => {
    const text = `https://garden.example/l/${codeOf({ of: 'plant', gardenId: GARDEN, id: PLANT })}`;
    const { container } = render(<Qr text={text} sizeMm={10} />);
    const svg = container.querySelector('svg')!;
    const size = Number(svg.getAttribute('viewBox')!.split(' ')[2]);
    // 10 mm of 12 mm tape: 0.24 mm and more for each module
    expect(10 / size).toBeGreaterThan(0.24);
    const scale = 4;
    const pixels = new Uint8ClampedArray((size * scale) ** 2 * 4).fill(255);
    for (const [, x, y] of svg
      .querySelector('path')!
      .getAttribute('d')!
      .matchAll(/M(\d+) (\d+)h1v1h-1z/g))
      for (let i = 0; i < scale; i++)
        for (let k = 0; k < scale; k++) {
          const at = ((Number(y) * scale + k) * size * scale + Number(x) * scale + i) * 4;
          pixels.fill(0, at, at + 3);
        }
    expect(jsQR(pixels, size * scale, size * scale)?.data).toBe(text);
  });
});

describe('sheets', () => {
  test.each(SHEETS.map((s) => [s.title, s] as const))('%s: the labels fit on the paper, side by side', (_, s) => {
    const { left, top } = marginsOf(s);
    expect(Math.min(left, top)).toBeGreaterThanOrEqual(0);
    expect(2 * left + s.columns * s.label.width).toBeCloseTo(s.page.width);
    expect(2 * top + s.rows * s.label.height).toBeCloseTo(s.page.height);
  });

  test('from 8 to 65 labels on A4 and letter, and tape of 12 to 24 mm', () => {
    const counts = SHEETS.filter((s) => s.code.startsWith('a4')).map((s) => s.columns * s.rows);
    expect([Math.min(...counts), Math.max(...counts)]).toEqual([8, 65]);
    expect(SHEETS.filter((s) => s.code.startsWith('tape')).map((s) => s.page.height)).toEqual([12, 18, 24]);
  });

  test('a sheet that is begun: the used places stay empty, and no label is lost', () => {
    const s = SHEETS[0]!;
    fc.assert(
      fc.property(fc.nat(40), fc.nat(30), (n, used) => {
        const labels = Array.from({ length: n }, (_, i) => i);
        const pages = pagesOf(labels, s, used);
        expect(pages.flat().filter((x) => x !== null)).toEqual(labels);
        expect(pages.every((p) => p.length <= 8)).toBe(true);
        if (n > 0) expect(pages[0]!.findIndex((x) => x !== null)).toBe(used % 8);
      }),
    );
  });
});
