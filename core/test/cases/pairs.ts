import {
  BARE,
  BED,
  CLAY,
  cold,
  dry,
  every,
  feed,
  heatLately,
  hot,
  mild,
  on,
  PEPPER,
  POT,
  rainy,
  storm,
  TUB,
  TUNNEL,
  type Told,
} from './told.js';

/** Cases with the same signs, told apart by place, weather and records alone. */
export const PAIRS: readonly Told[] = [
  ...pair(
    'limp and yellowing',
    'water and weather',
    ['leaf-wilt', 'leaf-yellow-fast', 'pest-none-found'],
    [
      {
        name: 'in a pot nobody watered',
        place: POT,
        weather: hot,
        records: { watering: [{ date: on(6), litres: 3 }] },
        truth: ['dry-wilt'],
        driver: 'dry-spell',
      },
      {
        name: 'in clay watered daily',
        place: CLAY,
        weather: rainy,
        records: { watering: every(1, 5) },
        truth: ['waterlogging'],
        driver: 'overwatering',
        never: ['water-now'],
      },
    ],
  ),
  ...pair(
    'limp in the afternoon, damp soil',
    'water and weather',
    ['leaf-wilt', 'soil-damp-deep', 'pest-none-found'],
    [
      {
        name: 'at 36 degrees',
        weather: hot,
        records: { watering: every(2, 6) },
        truth: ['heat-wilt'],
        driver: 'hot-days',
        never: ['water-now'],
      },
      {
        name: 'a week after planting, in mild weather',
        plant: { stage: 'establishing', heightM: 0.3, transplantedOn: on(6) },
        records: { watering: every(2, 2, 'base', 6) },
        truth: ['transplant-shock'],
      },
    ],
  ),
  ...pair(
    'bleached dry patches',
    'water and weather',
    ['leaf-bleached-patches', 'where-exposed-side', 'pest-none-found'],
    [
      {
        name: 'planted out unhardened',
        plant: { stage: 'establishing', heightM: 0.3, transplantedOn: on(7) },
        weather: heatLately,
        records: { watering: every(2, 3, 'base', 8) },
        truth: ['leaf-sunburn'],
      },
      {
        name: 'soap at 34 degrees',
        weather: hot,
        records: { watering: every(2, 6), sprays: [{ date: on(3), product: 'soap', tMaxC: 34 }] },
        truth: ['spray-injury'],
        driver: 'wrong-spray-mix',
        never: ['soap-spray'],
      },
    ],
  ),
  ...pair(
    'purple underneath and slow',
    'nutrition',
    ['leaf-purple-under', 'plant-no-new-growth', 'pest-none-found'],
    [
      {
        name: 'planted out into nights of 7 degrees',
        weather: cold,
        plant: { transplantedOn: on(30), stage: 'vegetative', heightM: 0.4 },
        truth: ['cold-check'],
        driver: 'cold-nights',
        never: ['phosphorus-feed'],
      },
      {
        name: 'in warmth, test low',
        place: { ...BED, soilTest: { date: '2026-04-01', pH: 6.4, phosphorus: 'low' } },
        weather: dry,
        records: { watering: every(2, 6), feeding: [feed(15, 8, 0, 6, 25)] },
        truth: ['phosphorus-shortage'],
      },
    ],
  ),
  ...pair(
    'flowers fall, many are open',
    'flower',
    ['flower-drop', 'flower-many-open', 'pest-none-found'],
    [
      { name: 'on a tomato in mild weather', truth: ['natural-flower-shedding'], harmless: true },
      {
        name: 'on a pepper in mild weather',
        plant: { ...PEPPER, stage: 'flowering' },
        truth: ['natural-flower-shedding'],
        harmless: true,
      },
    ],
  ),
  ...pair(
    'flowers fall',
    'flower',
    ['flower-drop', '-leaf-dark-lush', 'pest-none-found'],
    [
      {
        name: 'in a week of 36 degrees',
        weather: hot,
        records: { watering: every(1, 4) },
        truth: ['blossom-drop'],
        driver: 'hot-days',
      },
      { name: 'in a week of cold nights', weather: cold, truth: ['blossom-drop'], driver: 'cold-nights' },
      {
        name: 'in a pot that ran dry twice',
        place: POT,
        weather: dry,
        records: { watering: every(6, 9) },
        truth: ['blossom-drop'],
        driver: 'dry-spell',
      },
    ],
  ),
  ...pair(
    'older leaves pale',
    'nutrition',
    ['leaf-yellow-whole-old', 'where-lower-leaves', 'pest-none-found'],
    [
      {
        name: 'ten weeks unfed in a pot',
        place: TUB,
        records: { watering: every(1, 3) },
        truth: ['nitrogen-shortage'],
        driver: 'underfeeding',
      },
      {
        name: 'a bed washed out by rain',
        place: { ...BED, texture: 'sand' },
        weather: rainy,
        records: { watering: every(2, 9), feeding: [feed(50, 6, 4, 6, 30)] },
        truth: ['nitrogen-shortage'],
        driver: 'leaching',
      },
    ],
  ),
  ...pair(
    'a few old leaves yellow',
    'natural and mechanical',
    ['leaf-yellow-slow-few', 'where-lower-leaves', '-leaf-small-grey-spots', 'pest-none-found'],
    [
      {
        name: 'on a bearing tomato',
        records: { watering: every(3, 7), feeding: [feed(14, 4, 4, 8, 25)] },
        truth: ['leaf-ageing'],
        harmless: true,
        never: ['nitrogen-feed', 'copper-spray'],
      },
      {
        name: 'on a bearing pepper in a tub',
        place: TUB,
        plant: PEPPER,
        records: { watering: every(1, 2), feeding: [feed(12, 4, 4, 8, 15)] },
        truth: ['leaf-ageing'],
        harmless: true,
      },
      {
        name: 'late in the season, unpruned',
        plant: { stage: 'late', heightM: 1.7 },
        records: { watering: every(3, 7), feeding: [feed(20, 4, 4, 8, 25)] },
        truth: ['leaf-ageing'],
        harmless: true,
      },
    ],
  ),
  ...pair(
    'rolled upward, firm',
    'water and weather',
    ['leaf-roll-up', 'pest-none-found', '-leaf-mottle'],
    [
      {
        name: 'in the heat',
        weather: hot,
        records: { watering: every(1, 5) },
        truth: ['leaf-roll'],
        driver: 'hot-days',
        harmless: true,
        never: ['soap-spray'],
      },
      {
        name: 'after a hard cut',
        records: { watering: every(3, 7), pruning: [{ date: on(6), cuts: 14, leafSharePct: 35 }] },
        truth: ['leaf-roll'],
        driver: 'over-pruning',
        harmless: true,
      },
      {
        name: 'on a bush heavy with fruit',
        plant: { habit: 'determinate' },
        weather: dry,
        records: { watering: every(2, 7) },
        truth: ['leaf-roll'],
        harmless: true,
      },
    ],
  ),
  ...pair(
    'dark ends',
    'fruit',
    ['fruit-blossom-end-dark', 'where-first-fruits', '-fruit-patch-sun-side'],
    [
      {
        name: 'a pot swinging between wet and dry',
        place: POT,
        weather: dry,
        records: { watering: every(5, 9) },
        truth: ['blossom-end-rot'],
        driver: 'uneven-watering',
        never: ['lime-drench', 'nitrogen-feed'],
      },
      {
        name: 'a dry unwatered bed',
        place: BARE,
        weather: dry,
        records: { watering: every(15, 5) },
        truth: ['blossom-end-rot'],
        driver: 'dry-spell',
        never: ['lime-drench'],
      },
      {
        name: 'a steady tub on sour mix',
        place: { ...TUB, soilTest: { date: '2026-04-01', pH: 5.2, calcium: 'low' } },
        weather: dry,
        records: { watering: every(1, 2.6) },
        truth: ['blossom-end-rot'],
        driver: 'low-calcium',
      },
      {
        name: 'a steady bed, far overfed',
        records: { feeding: [feed(18, 21, 0, 0, 30), feed(7, 21, 0, 0, 30)] },
        truth: ['blossom-end-rot'],
        driver: 'excess-nitrogen',
        never: ['nitrogen-feed'],
      },
    ],
  ),
  ...pair(
    'splits',
    'fruit',
    ['fruit-radial-cracks', '-fruit-slime', '-fruit-pecked'],
    [
      {
        name: 'after the storm',
        place: BARE,
        plant: { stage: 'ripening' },
        weather: storm,
        records: { watering: [{ date: on(18), litres: 6 }] },
        truth: ['radial-cracking'],
        driver: 'dry-then-wet',
      },
      {
        name: 'in heat, laid bare by the knife',
        plant: { stage: 'ripening' },
        weather: hot,
        records: { watering: every(1, 5), pruning: [{ date: on(8), cuts: 12, leafSharePct: 40 }] },
        truth: ['radial-cracking'],
        driver: 'leaf-loss-by-pruning',
        never: ['thin-for-air'],
      },
    ],
  ),
  ...pair(
    'tight new leaves',
    'creatures',
    ['leaf-curl-tight-new', 'where-new-growth', 'leaf-sticky', 'pest-aphids'],
    [
      {
        name: 'overfed',
        records: { feeding: [feed(15, 20, 5, 5, 40)] },
        truth: ['aphids'],
        driver: 'excess-nitrogen',
        never: ['nitrogen-feed', 'copper-spray'],
      },
      {
        name: 'in a tunnel',
        place: TUNNEL,
        records: { watering: every(2, 5), feeding: [feed(20, 4, 4, 8, 20)] },
        truth: ['aphids'],
      },
    ],
  ),
  ...pair(
    'scorched tips',
    'nutrition',
    ['leaf-tip-burn', 'where-whole-plant', 'pest-none-found'],
    [
      {
        name: 'a pot fed three times in ten days',
        place: POT,
        records: {
          watering: every(1, 2.5),
          feeding: [feed(10, 12, 6, 8, 15), feed(6, 12, 6, 8, 15), feed(2, 12, 6, 8, 15)],
        },
        truth: ['fertilizer-burn'],
        driver: 'salt-buildup',
        never: ['light-feed', 'nitrogen-feed'],
      },
      {
        name: 'salts high by test',
        place: { ...TUB, soilTest: { date: '2026-07-05', pH: 6.4, saltsDsPerM: 4.1 } },
        records: { watering: every(1, 3) },
        truth: ['fertilizer-burn'],
        driver: 'salt-buildup',
        never: ['light-feed'],
      },
    ],
  ),
  ...pair(
    'narrow twisted tips',
    'natural and mechanical',
    ['leaf-strap-twist', 'where-new-growth', '-leaf-mottle', '-leaf-bronzed-under'],
    [
      {
        name: 'weedkiller over the fence',
        records: { sprays: [{ date: on(12), product: 'weedkiller-nearby' }] },
        truth: ['herbicide-injury'],
        driver: 'spray-drift',
        never: ['soap-spray'],
      },
      {
        name: 'on a pepper, weedkiller on the path',
        plant: PEPPER,
        records: { sprays: [{ date: on(9), product: 'weedkiller-nearby' }] },
        truth: ['herbicide-injury'],
        driver: 'spray-drift',
      },
    ],
  ),
];

