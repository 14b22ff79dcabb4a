import { addDays, METRIC_FORMAT } from '@candid-leaf/core/units';
import {
  feedInWords,
  feedPlan,
  type FeedQuestion,
  holdForDose,
  leadOf,
  nitrogenLeads,
  overDoseFaults,
  soilSupplyG,
} from '../../src/nutrition/index.js';
import { feedProduct, plentyIn } from '../../src/care/index.js';
import { STARTERS } from '../../src/products/index.js';
import { ASOF } from '../helpers.js';
import { fedBefore, feedQuestion } from '../questions.js';

const fed = (back: number, more: object = {}) => fedBefore(ASOF, back, more);
const q = (more: Partial<FeedQuestion> = {}): FeedQuestion =>
  feedQuestion(ASOF, { hottest: { day: ASOF, tMaxC: 26 }, waterOn: addDays(ASOF, 2), ...more });

test('none recorded does not mean none given: nothing is ordered, it is asked; "0 g" is an answer', () => {
  expect(feedPlan(q({ fed: [] }))).toEqual({ kind: 'ask' });
  expect(feedPlan(q({ fed: [fed(3, { grams: 0 })] }))).toMatchObject({ kind: 'feed', on: ASOF, reason: 'first-fruit' });
});

test('beds from first fruit every 3 to 4 weeks, pots every 2 weeks in full growth (handbook); slow release later', () => {
  const bed = feedPlan(q({ fed: [fed(10)] }));
  expect(bed).toMatchObject({ kind: 'feed', reason: 'rhythm', lead: 'potash', hold: null });
  const days = bed.kind === 'feed' ? bed.everyDays! : 0;
  expect(days).toBeGreaterThanOrEqual(21);
  expect(days).toBeLessThanOrEqual(28);
  expect(bed).toMatchObject({ on: addDays(ASOF, days - 10) });
  expect(feedPlan(q({ isPot: true, stage: 'vegetative', fed: [fed(14)] }))).toMatchObject({
    on: ASOF,
    everyDays: 14,
    lead: 'balanced',
  });
  expect(feedPlan(q({ fed: [fed(10, { product: 'Blood meal', form: 'granular' })] }))).toMatchObject({
    on: addDays(ASOF, 32),
  });
});

test('a bed needs none until the first fruit; young roots, late plants and healthy peppers in bloom are not fed', () => {
  expect(feedPlan(q({ stage: 'flowering' }))).toMatchObject({ kind: 'rest', because: 'enough-at-start' });
  expect(feedPlan(q({ stage: 'vegetative', isPot: true, plantedOn: addDays(ASOF, -12) }))).toEqual({
    kind: 'rest',
    because: 'young',
    until: addDays(ASOF, 9),
  });
  expect(feedPlan(q({ stage: 'late' }))).toMatchObject({ kind: 'rest', because: 'late' });
  expect(feedPlan(q({ crop: 'pepper', stage: 'flowering', isPot: true, fed: [fed(30)] }))).toMatchObject({
    kind: 'rest',
    because: 'bloom',
  });
  // the other school: potassium from the first flower on, in a bed too; a tomato's bed waits all the same
  const bloom = { crop: 'pepper', stage: 'flowering', pepperFeed: 'bloom' } as const;
  expect(feedPlan(q(bloom))).toMatchObject({ kind: 'feed', on: ASOF, lead: 'potash' });
  expect(feedPlan(q({ ...bloom, fed: [fed(0, { grams: 0 })] }))).toMatchObject({ reason: 'bloom' });
  expect(feedPlan(q({ ...bloom, crop: 'tomato' }))).toMatchObject({ kind: 'rest' });
  // a tomato in a pot goes on
  expect(feedPlan(q({ stage: 'flowering', isPot: true, fed: [fed(30)] }))).toMatchObject({ kind: 'feed', on: ASOF });
});

test('pale at bloom: a light feed as a trial, checked a week later before more', () => {
  const pale = { crop: 'pepper' as const, stage: 'flowering' as const, isPot: true, paleOn: ASOF };
  expect(feedPlan(q({ ...pale, fed: [fed(30)] }))).toMatchObject({
    kind: 'feed',
    on: ASOF,
    reason: 'pale',
    strength: 0.5,
    lead: 'balanced',
  });
  expect(feedPlan(q({ ...pale, paleOn: addDays(ASOF, -4), fed: [fed(30), fed(3)] }))).toEqual({
    kind: 'look',
    on: addDays(ASOF, 4),
    fedOn: addDays(ASOF, -3),
  });
  // nobody has looked since: the look stays; seen pale again after a week, it is fed again
  expect(feedPlan(q({ ...pale, paleOn: addDays(ASOF, -10), fed: [fed(30), fed(9)] }))).toEqual({
    kind: 'look',
    on: addDays(ASOF, -2),
    fedOn: addDays(ASOF, -9),
  });
  expect(feedPlan(q({ ...pale, fed: [fed(30), fed(9)] }))).toMatchObject({ kind: 'feed', reason: 'pale' });
  // pale in wet soil is drowned, not hungry
  expect(feedPlan(q({ ...pale, wet: true, fed: [fed(30)] }))).toMatchObject({ kind: 'rest' });
});

