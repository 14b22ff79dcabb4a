import { Logger } from '@nestjs/common';
import { inFewWords } from './in-few-words.js';

const log = new Logger('Background');

/** Work that nobody waits for. Whatever goes wrong in it is said in the log; it is tried again at its next time, and nothing ends. */
export async function inBackground(what: string, work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    const [first] = inFewWords(error).split('\n');
    log.warn(`${what} was left for next time: ${first}`);
  }
}
