// What `npm run words` checks in each text: words we do not use, sentences that are too long, two wordings of one sentence.

/** Longest sentence that may stand on a screen, in words. */
export const MOST_WORDS = 22;

/** Words and turns that the glossary (docs/words.md) replaces, each with what to write instead. */
export const BANNED = [
  [/\breckon(?:ed|s|ing|ings)?\b/i, 'estimate, calculate'],
  [/\bforeseen\b/i, 'forecast'],
  [/\bof late\b/i, 'recently'],
  [/\bwhoever\b(?! waters)/i, 'anyone, the person who'],
  [/\bsomebody\b|\beverybody\b|\banybody\b/i, 'someone, everyone, anyone'],
  [/\b(?:is|are|was|were|be) told\b/i, 'is shown, is said'],
  [/\beasily had\b/i, 'it will soon go short'],
  [/\bnot to be taken for\b/i, 'easily confused with'],
  [/\bwhat brings it\b/i, 'what causes it'],
  [/\bto be surer\b|\bsureness\b/i, 'to be more certain'],
  [/\bof it (?:to|goes|was)\b/i, 'name what "it" is'],
  [/\bso many (?:lines|days|things|plants)\b/i, 'say the number'],
  [/\btroubles?\b/i, 'problem'],
  [/\bdisorders?\b/i, 'problem'],
  [/\bcultivars?\b/i, 'variety'],
  [/^kind$/i, 'variety, type'],
  [/\bkinds\b|\b(?:this|that|another|a|each|one|bush|resistant) kind\b(?! of)/i, 'variety, type'],
  [/\bschools?\b/i, 'watering method'],
  [/\bwhat they may\b/i, 'access'],
  [/\bask (?:somebody|someone|them) in\b/i, 'invite'],
  [/\btake the top off\b/i, 'top the plant'],
  [/\bwrit(?:e|ten|ing) (?:\w+ )?down\b(?!\.| for)/i, 'record, save'],
  [/\bthrow(?:n|s)? (?:\w+ )?away\b/i, 'delete; for fruit: bin'],
  [/\bnear by\b/i, 'nearby'],
  [/\bdark ends?\b|\bblack ends?\b/i, 'blossom end rot'],
  [/\bno signal\b|\bthere is signal\b/i, 'offline, back online'],
  [/\bset right\b/i, 'corrected'],
  [/\bmeanwhile\b/i, 'in the meantime, for now'],
  [/\ball the same\b/i, 'anyway'],
  [/\bbear each other\b/i, 'mix'],
  [/\b(?:is|are|was|were) taken on\b|\btaken on\b/i, 'started'],
  [/\bput up\b(?! the| a| with)/i, 'preserve'],
  [/\bretire[ds]?\b/i, 'archive'],
  [/\bkeepers?\b/i, 'manager'],
  [/\bnone recorded is not none\b/i, 'that may only mean it was not recorded'],
  [/\boutermost\b|\bhitherto\b|\bthereof\b|\btherein\b|\bwherein\b/i, 'plain words'],
  [/\bwith nothing of\b|\bnothing of (?:it|the kind)\b/i, 'none'],
  [/\bholds? for\b/i, 'applies to'],
  [/\b(?:wants|want) (?:a|an|the|it|no|more|less|heat|cool|warm|wet|dry)\b/i, 'needs'],
  [/\bhangs? on\b/i, 'depends on'],
  [/\ballies\b/i, 'helpful insects'],
  [/\bkin\b/i, 'relatives'],
  [/\blooked? at it all\b|\blook there\b/i, 'say what to look at'],
  [/\bwas not taken\b|\blet it go\b/i, 'rejected, discard'],
  [/\bbr(?:ing|ought) (?:in|it in)\b.*\b(?:file|rows?|table)\b/i, 'import'],
];

/** Splits a text into its sentences. A hole counts as one word. */
export function sentencesOf(text) {
  return text
    .split(/<[^>]+>|(?<=[.!?…])\s+(?=[\p{Lu}\d{“"])/u)
    .map((s) => s.trim())
    .filter((s) => /\p{L}/u.test(s));
}

const wordsIn = (sentence) => sentence.split(/[\s/]+/).filter((w) => /[\p{L}\p{N}]/u.test(w)).length;

const SAME = [
  [/\bcan(?:not|’t|'t)\b/g, 'cant'],
  [/\b(?:we|the server|this server|it) (?:cant|could not|couldn’t)\b/g, 'cant'],
  [/\b(?:unknown|not known|we don’t know)\b/g, 'unknown'],
  [/\b(?:remove|delete|discard)(?:d)?\b/g, 'remove'],
  [/\b(?:save|keep|store)(?:d)?\b/g, 'save'],
  [/\b(?:record|log|note)(?:ed|d)?\b/g, 'record'],
  [/\b(?:check|feel)(?: the)? soil\b/g, 'check soil'],
  [/\b(?:droops?|drooping|limp)\b/g, 'droop'],
];
const EMPTY = new Set(
  'a an the this that these those it its is are was were be been to of in on at by for and or so then with as your our you we here there now yet'.split(
    ' ',
  ),
);

/** Returns what a sentence says whatever its small words: sentences with one meaning should be worded alike. */
export function meaningOf(sentence) {
  let plain = sentence.toLowerCase().replace(/\{\d+\}/g, '{}');
  for (const [pattern, one] of SAME) plain = plain.replace(pattern, one);
  const words = plain
    .replace(/[^\p{L}\p{N}{}\s]/gu, ' ')
    .split(/\s+/)
    .filter((w) => w && !EMPTY.has(w))
    .map((w) => (w.length > 4 ? w.replace(/(?:ing|ed|s)$/, '') : w));
  return words.filter((w) => w !== '{}').length < 4 ? null : words.join(' ');
}

/** A sentence without what may differ: capitals, its last mark, what fills its holes, a plural. */
const bare = (s) =>
  s
    .toLowerCase()
    .replace(/\{\d+\}/g, ' ')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .replace(/s\b/g, '')
    .trim();

/**
 * Returns what is wrong with the texts.
 *
 * @param {{ file: string, line: number, text: string }[]} messages
 * @returns {{ file: string, line: number, text: string, why: string }[]}
 */
export function faultsOf(messages) {
  const faults = [];
  const said = new Map();
  for (const m of messages) {
    for (const [pattern, instead] of BANNED) {
      const found = m.text.match(pattern);
      if (found) faults.push({ ...m, why: `"${found[0]}": write ${instead}` });
    }
    for (const sentence of sentencesOf(m.text)) {
      const words = wordsIn(sentence);
      if (words > MOST_WORDS) faults.push({ ...m, why: `a sentence of ${words} words (at most ${MOST_WORDS})` });
      const meaning = meaningOf(sentence);
      if (!meaning) continue;
      const before = said.get(meaning);
      if (!before) said.set(meaning, { ...m, sentence });
      else if (bare(before.sentence) !== bare(sentence))
        faults.push({ ...m, why: `said with other words at ${before.file}:${before.line}: "${before.sentence}"` });
    }
  }
  return faults;
}
