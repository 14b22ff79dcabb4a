import { Injectable } from '@nestjs/common';
import { comingInWords, type ComingRisk, type PreventiveAct } from '@candid-leaf/core/risk';
import { coverOf, isMulched, spellOn, type DisorderCode } from '@candid-leaf/core/records';
import { addDays, type Day } from '@candid-leaf/core/units';
import { COUNTED_CHANCE_PCT, weekday } from '@candid-leaf/core/water';
import type { EntityManager } from 'typeorm';
import type { BedRule } from '@candid-leaf/contract';
import { Assessments } from '../assessment/assessments.service.js';
import { forecastIn } from '../assessment/weather-lists.js';
import { livePlaces, livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { Postponements } from '../today/postponements.service.js';
import { TaskSource, type Task } from '../today/task-source.js';
import { taskKey } from '../today/today.service.js';

/** Heat, frost and water have their own tasks; what is left to do against a coming risk is listed here. */
const OWN_TASK: ReadonlySet<PreventiveAct> = new Set<PreventiveAct>([
  'pick-ripe',
  'look-under-leaves',
  'keep-leaves-dry',
  'low-leaves-off',
  'air-out',
]);
/** Average minutes for one bed (judgement). */
const MINUTES_A_BED = 5;

/** What the coming days may bring, bed by bed, as one act on its day. Only the tick is stored. */
@Injectable()
export class AheadSource extends TaskSource {
  readonly code = 'ahead';

  constructor(
    private readonly assessments: Assessments,
    private readonly postponements: Postponements,
  ) {
    super();
  }

  async list(s: GardenSnapshot): Promise<Task[]> {
    const tasks: Task[] = [];
    for (const place of livePlaces(s)) {
      const risks = new Map<DisorderCode, ComingRisk>();
      for (const plant of speakersOf(s, place))
        for (const risk of await this.assessments.coming(s, place, plant))
          if (OWN_TASK.has(risk.act) && !risks.has(risk.disorder)) risks.set(risk.disorder, risk);
      for (const risk of risks.values()) tasks.push(taskFor(s, place, risk));
      tasks.push(...ruledIn(s, place));
    }
    return tasks;
  }

  /** A tick hides the risk of that week: the forecast may move it by a day. */
  async done(m: EntityManager, s: GardenSnapshot, id: string): Promise<string | null> {
    await this.postponements.hide(m, s.garden.id, taskKey(this.code, id));
    return null;
  }

  async undo(): Promise<void> {
    // to show it again is all there is to undo, and Today does that
  }
}

/** The plants of one crop and type in a bed meet the same weather: one of them speaks for all. */
function speakersOf(s: GardenSnapshot, place: PlaceEntity): PlantEntity[] {
  const alike = new Map<string, PlantEntity>();
  for (const plant of livePlantsIn(s, place.id)) {
    const key = `${plant.crop} ${plant.type ?? ''} ${plant.transplantedOn ?? ''}`;
    if (!alike.has(key)) alike.set(key, plant);
  }
  return [...alike.values()];
}

/** The Monday of a day's week: what the forecast moves within a week is the same risk. */
const weekOf = (day: Day): Day => addDays(day, -((weekday(day) + 6) % 7));

function taskFor(s: GardenSnapshot, place: PlaceEntity, risk: ComingRisk): Task {
  const { name, act, why } = comingInWords(risk, s.today, s.format);
  return {
    id: `${risk.disorder}:${weekOf(risk.on)}:${place.id}`,
    plantId: null,
    placeId: place.id,
    title: `${name} ahead: ${place.name}`,
    where: act,
    why,
    dueOn: risk.actOn,
    minutes: MINUTES_A_BED,
    litres: null,
    remedy: null,
    dose: null,
    ...warnsOf(risk),
    cautions: [],
  };
}

/** Splits and blight are worth a message on the evening before; for the rest a task on its day is enough. */
function warnsOf({ act, disorder, on }: ComingRisk): Pick<Task, 'warns'> {
  if (act === 'pick-ripe') return { warns: { event: 'rain', on } };
  return disorder === 'late-blight' ? { warns: { event: 'blight', on } } : {};
}

/** Days in which rain calls for the cover that a rule asks for. */
const RAIN_AHEAD_DAYS = 2;
const RAIN_MM = 2;

/** What a rule of the bed calls for now: its mulch is missing, or rain comes and its cover is off. */
function ruledIn(s: GardenSnapshot, place: PlaceEntity): Task[] {
  if (livePlantsIn(s, place.id).length === 0) return [];
  const until = addDays(s.today, RAIN_AHEAD_DAYS);
  const rain = forecastIn(s).find(
    (w) => w.date <= until && w.rainMm >= RAIN_MM && (w.rainChancePct ?? 0) >= COUNTED_CHANCE_PCT,
  );
  const covered = coverOf(place) !== 'none' || spellOn(place.roofed, s.today) !== undefined;
  return (place.rules ?? []).flatMap(({ rule, since }): Task[] => {
    const why = `a rule of this bed since ${s.format.day(since)}`;
    if (rule === 'mulch' && !isMulched(place.mulch, s.today))
      return [
        byRule(s, place, {
          rule,
          title: 'Mulch',
          where: 'No mulch is recorded: lay it, or record what lies there',
          why,
        }),
      ];
    if (rule === 'rain-cover' && rain && !covered)
      return [
        byRule(s, place, {
          rule,
          title: 'Put the rain cover on',
          where: `${s.format.rain(rain.rainMm)} of rain on ${s.format.day(rain.date)}`,
          why,
        }),
      ];
    return [];
  });
}

const byRule = (
  s: GardenSnapshot,
  place: PlaceEntity,
  { rule, title, where, why }: { rule: BedRule['rule']; title: string; where: string; why: string },
): Task => ({
  id: `${rule}:${weekOf(s.today)}:${place.id}`,
  plantId: null,
  placeId: place.id,
  title: `${title}: ${place.name}`,
  where,
  why,
  dueOn: s.today,
  minutes: MINUTES_A_BED,
  litres: null,
  remedy: null,
  dose: null,
  cautions: [],
});
