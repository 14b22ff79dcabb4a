import { plentyIn, feedProduct } from '../../src/care/index.js';
import {
  feedPlan,
  type FeedQuestion,
  leadOf,
  mostNitrogenG,
  nitrogenGrams,
  overDoseFaults,
  soilSupplyG,
  UPTAKE_G_PER_KG,
} from '../../src/nutrition/index.js';
import { labelDose, measurable, starterOf, STARTERS } from '../../src/products/index.js';
import { addDays, formatterFor, inSpoons, METRIC } from '../../src/units/index.js';
import { fedBefore, feedQuestion } from '../questions.js';
import { from } from './row.js';

const TODAY = '2026-07-15';
const fed = (back: number, more: object = {}) => fedBefore(TODAY, back, more);
const plan = (more: Partial<FeedQuestion> = {}) =>
  feedPlan(feedQuestion(TODAY, { isPot: true, fed: [fed(20)], ...more }));
const said = (more: Partial<FeedQuestion>): string => {
  const p = plan(more);
  return p.kind !== 'feed' ? p.kind : p.hold ? `hold: ${p.hold.kind}` : `feed ${p.strength}`;
};
const hot = (tMaxC: number) => ({ hottest: { day: TODAY, tMaxC } });
const planted = { plantedOn: TODAY, fed: [], stage: 'establishing' as const };
const starter = (more: Partial<FeedQuestion>): string => {
  const p = plan({ ...planted, ...more });
  return p.kind === 'feed' ? p.lead : p.kind;
};
const over = (grams: number, potLitres: number | null, more: object = {}) =>
  overDoseFaults(
    fed(0, { n: 20, p2o5: 20, k2o: 20, grams, ...more }),
    { isPot: potLitres !== null, potLitres, earlier: [], labelGrams: null },
    '',
  ).length;
const choose = (
  plenty: ReturnType<typeof plentyIn>,
  lead: 'balanced' | 'phosphorus' | 'potash' | 'nitrogen',
  more: object = {},
) => feedProduct(STARTERS, { lead, isPot: true, organicOnly: false, inBloomOrFruit: false, plenty, ...more });
const batch = (id: string, litresEach: number, plants = 1) => {
  const a = labelDose(starterOf(id)!, { plants, litresEach });
  return Array.isArray(a) ? a[0]!.path : a.batches[0]!.amount / a.batches[0]!.waterL;
};

