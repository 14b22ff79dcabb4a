/** Returns a bed or plant as input: without server-only fields. */
export function asInput<T extends { position: number; retiredOn: string | null; endedBecause?: unknown }>(
  dto: T,
): Omit<T, 'position' | 'retiredOn' | 'endedBecause'> {
  const { position: _position, retiredOn: _retiredOn, endedBecause: _ended, ...input } = dto;
  return input;
}
