import { frostFreeSeason, growingYear, lastPlantingOut } from '../../src/season/index.js';
import { yearDates, rotationOf, secondCropIn, settingAgainst, spacingOf } from '../../src/planning/index.js';
import { cutFaults, cutPlan, type CutQuestion, cutsInWords, defaultTraining } from '../../src/pruning/index.js';
import { settingOutGate } from '../../src/setting-out/index.js';
import { supportPlan } from '../../src/support/index.js';
import { addDays, METRIC_FORMAT } from '../../src/units/index.js';
import { potSizeFor } from '../../src/water/index.js';
import { tapPlan } from '../../src/pollination/index.js';
import { cutQuestion } from '../questions.js';
import { from } from './row.js';

const TODAY = '2026-07-15';
const cuts = (more: Partial<CutQuestion> = {}) =>
  cutPlan(cutQuestion(TODAY, { pruned: [{ date: addDays(TODAY, -8) }], ...more }));
const kinds = (more: Partial<CutQuestion> = {}) => cuts(more).cuts.map((c) => c.kind);
const training = (more: object = {}) =>
  defaultTraining({ crop: 'tomato', habit: 'indeterminate', seasonDays: 190, hotShare: 0, disease: false, ...more })
    .training;

/** Gardens with their frosts, and what their season allows. */
const GARDENS = {
  Dublin: { latitude: 53.3, longitude: -6.3, elevationM: 20, lastFrost: '04-20', firstFrost: '11-05' },
  Milan: { latitude: 45.5, longitude: 9.2, elevationM: 120, lastFrost: '03-30', firstFrost: '11-10' },
  Minneapolis: { latitude: 45, longitude: -93.2, elevationM: 250, lastFrost: '05-05', firstFrost: '10-05' },
  Hobart: { latitude: -42.9, longitude: 147.3, elevationM: 20, lastFrost: '09-20', firstFrost: '05-20' },
  Oslo: { latitude: 59.9, longitude: 10.7, elevationM: 50, lastFrost: '05-10', firstFrost: '10-05' },
  Nairobi: { latitude: -1.3, longitude: 36.8, elevationM: 1700, lastFrost: null, firstFrost: null },
  Seville: { latitude: 37.4, longitude: -6, elevationM: 10, lastFrost: null, firstFrost: null },
} as const;
const band = (town: keyof typeof GARDENS, what: string, variety: object = { habit: 'indeterminate' }) => {
  const garden = GARDENS[town];
  const { bands } = yearDates({
    garden,
    mode: 'warm',
    season: growingYear(2026, garden.latitude),
    today: garden.latitude < 0 ? '2026-09-01' : '2026-03-01',
    variety: { crop: 'tomato', ...variety } as never,
  });
  return bands.find((b) => b.what === what) ?? null;
};
const BUSH = { habit: 'determinate', daysToMaturity: 65 };
const last = (town: keyof typeof GARDENS, what: string): string => band(town, what, BUSH)?.to ?? 'never';
const tropics = (latitude: number, longitude: number) =>
  frostFreeSeason({ latitude, longitude, elevationM: latitude === -1.3 ? 1800 : 20 }, []);
const inWindow = (latitude: number, longitude: number, month: string): boolean => {
  const { window } = tropics(latitude, longitude);
  return window !== null && window[0].slice(0, 2) <= month && month <= window[1].slice(0, 2);
};
/** As a station there records it: 24 to 40 °C. */
const DESERT_JUNE = Array.from({ length: 30 }, (_, i) => ({
  date: addDays('2025-06-01', i),
  tMinC: 24,
  tMaxC: 40,
  rainMm: 0,
}));
const against = (
  weak: object,
  latitude: number,
  longitude: number,
  plantOut: string,
  recorded: typeof DESERT_JUNE = [],
): number =>
  settingAgainst(
    {
      garden: { latitude, longitude, elevationM: 300 },
      variety: { name: 'X', crop: 'tomato', ...weak },
      plantOut,
      recorded,
    },
    METRIC_FORMAT,
  ).length;
