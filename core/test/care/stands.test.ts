import { assessPlace } from '../../src/assessment/index.js';
import { standsOf } from '../../src/care/index.js';
import { METRIC_FORMAT } from '../../src/units/formatter.js';
import { aCase, ASOF, everyNDays, notSeen, seen } from '../helpers.js';

type Change = Parameters<typeof aCase>[0];
type Counts = Parameters<typeof standsOf>[2];
function stands(change: Change, counts: Counts = []) {
  const assessed = assessPlace('p', { method: 'by-need' }, [{ id: 'a', case: aCase(change) }], [], METRIC_FORMAT);
  return standsOf(assessed.plants.get('a')!, {}, counts);
}
const watered = { watering: everyNDays(2, 4) };

describe('how a plant looks in its drawing', () => {
  it('marks each part with a problem once; nothing for harmless, absent or circumstantial signs', () => {
    expect(
      stands({
        records: watered,
        observations: [seen('leaf-target-spots'), seen('leaf-small-dark-spots'), seen('pace-days')],
      }).ailing,
    ).toEqual(['low-leaves']);
    expect(
      stands({ records: watered, observations: [seen('fruit-blossom-end-dark'), notSeen('leaf-wilt')] }).ailing,
    ).toEqual(['fruit']);
    expect(stands({ records: watered, observations: [seen('stem-root-bumps')] }).ailing).toEqual([]);
  });

  it('droops where drooping was seen or the soil must be that dry; not if watering is unknown', () => {
    const pot = { place: { kind: 'container' as const, texture: 'potting-mix' as const, volumeL: 12 } };
    expect(stands({ records: watered }).limp).toBe(false);
    expect(stands({ records: watered, observations: [seen('leaf-wilt')] }).limp).toBe(true);
    const dry = [{ date: '2026-07-11', litres: 6 }];
    expect(stands({ ...pot, records: { watering: dry } }).limp).toBe(true);
    expect(stands({ ...pot, records: { watering: [] } }).limp).toBe(false);
  });

  it('carries the fruit of the newest truss counts, and is supported only if that was recorded', () => {
    const none = stands({ records: watered });
    expect([none.load, none.held]).toEqual([null, null]);
    const counts = [
      { date: '2026-07-01', truss: 1, flowers: 6, fruit: 0 },
      { date: '2026-07-15', truss: 1, flowers: 0, fruit: 5 },
      { date: '2026-07-15', truss: 2, flowers: 4, fruit: 1 },
    ];
    const tied = stands(
      { plant: { habit: 'indeterminate' }, records: { ...watered, events: [{ date: ASOF, what: 'tied' }] } },
      counts,
    );
    expect(tied.load).toEqual({ flowers: 4, fruit: 6 });
    expect(tied.held).toBe('string');
  });
});