/** Feeding: heat, drought, salts, soil tests, pots, doses. */
export const FEEDING = [
  ...from(
    'University of Florida IFAS and Texas A&M vegetable guides: container tomatoes are fed through hot summers, on moist soil, weak and often',
    [
      ['! a pot at 33 °C for weeks: is it fed?', 'feed 0.5', () => said(hot(33))],
      ['! a pot at 36 °C?', 'feed 0.5', () => said(hot(36))],
      ['a pot at 26 °C?', 'feed 1', () => said(hot(26))],
      ['at 39 °C?', 'hold: heat', () => said(hot(39))],
      ['a pepper at 34 °C with fruit?', 'feed 0.5', () => said({ ...hot(34), crop: 'pepper' })],
      ['a bed with fruit at 35 °C?', 'feed 0.5', () => said({ ...hot(35), isPot: false, fed: [fed(40)] })],
      ['! dry soil?', 'hold: dry', () => said({ left: 0.05 })],
      ['dry soil that is watered today?', 'feed 1', () => said({ left: 0.05, waterOn: TODAY })],
      ['! waterlogged roots?', 'hold: wet', () => said({ wet: true })],
      ['! burnt leaf tips?', 'feed 0.5', () => said({ burnt: true })],
      ['dark, lush leaves?', 'feed 0.5', () => said({ lush: true })],
      [
        'a heat hold lasts how long after a single hot day?',
        addDays(TODAY, 1),
        () => {
          const p = plan(hot(39));
          return p.kind === 'feed' && p.hold ? p.hold.until : null;
        },
      ],
    ],
  ),
  ...from('Maas & Hoffman 1977, crop salt tolerance; extension guides on salinity: leach salty soil before feeding', [
    ['salts of 2 dS/m?', 'feed 1', () => said({ test: { saltsDsPerM: 2 } })],
    ['salts of 3 dS/m?', 'feed 0.5', () => said({ test: { saltsDsPerM: 3 } })],
    ['! salts of 4.5 dS/m?', 'hold: salty', () => said({ test: { saltsDsPerM: 4.5 } })],
  ]),
  ...from('extension soil-test recommendations (Penn State, Cornell): none of a nutrient that tests high', [
    [
      'phosphorus high, a school that likes it at planting?',
      'balanced',
      () => starter({ method: 'phosphorus-led', test: { phosphorus: 'high' } }),
    ],
    [
      'nitrogen high, a nitrogen-led school?',
      'balanced',
      () => starter({ method: 'nitrogen-led', test: { nitrogen: 'high' } }),
    ],
    ['phosphorus low, by test?', 'phosphorus', () => starter({ method: 'by-test', test: { phosphorus: 'low' } })],
    ['nitrogen low, by test?', 'nitrogen', () => starter({ method: 'by-test', test: { nitrogen: 'low' } })],
    ['potassium low, by test?', 'potash', () => starter({ method: 'by-test', test: { potassium: 'low' } })],
    ['no test, compost school?', 'balanced', () => starter({})],
    [
      'potassium high while fruit swells?',
      'balanced',
      () => {
        const p = plan({ test: { potassium: 'high' } });
        return p.kind === 'feed' ? p.lead : p.kind;
      },
    ],
    [
      'bone meal where phosphorus is high?',
      false,
      () => choose(plentyIn({ phosphorus: 'high' }), 'phosphorus')?.id === 'bone-meal',
    ],
    [
      'tomato feed where potassium is high?',
      false,
      () => choose(plentyIn({ potassium: 'high' }), 'potash')?.id === 'tomato-feed',
    ],
    [
      'blood meal where nitrogen is high?',
      false,
      () => choose(plentyIn({ nitrogen: 'high' }), 'nitrogen')?.id === 'blood-meal',
    ],
    ['tomato feed where nothing is high?', 'tomato-feed', () => choose([], 'potash')?.id],
    [
      'a nitrogen-led feed while fruit swells?',
      false,
      () => {
        const p = choose([], 'nitrogen', { inBloomOrFruit: true });
        return p !== null && leadOf(p) === 'nitrogen';
      },
    ],
  ]),
  ...from('extension guides (Illinois, Maryland): peppers in full flower are not fed nitrogen; new plants little', [
    ['a healthy pepper in flower?', 'rest', () => said({ crop: 'pepper', stage: 'flowering' })],
    [
      'the same, by the school of bloom feeds?',
      'feed 1',
      () => said({ crop: 'pepper', stage: 'flowering', pepperFeed: 'bloom' }),
    ],
    [
      '! does that feed lead with nitrogen?',
      'potash',
      () => {
        const p = feedPlan(feedQuestion(TODAY, { crop: 'pepper', stage: 'flowering', pepperFeed: 'bloom' }));
        return p.kind === 'feed' && p.lead;
      },
    ],
    [
      'a plant set out a week ago?',
      'rest',
      () => said({ plantedOn: addDays(TODAY, -8), stage: 'establishing', fed: [fed(8)] }),
    ],
    ['a bed before its first fruit?', 'rest', () => said({ isPot: false, stage: 'flowering', fed: [fed(30)] })],
    ['a late plant before frost?', 'rest', () => said({ stage: 'late' })],
    ['nothing recorded all season?', 'ask', () => said({ fed: [] })],
    ['old leaves pale all over?', 'feed 0.5', () => said({ paleOn: TODAY, fed: [fed(30)] })],
  ]),
  ...from(
    'Bunt 1988, Media and Mixes for Container-Grown Plants, and greenhouse guides: about 0.15 g N per litre of mix and fortnight at most',
    [
      ['! 14 g of 20-20-20 for a 3 L pot?', 1, () => over(14, 3)],
      ['2 g of 20-20-20 for a 3 L pot?', 0, () => over(2, 3)],
      ['! 10 g of 20-20-20 for a 10 L pot?', 1, () => over(10, 10)],
      ['10 g of 20-20-20 for a 20 L pot?', 1, () => over(10.1, 20, { n: 10, p2o5: 50, k2o: 40 })],
      ['! 4 g of potash for a 5 L pot?', 1, () => over(4, 5, { n: 0, p2o5: 0, k2o: 50 })],
      ['15 g of nitrogen for a bed plant?', 1, () => over(75, null)],
      ['most nitrogen for a 3 L pot in a fortnight?', 0.45, () => Number(mostNitrogenG(3).toFixed(2))],
    ],
  ),
  ...from('pesticide and fertiliser labels: the label dose is never exceeded', [
    ['! wettable sulfur for one leaf, g per litre at most 3?', true, () => Number(batch('sulfur-spray', 0.25)) <= 3],
    ['! BT for one leaf, g per litre at most 1?', true, () => Number(batch('bt', 0.25)) <= 1],
    ['! balanced powder, 1 g per litre, for 0.3 L?', true, () => Number(batch('balanced-soluble', 0.3)) <= 1],
    ['! neem, 1.3 mL per litre, for 0.3 L?', true, () => Number(batch('neem', 0.3)) <= 1.3],
    ['! soap, 15 mL per litre, for 0.7 L?', true, () => Number(batch('soap', 0.7)) <= 15],
    ['! copper, 2 g per litre, for 0.4 L?', true, () => Number(batch('copper', 0.4)) <= 2],
    ['what a scale shows of 9.9 g?', 9.5, () => measurable(9.9, { form: 'dry' })],
    ['! 4.8 mL in US spoons, at most?', true, () => inSpoons(4.8, 'us')!.ml <= 4.8],
    [
      '! twice the label?',
      'strength',
      () => {
        const a = labelDose(starterOf('soap')!, { plants: 1, litresEach: 1, strength: 2 });
        return Array.isArray(a) ? a[0]!.path : 'dose';
      },
    ],
    [
      '7.6 mL shown to a US gardener in spoons?',
      '7.6\u00a0mL (1½ tsp)',
      () => formatterFor({ ...METRIC, volume: 'gal-us' }).millilitres(7.6),
    ],
  ]),
  ...from('IFA World Fertilizer Use Manual 1992: uptake per tonne of fruit', [
    [
      'nitrogen per kg of tomatoes, g?',
      true,
      () => UPTAKE_G_PER_KG.tomato.n[0] >= 2 && UPTAKE_G_PER_KG.tomato.n[1] <= 3.5,
    ],
    [
      'potassium per kg of tomatoes above nitrogen?',
      true,
      () => UPTAKE_G_PER_KG.tomato.k[0] > UPTAKE_G_PER_KG.tomato.n[0],
    ],
    [
      'nitrogen per kg of peppers above tomatoes?',
      true,
      () => UPTAKE_G_PER_KG.pepper.n[0] > UPTAKE_G_PER_KG.tomato.n[0],
    ],
    ['nitrogen in 100 g of 5-10-5?', 5, () => nitrogenGrams({ n: 5, grams: 100 })],
    [
      'does a fresh 20 L mix feed a tomato all season (needs 6 g and more)?',
      false,
      () => soilSupplyG({ kind: 'container', volumeL: 20 }, 0.1, null)(100) >= 6,
    ],
  ]),
];
