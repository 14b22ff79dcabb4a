// What the machine needs: Node.js, a few Debian packages, disk space, the npm packages.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statfsSync,
  writeFileSync,
} from 'node:fs';
import { freemem } from 'node:os';
import { join, resolve } from 'node:path';
import { ROOT } from './build.mjs';
import { exec } from './exec.mjs';
import { Plain, say } from './say.mjs';

/** Folder for everything a start creates; DATA_FOLDER moves it. */
export const DATA = process.env.DATA_FOLDER ? resolve(process.env.DATA_FOLDER) : join(ROOT, '.data');
const NEEDED_MB = 1200;

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    throw new Plain(`Candid Leaf needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
}

export function checkDisk(needMb = NEEDED_MB) {
  mkdirSync(DATA, { recursive: true });
  const { bavail, bsize } = statfsSync(DATA);
  const freeMb = (bavail * bsize) / 2 ** 20;
  if (freeMb < needMb)
    throw new Plain(
      `Only ${Math.round(freeMb)} MB are free here; about ${needMb} MB are needed. Free some space and start again.`,
    );
}

const has = (program) => spawnSync('sh', ['-c', `command -v ${program}`]).status === 0;
export const isRoot = () => process.getuid?.() === 0;

/** Memory as a folder, where Linux offers it, and how much of it a run may need. */
const MEMORY = '/dev/shm';
const MEMORY_MB = 4000;
const OURS = 'candid-leaf-';
/** Removes what runs that were killed left in memory: their processes are gone. */
function clearMemory() {
  if (!existsSync(MEMORY)) return;
  for (const left of readdirSync(MEMORY).filter((n) => n.startsWith(OURS)))
    if (!existsSync(`/proc/${left.slice(OURS.length).split('-')[0]}`))
      rmSync(join(MEMORY, left), { recursive: true, force: true });
}
const hasMemory = () => {
  if (!existsSync(MEMORY)) return false;
  const { bavail, bsize } = statfsSync(MEMORY);
  return (bavail * bsize) / 2 ** 20 >= MEMORY_MB && freemem() / 2 ** 20 >= 2 * MEMORY_MB;
};

/**
 * A folder for one run, readable by the database's own user.
 * @param place `memory`: no run waits for a slow disk, if the machine has memory to spare. `disk`: what is measured or
 * tried is the disk
 */
export function throwAwayFolder(name, place = 'disk') {
  clearMemory();
  const within = place === 'memory' && hasMemory() ? MEMORY : DATA;
  mkdirSync(within, { recursive: true });
  const folder = mkdtempSync(join(within, within === MEMORY ? `${OURS}${process.pid}-${name}-` : `${name}-`));
  chmodSync(folder, 0o755);
  return folder;
}

/** Installs missing Debian packages; `wanted` maps a program to the package that brings it. */
export async function ensurePackages(wanted) {
  const missing = [...new Set(Object.entries(wanted).flatMap(([program, name]) => (has(program) ? [] : [name])))];
  if (missing.length === 0) return;
  const command = `apt-get install -y --no-install-recommends ${missing.join(' ')}`;
  const byHand = `Run this, then start again:\n  sudo apt-get update && sudo ${command}`;
  if (!has('apt-get'))
    throw new Plain(
      `${missing.join(' and ')} must be installed, and this machine has no apt-get. Install it your machine's way and start again.`,
    );
  if (!isRoot() && !has('sudo')) throw new Plain(`${missing.join(' and ')} must be installed. ${byHand}`);
  say(`Installing ${missing.join(' and ')} (Debian packages) …`);
  const as = isRoot() ? [] : ['sudo'];
  const run = async (line) => {
    const [program, ...args] = [...as, ...line.split(' ')];
    const done = await exec(program, args, {
      stdio: ['inherit', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
    return done.status === 0;
  };
  await run('apt-get update -qq');
  if (!(await run(command))) throw new Plain(`Installing ${missing.join(' and ')} did not work. ${byHand}`);
}

/** Installs a Debian package that only makes things faster; without it all still works. */
export async function preferPackage(program, name) {
  if (has(program)) return;
  await ensurePackages({ [program]: name }).catch(() => say(`Going on without ${name}: slower, not less.`));
}

/** Installs the npm packages if they are missing or the lock file has changed. */
export async function ensureModules() {
  const stamp = join(ROOT, 'node_modules', '.candid-leaf');
  const wanted = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  say('Installing npm packages (a minute or two the first time) …');
  const done = await exec('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  if (done.status !== 0) throw new Plain('The npm packages could not be installed. Check the network and start again.');
  writeFileSync(stamp, wanted);
}

/** Installs what is missing of both, side by side. */
export async function ensureAll(wanted) {
  await Promise.all([ensurePackages(wanted), ensureModules()]);
}

/** Where the photos are, for backups. */
export const photosFolder = () => process.env.PHOTOS ?? join(DATA, 'photos');
