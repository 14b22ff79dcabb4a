import { Logger } from '@nestjs/common';
import { inFewWords } from './in-few-words.js';

const log = new Logger('Background');

/** Runs work no one waits for. Failures go to the log; it is retried at its next time, and nothing ends. */
export async function inBackground(what: string, work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    const [first] = inFewWords(error).split('\n');
    log.warn(`${what} was left for next time: ${first}`);
  }
}
