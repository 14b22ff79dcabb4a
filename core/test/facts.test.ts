import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { CLAIMS } from '../src/claims/index.js';
import { DISORDERS, CHECKS, REMEDIES } from '../src/diagnosis/index.js';
import { CAUTIONS } from '../src/records/index.js';
import { KEEPING, SALVAGE } from '../src/harvest/index.js';
import { COMPANION_ROWS } from '../src/companions/index.js';
import { STARTERS } from '../src/products/index.js';
import { SEEDLING_ROWS } from '../src/raising/index.js';
import { SIGNS } from '../src/records/index.js';
import { DRENCHES } from '../src/soil/index.js';
import { WATERING_METHODS } from '../src/water/index.js';
import { factsOfTables } from './facts.js';

const FILE = join(__dirname, 'facts.json');
const kept = JSON.parse(readFileSync(FILE, 'utf8')) as Record<string, string>;

// A change of wording must not change what a row says. Where a fact is meant to change, WRITE_FACTS=1 writes its line in
// facts.json: read the difference before you commit it. Rows that are new are not compared.
test('each row of the tables keeps the numbers and codes it had before the rewording', () => {
  const now = factsOfTables({
    CAUTIONS,
    CHECKS,
    CLAIMS,
    DISORDERS,
    DRENCHES,
    KEEPING,
    COMPANION_ROWS,
    REMEDIES,
    SALVAGE,
    WATERING_METHODS,
    SEEDLING_ROWS,
    SIGNS,
    STARTERS,
  });
  if (process.env.WRITE_FACTS) writeFileSync(FILE, `${JSON.stringify(now, null, 2)}\n`);
  expect(Object.keys(kept).length).toBeGreaterThan(400);
  expect(Object.fromEntries(Object.keys(kept).map((row) => [row, now[row]]))).toEqual(kept);
});
