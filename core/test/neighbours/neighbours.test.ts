import { NEIGHBOURS } from '@candid-leaf/core/records';
import { mayLie, NEIGHBOUR_ROWS, neighbourRow } from '../../src/neighbours/index.js';

test('every neighbour that can be written down has its row, with what is known and how sure', () => {
  expect(NEIGHBOUR_ROWS.map((r) => r.code).sort()).toEqual([...NEIGHBOURS].sort());
  for (const r of NEIGHBOUR_ROWS) expect(r.known.length).toBeGreaterThan(5);
  expect(neighbourRow('sweet-alyssum').sure).toBe('good');
  expect(neighbourRow('french-marigold').source).toMatch(/Conboy/);
});

test('weeds may lie as mulch; nightshades and hosts never', () => {
  expect([mayLie('weeds'), mayLie('nightshade-weeds'), mayLie('potatoes')]).toEqual([true, false, false]);
});