const topped = (town: keyof typeof GARDENS, earliest: string, latest: string) => (): string => {
  const b = band(town, 'top');
  if (!b) return 'never';
  const mid = addDays(b.from, 7);
  return mid >= earliest && mid <= latest ? 'in time' : mid;
};
const gate = (crop: 'tomato' | 'pepper', nightC: number, soilC: number | null, more: object = {}) =>
  settingOutGate({
    crop,
    today: '2026-05-10',
    lastFrost: '2026-05-01',
    weather: Array.from({ length: 7 }, (_, i) => ({
      date: addDays('2026-05-10', i),
      tMinC: nightC,
      tMaxC: nightC + 11,
      rainMm: 0,
      windMs: 2,
    })),
    soil: soilC === null ? null : { celsius: soilC },
    hardened: true,
    ...more,
  }).verdict.go;
const rot = (problems: string[], yearsAgo: number, shields: string[] = []) =>
  rotationOf({
    place: { kind: 'ground', history: [{ year: 2026 - yearsAgo, family: 'nightshade', problems: problems as never }] },
    year: 2026,
    shields: shields as never,
  }).verdict;
const second = (problem: string) =>
  secondCropIn({
    place: { kind: 'ground', history: [{ year: 2026, family: 'nightshade', problems: [problem] as never }] },
    year: 2026,
    standing: 0,
    leaving: 0,
    shields: [],
  }).fits;
const tap = (tMinC: number, tMaxC: number, more: object = {}) => {
  const p = tapPlan({
    today: TODAY,
    crop: 'tomato',
    stage: 'flowering',
    enclosed: true,
    still: false,
    weather: { date: TODAY, tMinC, tMaxC, rainMm: 0, rhMeanPct: 60 },
    tappedOn: null,
    ...more,
  });
  return p.kind;
};
const support = (crop: 'tomato' | 'pepper', habit: 'indeterminate' | 'determinate' | null, stock: object = {}) =>
  supportPlan({
    today: TODAY,
    crop,
    habit,
    stage: 'fruiting',
    heightM: 1.2,
    isPot: false,
    tiedOn: null,
    tieCuts: false,
    windOn: null,
    stock: stock,
  }).kind;

