import type { GardenInput, PlaceInput, PlantInput } from '@candid-leaf/contract';
import { METRIC } from '@candid-leaf/core/units';
import { DEMO_DAY } from './account.js';
import { idOf } from './ids.js';

/** A walled garden behind a disused railway halt, tended by three neighbours. All of it made up. */
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
    history: [{ year: 2025, family: 'nightshade' }],
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
  tomato('Semaphore Red', 'wall bed', {}),
  tomato('Quiet Siding', 'wall bed', { type: 'cherry', heightM: 1.7, stage: 'ripening' }),
  tomato('Ballast Pink', 'wall bed', { type: 'beefsteak', heightM: 1.3 }),
  tomato('Lantern Gold', 'wall bed', { type: 'cherry', heightM: 1.6, stage: 'ripening' }),
  pepper('Junction Bell', 'platform bed', {}),
  pepper('Tender Sweet', 'platform bed', { heightM: 0.55 }),
  pepper('Ember Points', 'platform bed', { type: 'hot', heightM: 0.5 }),
  tomato('Footplate', 'tunnel', { transplantedOn: '2026-04-24', type: 'beefsteak', heightM: 1.9, stage: 'flowering' }),
  tomato('Night Mail', 'tunnel', { transplantedOn: '2026-04-24', heightM: 1.8, stage: 'ripening' }),
  pepper('Coal Scuttle', 'tunnel', { transplantedOn: '2026-04-30', heightM: 0.7 }),
  tomato('Sleeper Paste', 'clay pots', { type: 'paste', heightM: 1.1, transplantedOn: '2026-05-08' }),
  pepper('Whistle Hot', 'clay pots', { type: 'hot', heightM: 0.4, stage: 'flowering', transplantedOn: '2026-05-18' }),
  tomato('Brake Van', 'fabric bags', {
    type: 'slicer',
    habit: 'determinate',
    heightM: 0.9,
    transplantedOn: '2026-05-10',
  }),
  pepper('Down Line', 'fabric bags', { transplantedOn: '2026-05-18', heightM: 0.55 }),
];
