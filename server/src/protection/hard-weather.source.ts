import { Injectable } from '@nestjs/common';
import type { PlaceAssessment } from '@candid-leaf/core/assessment';
import { actInWords, AHEAD_DAYS, hardSpells, spellInWords, spellPlan, type HardSpell } from '@candid-leaf/core/season';
import { addDays } from '@candid-leaf/core/units';
import { litresOf } from '@candid-leaf/core/water';
import type { EntityManager } from 'typeorm';
import { Assessments } from '../assessment/assessments.service.js';
import { forecastIn } from '../assessment/plant-case.js';
import { livePlaces, livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import { notFound } from '../shared/http-errors.js';
import { Postponements } from '../today/postponements.service.js';
import { TaskSource, type Task } from '../today/task-source.js';
import { taskKey } from '../today/today.service.js';

type PlaceInSpell = Parameters<typeof spellPlan>[2];

/** Minutes for each act, on average (judgement). */
const MINUTES_AN_ACT = 5;

/** What heat and frost in the forecast ask for, place by place, from three days before on. Nothing of it is stored but the tick. */
@Injectable()
export class HardWeatherSource extends TaskSource {
  readonly code = 'protect';

  constructor(
    private readonly assessments: Assessments,
    private readonly postponements: Postponements,
  ) {
    super();
  }

  async list(s: GardenSnapshot): Promise<Task[]> {
    const now = s.weather.filter((w) => w.day === s.today).map((w) => ({ ...w, date: w.day }));
    const soon = addDays(s.today, AHEAD_DAYS);
    const spells = hardSpells(s.today, [...now, ...forecastIn(s)]).filter((spell) => spell.from <= soon);
    if (spells.length === 0) return [];
    const assessed = await this.assessments.all(s);
    return spells.flatMap((spell) =>
      livePlaces(s).flatMap((place) => taskFor(s, place, spell, assessed.get(place.id))),
    );
  }

  /** Done is done for this spell. */
  async done(m: EntityManager, s: GardenSnapshot, id: string): Promise<null> {
    if (!(await this.knows(m, s, id))) throw notFound('task');
    await this.postponements.hide(m, s.garden.id, taskKey(this.code, id));
    return null;
  }

  /** Showing it again, which Today does, is all. */
  undo(): Promise<void> {
    return Promise.resolve();
  }
}

function taskFor(
  s: GardenSnapshot,
  place: PlaceEntity,
  spell: HardSpell,
  assessed: PlaceAssessment | undefined,
): Task[] {
  const acts = spellPlan(spell, s.today, inSpell(s, place, spell, assessed));
  if (acts.length === 0) return [];
  const said = acts.map((a) => ({ on: a.on, ...actInWords(a.what, s.format) }));
  return [
    {
      id: `${spell.kind}:${spell.from}:${place.id}`,
      plantId: null,
      placeId: place.id,
      title: spell.kind === 'heat' ? `Before the heat: ${place.name}` : `Before the frost: ${place.name}`,
      where: place.name,
      why: spellInWords(spell, s.today, s.format),
      dueOn: s.today,
      minutes: acts.length * MINUTES_AN_ACT,
      litres: null,
      remedy: null,
      dose: null,
      acts: said.map(({ on, text }) => ({ on, text })),
      cautions: [...new Set(said.flatMap((a) => a.caution ?? []))],
    },
  ];
}

function inSpell(
  s: GardenSnapshot,
  place: PlaceEntity,
  spell: HardSpell,
  assessed: PlaceAssessment | undefined,
): PlaceInSpell {
  const plants = livePlantsIn(s, place.id);
  const contexts = [...(assessed?.plants.values() ?? [])].map((p) => p.context);
  const inDays = (d: { date: string }): boolean => d.date >= spell.from && d.date <= spell.to;
  const used = contexts.map((c) => mean(c.balance.days.slice(-7).map((d) => d.demandL)));
  const will = contexts.map((c) => mean(c.ahead.filter(inDays).map((d) => d.demandL)));
  const known = contexts.length > 0 && [...used, ...will].every((x) => x !== null);
  return {
    facts: contexts[0]?.case.place ?? place,
    plants: plants.length,
    areaM2: place.lengthM != null && place.widthM != null ? place.lengthM * place.widthM : null,
    stages: plants.map((p) => p.stage),
    water:
      known && assessed
        ? {
            usedPerDayL: total(used),
            spellPerDayL: total(will),
            plannedOn: (day) => assessed.plan.pours.reduce((sum, pour) => sum + litresOf(pour, day), 0),
          }
        : null,
    latitude: s.garden.latitude,
  };
}

const mean = (list: readonly number[]): number | null =>
  list.length > 0 ? list.reduce((a, b) => a + b, 0) / list.length : null;
const total = (list: readonly (number | null)[]): number => list.reduce<number>((sum, x) => sum + (x ?? 0), 0);