/** Pruning, dates, planting out, rotation, pollination, support. */
export const GROWING = [
  ...from(
    'RHS, Growing tomatoes; Clemson HGIC 1323: side shoots of cordons out weekly while small; two stems keep the one under the first truss; bush varieties keep theirs',
    [
      ['suckers of a cordon after a week?', 'small-suckers', () => kinds()[0]],
      [
        'how many does a cordon make in a week (2 or 3)?',
        true,
        () => {
          const n = cuts().cuts[0]!.count;
          return n >= 2 && n <= 3;
        },
      ],
      [
        'do short suckers use up the leaf budget?',
        4,
        () => cuts({ pruned: [{ date: addDays(TODAY, -2), cuts: 6, what: ['suckers'] }] }).left,
      ],
      [
        'which sucker stays on two stems?',
        true,
        () => /just under the first truss/.test(cutsInWords(cuts({ training: 'two-stems' }).cuts)),
      ],
      ['suckers of a bush tomato?', false, () => kinds({ habit: 'determinate' }).includes('small-suckers')],
      ['a pruning recorded without a number today: anything left?', [], () => kinds({ pruned: [{ date: TODAY }] })],
      ['! cuts with sunburnt fruit?', 'sunscald', () => cuts({ sunscald: true }).hold?.kind],
      ['! cuts before a heat wave?', 'heat', () => cuts({ heatAhead: addDays(TODAY, 2) }).hold?.kind],
      ['! cuts on wet plants?', 'wet', () => cuts({ wetToday: true }).hold?.kind],
      ['spotted leaves first?', 'diseased', () => kinds({ diseased: 3 })[0]],
      [
        'fourteen suckers at once, an error?',
        0,
        () => cutFaults({ date: TODAY, cuts: 14, what: ['suckers'] }, '').length,
      ],
      ['forty cuts at once?', 1, () => cutFaults({ date: TODAY, cuts: 40 }, '').length],
      ['topping due: before everything else?', 'top', () => kinds({ topOn: addDays(TODAY, -1) })[0]],
      [
        'topped without a number: again?',
        false,
        () =>
          kinds({ topOn: addDays(TODAY, -1), pruned: [{ date: addDays(TODAY, -3), what: ['top'] }] }).includes('top'),
      ],
      [
        'a mature pepper pinched?',
        false,
        () =>
          kinds({ crop: 'pepper', habit: null, training: 'leave-alone', heightM: 0.5, stage: 'fruiting' }).includes(
            'pinch',
          ),
      ],
      ['how high is a 2 m cordon cleared, at most 40 cm?', true, () => cuts({ heightM: 2 }).clearToM! <= 0.4],
      [
        'how high is a pepper cleared, at most 15 cm?',
        true,
        () => cuts({ crop: 'pepper', heightM: 0.6 }).clearToM! <= 0.15,
      ],
      ['training of a bush?', 'keep-suckers', () => training({ habit: 'determinate' })],
      ['training in a short season?', 'one-stem', () => training({ seasonDays: 120 })],
      ['training where every third day is hot?', 'two-stems', () => training({ hotShare: 0.4 })],
      ['training of a pepper?', 'leave-alone', () => training({ crop: 'pepper', habit: null })],
      [
        'one-stem plants stand closer than others?',
        true,
        () => spacingOf('tomato', 'one-stem')[0] < spacingOf('tomato', 'two-stems')[0],
      ],
      [
        'tomato spacing between 45 and 90 cm?',
        true,
        () => spacingOf('tomato')[0] >= 0.45 && spacingOf('tomato')[1] <= 0.9,
      ],
    ],
  ),
  ...from(
    'RHS: stop outdoor cordons in early to mid August (British Isles); Minnesota and Lombardy extension: four to six weeks before frost; Tasmania DPIPWE: late February to March',
    [
      ['when is a cordon topped in Dublin?', 'in time', topped('Dublin', '2026-08-01', '2026-08-16')],
      ['in Milan?', 'in time', topped('Milan', '2026-08-25', '2026-09-25')],
      ['in Minneapolis?', 'in time', topped('Minneapolis', '2026-08-10', '2026-09-05')],
      ['in Hobart?', 'in time', topped('Hobart', '2027-02-20', '2027-04-05')],
      ['in Oslo?', 'in time', topped('Oslo', '2026-07-25', '2026-08-20')],
      ['in Nairobi?', 'never', topped('Nairobi', '', '')],
      ['a bush in Milan?', null, () => band('Milan', 'top', { habit: 'determinate' })],
    ],
  ),
  ...from(
    'Purdue and Cornell vegetable guides: soil 16 °C, nights 10 °C for tomatoes and 13 °C for peppers, after the last frost, hardened off',
    [
      ['tomatoes, nights of 12 °C, soil 17 °C?', 'today', () => gate('tomato', 12, 17)],
      ['! peppers, nights of 8 °C?', true, () => gate('pepper', 8, 17) !== 'today'],
      ['! tomatoes, soil of 11 °C?', 'wait', () => gate('tomato', 13, 11)],
      ['! a night of 2 °C ahead?', 'wait', () => gate('tomato', 2, 17)],
      ['! not hardened off?', 'wait', () => gate('tomato', 13, 17, { hardened: false })],
      ['! soil and nights unknown?', 'ask', () => gate('tomato', 13, null, { weather: [] })],
      ['peppers, nights of 14 °C, soil 18 °C?', 'today', () => gate('pepper', 14, 18)],
      ['! before the last frost?', true, () => gate('tomato', 4, 17, { lastFrost: '2026-05-25' }) !== 'today'],
    ],
  ),
  ...from(
    'UC IPM and Cornell: three to four years between nightshades after soil-borne disease, two to three otherwise',
    [
      ['the year after tomatoes?', 'year-after', () => rot([], 1)],
      ['two years after?', 'short', () => rot([], 2)],
      ['four years after?', 'free', () => rot([], 4)],
      ['two years after wilt?', 'soil-borne', () => rot(['vascular-wilt'], 2)],
      ['three years after nematodes?', 'soil-borne', () => rot(['root-knot-nematodes'], 3)],
      ['a second crop after mosaic?', false, () => second('mosaic-virus')],
      ['a second crop after late blight?', false, () => second('late-blight')],
      ['a second crop after nematodes?', false, () => second('root-knot-nematodes')],
      ['a second crop after sunscald?', true, () => second('sunscald')],
    ],
  ),
  ...from(
    'University of Florida and greenhouse guides: flowers shaken at midday in still air; pollen fails above 32 to 35 °C and below 13 °C',
    [
      ['under cover at 25 °C?', 'tap', () => tap(16, 25)],
      ['under cover at 37 °C?', 'useless', () => tap(25, 37)],
      ['under cover after a night of 8 °C?', 'useless', () => tap(8, 20)],
      ['in the open in a breeze?', 'none', () => tap(16, 25, { enclosed: false })],
      ['without flowers?', 'none', () => tap(16, 25, { stage: 'vegetative' })],
    ],
  ),
  ...from(
    'Iowa State and Clemson: cordons on stakes or strings, bushes in cages, peppers on short stakes or small cages',
    [
      ['a cordon?', true, () => ['string', 'stake'].includes(support('tomato', 'indeterminate'))],
      ['a bush?', true, () => ['cage', 'small-stake', 'stake'].includes(support('tomato', 'determinate'))],
      ['a pepper?', true, () => ['small-cage', 'small-stake'].includes(support('pepper', null))],
    ],
  ),
  ...from('Adams, Cockshull & Cave 2001 (days to ripe by temperature), applied to the usual means of each place', [
    ['a second crop in Dublin?', null, () => band('Dublin', 'second-sowing', BUSH)],
    ['a second crop in Oslo?', null, () => band('Oslo', 'second-sowing', BUSH)],
    [
      '! sown in Milan on 24 July, as the frost alone allows?',
      true,
      () => last('Milan', 'second-sowing') < '2026-07-10',
    ],
    [
      'in Seville by the end of July?',
      true,
      () => {
        const out = lastPlantingOut({ ...GARDENS.Seville, firstFrost: '2026-12-10', today: TODAY, recorded: [] }, 65);
        return out !== null && out > '2026-08-10' && out < '2026-09-10';
      },
    ],
  ]),
  ...from('growing guides of the tropics (World Vegetable Center: tomatoes after the rains, in the cool dry months)', [
    ['! planted in Bangkok in May, before the rains?', false, () => inWindow(13.75, 100.5, '05')],
    ['in Bangkok in October?', true, () => inWindow(13.75, 100.5, '10')],
    ['in Darwin in April, after the wet?', true, () => inWindow(-12.46, 130.8, '04')],
    ['! in Darwin in December?', false, () => inWindow(-12.46, 130.8, '12')],
    ['in Nairobi after the long rains?', true, () => inWindow(-1.3, 36.8, '06')],
    ['in Singapore, where it always rains?', 'rains', () => tropics(1.35, 103.8).remains.join()],
  ]),
  ...from('seed catalogues and Peet, Sato & Gardner 1998: cool-set varieties drop flowers in hot summers', [
    ['one weak in heat, in Phoenix?', 1, () => against({ heatSet: 'less' }, 33.4, -112, '2026-04-01', DESERT_JUNE)],
    ['one weak in heat, in Dublin?', 0, () => against({ heatSet: 'less' }, 53.3, -6.3, '2026-05-20')],
    [
      'one that sets in heat, in Phoenix?',
      0,
      () => against({ heatSet: 'more' }, 33.4, -112, '2026-04-01', DESERT_JUNE),
    ],
    ['one weak in cold, in Dublin?', 1, () => against({ coldSet: 'less' }, 53.3, -6.3, '2026-05-20')],
  ]),
  ...from('common practice, one row for plan, finding and remedy: 20 L, large fruit 60 L, peppers 12 L', [
    ['a pot for a beefsteak?', 60, () => potSizeFor({ crop: 'tomato', type: 'beefsteak' }).advised],
    ['for another tomato?', 20, () => potSizeFor({ crop: 'tomato', type: 'cherry' }).advised],
    ['for a pepper?', 12, () => potSizeFor({ crop: 'pepper', type: 'hot' }).advised],
  ]),
];
