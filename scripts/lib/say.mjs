// What the scripts tell the person at the terminal: plain sentences, never a stack trace.
export const say = (text) => process.stdout.write(`${text}\n`);

/** Something the person can do something about. */
export class Plain extends Error {}

/** Ends the script with a sentence. What is not a `Plain` is a fault of ours: the message and where to look. */
export function endWith(error) {
  const known = error instanceof Plain || error?.code === 'ENOSPC';
  const text =
    error?.code === 'ENOSPC'
      ? 'The disk is full. Free some space and start again; nothing is lost.'
      : (error?.message ?? String(error));
  process.stderr.write(`\n${text}\n`);
  if (!known) process.stderr.write('This was not expected. What happened is also in .data/log/.\n');
  process.exitCode = 1;
}
