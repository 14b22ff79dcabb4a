/** "clay-loam" reads "Clay loam". */
export const wordOf = (code: string): string => code.charAt(0).toUpperCase() + code.slice(1).replaceAll('-', ' ');

/** Codes with their words, for a choice; some have words of their own. */
export const wordsOf = (codes: readonly string[], own: Readonly<Record<string, string>> = {}): [string, string][] =>
  codes.map((code) => [code, own[code] ?? wordOf(code)]);

/** The same where nothing need be known. */
export const wordsOrUnknown = (codes: readonly string[]): [string, string][] => [['', 'not known'], ...wordsOf(codes)];

/** A sentence: a capital first, a full stop last. */
export function sentence(text: string): string {
  const capital = text.charAt(0).toUpperCase() + text.slice(1);
  return /[.!?]$/.test(capital) ? capital : `${capital}.`;
}
