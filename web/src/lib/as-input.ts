/** A place or plant as it is sent back: without what only the server sets. */
export function asInput<T extends { position: number; retiredOn: string | null }>(
  dto: T,
): Omit<T, 'position' | 'retiredOn'> {
  const { position: _position, retiredOn: _retiredOn, ...input } = dto;
  return input;
}
