import type { GardenInput, PlaceInput, PlantInput, ProductInput, TrialInput } from '@candid-leaf/contract';
import { METRIC } from '@candid-leaf/core/units';
import { DEMO_DAY } from './account.js';
import { idOf } from './ids.js';

/** A walled garden behind a disused railway halt, tended by three neighbours. All invented. */
export const GARDEN: GardenInput = {
  id: idOf('garden'),
  name: 'Behind the old halt',
  latitude: 45.6,
  longitude: 8.9,
  elevationM: 180,
  lastFrost: '04-18',
  firstFrost: '10-28',
  timeZone: 'Europe/Rome',
  units: METRIC,
  weekStart: 'monday',
  dateForm: 'd MMMM',
  pinnedDate: DEMO_DAY,
  away: [{ from: '2026-08-08', to: '2026-08-14' }],
  stock: { clothM2: 2, covers: 6, cages: 2, stakes: 8, canes: 4, stringM: 30, ties: 40 },
};

export const PLACES: PlaceInput[] = [
  {
    id: idOf('wall bed'),
    name: 'Wall bed',
    kind: 'ground',
    texture: 'clay-loam',
    lengthM: 2.4,
    widthM: 0.6,
    irrigation: 'hose',
    flowLPerH: 720,
    mulch: [{ from: '2026-06-08', to: null, kind: 'straw', depthMm: 60 }],
    history: [{ year: 2025, family: 'other' }],
    soilTest: {
      date: '2026-04-02',
      pH: 6.3,
      saltsDsPerM: 0.6,
      values: {
        phosphorus: { amount: 22, unit: 'mg/kg' },
        phosphorusBy: 'olsen',
        potassium: { amount: 0.41, unit: 'meq/100g' },
        calcium: { amount: 9.5, unit: 'meq/100g' },
        magnesium: { amount: 0.9, unit: 'meq/100g' },
        organicMatterPct: 2.6,
      },
    },
  },
  {
    id: idOf('platform bed'),
    name: 'Platform bed',
    kind: 'raised-bed',
    texture: 'sandy-loam',
    lengthM: 1.6,
    widthM: 0.45,
    irrigation: 'drip',
    flowLPerH: 24,
    history: [
      { year: 2024, family: 'nightshade', problems: ['vascular-wilt'] },
      { year: 2025, family: 'other' },
    ],
  },
  {
    id: idOf('tunnel'),
    name: 'Tunnel',
    kind: 'tunnel-bed',
    texture: 'loam',
    lengthM: 1.8,
    widthM: 0.5,
    irrigation: 'soaker',
    flowLPerH: 60,
  },
  {
    id: idOf('clay pots'),
    name: 'Clay pots',
    kind: 'container',
    texture: 'potting-mix',
    volumeL: 14,
    potMaterial: 'terracotta',
    irrigation: 'can',
  },
  {
    id: idOf('fabric bags'),
    name: 'Fabric bags',
    kind: 'container',
    texture: 'porous-mix',
    volumeL: 30,
    potMaterial: 'fabric',
    irrigation: 'can',
  },
];

const tomato = (name: string, place: string, more: Partial<PlantInput>): PlantInput => ({
  id: idOf(name),
  placeId: idOf(place),
  name,
  crop: 'tomato',
  habit: 'indeterminate',
  type: 'slicer',
  stage: 'fruiting',
  transplantedOn: '2026-05-06',
  heightM: 1.5,
  spacingM: 0.55,
  ...more,
});
const pepper = (name: string, place: string, more: Partial<PlantInput>): PlantInput => ({
  id: idOf(name),
  placeId: idOf(place),
  name,
  crop: 'pepper',
  type: 'sweet',
  stage: 'fruiting',
  transplantedOn: '2026-05-16',
  heightM: 0.6,
  spacingM: 0.45,
  ...more,
});

export const PLANTS: PlantInput[] = [
  tomato('Semaphore Red', 'wall bed', { varietyId: idOf('variety Signal Round') }),
  tomato('Quiet Siding', 'wall bed', { type: 'cherry', heightM: 1.7, stage: 'ripening', training: 'two-stems' }),
  tomato('Ballast Pink', 'wall bed', { type: 'beefsteak', heightM: 1.3 }),
  tomato('Lantern Gold', 'wall bed', {
    varietyId: idOf('variety Siding Cherry'),
    varietyUnsure: true,
    type: 'cherry',
    heightM: 1.6,
    stage: 'ripening',
  }),
  pepper('Junction Bell', 'platform bed', { worth: 3, varietyId: idOf('variety Junction Block') }),
  pepper('Tender Sweet', 'platform bed', { heightM: 0.55 }),
  pepper('Ember Points', 'platform bed', { type: 'hot', heightM: 0.5 }),
  tomato('Footplate', 'tunnel', { transplantedOn: '2026-04-24', type: 'beefsteak', heightM: 1.9, stage: 'flowering' }),
  tomato('Night Mail', 'tunnel', { transplantedOn: '2026-04-24', heightM: 1.8, stage: 'ripening' }),
  pepper('Coal Scuttle', 'tunnel', { transplantedOn: '2026-04-30', heightM: 0.7 }),
  tomato('Sleeper Paste', 'clay pots', {
    varietyId: idOf('variety Sleeper Plum'),
    type: 'paste',
    heightM: 1.1,
    transplantedOn: '2026-05-08',
  }),
  pepper('Whistle Hot', 'clay pots', {
    varietyId: idOf('variety Whistle Hot'),
    type: 'hot',
    heightM: 0.4,
    stage: 'flowering',
    transplantedOn: '2026-05-18',
  }),
  tomato('Brake Van', 'fabric bags', {
    type: 'slicer',
    habit: 'determinate',
    heightM: 0.9,
    transplantedOn: '2026-05-10',
  }),
  pepper('Down Line', 'fabric bags', { transplantedOn: '2026-05-18', heightM: 0.55 }),
];

/** Products with labels one of the three mixed up. */
export const PRODUCTS: ProductInput[] = [
  {
    id: idOf('our tomato feed'),
    name: 'Our tomato feed',
    kind: 'feed',
    form: 'liquid',
    n: 4,
    p2o5: 3,
    k2o: 8,
    gPerMl: 1.15,
    dose: { per: 'litre', amount: 4 },
    everyDays: 14,
    organic: false,
    cautions: ['Not over the label: the bottle is stronger than it looks.'],
  },
];

/** Splits follow rain: do fewer split if picked at first blush? */
export const TRIALS: TrialInput[] = [
  {
    id: idOf('picked at first blush'),
    name: 'Picked at first blush',
    measure: 'fruit-radial-cracks',
    changed: ['Semaphore Red', 'Quiet Siding'].map(idOf),
    untouched: ['Ballast Pink', 'Lantern Gold'].map(idOf),
    startedOn: '2026-07-01',
    judgeOn: '2026-08-15',
  },
];
