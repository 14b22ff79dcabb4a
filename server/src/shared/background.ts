import { Logger } from '@nestjs/common';
import { codeOf, databaseTrouble } from './database-faults.js';

const log = new Logger('Background');

/** Work that nobody waits for. Whatever goes wrong in it is said in the log; it is tried again at its next time, and nothing ends. */
export async function inBackground(what: string, work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    const trouble = databaseTrouble(error);
    log.warn(
      `${what} was left for the next time: ${trouble ? `the database: ${trouble} (${codeOf(error as object)})` : (error as Error).message}`,
    );
  }
}
