/** Words that say nothing in a search. */
const FILLERS = new Set([
  'a',
  'an',
  'and',
  'are',
  'by',
  'has',
  'have',
  'in',
  'is',
  'it',
  'my',
  'of',
  'on',
  'the',
  'to',
  'with',
]);

/**
 * Returns a typed word as it is searched for; null for one that says nothing.
 * @example searchTerm('Bugs') // 'bugs'
 */
export const searchTerm = (word: string): string | null => {
  const term = word.toLowerCase();
  return FILLERS.has(term) ? null : term;
};
