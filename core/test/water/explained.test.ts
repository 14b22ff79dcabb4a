import { waterBalance, waterExplained } from '../../src/water/index.js';
import { aCase, ASOF, everyNDays } from '../helpers.js';

const pot = { kind: 'container' as const, texture: 'potting-mix' as const, volumeL: 20 };
const explain = (records: object) => waterExplained(waterBalance(aCase({ place: pot, records }, 30)).days);

describe('what the water left is computed from', () => {
  it('adds up what was given, used and drained, and the sum balances', () => {
    const c = aCase({ place: pot, records: { watering: everyNDays(2, 9, 30) } }, 30);
    const { days } = waterBalance(c);
    const r = waterExplained(days)!;
    // a quarter of 20 litres of mix is water within reach (SOILS)
    expect(r.inReachL).toBeCloseTo(5, 1);
    expect(r.waterings).toBe(7);
    expect(r.givenL).toBeCloseTo(63, 6);
    // far more than it holds: the rest ran through
    expect(r.drainedL).toBeGreaterThan(10);
    expect([r.rainL, r.correctedBy]).toEqual([0, null]);
    const before = days.at(-15)!;
    const stood = (d: (typeof days)[number]): number => -d.depletionMm * d.soilM2;
    expect(r.givenL + r.rainL - r.usedL - r.drainedL).toBeCloseTo(stood(days.at(-1)!) - stood(before), 6);
    expect(r.leftL).toBeCloseTo(days.at(-1)!.fractionAvailable * r.inReachL, 9);
  });

  it('names the last measurement that improved it, and says nothing if waterings are unknown', () => {
    const told = explain({
      watering: everyNDays(2, 3, 30),
      soilChecks: [
        { date: '2026-07-12', feel: 'dry' },
        { date: ASOF, feel: 'damp' },
      ],
    })!;
    expect(told.correctedBy).toEqual({ by: 'finger', on: ASOF });
    expect(explain({})).toBeNull();
  });
});
