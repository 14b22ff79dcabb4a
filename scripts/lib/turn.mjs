import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { argumentsOf } from './processes.mjs';
import { Plain } from './say.mjs';

/**
 * Only one start in a folder at a time. A file that a killed start left behind does not count.
 * @param program whose command line holds this name
 * @returns ends the turn
 */
export function takeTurn(folder, program) {
  const file = join(folder, 'running');
  if (existsSync(file)) {
    const pid = Number(readFileSync(file, 'utf8'));
    if (pid !== process.pid && argumentsOf(pid).some((word) => word.includes(program)))
      throw new Plain(`Candid Leaf is already running from this folder (process ${pid}). Stop that one first.`);
  }
  writeFileSync(file, String(process.pid));
  return () => rmSync(file, { force: true });
}
