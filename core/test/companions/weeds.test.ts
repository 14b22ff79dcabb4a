import type { Companion } from '../../src/records/index.js';
import { hostsStanding, mustWeed, weedsStanding } from '../../src/companions/index.js';

const rec = (date: string, what: Companion['what'], did: Companion['did']): Companion => ({ date, what, did });

test('weeds stand from the day they were seen until they are cleared or lie as mulch; allies are not weeds', () => {
  const seen = rec('2026-07-01', 'weeds', 'seen');
  expect(weedsStanding([seen])).toEqual([{ what: 'weeds', since: '2026-07-01' }]);
  expect(weedsStanding([seen, rec('2026-07-03', 'weeds', 'cleared')])).toEqual([]);
  expect(weedsStanding([seen, rec('2026-07-03', 'weeds', 'laid-as-mulch')])).toEqual([]);
  expect(weedsStanding([seen, rec('2026-07-03', 'weeds', 'cleared'), rec('2026-07-09', 'weeds', 'seen')])).toEqual([
    { what: 'weeds', since: '2026-07-09' },
  ]);
  expect(weedsStanding([rec('2026-07-01', 'basil', 'planted')])).toEqual([]);
  expect([hostsStanding([seen]), hostsStanding([rec('2026-07-01', 'nightshade-weeds', 'seen')])]).toEqual([
    false,
    true,
  ]);
});

test('weeds of the family go everywhere, others from small plants; a host crop is not weeded', () => {
  expect([mustWeed('nightshade-weeds', 1.5), mustWeed('nightshade-weeds', null)]).toEqual([true, true]);
  expect([mustWeed('weeds', 0.2), mustWeed('weeds', 0.4), mustWeed('weeds', null)]).toEqual([true, false, false]);
  expect(mustWeed('other-host', 0.1)).toBe(false);
});
