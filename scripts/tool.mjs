// Runs one of the project's tools by its name, after installing what is missing: node scripts/tool.mjs jest …
import { spawnSync } from 'node:child_process';
import { delimiter, join } from 'node:path';
import { ROOT } from './lib/build.mjs';
import { ensureModules } from './lib/machine.mjs';
import { endWith } from './lib/say.mjs';

try {
  await ensureModules();
  const [name, ...args] = process.argv.slice(2);
  const bin = join(ROOT, 'node_modules', '.bin');
  const done = spawnSync(name, args, {
    stdio: 'inherit',
    env: { ...process.env, PATH: `${bin}${delimiter}${process.env.PATH ?? ''}` },
  });
  process.exitCode = done.status ?? 1;
} catch (error) {
  endWith(error);
}
