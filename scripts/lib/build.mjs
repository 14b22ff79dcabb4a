// Builds quietly: the TypeScript compiler does only what has changed.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { exec } from './exec.mjs';

export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..', '..');

/** The compiler that builds and checks: version 7. The package `typescript` is version 6, which tools read code with. */
export const TSC = join(ROOT, 'node_modules', 'typescript-compiler', 'bin', 'tsc');

/** Runs a program to its end; throws with its output if it fails. */
async function runTool(program, args, options = {}) {
  const done = await exec(program, args, { cwd: ROOT, ...options });
  if (done.status !== 0) throw new Error(`${program} ${args.join(' ')} failed:\n${done.stdout}${done.stderr}`);
}

/** Compiles what has changed in the packages. */
export const buildTypes = () => runTool(TSC, ['-b']);

/** The core alone, for the headless command. */
export async function buildCore() {
  if (!existsSync(TSC)) {
    process.stderr.write('Run npm start or npm test once first: the packages are not installed yet.\n');
    process.exit(1);
  }
  await runTool(TSC, ['-b', 'core']);
}

/** Builds everything `npm start` serves; skipped if no source has changed since. */
export async function buildAll(tell) {
  const stampFile = join(ROOT, '.data', 'built');
  const now = stampOfSources();
  const ready = ['server/dist/main.js', 'web/dist/index.html'].every((f) => existsSync(join(ROOT, f)));
  if (ready && existsSync(stampFile) && readFileSync(stampFile, 'utf8') === now) return;
  tell('Building …');
  await buildTypes();
  await runTool(join(ROOT, 'node_modules', '.bin', 'vite'), ['build', '--logLevel', 'error'], {
    cwd: join(ROOT, 'web'),
  });
  // a fresh clone has no such folder yet
  mkdirSync(dirname(stampFile), { recursive: true });
  writeFileSync(stampFile, now);
}

/** Names, sizes and times of all sources, hashed. */
function stampOfSources() {
  const hash = createHash('sha256');
  const walk = (folder) => {
    for (const entry of readdirSync(folder, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))) {
      if (['node_modules', 'dist', 'test'].includes(entry.name) || entry.name.endsWith('.tsbuildinfo')) continue;
      const path = join(folder, entry.name);
      if (entry.isDirectory()) walk(path);
      else {
        const { size, mtimeMs } = statSync(path);
        hash.update(`${path} ${size} ${mtimeMs}\n`);
      }
    }
  };
  for (const room of ['core', 'contract', 'server', 'standins', 'demo', 'web']) walk(join(ROOT, room));
  hash.update(readFileSync(join(ROOT, 'package-lock.json')));
  return hash.digest('hex');
}
