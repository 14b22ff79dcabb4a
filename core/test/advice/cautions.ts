import { KEEPING } from '../../src/harvest/index.js';
import { rateInWords, rateOf } from '../../src/helped/index.js';
import { starterOf } from '../../src/products/index.js';
import { CAUTIONS } from '../../src/records/index.js';
import { acidityDose, leadVerdict } from '../../src/soil/index.js';
import { from } from './row.js';

const cautionsOf = (product: string) => (starterOf(product)!.cautions ?? []).join(' ');
const sulfur = (pH: number, fizzes?: boolean) => {
  const a = acidityDose({ pH, target: 6.5, texture: 'loam', areaM2: 4, from: '2026-07-15', fizzes });
  return a.kind === 'dose' ? a.dose.with : a.kind;
};

/** Cautions where the act is, and what a soil test refuses. */
export const CAUTIOUS = [
  ...from('USDA National Organic Program, 7 CFR 205.203: raw manure 120 days before harvest, 90 off the ground', [
    ['! raw manure water, until when?', true, () => /120 days .* 90 where no fruit/.test(cautionsOf('manure-water'))],
    ['! dog or cat manure in it?', true, () => /Never use dog, cat or pig manure/.test(cautionsOf('manure-water'))],
    ['! dog or cat manure, rotted?', true, () => /never that of dogs, cats or pigs/.test(cautionsOf('rotted-manure'))],
  ]),
  ...from(
    'USDA Complete Guide to Home Canning 2015; University of Georgia: vegetables in oil are kept cold, four days',
    [
      [
        '! peppers in oil on the shelf?',
        true,
        () => /botulism: keep them in the fridge/.test(KEEPING.pepper.join(' ')),
      ],
      ['drying hot peppers: gloves and air?', true, () => KEEPING.pepper.includes(CAUTIONS.hot)],
    ],
  ),
  ...from('Extension guides on lead in garden soil: under 100 mg/kg grow, to 400 with care, above it nothing to eat', [
    ['lead of 60 mg/kg?', 'grow', () => leadVerdict(60)],
    ['lead of 250 mg/kg?', 'with-care', () => leadVerdict(250)],
    ['! lead of 600 mg/kg?', 'nothing-to-eat', () => leadVerdict(600)],
  ]),
  ...from('Colorado State and UC ANR on lowering soil pH: free lime uses up sulfur; test with vinegar above 7.5', [
    ['sulfur at pH 8, not tested for lime?', 'ask', () => sulfur(8)],
    ['sulfur at pH 8 in soil that fizzes?', 'refused', () => sulfur(8, true)],
    ['sulfur at pH 8 in soil that does not?', 'sulfur', () => sulfur(8, false)],
    ['sulfur at pH 7.3?', 'sulfur', () => sulfur(7.3)],
  ]),
  ...from('Any text on trials: without a comparison group nothing is shown', [
    ['better in 1 of 1: does it help?', 'tried once, too few to judge', () => rateInWords(rateOf(1, 1))],
    ['better in 6 of 7?', true, () => /plants left alone may do so too/.test(rateInWords(rateOf(6, 7)))],
  ]),
];
