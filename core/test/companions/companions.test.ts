import { COMPANIONS } from '@candid-leaf/core/records';
import { mayLie, COMPANION_ROWS, companionRow } from '../../src/companions/index.js';

test('every companion plant that can be recorded has its row, with what is known and how certain', () => {
  expect(COMPANION_ROWS.map((r) => r.code).sort()).toEqual([...COMPANIONS].sort());
  for (const r of COMPANION_ROWS) expect(r.known.length).toBeGreaterThan(5);
  expect(companionRow('sweet-alyssum').sure).toBe('good');
  expect(companionRow('french-marigold').source).toMatch(/Conboy/);
});

test('weeds may be used as mulch; nightshades and host plants never', () => {
  expect([mayLie('weeds'), mayLie('nightshade-weeds'), mayLie('potatoes')]).toEqual([true, false, false]);
});
