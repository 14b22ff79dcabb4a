// A small process beside the starter. It does nothing but hold the other end of a pipe; when that falls silent, because the starter has ended in
// whatever way, it ends the programs that the starter had begun, the last first.
import { createInterface } from 'node:readline';
import { endProcess } from './processes.mjs';

const programs = [];
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => {});

const lines = createInterface({ input: process.stdin });
lines.on('line', (line) => {
  const { pid, command, patienceMs, gone } = JSON.parse(line);
  const at = programs.findIndex((p) => p.pid === pid);
  if (at >= 0) programs.splice(at, 1);
  if (!gone) programs.push({ pid, command, patienceMs });
});
lines.on('close', async () => {
  for (const program of programs.reverse()) await endProcess(program, program.patienceMs);
  process.exit(0);
});
