// A small process beside the starter. It only holds the other end of a pipe; when the pipe closes, because the starter ended in
// any way, it ends the programs the starter had started or was about to start, the last first.
import { createInterface } from 'node:readline';
import { endMarked } from './processes.mjs';

const programs = [];
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => {});

const lines = createInterface({ input: process.stdin });
lines.on('line', (line) => programs.push(JSON.parse(line)));
lines.on('close', async () => {
  for (const { mark, patienceMs } of programs.reverse()) await endMarked(mark, patienceMs);
  process.exit(0);
});
