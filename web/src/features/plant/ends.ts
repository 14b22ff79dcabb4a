import type { PlantEnd } from '@candid-leaf/contract';

interface EndWords {
  /** to choose */
  now: string;
  /** looking back, after the day: "frost took it" */
  then: string;
  /** what becomes of the plant, and of what held it (handbook: close the year) */
  after: string;
}

export const END_WORDS: Record<PlantEnd, EndWords> = {
  'season-over': {
    now: 'The season is over',
    then: 'the season was over',
    after:
      'Healthy plants go on the compost, cut small. Natural string goes with them; ties are kept, cages nested, stakes brushed clean.',
  },
  disease: {
    now: 'It is diseased',
    then: 'it was diseased',
    after:
      'Into a bag and the bin, roots and all, not on the compost. Clean blades, stakes and ties before they touch another plant.',
  },
  frost: {
    now: 'Frost took it',
    then: 'frost took it',
    after:
      'Pick what is firm first; the rest goes on the compost. Natural string goes with it; ties are kept, cages nested.',
  },
  died: {
    now: 'It died',
    then: 'it died',
    after: 'Look at roots and stem before it goes; if you do not know why it died, keep it off the compost.',
  },
  'given-away': { now: 'It was given away', then: 'it was given away', after: 'Its records stay here.' },
  'made-room': {
    now: 'It makes room',
    then: 'it made room',
    after: 'Healthy plants go on the compost, cut small.',
  },
};