function pair(
  name: string,
  group: Told['group'],
  signs: Told['signs'],
  members: readonly Omit<Told, 'group' | 'signs' | 'pair'>[],
): Told[] {
  return members.map((m) => ({ ...m, name: `${name}: ${m.name}`, group, signs, pair: name }));
}

/** Harmless things that worry people. */
export const HARMLESS: readonly Told[] = [
  {
    name: 'knobs on a planted-deep stem',
    group: 'natural and mechanical',
    signs: ['stem-root-bumps', '-stem-collar-rot', 'pest-none-found'],
    truth: ['stem-roots'],
    harmless: true,
    never: ['water-less'],
    weather: mild,
  },
  {
    name: 'knobs in a humid tunnel',
    group: 'natural and mechanical',
    place: TUNNEL,
    signs: ['stem-root-bumps', 'plant-dense'],
    truth: ['stem-roots'],
    harmless: true,
  },
  {
    name: 'cork lines on a hot pepper in a pot',
    group: 'fruit',
    place: TUB,
    plant: { ...PEPPER, type: 'hot' },
    signs: ['fruit-cork-lines', '-fruit-soft-sour', 'pest-none-found'],
    truth: ['pepper-corking'],
    harmless: true,
    records: { watering: every(1, 2) },
  },
  {
    name: 'purple shoulders after cool nights',
    group: 'fruit',
    plant: PEPPER,
    weather: cold,
    signs: ['fruit-dark-flush', '-fruit-sunken-round-spots', 'where-exposed-side'],
    truth: ['pepper-dark-flush'],
    harmless: true,
  },
];

