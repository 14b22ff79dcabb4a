/** Returns the first unanswered plant of a series: everyone gets the same ones in the same order. */
export function nextSeed(answered: readonly { seed: number }[], after = 0): number {
  const seen = new Set(answered.map((a) => a.seed));
  let seed = after + 1;
  while (seen.has(seed)) seed++;
  return seed;
}
