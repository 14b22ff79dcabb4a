import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/** Relative luminance and contrast after WCAG 2.2, definitions of the same names. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const c = parseInt(hex.slice(at, at + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
const contrast = (a: string, b: string): number => {
  const [low, high] = [luminance(a), luminance(b)].sort((x, y) => x - y) as [number, number];
  return (high + 0.05) / (low + 0.05);
};

const css = readFileSync(join(__dirname, '../src/theme.css'), 'utf8');
/** The colours of one look; `pick` says which of a pair. */
function colours(block: string, pick: 0 | 1 = 0): Record<string, string> {
  const at = css.indexOf(block);
  const text = css.slice(at, css.indexOf('}', at));
  return Object.fromEntries(
    [...text.matchAll(/--(\w+): (?:light-dark\((#\w{6}), (#\w{6})\)|(#\w{6}));/g)].map(([, name, light, dark, one]) => [
      name!,
      one ?? [light!, dark!][pick]!,
    ]),
  );
}
const LOOKS = {
  light: [colours(':root {'), 4.5],
  dark: [colours(':root {', 1), 4.5],
  sun: [colours(":root[data-theme='sun']"), 7],
} as const;

test('computed contrast gives the published ends of the scale: 21 and 1 (WCAG 2.2)', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 5);
  expect(contrast('#777777', '#777777')).toBe(1);
  expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
});

test.each(Object.entries(LOOKS))(
  'words contrast with their background in the %s theme: 4.5 (AA), in sunlight 7 (AAA)',
  (_, [c, least]) => {
    expect(Object.keys(c).length).toBeGreaterThan(18);
    for (const ground of ['paper', 'card', 'leafwash'])
      for (const word of ['ink', 'soft', 'leaf', 'ripe', 'rain'])
        expect([`${word} on ${ground}`, contrast(c[word]!, c[ground]!) >= least]).toEqual([
          `${word} on ${ground}`,
          true,
        ]);
    expect(contrast(c.onleaf!, c.leaf!)).toBeGreaterThanOrEqual(least);
    expect(contrast(c.onripe!, c.ripe!)).toBeGreaterThanOrEqual(least);
  },
);

test('in sunlight lines and the shapes of marks contrast too (3, WCAG 1.4.11)', () => {
  const [c] = LOOKS.sun;
  for (const shape of ['line', 'moist', 'rain', 'ripe', 'leaf', 'warm'])
    expect(contrast(c[shape]!, c.card!)).toBeGreaterThanOrEqual(3);
});

test.each(Object.entries(LOOKS))('wet soil is darker than dry soil in the %s theme, and told apart (3)', (_, [c]) => {
  expect(luminance(c.wet!)).toBeLessThan(luminance(c.dry!));
  expect(contrast(c.wet!, c.dry!)).toBeGreaterThanOrEqual(3);
});
