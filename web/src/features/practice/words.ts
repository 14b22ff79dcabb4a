import type { Guess } from '@candid-leaf/core/practice';
import { checkRow, type CheckCode, DRIVERS, disorderRow, remedyRow } from '@candid-leaf/core/diagnosis';
import { type PlantCase, signRow, type SignCode } from '@candid-leaf/core/records';
import { sentence } from '../../lib/words';

/** Choices outside the list: no cause in the records, nothing needs doing. */
export const NONE = 'none';

export const troubleLabel = (code: Guess['trouble']): string => disorderRow(code).label;
export const causeLabel = (code: Guess['cause']): string =>
  code === null ? 'Nothing in the records explains it' : sentence(DRIVERS[code]).slice(0, -1);
export const actLabel = (code: Guess['act']): string => (code === null ? 'Nothing needs doing' : remedyRow(code).label);
export const checkLabel = (code: CheckCode): string => checkRow(code).label;

/** Returns what a check showed, in a line. */
export const showedInWords = (present: readonly SignCode[]): string =>
  present.length > 0 ? sentence(present.map((s) => signRow(s).label.toLowerCase()).join(', ')) : 'None of these.';

const POTS = {
  container: 'a pot',
  indoors: 'a pot indoors',
  ground: 'the ground',
  'raised-bed': 'a raised bed',
  'tunnel-bed': 'a tunnel',
} as const;

/** "A determinate paste tomato in a raised bed". */
export const plantInWords = ({ plant, place }: PlantCase): string => {
  const words = [plant.habit, plant.type, plant.crop].filter(Boolean).join(' ');
  return `${/^[aeiou]/.test(words) ? 'An' : 'A'} ${words} in ${POTS[place.kind]}`;
};

/** Says how much a check told, by the bits it resolved (judgement). */
export const worthInWords = (bits: number): string =>
  bits >= 0.5
    ? 'showed a lot'
    : bits >= 0.1
      ? 'showed a little'
      : bits > -0.1
        ? 'showed nothing'
        : 'made it less clear';
