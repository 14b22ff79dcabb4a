import type { Companion } from '../records/record-classes.js';
import { must } from '../units/lists.js';

/** A companion plant and the evidence about it: no promise without its certainty. */
interface CompanionRow {
  code: Companion['what'];
  label: string;
  kind: 'ally' | 'weed' | 'host';
  known: string;
  /** how certain that is */
  sure: 'good' | 'mixed' | 'none';
  source: string;
}

const row = (
  code: Companion['what'],
  label: string,
  kind: CompanionRow['kind'],
  sure: CompanionRow['sure'],
  known: string,
  source = 'common practice',
): CompanionRow => ({ code, label, kind, known, sure, source });

/** Companion plants and weeds, with their effect and how well it is known. */
export const COMPANION_ROWS: readonly CompanionRow[] = [
  row(
    'french-marigold',
    'French marigold',
    'ally',
    'mixed',
    'Slows glasshouse whitefly if planted early and densely. It prevents, it does not cure.',
    'Conboy et al. 2019',
  ),
  row(
    'basil',
    'Basil',
    'ally',
    'mixed',
    'Some studies on hornworm eggs, none reliable. No evidence for a better tomato flavour.',
  ),
  row('sweet-alyssum', 'Sweet alyssum', 'ally', 'good', 'Its flowers feed hoverflies, whose young eat aphids.'),
  row('dill', 'Dill', 'ally', 'good', 'Feeds small wasps and hoverflies. Hornworms often show up here first.'),
  row('borage', 'Borage', 'ally', 'mixed', 'Attracts bees. There is no evidence that it keeps hornworms away.'),
  row('chives', 'Chives', 'ally', 'mixed', 'Their smell may hide the crop from aphids a little.'),
  row('garlic', 'Garlic', 'ally', 'mixed', 'Same as chives.'),
  row('coriander', 'Flowering coriander', 'ally', 'good', 'Feeds small wasps and hoverflies.'),
  row(
    'weeds',
    'Weeds',
    'weed',
    'good',
    'They take water and air, and shelter slugs and aphids. Cut before they seed they can lie as mulch; never with seed, regrowing roots or disease.',
  ),
  row(
    'nightshade-weeds',
    'Weeds of the nightshade family',
    'host',
    'good',
    'They carry the same blights, viruses and beetles. Pull them with the root, and never use them as mulch.',
  ),
  row(
    'potatoes',
    'Potatoes nearby',
    'host',
    'good',
    'Late blight and potato beetles come from them: check the potatoes first.',
  ),
  row(
    'other-host',
    'Another host plant nearby',
    'host',
    'mixed',
    'Cucumbers and beans share whitefly, mites and mosaic viruses: check those plants too.',
  ),
];

/** Returns the row of a companion plant or weed. */
export const companionRow = (code: Companion['what']): CompanionRow =>
  must(COMPANION_ROWS.find((r) => r.code === code));

/** How well an effect is known, as shown on screen. */
export const SURE_WORDS: Record<CompanionRow['sure'], string> = {
  good: 'good evidence',
  mixed: 'some evidence',
  none: 'no evidence',
};

/**
 * Returns whether the cut plants may be used as mulch.
 * @example mayLie('weeds') // true
 */
export const mayLie = (what: Companion['what']): boolean => companionRow(what).kind === 'weed';
