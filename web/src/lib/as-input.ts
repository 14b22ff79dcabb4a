/** A place or plant as it is sent back: without what only the server sets. */
export function asInput<T extends { position: number; retiredOn: string | null; endedBecause?: unknown }>(
  dto: T,
): Omit<T, 'position' | 'retiredOn' | 'endedBecause'> {
  const { position: _position, retiredOn: _retiredOn, endedBecause: _ended, ...input } = dto;
  return input;
}
