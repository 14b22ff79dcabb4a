import type { TaskDto } from '@candid-leaf/contract';
import { eveningWarnings, type EveningWarning } from '@candid-leaf/core/season';
import type { Day, Formatter } from '@candid-leaf/core/units';

import { titleWithAmount } from '../today/title-with-amount.js';

/** A task in a morning list. */
export interface MorningLine {
  text: string;
  /** the task that a link may tick; null where an answer is needed, or it is on hold */
  tick: { key: string; title: string } | null;
}

/** What a garden has to say today. */
export interface GardenNews {
  day: Day;
  garden: string;
  morning: MorningLine[];
  warnings: EveningWarning[];
}

/** Task sources that a plain tick does not answer. */
const ANSWERED = new Set<TaskDto['source']>(['look-again', 'so-far', 'walk', 'pick', 'soil', 'raise', 'trial']);

/** Returns whether "done" alone says all there is to say of a task. */
const isTicked = (t: TaskDto): boolean =>
  !t.held && !t.feel && !t.see && !t.asks && !t.picks && !t.rooting && !ANSWERED.has(t.source);

/** Returns what a garden's members get today. `nameOf` names a bed or pot. */
export function newsOf(
  { name, today, format }: { name: string; today: Day; format: Formatter },
  { due, all }: { due: readonly TaskDto[]; all: readonly TaskDto[] },
  nameOf: (placeId: string | null) => string,
): GardenNews {
  return {
    day: today,
    garden: name,
    morning: due
      .filter((t) => !t.held)
      .map((t) => {
        const title = titleWithAmount(t, format);
        return { text: title, tick: isTicked(t) ? { key: t.key, title } : null };
      }),
    warnings: eveningWarnings(
      today,
      all.map((t) => ({
        ...(t.warns ? { warns: t.warns } : {}),
        place: nameOf(t.placeId),
        why: t.why,
        acts: t.acts ?? [{ on: t.dueOn, text: capital(t.where.replace(/^(Today|On [^:]+): /, '')) }],
      })),
    ),
  };
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Tasks in one morning list; the rest is on Today. */
const MOST_LINES = 10;

/** Returns the text of a morning list. `linkFor` returns the address that ticks a task; null: there are no links. */
export function morningText(
  lines: readonly MorningLine[],
  linkFor: ((tick: NonNullable<MorningLine['tick']>) => string) | null,
): string {
  const shown = lines
    .slice(0, MOST_LINES)
    .map((l) => (l.tick && linkFor ? `- ${l.text}\n  Done: ${linkFor(l.tick)}` : `- ${l.text}`));
  const more = lines.length - MOST_LINES;
  return [...shown, ...(more > 0 ? [`And ${more} more on Today.`] : [])].join('\n');
}

/** Returns the subject of a morning list. */
export const morningTitle = (n: number, garden: string): string =>
  `${garden}: ${n === 1 ? 'one task' : `${n} tasks`} today`;

/** Returns the text of a warning: the two things to do, then the reason. */
export const warningText = ({ acts, why }: EveningWarning): string =>
  `${acts.map((act) => `- ${act}`).join('\n')}\n\n${capital(why)}.`;
