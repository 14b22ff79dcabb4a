import type { Spraying } from '../../src/records/record-classes.js';
import {
  conflictOf,
  copperGrams,
  copperTotal,
  enterFrom,
  pickFrom,
  sprayGates,
  type SprayQuestion,
  waitFaults,
} from '../../src/spray/index.js';
import { addDays, type Day } from '../../src/units/index.js';
import { mildDays, sprayQuestion } from '../questions.js';
import { from } from './row.js';

const ON = '2026-07-10';
const days = (...differ: object[]) => mildDays(ON, ...differ);
const ask = (spray: Spraying['product'], more: Partial<SprayQuestion> = {}): string[] =>
  sprayGates(
    sprayQuestion(ON, {
      spray,
      label: { everyDays: 7, mostUses: 4, harvestDays: 3, reentryHours: 12, organic: true },
      ...more,
    }),
  ).map((g) => g.gate);
const may =
  (spray: Spraying['product'], more: Partial<SprayQuestion> = {}) =>
  () =>
    ask(spray, more).length === 0 ? 'yes' : 'no';
const on = (product: Spraying['product'], back: number, more: object = {}) => ({
  product,
  date: addDays(ON, -back),
  ...more,
});
const mixed = (date: Day): Spraying => ({ date, product: 'copper', perLitre: 4, batchL: 5, copperPct: 30 });
const open = { flowersOpen: true };

