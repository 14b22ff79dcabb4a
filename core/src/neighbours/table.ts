import type { Neighbour } from '../records/record-classes.js';

/** What stands beside the crop, and what is known of it: no promise without its measure of certainty. */
export interface NeighbourRow {
  code: Neighbour['what'];
  label: string;
  kind: 'ally' | 'weed' | 'host';
  known: string;
  /** how sure that is */
  sure: 'good' | 'mixed' | 'none';
  source: string;
}

const row = (
  code: Neighbour['what'],
  label: string,
  kind: NeighbourRow['kind'],
  sure: NeighbourRow['sure'],
  known: string,
  source = 'common practice',
): NeighbourRow => ({ code, label, kind, known, sure, source });

export const NEIGHBOUR_ROWS: readonly NeighbourRow[] = [
  row(
    'french-marigold',
    'French marigold',
    'ally',
    'mixed',
    'Slows glasshouse whitefly; early and thick. No cure.',
    'Conboy et al. 2019',
  ),
  row(
    'basil',
    'Basil',
    'ally',
    'mixed',
    'Some trials on hornworm eggs, none reliable; for the flavour of tomatoes nothing is shown.',
  ),
  row('sweet-alyssum', 'Sweet alyssum', 'ally', 'good', 'Its flowers feed hoverflies, whose young eat aphids.'),
  row(
    'dill',
    'Dill',
    'ally',
    'good',
    'Feeds small wasps and hoverflies; also a look-out plant, on which hornworms show first.',
  ),
  row('borage', 'Borage', 'ally', 'mixed', 'Draws bees; that it keeps hornworms off is told, not shown.'),
  row('chives', 'Chives', 'ally', 'mixed', 'Their smell may hide the crop from aphids a little.'),
  row('garlic', 'Garlic', 'ally', 'mixed', 'As chives.'),
  row('coriander', 'Coriander in flower', 'ally', 'good', 'Feeds hoverflies and small wasps.'),
  row(
    'weeds',
    'Weeds',
    'weed',
    'good',
    'Take water and air, and house slugs and aphids. Cut before they seed, they may lie as mulch; not with seed, roots that grow again, or disease.',
  ),
  row(
    'nightshade-weeds',
    'Weeds of the nightshade family',
    'host',
    'good',
    'Carry the same blights, viruses and beetles: out with the root, never as mulch.',
  ),
  row(
    'potatoes',
    'Potatoes near by',
    'host',
    'good',
    'Late blight and potato beetles come over from them: look there first.',
  ),
  row(
    'other-host',
    'Another host plant near by',
    'host',
    'mixed',
    'Cucumbers and beans share whitefly, mites and mosaic; look there as well.',
  ),
];

export const neighbourRow = (code: Neighbour['what']): NeighbourRow => NEIGHBOUR_ROWS.find((r) => r.code === code)!;

export const SURE_WORDS: Record<NeighbourRow['sure'], string> = {
  good: 'well shown',
  mixed: 'shown in part',
  none: 'not shown',
};

/** May what was cut lie in the bed as mulch? */
export const mayLie = (what: Neighbour['what']): boolean => neighbourRow(what).kind === 'weed';
