import { CLAIMS, claimIn, VERDICTS } from '../../src/claims/index.js';

test.each([
  ['Put egg shells round it', 'eggshells'],
  ['eggshells', 'eggshells'],
  ['A tablespoon of Epsom salt', 'epsom-sweet'],
  ['Epsom salt against the dark ends', 'epsom-ber'],
  ['poured vinegar water', 'vinegar'],
  ['Dish soap and water', 'dish-soap'],
  ['coffee grounds round the stem', 'coffee-grounds'],
  ['urine, one to ten', 'kitchen-drench'],
  // the same thing against something else is another claim
  ['milk against mildew', 'milk-mildew'],
  ['copper wire against slugs', 'copper-tape'],
  ['copper wire through the stem', 'copper-coin'],
  ['baking soda spray', 'baking-soda-spray'],
  ['baking soda round the roots', 'baking-soda-soil'],
  ['tobacco tea', 'tobacco-tea'],
  ['a handful of wood ash', 'wood-ash'],
  ['hydrogen peroxide drench', 'peroxide'],
  ['hydrated lime', 'hydrated-lime'],
  ['moth balls along the fence', 'mothballs'],
  ['aspirin in the water', 'aspirin'],
  ['fertiliser before rain', 'feed-before-rain'],
  ['fed it before the rain', 'feed-before-rain'],
  ['watered in full sun', 'sun-watering'],
  ['banana peel in the hole', 'banana-peel'],
  ['planted by the moon', 'moon'],
  ['dill as a trap', 'dill-trap'],
  ['they outgrow every cage', 'vines-outgrow-cages'],
  ['more leaf, more sugar', 'leaf-sugar'],
  ['sowed French marigolds between', 'marigold'],
  ['pushed a penny into the stem', 'copper-coin'],
  ['gave a double dose', 'more-feed'],
  ['watered with milk', 'milk-chalk'],
])('"%s" is %s', (text, code) => {
  expect(claimIn(text)?.code).toBe(code);
});

test.each([
  'Watered in the evening',
  'tomato feed',
  'Insecticidal soap',
  'Copper fungicide',
  'Potassium bicarbonate',
  'Compost',
  'milkweed seen',
  'washed the tools in skimmed milk',
  'lashed to a cane',
  'Taller than the door, and not one fruit.',
])('"%s" claims nothing', (text) => {
  expect(claimIn(text)).toBeUndefined();
});

test('every claim has a verdict, a reason, a better alternative and a source; harm is never called help', () => {
  expect(new Set(CLAIMS.map((c) => c.code)).size).toBe(CLAIMS.length);
  for (const c of CLAIMS) {
    expect(VERDICTS).toContain(c.verdict);
    for (const told of [c.claim, c.reason, c.instead, c.source]) expect(told.length).toBeGreaterThan(5);
  }
  const harmful = CLAIMS.filter((c) => c.verdict === 'harmful').map((c) => c.code);
  expect(harmful).toEqual(
    expect.arrayContaining([
      'epsom-ber',
      'vinegar',
      'baking-soda-soil',
      'more-feed',
      'wilted-thirsty',
      'tobacco-tea',
      'hydrated-lime',
      'mothballs',
      'dish-soap',
    ]),
  );
});
