import { DISORDERS } from '@candid-leaf/core/diagnosis';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

/** What a phone on a slow line waits for before the garden can be used. */
const MOST_BYTES = 200 * 1024;
const built = join(__dirname, '../dist');

/** The scripts that the page asks for by itself, and what those ask for in turn. */
function firstScripts(): string[] {
  const page = readFileSync(join(built, 'index.html'), 'utf8');
  const found = new Set([...page.matchAll(/(?:src|href)="\/(assets\/[^"]+\.js)"/g)].map((m) => m[1]!));
  for (const file of found)
    for (const [, next] of readFileSync(join(built, file), 'utf8').matchAll(/(?:from|import)\s*"\.\/([^"]+\.js)"/g))
      found.add(`assets/${next}`);
  return [...found];
}

test('what is loaded first is under 200 KB packed, and holds neither forms nor the diagnosis', () => {
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
