// A small process beside the starter. It does nothing but hold the other end of a pipe; when that falls silent, because the starter was archived in
// whatever way, it ends the programs that the starter had begun or was about to begin, the last first.
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
