/** What a rule broke on, for the person who must fix it. */
interface Broken {
  value: unknown;
  /** the number in the rule: a limit, a length */
  limit: string;
  /** what may be chosen */
  choices: string;
}

/**
 * What the validator's rules refuse, in words that follow a label ("Width must be more than …"). A rule with words of
 * its own keeps them. Every rule our classes use without words must be listed here; a test checks all of them.
 */
const WORDS: Record<string, (broken: Broken) => string> = {
  isNumber: () => 'must be a number, such as 2.5',
  isInt: () => 'must be a whole number, such as 3',
  min: ({ limit }) => `must be ${limit} or more`,
  max: ({ limit }) => `must be ${limit} or less`,
  isString: () => 'must be text',
  minLength: ({ limit }) => (limit === '1' ? 'must not be empty' : `must be at least ${limit} letters long`),
  maxLength: ({ limit }) => `is too long: at most ${limit} letters`,
  isBoolean: () => 'must be yes or no (true or false)',
  isIn: ({ choices }) => `must be one of: ${choices}`,
  isArray: () => 'must be a list',
  arrayMaxSize: ({ limit }) => `must have ${limit} at most`,
  arrayMinSize: ({ limit }) => `must have ${limit} at least`,
  isEmail: () => 'must be an e-mail address, such as name@example.org',
  isObject: () => 'must be a set of named values',
  isUrl: () => 'must be a web address, such as https://example.org',
  isDefined: () => 'is needed',
  nestedValidation: () => 'must be a set of named values',
  isIso8601: () => 'must be a date and time, such as 2026-07-18T07:30:00Z',
};

/** The validation rules that have a message of their own. */
export const RULES_IN_WORDS: readonly string[] = Object.keys(WORDS);

/**
 * @param text the validator's message: if it begins with the field's name it is the library's own, and is reworded
 * @returns the reason without the field's name: the path says it
 */
export function inWords(rule: string, text: string, property: string, value: unknown): string {
  const own = new RegExp(`^(each value in )?(nested property \\w+|${property}) `).exec(text);
  if (!own) return text;
  if (value === undefined || value === null) return 'is needed';
  const limit = /-?\d+(?:\.\d+)?(?=\D*$)/.exec(text)?.[0] ?? '';
  const choices = /values: (.*)$/.exec(text)?.[1] ?? '';
  const words = WORDS[rule]?.({ value, limit, choices }) ?? text.slice(own[0].length);
  return own[1] && rule !== 'nestedValidation' ? `contains something that ${words}` : words;
}
