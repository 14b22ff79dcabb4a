import { capital } from '@candid-leaf/core/units';

/** Returns "Clay loam" for "clay-loam". */
export const wordOf = (code: string): string => capital(code.replaceAll('-', ' '));

/** Returns codes with their words for a choice; some have their own. */
export const wordsOf = (codes: readonly string[], own: Readonly<Record<string, string>> = {}): [string, string][] =>
  codes.map((code) => [code, own[code] ?? wordOf(code)]);

/** The same with "not known". */
export const wordsOrUnknown = (codes: readonly string[]): [string, string][] => [['', 'not known'], ...wordsOf(codes)];

/** Returns where and why for a task; the place is left out if the title names it. */
export const whereAndWhy = (task: { title: string; where: string; why: string }): string =>
  task.title.includes(task.where) ? sentence(task.why) : `${task.where}. ${sentence(task.why)}`;

/** Returns a sentence: first letter upper case, full stop. */
export function sentence(text: string): string {
  return /[.!?]$/.test(text) ? capital(text) : `${capital(text)}.`;
}
