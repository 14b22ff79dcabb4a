import { readdirSync } from 'node:fs';
import { join, sep } from 'node:path';

declare const PART: { of: number; all: number };

/**
 * Runs every nth test file below a folder, each in a group of its name. Alone, each file would load and warm up all that it
 * tests again, which costs more than most tests; together they share it. Files that replace a module lie in `alone` and are
 * left out.
 */
export function runTogether(folder: string): void {
  const files = readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.test.ts') && !file.split(sep).includes('alone'))
    .sort();
  for (const [i, file] of files.entries())
    // oxlint-disable-next-line typescript/no-require-imports -- a file of tests declares them while its group is made
    if (i % PART.all === PART.of) describe(file, () => void require(join(folder, file)));
}
