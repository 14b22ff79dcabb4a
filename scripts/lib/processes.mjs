// Ending processes of ours: known by their number and their command line, so that a number that was given away since is left alone.
import { existsSync, readFileSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';

/** The command line of a process; nothing if there is none. One that has ended and is not yet buried counts as none. */
export function commandOf(pid) {
  const file = `/proc/${pid}/cmdline`;
  return existsSync(file) ? readFileSync(file, 'utf8').replaceAll('\0', ' ').trim() : '';
}

/** Asks a process to end, and makes it end if it has not within `patienceMs`. */
export async function endProcess({ pid, command }, patienceMs) {
  const alive = () => commandOf(pid) === command && command !== '';
  const signal = (name) => {
    try {
      process.kill(pid, name);
    } catch {
      // it ended at this moment
    }
  };
  if (!alive()) return;
  signal('SIGTERM');
  for (const until = Date.now() + patienceMs; alive() && Date.now() < until;) await wait(50);
  if (!alive()) return;
  signal('SIGKILL');
  for (const until = Date.now() + 1000; alive() && Date.now() < until;) await wait(20);
}

/** How long each may take to end: together under ten seconds. */
export const PATIENCE_MS = { server: 3500, station: 500, database: 4000 };
