/** A source of numbers in [0, 1). The core never creates one: the caller passes it in. */
export type Random = () => number;

/**
 * Returns a small, repeatable source: mulberry32 (public-domain algorithm by T. Ettinger, from memory).
 * @example seeded(1)() === seeded(1)() // true
 */
export function seeded(seed: number): Random {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = a;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** Returns a standard normal number (Box & Muller 1958). */
export const normal = (random: Random): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** Returns a gamma number with shape k and scale θ (Marsaglia & Tsang 2000, including their boost for k < 1). */
export function gamma(random: Random, k: number, theta: number): number {
  if (k < 1) return gamma(random, k + 1, theta) * (1 - random()) ** (1 / k);
  const d = k - 1 / 3;
  const c = 1 / Math.sqrt(9 * d);
  for (;;) {
    const x = normal(random);
    const v = (1 + c * x) ** 3;
    if (v > 0 && Math.log(1 - random()) < 0.5 * x * x + d - d * v + d * Math.log(v)) return d * v * theta;
  }
}
