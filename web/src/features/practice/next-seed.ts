/** The first plant of a series that was not answered yet: everybody goes through the same ones in the same order. */
export function nextSeed(answered: readonly { seed: number }[], after = 0): number {
  const seen = new Set(answered.map((a) => a.seed));
  let seed = after + 1;
  while (seen.has(seed)) seed++;
  return seed;
}
