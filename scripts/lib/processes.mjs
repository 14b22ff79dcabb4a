// Finding and ending processes of ours. Each carries a word of its own in its command line, which names the folder that it belongs to: a number
// that was given away since, or a program of another folder, is never taken for it.
import { readdirSync, readFileSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';

/** The arguments of a process; none if there is no such process. One that was archived and is not yet buried has none. */
export function argumentsOf(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0');
  } catch {
    return [];
  }
}

/** Numbers of the processes that carry a word as one of their arguments. */
export const carriersOf = (mark) =>
  readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name) && argumentsOf(name).includes(mark))
    .map(Number);

const signal = (pid, name) => {
  try {
    process.kill(pid, name);
  } catch {
    // it ended at this moment
  }
};

/** Asks all that carry a word to end, and makes them end if they have not within `patienceMs`. */
export async function endMarked(mark, patienceMs) {
  const gone = async (ms) => {
    for (const until = Date.now() + ms; carriersOf(mark).length > 0; await wait(40))
      if (Date.now() > until) return false;
    return true;
  };
  for (const pid of carriersOf(mark)) signal(pid, 'SIGTERM');
  if (await gone(patienceMs)) return;
  for (const pid of carriersOf(mark)) signal(pid, 'SIGKILL');
  await gone(1000);
}

/** A start may take this long on a busy machine with a slow disk, or after a power cut, ms. */
export const LONGEST_START_MS = 180_000;
/** How long each may take to end: together under ten seconds. */
export const PATIENCE_MS = { server: 3500, station: 500, database: 4000 };

/** The word that a program of a folder carries. */
export const markOf = (name, home) => `--candid-leaf-${name}=${home}`;
