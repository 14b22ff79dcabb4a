import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { RAIN_OPACITY } from '../src/frame/charts/water-chart';

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
  light: colours(':root {'),
  dark: colours(':root {', 1),
  sun: colours(":root[data-theme='sun']"),
} as const;

/** Contrast of each pair, rounded down; those under a limit. */
const under = (least: number, c: Record<string, string>, pairs: readonly (readonly [string, string])[]): string[] =>
  pairs.flatMap(([a, b]) => {
    const is = contrast(c[a]!, c[b]!);
    return is >= least ? [] : [`${a} on ${b}: ${is.toFixed(2)}`];
  });
const each = (front: readonly string[], grounds: readonly string[]) =>
  grounds.flatMap((ground) => front.map((one) => [one, ground] as const));

test('computed contrast gives the published ends of the scale: 21 and 1 (WCAG 2.2)', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 5);
  expect(contrast('#777777', '#777777')).toBe(1);
  expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
});

test.each(Object.entries(LOOKS))('words contrast with their background in the %s theme: 7 (AAA)', (_, c) => {
  expect(Object.keys(c).length).toBeGreaterThan(18);
  const words = [
    ...each(['ink', 'soft', 'leaf', 'ripe'], ['paper', 'card', 'leafwash', 'lit']),
    ...each(['rain'], ['paper', 'card']),
    ['onleaf', 'leaf'],
    ['onripe', 'ripe'],
  ] as const;
  expect(under(7, c, words)).toEqual([]);
});

test.each(Object.entries(LOOKS))(
  'shapes contrast with what is behind them in the %s theme: 3 (WCAG 1.4.11)',
  (_, c) => {
    const drawn = ['moist', 'rain', 'ripe', 'leaf', 'warm', 'clay', 'cloth', 'timber', 'green', 'greendark'];
    expect(under(3, c, [...each(drawn, ['paper', 'card']), ...each(['moist', 'rain', 'warm'], ['lit'])])).toEqual([]);
    // rain is drawn paler than watering
    const [front, back] = [c.rain!, c.card!].map((hex) => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)));
    const pale = front!.map((v, i) => Math.round(RAIN_OPACITY * v + (1 - RAIN_OPACITY) * back![i]!));
    expect(contrast(`#${pale.map((v) => v.toString(16).padStart(2, '0')).join('')}`, c.card!)).toBeGreaterThanOrEqual(
      3,
    );
  },
);

test('in sunlight lines are as clear as words', () => {
  expect(under(7, LOOKS.sun, each(['line'], ['paper', 'card']))).toEqual([]);
});

test.each(Object.entries(LOOKS))('wet soil is darker than dry soil in the %s theme, and told apart (3)', (_, c) => {
  expect(luminance(c.wet!)).toBeLessThan(luminance(c.dry!));
  expect(contrast(c.wet!, c.dry!)).toBeGreaterThanOrEqual(3);
});

test('five sizes of type on screen: small print, notes, text, heads of cards, titles', () => {
  const src = join(__dirname, '../src');
  const sizes = (readdirSync(src, { recursive: true, encoding: 'utf8' }) as string[])
    .filter((f) => f.endsWith('.tsx'))
    .flatMap((f) => [
      ...readFileSync(join(src, f), 'utf8').matchAll(/(?<!print:)\btext-(xs|sm|base|lg|\d?xl|\[\d[^\]]*\])/g),
    ])
    // in a drawing sizes are parts of the drawing
    .map(([, size]) => size!)
    .filter((size) => !size.endsWith('px]'));
  expect([...new Set(sizes)].sort()).toEqual(['3xl', 'base', 'sm', 'xl', 'xs']);
});
