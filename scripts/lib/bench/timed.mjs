import { performance } from 'node:perf_hooks';
import { say } from '../say.mjs';

/** Runs work often and returns its median and 95th percentile, ms; the first five runs do not count. */
export async function timed(runs, work) {
  for (let i = 0; i < 5; i++) await work();
  const ms = [];
  for (let i = 0; i < runs; i++) {
    const from = performance.now();
    await work();
    ms.push(performance.now() - from);
  }
  ms.sort((a, b) => a - b);
  return { median: ms[Math.floor(ms.length / 2)], p95: ms[Math.floor(ms.length * 0.95)] };
}

/** Prints one line of figures with its aim. */
export const row = (what, { median, p95 }, aim) =>
  say(
    `${what.padEnd(58)} median ${median.toFixed(1).padStart(6)} ms   95 % ${p95.toFixed(1).padStart(6)} ms   aim ${aim}`,
  );
