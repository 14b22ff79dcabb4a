// Building, as quietly as it may: the TypeScript compiler only does what has changed.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..', '..');

/** Runs a program of the project's own node_modules; throws with its output when it fails. */
export function runTool(name, args, options = {}) {
  const done = spawnSync(join(ROOT, 'node_modules', '.bin', name), args, { cwd: ROOT, encoding: 'utf8', ...options });
  if (done.status !== 0) throw new Error(`${name} ${args.join(' ')} failed:\n${done.stdout ?? ''}${done.stderr ?? ''}`);
  return done.stdout ?? '';
}

/** The core alone, for the headless command. */
export function buildCore() {
  if (!existsSync(join(ROOT, 'node_modules', '.bin', 'tsc'))) {
    process.stderr.write('Run npm start or npm test once first: the packages are not installed yet.\n');
    process.exit(1);
  }
  runTool('tsc', ['-b', 'core']);
}
