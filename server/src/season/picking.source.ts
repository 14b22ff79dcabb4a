import { progressIn, stageIn } from '../assessment/growth.js';
import { pickOnByRecords } from '../assessment/pick-on.js';
import { Injectable } from '@nestjs/common';
import { weatherInPlace } from '@candid-leaf/core/climate';
import { daysToMaturityOf } from '@candid-leaf/core/varieties';
import { blushFirst, blushInWords, type BlushFirst, ripenessInWords } from '@candid-leaf/core/harvest';
import { CAUTIONS, type Inspection, type Picking } from '@candid-leaf/core/records';
import { addDays, type Day } from '@candid-leaf/core/units';
import { forecastIn } from '../assessment/weather-lists.js';
import { livePlaces, livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { TaskSource, type Task } from '../today/task-source.js';
import { datesOf, yearOf } from './planting-on-view.js';

interface Ripe {
  plant: PlantEntity;
  on: Day;
  /** pick blushing fruit now */
  blush: BlushFirst | null;
}

/**
 * Checks for ripe fruit: from the expected day on, then every few days. Pickings are saved with the plant's own form.
 */
@Injectable()
export class PickingSource extends TaskSource {
  readonly code = 'pick';

  list(s: GardenSnapshot): Promise<Task[]> {
    return Promise.resolve(
      livePlaces(s).flatMap((place) => {
        const ripe = livePlantsIn(s, place.id).flatMap((plant) => {
          const on = lookOn(s, plant, place);
          if (on === null) return [];
          const blush = blushOf(s, plant, place, on);
          const now = blush !== null && on > s.today && !pickedToday(s, plant);
          return [{ plant, on: now ? s.today : on, blush: now || on <= s.today ? blush : null }];
        });
        return ripe.length > 0 ? [taskOf(s, place, ripe)] : [];
      }),
    );
  }

  /** Recording what was picked, plant by plant, answers it. */
  done(): Promise<null> {
    return Promise.resolve(null);
  }
  undo(): Promise<void> {
    return Promise.resolve();
  }
}

/** Returns the day to look; null if nothing indicates one. Plants in a waiting time are left out. */
function lookOn(s: GardenSnapshot, plant: PlantEntity, place: PlaceEntity): Day | null {
  const recorded = pickOnByRecords(s, plant, place);
  if (recorded !== undefined) return recorded;
  const stage = stageIn(s, plant);
  // by the packet alone only if the packet is known
  const variety = s.varietyOf(plant);
  if (!variety || !plant.transplantedOn || !daysToMaturityOf(variety).sure) return null;
  const { from } = datesOf(s, yearOf(s, plant.transplantedOn), variety, {
    plantedOn: plant.transplantedOn,
    progress: progressIn(s, plant),
  }).bands.find((b) => b.what === 'first-fruit')!;
  // what was seen of it says that it is not so far yet
  return stage !== null && from <= s.today ? null : from;
}

/** What was picked today leaves nothing to pick. */
const pickedToday = (s: GardenSnapshot, plant: PlantEntity): boolean =>
  s.recordsOf(plant.id).some((r) => r.type === 'picking' && r.day === s.today);

/** Days within which fruit must ripen to be worth picking before rain, heat or birds. */
const RIPENS_WITHIN_DAYS = 7;
const PECKED_DAYS = 14;
function blushOf(s: GardenSnapshot, plant: PlantEntity, place: PlaceEntity, on: Day): BlushFirst | null {
  if (on > addDays(s.today, RIPENS_WITHIN_DAYS)) return null;
  // nothing blushes on a plant whose fruit is all green
  const stage = stageIn(s, plant);
  if (on > s.today && stage !== null && stage !== 'ripening' && stage !== 'late') return null;
  const since = addDays(s.today, -PECKED_DAYS);
  const pecked = s
    .recordsOf(plant.id)
    .some(
      (r) =>
        r.day >= since &&
        r.day <= s.today &&
        ((r.type === 'picking' && (r.data as Picking).state === 'gnawed') ||
          (r.type === 'inspection' &&
            (r.data as Inspection).signs.some((x) => x.sign === 'fruit-pecked' && x.present))),
    );
  return blushFirst({
    crop: plant.crop,
    splits: s.varietyOf(plant)?.splits ?? null,
    today: s.today,
    ahead: forecastIn(s).map((w) => ({ ...w, ...weatherInPlace(place, w, s.garden) })),
    pecked,
  });
}

const isHot = (p: PlantEntity): boolean => p.type === 'hot' || p.type === 'superhot';

/** Says of each crop when it is ripe: a bed may hold tomatoes beside hot peppers, which need gloves. */
function ripeInWords(s: GardenSnapshot, shown: readonly Ripe[]): string {
  const groups = new Map<string, PlantEntity[]>();
  for (const { plant } of shown) {
    const label = isHot(plant) ? 'Hot peppers' : plant.crop === 'tomato' ? 'Tomatoes' : 'Peppers';
    groups.set(label, [...(groups.get(label) ?? []), plant]);
  }
  const texts = [...groups].map(([label, plants]) => {
    const colours = new Set(plants.map((p) => s.varietyOf(p)?.ripeColour ?? null));
    const text = ripenessInWords(plants[0]!.crop, plants[0]!.type, colours.size === 1 ? [...colours][0]! : null);
    return groups.size === 1 ? text : `${label}: ${text}`;
  });
  return texts.join(' ');
}

function taskOf(s: GardenSnapshot, place: PlaceEntity, ripe: readonly Ripe[]): Task {
  const due = ripe.filter((r) => r.on <= s.today);
  const shown = due.length > 0 ? due : ripe;
  const [first] = [...shown].sort((a, b) => (a.on < b.on ? -1 : 1));
  const blush = shown.find((r) => r.blush)?.blush ?? null;
  return {
    id: place.id,
    plantId: null,
    placeId: place.id,
    plantIds: shown.map((r) => r.plant.id),
    title: blush ? `Pick at first blush: ${place.name}` : `Check for ripe fruit: ${place.name}`,
    where: shown.map((r) => r.plant.name).join(', '),
    why: blush ? blushInWords(blush, s.format) : `${ripeInWords(s, shown)} Pick often: the plant then sets more.`,
    dueOn: first!.on,
    minutes: 2 * shown.length,
    litres: null,
    remedy: null,
    dose: null,
    picks: true,
    cautions: shown.some((r) => isHot(r.plant)) ? [CAUTIONS['mark-hot']] : [],
  };
}
