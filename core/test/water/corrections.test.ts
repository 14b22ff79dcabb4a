import fc from 'fast-check';
import { corrected } from '../../src/water/corrections.js';
import type { RootZone } from '../../src/water/root-zone.js';
import { correctedStore } from '../../src/water/top-layer.js';

const share = (min: number, max: number) => fc.double({ min, max, noNaN: true });

test('a measurement shrinks the error as in Kalman (1960): 1/σ² grows by 1/s², no faster', () => {
  fc.assert(
    fc.property(share(0, 1), share(0, 1), share(0.02, 0.3), share(0.02, 0.4), (model, seen, sd, error) => {
      const after = corrected({ fraction: model, sd }, { fraction: seen, sd: error });
      expect(1 / after.sd ** 2).toBeCloseTo(1 / sd ** 2 + 1 / error ** 2, 4);
      expect(after.fraction).toBeGreaterThanOrEqual(Math.min(model, seen) - 1e-9);
      expect(after.fraction).toBeLessThanOrEqual(Math.max(model, seen) + 1e-9);
    }),
  );
});

const bed = { depthM: 0.6, tawMm: 60, soilM2: 0.25, isPot: false } as RootZone;

test('a finger in a deep bed feels a sixth of the root zone: the error shrinks only by that share', () => {
  const store = { depletionMm: 20, sd: 0.2, topMm: 4 };
  const after = correctedStore(store, bed, { by: 'finger', fraction: 0.25, sd: 0.15, depthCm: 5 });
  // gain = √(1/6) · 0.04 / (0.04 + (0.25 · 5/6)² + 0.0225) = 0.1542, and σ falls by √(1 − gain)
  expect(after.sd).toBeCloseTo(0.1839, 3);
  expect(after.depletionMm).toBeGreaterThan(store.depletionMm);
  const wet = correctedStore(store, bed, { by: 'finger', fraction: 0.95, sd: 0.1, depthCm: 5 });
  expect(wet.depletionMm).toBeLessThan(store.depletionMm);
});
