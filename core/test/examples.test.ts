import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** Runs every example of a docstring: `@example call // result`. Numbers are compared to the digits written. */
const SRC = join(__dirname, '../src');

const EXAMPLES = readdirSync(SRC, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts'))
  .sort()
  .flatMap((file) =>
    [...readFileSync(join(SRC, file), 'utf8').matchAll(/@example (.+) \/\/ (.+)$/gm)].map(
      ([, call, result]) => [file, call!, result!] as const,
    ),
  );

const evaluate = (text: string, names: object): unknown =>
  // our own examples, never input
  // oxlint-disable-next-line typescript/no-implied-eval
  (new Function(...Object.keys(names), `return (${text})`) as (...values: unknown[]) => unknown)(
    ...Object.values(names),
  );

/** Rounds every number of a value to four significant digits, as the examples are written. */
function asWritten(value: unknown): unknown {
  if (typeof value === 'number') return Number.isInteger(value) ? value : Number(value.toPrecision(4));
  if (Array.isArray(value)) return value.map(asWritten);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, v]) => [key, asWritten(v)]));
}

test.each(EXAMPLES)('%s: %s', (file, call, result) => {
  // oxlint-disable-next-line typescript/no-require-imports
  const names = require(join(SRC, file)) as object;
  expect(asWritten(evaluate(call, names))).toEqual(asWritten(evaluate(result, {})));
});

test('the core’s own formulas have examples', () => {
  for (const part of ['water', 'climate', 'nutrition', 'planning', 'units', 'season'])
    expect([part, EXAMPLES.some(([file]) => file.startsWith(part))]).toEqual([part, true]);
});