/** Two troubles at once. */
export const DOUBLES: readonly Told[] = [
  two(
    'dry pot: dark ends and limp leaves',
    ['blossom-end-rot', 'dry-wilt'],
    ['fruit-blossom-end-dark', 'leaf-wilt', 'soil-dry-deep', 'leaf-recovers-after-water'],
    { place: POT, weather: dry, records: { watering: every(6, 8) }, driver: 'uneven-watering', never: ['water-less'] },
  ),
  two(
    'heat: limp at noon and flowers gone',
    ['heat-wilt', 'blossom-drop'],
    ['leaf-wilt-midday-only', 'soil-damp-deep', 'flower-drop', 'after-heat'],
    { weather: hot, records: { watering: every(1, 5) }, driver: 'hot-days', never: ['water-now'] },
  ),
  two(
    'spots below, dark ends above',
    ['early-blight', 'blossom-end-rot'],
    ['leaf-target-spots', 'where-lower-leaves', 'fruit-blossom-end-dark', 'where-first-fruits'],
    { place: BARE, weather: rainy, records: { watering: every(9, 9, 'overhead') } },
  ),
  two(
    'mites in a dry pot',
    ['spider-mites', 'dry-wilt'],
    ['leaf-stipple', 'leaf-webbing', 'pest-mites', 'leaf-wilt', 'soil-dry-deep'],
    { place: POT, weather: hot, records: { watering: every(4, 4) }, never: ['water-less'] },
  ),
  two(
    'whitefly and mould in a tunnel',
    ['whitefly', 'leaf-mould'],
    ['pest-whitefly', 'leaf-sticky', 'leaf-olive-mould-under', 'leaf-yellow-patches'],
    { place: TUNNEL, records: { watering: every(2, 5) } },
  ),
  two(
    'hornworm and splits',
    ['hornworm', 'ring-cracking'],
    ['pest-hornworm', 'leaf-large-missing', 'leaf-droppings', 'fruit-ring-cracks', 'after-rain'],
    {
      place: BARE,
      plant: { stage: 'ripening' },
      weather: storm,
      records: { watering: [{ date: on(20), litres: 6 }] },
      driver: 'dry-then-wet',
    },
  ),
  two(
    'slugs in the wet, and yellow sodden leaves',
    ['slugs', 'waterlogging'],
    ['fruit-slime', 'fruit-chewed', 'pest-slug', 'soil-wet-deep', 'leaf-yellow-mushy', 'soil-pooling'],
    { place: CLAY, weather: rainy, records: { watering: every(1, 4) }, never: ['water-now'] },
  ),
  two(
    'hungry and old',
    ['nitrogen-shortage', 'blossom-drop'],
    ['leaf-yellow-whole-old', 'pace-weeks', 'flower-drop', 'after-heat'],
    { place: TUB, weather: hot, records: { watering: every(1, 4) } },
  ),
  two(
    'stink bugs and sun',
    ['stink-bugs', 'sunscald'],
    ['fruit-cloudy-spots', 'pest-stink-bug', 'fruit-pale-papery-patch', 'fruit-patch-sun-side'],
    {
      plant: PEPPER,
      weather: heatLately,
      records: { watering: every(2, 4), pruning: [{ date: on(8), cuts: 12, leafSharePct: 40 }] },
      driver: 'leaf-loss-by-pruning',
      never: ['thin-for-air'],
    },
  ),
  two(
    'a fallen cage and broken leaves',
    ['support-failure', 'mechanical-damage'],
    ['plant-flopping', 'stem-tie-cutting', 'leaf-torn-exposed', 'stem-broken'],
    { records: { events: [{ date: on(1), what: 'strong-wind' }] }, driver: 'wind-or-hail' },
  ),
  two(
    'a virus and its carrier',
    ['mosaic-virus', 'aphids'],
    ['leaf-mottle', 'leaf-bubbled', 'pest-aphids', 'leaf-curl-tight-new', 'leaf-sticky'],
    {},
  ),
  two(
    'powder and lush leaves',
    ['powdery-mildew', 'nitrogen-excess'],
    ['leaf-white-powder', 'plant-dense', 'leaf-dark-lush', 'flower-few'],
    {
      plant: { stage: 'flowering' },
      weather: dry,
      records: { watering: every(2, 6), feeding: [feed(18, 20, 5, 5, 30), feed(5, 20, 5, 5, 30)] },
      driver: 'excess-nitrogen',
      never: ['nitrogen-feed'],
    },
  ),
  two(
    'fruitworm and dark ends',
    ['fruitworm', 'blossom-end-rot'],
    ['fruit-deep-hole', 'pest-caterpillar', 'fruit-blossom-end-dark', 'where-first-fruits'],
    { place: POT, weather: dry, records: { watering: every(5, 9) }, driver: 'uneven-watering' },
  ),
];

function two(name: string, truth: Told['truth'], signs: Told['signs'], more: Partial<Told>): Told {
  return { name, group: 'two at once', truth, signs, ...more };
}
