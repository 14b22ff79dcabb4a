// Reads a case file and prints the report. Faults go to standard error, one per line, with exit code 2.
import { existsSync, readFileSync } from 'node:fs';
import { buildCore } from './lib/build.mjs';

const refuse = (lines) => {
  process.stderr.write(`${lines.join('\n')}\n`);
  process.exit(2);
};

const file = process.argv[2];
if (!file) refuse(['usage: npm run --silent case -- FILE']);
if (!existsSync(file)) refuse([`${file}: there is no such file`]);
await buildCore();
const { reportOn } = await import('@candid-leaf/core/assessment');
const { parseCase } = await import('@candid-leaf/core/casefile');
const { RefusedInput } = await import('@candid-leaf/core/records');
try {
  const report = reportOn(parseCase(JSON.parse(readFileSync(file, 'utf8'))));
  process.stdout.write(`${JSON.stringify(report, null, 1)}\n`);
} catch (error) {
  if (error instanceof RefusedInput) refuse(error.faults.map((f) => `${f.path}: ${f.reason}`));
  if (error instanceof SyntaxError) refuse([`(whole): is not JSON: ${error.message}`]);
  throw error;
}
