import { DISORDERS } from '@candid-leaf/core/diagnosis';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

/** What a phone on a slow line waits for before the garden can be used. */
const MOST_BYTES = 170 * 1024;
const built = join(__dirname, '../dist');

/** The scripts that one script imports before it runs. */
const importsOf = (file: string): string[] =>
  [...readFileSync(join(built, file), 'utf8').matchAll(/(?:from|import)\s*"\.\/([^"]+\.js)"/g)].map(
    (m) => `assets/${m[1]}`,
  );

/** The scripts that the page asks for by itself, and what those ask for in turn. */
function firstScripts(): string[] {
  const page = readFileSync(join(built, 'index.html'), 'utf8');
  const found = new Set([...page.matchAll(/(?:src|href)="\/(assets\/[^"]+\.js)"/g)].map((m) => m[1]!));
  for (const file of found) for (const next of importsOf(file)) found.add(next);
  return [...found];
}

test('the first load is under 170 KB packed, and holds neither forms nor the diagnosis', () => {
  if (!existsSync(built)) throw new Error('the page is not built: npm run build');
  const scripts = firstScripts().map((f) => readFileSync(join(built, f)));
  expect(scripts.length).toBeGreaterThan(0);
  expect(scripts.reduce((sum, s) => sum + gzipSync(s).length, 0)).toBeLessThan(MOST_BYTES);
  const text = Buffer.concat(scripts).toString();
  const sentences = DISORDERS.map((d) => d.successIs);
  expect(sentences.filter((s) => text.includes(s))).toEqual([]);
  // what class-validator says of a number
  expect(text).not.toContain('must be a number conforming');
});

test('no script imports one that imports it back: half-loaded, its page would stay empty', () => {
  const circles: string[] = [];
  const done = new Set<string>();
  const visit = (file: string, above: string[]) => {
    if (above.includes(file)) circles.push([...above.slice(above.indexOf(file)), file].join(' > '));
    else if (!done.has(file)) {
      for (const next of importsOf(file)) visit(next, [...above, file]);
      done.add(file);
    }
  };
  const scripts = readdirSync(join(built, 'assets')).filter((f) => f.endsWith('.js'));
  expect(scripts.length).toBeGreaterThan(10);
  for (const file of scripts) visit(`assets/${file}`, []);
  expect(circles).toEqual([]);
});