/** Sprays: heat, frost, bees, rain, wind, mixing, waits. */
export const SPRAYS = [
  ...from(
    'UC IPM Pest Notes 7406 (powdery mildew on vegetables): no oil or sulfur near 32 °C, nor to drought-stressed plants',
    [
      ['! sulfur at 33 °C?', 'no', may('sulfur', { ahead: days({ tMaxC: 33 }) })],
      ['! sulfur today, 31 °C tomorrow?', 'no', may('sulfur', { ahead: days({}, { tMaxC: 31 }) })],
      ['! sulfur today, 34 °C the day after tomorrow?', 'no', may('sulfur', { ahead: days({}, {}, { tMaxC: 34 }) })],
      [
        'sulfur in a week of 26 °C?',
        'yes',
        may('sulfur', { ahead: days({ tMaxC: 26 }, { tMaxC: 26 }, { tMaxC: 26 }) }),
      ],
      ['! neem oil with 32 °C tomorrow?', 'no', may('neem', { ahead: days({}, { tMaxC: 32 }) })],
      ['! horticultural oil on a hot day, 35 °C?', 'no', may('oil', { ahead: days({ tMaxC: 35 }) })],
      ['! oil on a plant short of water?', 'no', may('oil', { thirsty: true })],
      ['! sulfur on a plant short of water?', 'no', may('sulfur', { thirsty: true })],
      ['soap in a mild evening?', 'yes', may('soap')],
      ['! soap at midday in the sun?', 'no', may('soap', { hour: 'midday' })],
      ['BT on a hot day?', 'yes', may('bt', { ahead: days({ tMaxC: 36, tMinC: 22 }) })],
    ],
  ),
  ...from('UC IPM Pest Notes 7406 and labels: two weeks, better four, between oil and sulfur, in either order', [
    ['! sulfur ten days after oil?', 'no', may('sulfur', { earlier: [on('oil', 10)] })],
    ['! oil ten days after sulfur?', 'no', may('oil', { earlier: [on('sulfur', 10)] })],
    ['! neem twenty days after sulfur?', 'no', may('neem', { earlier: [on('sulfur', 20)] })],
    ['oil a month after sulfur?', 'yes', may('oil', { earlier: [on('sulfur', 31)] })],
    ['do soap and BT conflict?', undefined, () => conflictOf('soap', 'bt')],
    ['! two sprays on one day?', 'no', may('soap', { earlier: [on('bt', 0)] })],
  ]),
  ...from('labels of horticultural oils: not when frost is expected within a day', [
    ['! oil before a night of 0 °C?', 'no', may('oil', { ahead: days({}, { tMinC: 0 }) })],
    ['! sulfur in a night of 1 °C?', 'no', may('sulfur', { ahead: days({ tMinC: 1 }) })],
    ['soap before a night of 5 °C?', 'yes', may('soap', { ahead: days({}, { tMinC: 5 }) })],
  ]),
  ...from('PNW 591, How to Reduce Bee Poisoning from Pesticides (residual times)', [
    ['! spinosad in the evening, flowers open?', 'no', may('spinosad', open)],
    ['! spinosad at dawn, flowers open?', 'no', may('spinosad', { ...open, hour: 'dawn' })],
    ['! a broad insecticide in the evening, flowers open?', 'no', may('broad-insecticide', open)],
    ['! an unknown product, flowers open?', 'no', may('other', open)],
    ['! pyrethrin in the morning, flowers open?', 'no', may('pyrethrin', { ...open, hour: 'dawn' })],
    ['pyrethrin after sunset, flowers open?', 'yes', may('pyrethrin', open)],
    ['soap before bees fly, flowers open?', 'yes', may('soap', { ...open, hour: 'dawn' })],
    ['! soap at midday, flowers open?', 'no', may('soap', { ...open, hour: 'midday' })],
    ['spinosad on a seedling without flowers?', 'yes', may('spinosad')],
    ['BT in the evening, flowers open?', 'yes', may('bt', open)],
  ]),
  ...from('labels: rainfast only after drying; spray drift guidance: up to 4 m/s', [
    ['soap before 35 mm at 56 %?', 'no', may('soap', { ahead: days({}, { rainMm: 35, rainChancePct: 56 }) })],
    ['soap before 3 mm at 30 %?', 'no', may('soap', { ahead: days({}, { rainMm: 3, rainChancePct: 30 }) })],
    ['soap before 1 mm at 90 %?', 'yes', may('soap', { ahead: days({}, { rainMm: 1, rainChancePct: 90 }) })],
    ['soap before 5 mm at 10 %?', 'yes', may('soap', { ahead: days({}, { rainMm: 5, rainChancePct: 10 }) })],
    ['! any spray in wind of 6 m/s?', 'no', may('bt', { ahead: days({ windMs: 6 }) })],
    ['a spray in a glasshouse while it rains?', 'yes', may('soap', { enclosed: true, ahead: days({ rainMm: 20 }) })],
    ['! any spray beside a pond?', 'no', may('copper', { pondNear: true })],
  ]),
  ...from('IRAC and FRAC guidance on resistance: no third use in a row of one group', [
    [
      'spinosad a third time in a row?',
      'no',
      may('spinosad', {
        label: { everyDays: null, mostUses: null, harvestDays: 1, reentryHours: 4, organic: true },
        earlier: [on('spinosad', 16), on('spinosad', 8)],
      }),
    ],
    ['spinosad after BT?', 'yes', may('spinosad', { earlier: [on('spinosad', 16), on('bt', 8)] })],
    ['soap a third time in a row (no group)?', 'yes', may('soap', { earlier: [on('soap', 16), on('soap', 8)] })],
    ['phosphonate within 20 days of copper?', 'no', may('phosphonate', { earlier: [on('copper', 15)] })],
  ]),
  ...from('pesticide law of most countries: the label sets interval, number of uses and waiting time', [
    ['! again after 5 days, the label says 7?', 'no', may('soap', { earlier: [on('soap', 5)] })],
    ['! a fifth time, the label allows 4?', 'no', may('soap', { earlier: [60, 45, 30, 15].map((b) => on('soap', b)) })],
    ['! three days’ wait, picking in two?', 'no', may('soap', { pickOn: addDays(ON, 2) })],
    ['three days’ wait, picking in three?', 'yes', may('soap', { pickOn: addDays(ON, 3) })],
    [
      '! in again 26 hours after 21:00, the night the clocks go forward?',
      addDays(ON, 2),
      () => enterFrom({ date: ON, hour: 21 }, 26).day,
    ],
    [
      '! pick two days after copper with a wait of three?',
      1,
      () => waitFaults(ON, undefined, [on('copper', 2, { harvestDays: 3 })], '').length,
    ],
    ['pick three days after it?', 0, () => waitFaults(ON, undefined, [on('copper', 3, { harvestDays: 3 })], '').length],
    ['! pick a week after copper, wait unknown?', 1, () => waitFaults(ON, undefined, [on('copper', 7)], '').length],
    ['! is an unknown wait 0 days?', false, () => pickFrom({ date: ON, product: 'sulfur' }) === ON],
    ['pick after soap, which has no wait?', 0, () => waitFaults(ON, undefined, [on('soap', 0)], '').length],
    [
      '! an organic garden, a product not allowed there?',
      'no',
      may('other', {
        organicOnly: true,
        label: { everyDays: null, mostUses: null, harvestDays: 0, reentryHours: 0, organic: false },
      }),
    ],
  ]),
  ...from('Regulation (EU) 2018/1981: copper, 28 kg/ha in seven years, on average 4 kg/ha a year', [
    ['! copper where 0.41 g/m² went on in twelve months?', 'no', may('copper', { copperGPerM2: 0.41 })],
    ['copper where 0.3 g/m² went on?', 'yes', may('copper', { copperGPerM2: 0.3 })],
    ['soap where 0.41 g/m² of copper went on?', 'yes', may('soap', { copperGPerM2: 0.41 })],
    [
      'metal in 5 L with 4 g a litre of a product with 30 %?',
      6,
      () => copperGrams({ date: ON, product: 'copper', perLitre: 4, batchL: 5, copperPct: 30 }),
    ],
    [
      'metal on 12 m², g/m², from two such sprays, one of them thirteen months ago?',
      0.5,
      () =>
        copperTotal(
          [-10, -400].map((b) => mixed(addDays(ON, b))),
          12,
          ON,
        ).gPerM2,
    ],
    [
      '! is a spray of unknown strength counted as none?',
      1,
      () => copperTotal([{ date: ON, product: 'copper' }], 12, ON).unknown,
    ],
  ]),
];