test('the starter feed: balanced with compost, by the method, or as the test says', () => {
  const planted = { plantedOn: addDays(ASOF, -1), stage: 'establishing' as const, fed: [] };
  const lead = (more: object) => {
    const p = feedPlan(q({ ...planted, ...more }));
    return p.kind === 'feed' ? [p.reason, p.lead] : p.kind;
  };
  expect(lead({})).toEqual(['starter', 'balanced']);
  expect(lead({ method: 'nitrogen-led' })).toEqual(['starter', 'nitrogen']);
  expect(lead({ method: 'phosphorus-led' })).toEqual(['starter', 'phosphorus']);
  expect(lead({ test: { phosphorus: 'low' } })).toEqual(['starter', 'phosphorus']);
  expect(lead({ test: { nitrogen: 'low' }, method: 'by-test' })).toEqual(['starter', 'nitrogen']);
  expect(lead({ plantedOn: addDays(ASOF, -11) })).toBe('ask');
});

test.each([
  ['heat', { hottest: { day: addDays(ASOF, 1), tMaxC: 39 } }, addDays(ASOF, 2), /39 °C is forecast/],
  ['dry', { left: 0.1 }, addDays(ASOF, 2), /Water first/],
  ['wet', { wet: true }, addDays(ASOF, 1), /waterlogged/],
  ['rain', { washing: { day: addDays(ASOF, 2), rainMm: 60 } }, addDays(ASOF, 3), /60 mm of rain .* groundwater/],
  [
    'paused',
    { paused: { until: addDays(ASOF, 12), because: 'fertiliser burn' } },
    addDays(ASOF, 12),
    /fertiliser burn/,
  ],
  ['nitrogen', { fed: [fed(6, { n: 20, grams: 20 })] }, addDays(ASOF, 24), /4 g of nitrogen in 30 days/],
] as const)('held by %s, until a day and with the reason', (kind, more, until, words) => {
  const plan = feedPlan(q(more));
  expect(plan).toMatchObject({ kind: 'feed', on: until, hold: { kind, until } });
  expect(feedInWords(plan, ASOF, METRIC_FORMAT).replaceAll('\u00a0', ' ')).toMatch(words);
});

test('above 30 °C it is fed half strength, twice as often; dry soil that is watered today is fed after that', () => {
  const short = Array.from({ length: 43 }, () => -1);
  const warm = feedPlan(q({ isPot: true, fed: [fed(4)], hottest: { day: ASOF, tMaxC: 34 }, leftG: () => short }));
  expect(warm).toMatchObject({ kind: 'feed', on: ASOF, strength: 0.5, warmC: 34, everyDays: 4, hold: null });
  expect(feedInWords(warm, ASOF, METRIC_FORMAT)).toMatch(/half strength twice as often/);
  expect(feedPlan(q({ left: 0.1, waterOn: ASOF }))).toMatchObject({ on: ASOF, hold: null });
});

test('the nitrogen decides how often: weekly at most in a pot if it would run short, a week later than usual if it lasts for weeks', () => {
  const every = (more: Partial<FeedQuestion>) => {
    const p = feedPlan(q({ fed: [fed(1)], ...more }));
    return p.kind === 'feed' ? p.everyDays : null;
  };
  const lasts = Array.from({ length: 43 }, () => 1);
  // 10 g of 4 % are 0.4 g each time
  const falls = (perDay: number) => lasts.map((g, i) => g - perDay * i);
  const pot = [-1, 0.4 / 7, 0.4 / 10, 0].map((perDay) =>
    every({ isPot: true, leftG: () => (perDay < 0 ? lasts.map(() => -1) : falls(perDay)) }),
  );
  expect(pot).toEqual([7, 7, 11, 21]);
  expect(every({ isPot: true, leftG: () => null })).toBe(14);
  // more than the shortest rhythm gives is needed only in five weeks: it begins now
  const later = lasts.map((g, i) => g - Math.max(0, i - 30) * 0.2);
  expect(every({ isPot: true, leftG: () => later })).toBe(7);
  expect([falls(0.4 / 14), falls(0.4 / 30), lasts].map((g) => every({ leftG: () => g }))).toEqual([23, 25, 25]);
});

test('a garden soil gives about 6 to 10 g of nitrogen per m² in a season, a fresh mix 0.1 g per litre (from memory)', () => {
  const bed = soilSupplyG({ kind: 'ground' }, 0.4, null);
  expect(bed(0)).toBeCloseTo(1.2, 9);
  expect(bed(120)).toBeCloseTo(3.6, 9);
  expect(soilSupplyG({ kind: 'ground' }, 0.4, 'low')(120)).toBeCloseTo(bed(120) / 2, 9);
  expect(soilSupplyG({ kind: 'ground' }, 9, null)(0)).toBe(1.5);
  expect(soilSupplyG({ kind: 'container', volumeL: 20 }, 0.07, null)(100)).toBe(2);
});

