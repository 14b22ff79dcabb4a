import type { PlantEnd } from '@candid-leaf/contract';

interface EndWords {
  /** as a choice */
  now: string;
  /** in the past: "frost killed it" */
  then: string;
  /** what to do with the plant and its support (common practice) */
  after: string;
}

export const END_WORDS: Record<PlantEnd, EndWords> = {
  'season-over': {
    now: 'The season is over',
    then: 'the season was over',
    after: 'Compost healthy plants, cut small, with any natural string. Keep ties, nest cages and brush stakes clean.',
  },
  disease: {
    now: 'It is diseased',
    then: 'it was diseased',
    after:
      'Bag it with its roots and bin it; do not compost it. Clean blades, stakes and ties before they touch another plant.',
  },
  frost: {
    now: 'Frost killed it',
    then: 'frost killed it',
    after: 'Pick firm fruit first and compost the rest, with any natural string. Keep ties and nest cages.',
  },
  died: {
    now: 'It died',
    then: 'it died',
    after: 'Check roots and stem before you remove it. If you don’t know why it died, do not compost it.',
  },
  'given-away': { now: 'It was given away', then: 'it was given away', after: 'Its records stay here.' },
  'made-room': {
    now: 'It makes room for another',
    then: 'it made room for another',
    after: 'Compost healthy plants, cut small.',
  },
};
