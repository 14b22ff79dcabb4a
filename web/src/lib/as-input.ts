/** Returns a bed or plant as input: without server-only fields. */
export function asInput<
  T extends { position: number; retiredOn: string | null; endedBecause?: unknown; growth?: unknown },
>(dto: T): Omit<T, 'position' | 'retiredOn' | 'endedBecause' | 'growth'> {
  const { position: _position, retiredOn: _retiredOn, endedBecause: _ended, growth: _growth, ...input } = dto;
  return input;
}
