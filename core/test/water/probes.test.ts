import type { SoilCheck } from '@candid-leaf/core/records';
import { addDays } from '@candid-leaf/core/units';
import {
  calibratedSd,
  feelOf,
  measuredByDay,
  probeAgainstFingers,
  probeFault,
  probeShare,
  waterBalance,
} from '@candid-leaf/core/water';
import { aCase, ASOF, everyNDays } from '../helpers.js';

const ago = (days: number): string => addDays(ASOF, -days);
const probe = (days: number, share: number, more: object = {}): SoilCheck =>
  ({ date: ago(days), feel: feelOf(share), by: 'probe', share, depthCm: 15, calibratedOn: ASOF, ...more }) as SoilCheck;
const finger = (days: number, feel: SoilCheck['feel']): SoilCheck => ({ date: ago(days), feel, by: 'finger' });

describe('a calibrated soil probe', () => {
  test('its share lies between its two points, whichever way its numbers run', () => {
    expect(probeShare(30, { dry: 10, drained: 50 })).toBe(0.5);
    // a tension meter reads high when dry
    expect(probeShare(70, { dry: 80, drained: 10 })).toBeCloseTo(1 / 7);
    expect(probeShare(5, { dry: 10, drained: 50 })).toBe(0);
    expect(probeShare(90, { dry: 10, drained: 50 })).toBe(1.3);
    expect(probeShare(30, { dry: 20, drained: 20 })).toBeNull();
  });

  test('it corrects the balance, more than a cheap one and less the longer ago it was calibrated', () => {
    const watering = everyNDays(4, 3);
    const left = (soilChecks: SoilCheck[]): number =>
      waterBalance(aCase({ records: { watering, soilChecks } as never })).days.at(-1)!.fractionAvailable;
    const [alone] = [left([])];
    const low = 0.1;
    const fresh = left([probe(0, low)]);
    const old = left([probe(0, low, { calibratedOn: ago(150) })]);
    expect(fresh).toBeLessThan(old);
    expect(old).toBeLessThan(alone!);
    expect(calibratedSd(0)).toBeLessThan(calibratedSd(60));
    expect(calibratedSd(10_000)).toBe(0.35);
  });

  test('a finger of the same day comes before it', () => {
    const c = aCase({ records: { soilChecks: [probe(0, 0.9), finger(0, 'dry')] } as never });
    expect(measuredByDay(c).get(ASOF)).toMatchObject({ by: 'finger' });
  });

  test('three fingers that say otherwise: calibrate it again, with the numbers; two are chance', () => {
    const dry = [1, 4, 7].flatMap((d) => [probe(d, 0.62), finger(d, 'dry')]);
    const says = 'The probe says 60 %, but three finger checks said dry. Calibrate it again.';
    expect(probeAgainstFingers([...dry, probe(0, 0.6)], ASOF)).toBe(says);
    expect(probeAgainstFingers(dry.slice(2), ASOF)).toBeNull();
    // days without a reading, and long ago, do not count
    expect(probeAgainstFingers([...dry.filter((s) => s.by === 'finger'), probe(0, 0.6)], ASOF)).toBeNull();
    const longAgo = [101, 104, 107].flatMap((d) => [probe(d, 0.62), finger(d, 'dry')]);
    expect(probeAgainstFingers([...longAgo, probe(0, 0.6)], ASOF)).toBeNull();
    const wet = [1, 4, 7].flatMap((d) => [probe(d, 0.3), finger(d, 'wet')]);
    expect(probeAgainstFingers(wet, ASOF)).toContain('three finger checks said wet');
    // the report of the plant says it too
    const c = aCase({ records: { soilChecks: [...dry, probe(0, 0.6)] } as never });
    expect(probeFault(c)).toBe(`t${says.slice(1, -1)}`);
  });

  test('a probe that sends the same word every morning is not stuck', () => {
    const c = aCase({ records: { soilChecks: [0, 1, 2, 3, 4, 5].map((d) => probe(d, 0.6)) } as never });
    expect(probeFault(c)).toBeNull();
  });
});