test('a dose waits until it may be recorded: what is proposed is never refused', () => {
  for (const at of [
    { isPot: true, potLitres: null },
    { isPot: true, potLitres: 12 },
    { isPot: false, potLitres: null },
  ])
    for (const [back, grams] of [
      [2, 50],
      [9, 70],
      [13, 74],
      [27, 60],
      [1, 5],
    ] as const) {
      const earlier = [fed(back, { grams }), fed(back + 3, { grams: 20 })];
      const dose = fed(0, { grams: 20 });
      const hold = holdForDose(dose, earlier, at, ASOF);
      const refused = (date: string) =>
        overDoseFaults({ ...dose, date }, { ...at, earlier, labelGrams: null }, '').length > 0;
      expect(hold !== null).toBe(refused(ASOF));
      if (hold) expect([refused(hold.until), refused(addDays(hold.until, -1))]).toEqual([false, true]);
    }
});

test('nothing is ever fed into heat, drought, standing water or a pause', () => {
  for (const stage of ['establishing', 'vegetative', 'flowering', 'fruiting', 'ripening', 'late'] as const)
    for (const crop of ['tomato', 'pepper'] as const)
      for (const paleOn of [ASOF, null])
        for (const hold of [
          { hottest: { day: ASOF, tMaxC: 38 } },
          { left: 0.05 },
          { wet: true },
          { washing: { day: addDays(ASOF, 1), rainMm: 60 } },
          { paused: { until: addDays(ASOF, 5), because: 'x' } },
        ]) {
          const plan = feedPlan(q({ stage, crop, paleOn, isPot: true, fed: [fed(50)], ...hold }));
          if (plan.kind === 'feed') expect(plan.on > ASOF).toBe(true);
        }
});

test('a soil test decides, whatever the school likes', () => {
  const planted = { plantedOn: ASOF, fed: [], stage: 'establishing' as const };
  const lead = (more: Partial<FeedQuestion>) => {
    const p = feedPlan(q({ ...planted, ...more }));
    return p.kind === 'feed' ? p.lead : p.kind;
  };
  expect(lead({ method: 'phosphorus-led' })).toBe('phosphorus');
  expect(lead({ method: 'phosphorus-led', test: { phosphorus: 'high' } })).toBe('balanced');
  expect(lead({ method: 'nitrogen-led', test: { nitrogen: 'high' } })).toBe('balanced');
  expect(lead({ method: 'by-test', test: { potassium: 'low' } })).toBe('potash');
  expect(feedPlan(q({ test: { potassium: 'high' } }))).toMatchObject({ lead: 'balanced' });
  // salts: half from 2.5 dS/m, none from 4 on, with the way out
  expect(feedPlan(q({ test: { saltsDsPerM: 2.4 } }))).toMatchObject({ strength: 1, hold: null });
  expect(feedPlan(q({ test: { saltsDsPerM: 2.5 } }))).toMatchObject({ strength: 0.5, hold: null });
  const salty = feedPlan(q({ test: { saltsDsPerM: 4 } }));
  expect(salty).toMatchObject({ hold: { kind: 'salty', until: addDays(ASOF, 5) } });
  expect(feedInWords(salty, ASOF, METRIC_FORMAT)).toMatch(/Leach them first/);
  expect(plentyIn({ phosphorus: 'high', potassium: 'ok' })).toEqual(['p2o5']);
  const choose = (plenty: ReturnType<typeof plentyIn>, lead: 'phosphorus' | 'potash' | 'balanced') =>
    feedProduct(STARTERS, { lead, isPot: false, organicOnly: false, inBloomOrFruit: false, plenty })!;
  expect(choose([], 'phosphorus').id).toBe('bone-meal');
  for (const lead of ['phosphorus', 'potash', 'balanced'] as const) {
    const p = choose(['p2o5'], lead);
    expect([lead, p.p2o5 <= Math.max(p.n, p.k2o)]).toEqual([lead, true]);
    const k = choose(['k2o'], lead);
    expect([lead, k.k2o <= Math.max(k.n, k.p2o5)]).toEqual([lead, true]);
  }
});

test('half strength after burnt tips and for lush plants', () => {
  expect(feedPlan(q({ burnt: true }))).toMatchObject({ strength: 0.5 });
  expect(feedPlan(q({ lush: true }))).toMatchObject({ strength: 0.5 });
  expect(feedPlan(q())).toMatchObject({ strength: 1 });
});

test('the leading nutrient of a label', () => {
  expect([
    leadOf({ n: 12, p2o5: 0, k2o: 0 }),
    leadOf({ n: 5, p2o5: 10, k2o: 10 }),
    leadOf({ n: 3, p2o5: 15, k2o: 0 }),
    leadOf({ n: 4, p2o5: 3, k2o: 8 }),
    leadOf({ n: 4, p2o5: 4, k2o: 4 }),
  ]).toEqual(['nitrogen', 'balanced', 'phosphorus', 'potash', 'balanced']);
  expect([nitrogenLeads({ n: 5, p2o5: 1, k2o: 1 }), nitrogenLeads({ n: 5, p2o5: 5, k2o: 1 })]).toEqual([true, false]);
});
