import type { PlantingOnView, SeasonView } from '@candid-leaf/contract';
import { climateOfGarden, weatherInPlace } from '@candid-leaf/core/climate';
import { potSizeFor } from '@candid-leaf/core/water';
import { daysToMaturityOf, shieldsFrom } from '@candid-leaf/core/varieties';
import {
  aimAgainst,
  placeHints,
  rotationInWords,
  rotationOf,
  seedsFor,
  settingAgainst,
  spacingOf,
  yearDates,
  type DatesQuestion,
  type YearDates,
} from '@candid-leaf/core/planning';
import {
  isPotted,
  mulchOn,
  spellOn,
  type DisorderCode,
  type EarlierYear,
  type SoilWarmth,
} from '@candid-leaf/core/records';
import { frostsOf, growingYear, seasonYear, type GrowingYear } from '@candid-leaf/core/season';
import {
  gateInWords,
  hardeningPlan,
  settingOutGate,
  soilWarmth,
  type Gate,
  type HardeningPlan,
} from '@candid-leaf/core/setting-out';
import { addDays } from '@candid-leaf/core/units';
import { progressIn } from '../assessment/growth.js';
import { weatherIn } from '../assessment/weather-lists.js';
import { livePlaces, livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { VarietyEntity } from '../varieties/variety.entity.js';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { plantIds } from './plant-ids.js';
import type { PlantingEntity } from './planting.entity.js';
import { plantingDto } from './plantings.service.js';

/** Days a soil thermometer reading stays valid. */
const READING_HOLDS_DAYS = 3;

/** Returns when this garden's season lies. */
export const modeOf = (s: GardenSnapshot): 'warm' | 'mild-winter' => s.garden.seasonMode ?? 'warm';
/** Returns the garden's season of a year. */
export const seasonOf = (s: GardenSnapshot, year: number): GrowingYear =>
  growingYear(year, s.garden.latitude, modeOf(s));

/** Returns the season, by its first year, that a day belongs to. */
export const yearOf = (s: GardenSnapshot, day: string): number => seasonYear(s.garden, day);

/** Returns the variety's name, else the crop. */
export const varietyName = (variety: VarietyEntity | undefined, crop: string): string =>
  variety?.name ?? (crop === 'tomato' ? 'Tomato' : 'Pepper');

/** Returns the plant's variety by name, else the code of its type or crop. */
export function kindOf(s: GardenSnapshot, p: PlantEntity): string {
  const variety = s.varietyOf(p);
  return variety ? varietyName(variety, p.crop) : (p.type ?? p.crop);
}

/** Returns the plant's variety, else its type. */
export const nameOf = (s: GardenSnapshot, p: PlantEntity): string =>
  s.varietyOf(p)?.name ?? TYPE_NAMES[p.type ?? p.crop] ?? p.crop;

const TYPE_NAMES: Record<string, string> = {
  tomato: 'Tomato',
  cherry: 'Cherry tomato',
  slicer: 'Round tomato',
  paste: 'Paste tomato',
  beefsteak: 'Beefsteak tomato',
  pepper: 'Pepper',
  sweet: 'Sweet pepper',
  hot: 'Hot pepper',
  superhot: 'Very hot pepper',
};

/** Returns the bed or pot of a planting. */
export const placeOf = (s: GardenSnapshot, p: Pick<PlantingEntity, 'placeId'>): PlaceEntity | undefined =>
  s.places.find((x) => x.id === p.placeId);

/** Returns the dates of a variety in a season of this garden. */
export const datesOf = (
  s: GardenSnapshot,
  year: number,
  variety: DatesQuestion['variety'],
  done: Pick<DatesQuestion, 'plantedOn' | 'sownOn' | 'pickedOn' | 'second' | 'progress'> = {},
): YearDates =>
  yearDates({
    garden: s.garden,
    mode: modeOf(s),
    season: seasonOf(s, year),
    today: s.today,
    variety,
    ...done,
    weather: weatherIn(s),
  });

/** Returns what a planting's dates need to know of its variety. */
export const varietyDatesOf = (
  s: GardenSnapshot,
  p: Pick<PlantingEntity, 'varietyId' | 'crop'>,
): DatesQuestion['variety'] => s.varietyOf(p) ?? { crop: p.crop };

/** Returns the dates of a planting, given what is done. */
export const datesOfPlanting = (s: GardenSnapshot, p: PlantingEntity): YearDates =>
  datesOf(s, p.year, varietyDatesOf(s, p), doneOf(s, p));

/** Returns what is done of a planting, and how far its plants are. */
export const doneOf = (
  s: GardenSnapshot,
  p: PlantingEntity,
): Pick<DatesQuestion, 'plantedOn' | 'sownOn' | 'second' | 'progress'> => ({
  plantedOn: p.plantedOn,
  sownOn: p.sownOn,
  second: p.aim === 'second-crop',
  progress: p.plantedOn
    ? furthestOf(
        s,
        s.plants.filter((x) => plantIds(p).includes(x.id)),
      )
    : null,
});

/** Returns how far the furthest of these plants is by the growth model; null if none is there. */
export function furthestOf(s: GardenSnapshot, plants: readonly PlantEntity[]): number | null {
  const live = plants.filter((p) => p.transplantedOn && !p.retiredOn);
  return live.length === 0 ? null : Math.max(...live.map((p) => progressIn(s, p)));
}

/** Returns the hardening plan; null before it starts. */
export function hardeningOf(s: GardenSnapshot, p: PlantingEntity): HardeningPlan | null {
  if (!p.hardenFrom) return null;
  // hardening plants are outside by day
  return hardeningPlan({ startOn: p.hardenFrom, today: s.today, done: p.outDays ?? [], weather: weatherIn(s) });
}

/** Returns whether it can be planted out today; null if it is too early to ask, or it is out. */
export function gateOf(s: GardenSnapshot, p: PlantingEntity): Gate | null {
  const place = placeOf(s, p);
  if (!place || p.plantedOn || !p.sownOn) return null;
  // ask from a week before its time
  const out = datesOfPlanting(s, p).bands.find((b) => b.what === 'plant-out')!;
  if (!p.hardenFrom && s.today < addDays(out.from, -7)) return null;
  const weather = weatherIn(s).map((w) => weatherInPlace(place, w, s.garden));
  const read = s
    .recordsOf(place.id)
    .filter((r) => r.type === 'soil-warmth' && r.day <= s.today && r.day >= addDays(s.today, -READING_HOLDS_DAYS))
    .at(-1);
  const hardening = hardeningOf(s, p);
  return settingOutGate({
    crop: p.crop,
    today: s.today,
    lastFrost: modeOf(s) === 'warm' ? frostsOf(s.garden, seasonOf(s, p.year)).last : null,
    weather,
    soil: read
      ? { celsius: (read.data as SoilWarmth).celsius }
      : soilWarmth(weather, s.today, mulchOn(place.mulch, s.today)),
    canBeWarmed: !isPotted(place) && spellOn(place.mulch, s.today)?.kind !== 'dark-fabric',
    hardened: hardening ? hardening.readyOn <= s.today && hardening.days.every((d) => d.day < s.today) : null,
  });
}

/** Returns earlier crops and problems of a bed: from the gardener, and filled in automatically. */
export const groundOf = (place: PlaceEntity): EarlierYear[] => [...place.history, ...(place.grown ?? [])];

/** Returns whether seedlings were eaten in this garden before: then some are sown to spare. */
export const wereNibbled = (plantings: readonly PlantingEntity[]): boolean =>
  plantings.some((p) => p.looks?.some((l) => l.what === 'gnawed'));

/** Returns a planting with rotation, dates and warnings. */
export function plantingOnView(
  s: GardenSnapshot,
  p: PlantingEntity,
  here: Pick<SeasonView, 'nibbled' | 'hottestC'>,
): PlantingOnView {
  const variety = s.varietyOf(p);
  const place = placeOf(s, p);
  const shields = shieldsFrom(variety?.letters, p.crop);
  const history = place ? groundOf(place) : [];
  const standing = place ? standingBeside(s, place, p) : 0;
  const rotation = rotationOf({ place: { kind: place?.kind ?? 'ground', history }, year: p.year, shields });
  const gate = gateOf(s, p);
  return {
    planting: plantingDto(p),
    variety: varietyName(variety, p.crop),
    place: place?.name ?? '',
    seeds: seedsFor(p.count, here.nibbled),
    standing,
    rotation,
    rotationText: rotationInWords(rotation, { kind: place?.kind ?? 'ground', standing }, p.crop),
    warnings: [
      ...hintsFor(s, p, { place, standing, hottestC: here.hottestC }),
      ...againstAim(p, variety),
      ...againstPlace(variety, history, p.year),
      ...againstSummer(s, p, variety),
      ...smallPots(s, p, place),
      ...tooLong(s, p),
    ],
    hardening: hardeningOf(s, p),
    gate,
    gateText: gate && gateInWords(gate, s.format),
  };
}

/** Returns how many other plants of the same year stand in a bed. */
const standingBeside = (s: GardenSnapshot, place: PlaceEntity, p: PlantingEntity): number =>
  livePlantsIn(s, place.id).filter(
    (x) => !plantIds(p).includes(x.id) && x.transplantedOn !== null && yearOf(s, x.transplantedOn) === p.year,
  ).length;

const againstAim = (p: PlantingEntity, variety: VarietyEntity | undefined): string[] => {
  const text = aimAgainst(p.aim, variety ?? { crop: p.crop });
  return text ? [text] : [];
};

/** A variety's weakness where the same problem happened in the two years before. */
const TENDENCY_LESSONS: readonly [tendency: 'darkEnds' | 'splits', disorders: readonly DisorderCode[], text: string][] =
  [
    [
      'darkEnds',
      ['blossom-end-rot'],
      'gets blossom end rot easily, and it was found here: water evenly, mulch, or choose another variety.',
    ],
    [
      'splits',
      ['ring-cracking', 'radial-cracking'],
      'splits easily, and split fruit was found here: water evenly, pick at first blush before rain, or choose another variety.',
    ],
  ];
function againstPlace(variety: VarietyEntity | undefined, history: readonly EarlierYear[], year: number): string[] {
  const seen = history.filter((h) => h.year < year && h.year >= year - 2).flatMap((h) => h.problems ?? []);
  return TENDENCY_LESSONS.flatMap(([tendency, disorders, text]) =>
    variety?.[tendency] === 'more' && disorders.some((d) => seen.includes(d)) ? [`${variety.name} ${text}`] : [],
  );
}

/** A variety's weakness in heat or cold, against the usual summer of this garden. */
function againstSummer(s: GardenSnapshot, p: PlantingEntity, variety: VarietyEntity | undefined): string[] {
  const out = datesOfPlanting(s, p).bands.find((b) => b.what === 'plant-out');
  if (!variety || !out) return [];
  const recorded = weatherIn(s).filter((w) => w.date <= s.today);
  return settingAgainst({ garden: s.garden, variety, plantOut: out.from, recorded }, s.format);
}

/** Returns the warmest usual daily maximum of a month here, °C. */
export const hottestOf = (s: GardenSnapshot): number =>
  Math.max(
    ...climateOfGarden(
      s.garden,
      weatherIn(s).filter((w) => w.date <= s.today),
    ).map((m) => m.tMaxC),
  );

function hintsFor(
  s: GardenSnapshot,
  p: PlantingEntity,
  { place, standing, hottestC }: { place: PlaceEntity | undefined; standing: number; hottestC: number },
): string[] {
  if (!place) return [];
  const others = livePlaces(s).filter((o) => o.id !== place.id);
  const question = { place, others, crop: p.crop, plants: p.count + standing, hottestC };
  return placeHints({ ...question, spacingM: spacingOf(p.crop) }, s.format);
}

function smallPots(s: GardenSnapshot, p: PlantingEntity, place: PlaceEntity | undefined): string[] {
  if (!place || !isPotted(place)) return [];
  const { advised } = potSizeFor({ crop: p.crop, type: s.varietyOf(p)?.type });
  return place.volumeL != null && place.volumeL < advised
    ? [
        `Pots of ${s.format.litres(place.volumeL)} are small: a ${p.crop} like this needs ${s.format.litres(advised)} or more.`,
      ]
    : [];
}

function tooLong(s: GardenSnapshot, p: PlantingEntity): string[] {
  const variety = varietyDatesOf(s, p);
  const { tooLong: late } = datesOfPlanting(s, p);
  if (!late) return [];
  const { days } = daysToMaturityOf(variety);
  return [
    late.fits > 0
      ? `It takes ${days} days, and there are ${late.fits} until two weeks before the first frost. Choose a variety of ${late.fits} days or less, or use a cover.`
      : p.aim === 'second-crop'
        ? 'A second crop would not ripen here: autumn has too little warmth.'
        : 'It would not ripen before the first frost.',
  ];
}
