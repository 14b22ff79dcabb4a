import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const ROOT = join(__dirname, '../..');

/** What the list of commands says of the documents; it is no module of these tests. */
const told = JSON.parse(
  spawnSync(
    process.execPath,
    [
      '--input-type=module',
      '-e',
      "import { commandsIn, HOW } from './scripts/lib/commands.mjs'; console.log(JSON.stringify({ named: commandsIn('.'), how: HOW }))",
    ],
    { cwd: ROOT, encoding: 'utf8' },
  ).stdout,
) as { named: string[]; how: Record<string, { after?: string[] }> };

test('every command that a document names is there, and npm run commands knows how to try it in a fresh clone', () => {
  const { scripts } = JSON.parse(readFileSync(join(ROOT, 'package.json'), 'utf8')) as {
    scripts: Record<string, string>;
  };
  expect(told.named.length).toBeGreaterThan(20);
  expect(told.named.filter((c) => !(c in told.how))).toEqual([]);
  // the page's own server belongs to its workspace
  const names = told.named.map((c) => c.split(' ').at(-1)!).filter((n) => n !== 'dev');
  expect(names.filter((n) => !(n in scripts))).toEqual([]);
});

test('no way to try a command outlives its documents', () => {
  const needed = new Set([...told.named, ...Object.values(told.how).flatMap((h) => h.after ?? [])]);
  expect(Object.keys(told.how).filter((c) => !needed.has(c))).toEqual([]);
});
