import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { CLAIMS } from '../src/claims/index.js';
import { DISORDERS, CHECKS, REMEDIES, CAUTIONS } from '../src/diagnosis/index.js';
import { KEEPING, SALVAGE } from '../src/harvest/index.js';
import { NEIGHBOUR_ROWS } from '../src/neighbours/index.js';
import { STARTERS } from '../src/products/index.js';
import { SEEDLING_ROWS } from '../src/raising/index.js';
import { SIGNS } from '../src/records/index.js';
import { DRENCHES } from '../src/soil/index.js';
import { WATERING_METHODS } from '../src/water/index.js';
import { factsOfTables } from './facts.js';

const kept: unknown = JSON.parse(readFileSync(join(__dirname, 'facts.json'), 'utf8'));

// A change of wording must not change what a row says. Where a fact is meant to change, change its line in facts.json too.
test('each row of the tables has the numbers and codes that it had before it was reworded', () => {
  const now = factsOfTables({
    CAUTIONS,
    CHECKS,
    CLAIMS,
    DISORDERS,
    DRENCHES,
    KEEPING,
    NEIGHBOUR_ROWS,
    REMEDIES,
    SALVAGE,
    WATERING_METHODS,
    SEEDLING_ROWS,
    SIGNS,
    STARTERS,
  });
  expect(now).toEqual(kept);
});
