import { sizeIn, stageIn } from '../assessment/growth.js';
import { type Dealt } from '@candid-leaf/core/support';
import { dealFor, dealInWords } from '@candid-leaf/core/care';
import { COVERINGS, type Covering, isUnderGlass } from '@candid-leaf/core/records';
import { Injectable } from '@nestjs/common';
import type { PlaceAssessment } from '@candid-leaf/core/assessment';
import { warmthNote, weatherInPlace, type WeatherDay } from '@candid-leaf/core/climate';
import {
  actInWords,
  hangPlan,
  AHEAD_DAYS,
  hardSpells,
  MULCH_DEPTH_M,
  NEWLY_PLANTED_DAYS,
  spellInWords,
  spellPlan,
  type HardSpell,
  type WarningEvent,
} from '@candid-leaf/core/season';
import { addDays, daysBetween, type Day } from '@candid-leaf/core/units';
import { heightOr, laterOf, litresOf } from '@candid-leaf/core/water';
import type { EntityManager } from 'typeorm';
import { Assessments } from '../assessment/assessments.service.js';
import { recordsOfPlant, supportIn } from '../assessment/own-records.js';
import { forecastIn } from '../assessment/weather-lists.js';
import { livePlaces, livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import { partOf, RecordsService } from '../records/records.service.js';
import { notFound } from '../shared/http-errors.js';
import { Postponements } from '../today/postponements.service.js';
import { TaskSource, type Task, type Tick } from '../today/task-source.js';
import { taskKey } from '../today/today.service.js';

type PlaceInSpell = Parameters<typeof spellPlan>[2];

/** `coverings`: what a tick puts on the bed. */
type HeatTask = Task & { coverings: Covering[] };

/** Average minutes per act (judgement). */
const MINUTES_AN_ACT = 5;

/** Tasks for heat and frost in the forecast, bed by bed, from three days before. Only the tick is stored. */
@Injectable()
export class HardWeatherSource extends TaskSource {
  readonly code = 'protect';

  constructor(
    private readonly assessments: Assessments,
    private readonly postponements: Postponements,
    private readonly records: RecordsService,
  ) {
    super();
  }

  async list(s: GardenSnapshot): Promise<Task[]> {
    return (await this.planned(s)).map(({ coverings: _, ...task }) => task);
  }

  private async planned(s: GardenSnapshot): Promise<HeatTask[]> {
    const now = s.weather.filter((w) => w.day === s.today).map((w) => ({ ...w, date: w.day }));
    const ahead = [...now, ...forecastIn(s)];
    const soon = addDays(s.today, AHEAD_DAYS);
    const threatened = livePlaces(s).flatMap((place) => {
      const spells = spellsOf(s, place, ahead).filter((spell) => spell.from <= soon);
      return spells.length > 0 ? [{ place, spells }] : [];
    });
    if (threatened.length === 0) return [];
    const assessed = await this.assessments.all(s);
    const dealt = dealtOut(s, threatened);
    return threatened.flatMap(({ place, spells }) =>
      spells.flatMap((spell) => taskFor(s, place, spell, assessed.get(place.id), dealt)),
    );
  }

  /** Done for today: shade and mulch are recorded, so tomorrow of the same spell asks only for what is new. */
  async done(m: EntityManager, s: GardenSnapshot, id: string, tick: Tick): Promise<string | null> {
    if (await this.records.exists(m, s.garden.id, tick.recordId)) return tick.recordId;
    const task = (await this.planned(s)).find((t) => t.id === id);
    if (!task) throw notFound('task');
    await this.postponements.hide(m, s.garden.id, taskKey(this.code, id));
    const placeId = task.placeId!;
    for (const [i, data] of task.coverings.entries())
      await this.records.write(m, s.garden.id, tick.accountId, s.today, {
        id: i === 0 ? tick.recordId : partOf(tick.recordId, data.what),
        type: 'covering',
        placeId,
        data,
      });
    return task.coverings.length > 0 ? tick.recordId : null;
  }

  undo(m: EntityManager, s: GardenSnapshot, _id: string, recordId: string | null): Promise<void> {
    return this.records.takeBackEach(m, s.garden.id, recordId, COVERINGS);
  }
}

/** Returns what threatens a bed: heat as its plants feel it, frost by the screen and its position. */
function spellsOf(s: GardenSnapshot, place: PlaceEntity, ahead: readonly WeatherDay[]): HardSpell[] {
  const plants = livePlantsIn(s, place.id);
  const newlyPlanted = plants.some(
    (p) => p.transplantedOn !== null && daysBetween(p.transplantedOn, s.today) <= NEWLY_PLANTED_DAYS,
  );
  const own = ahead.map((w) => weatherInPlace(place, w, s.garden));
  return plants.length === 0 ? [] : hardSpells(s.today, ahead, { facts: place, newlyPlanted }, own);
}

const TITLES: Record<HardSpell['kind'], string> = {
  heat: 'Heat',
  frost: 'Frost',
  chill: 'Cold nights',
  storm: 'Strong wind',
};
const EVENTS: Record<HardSpell['kind'], WarningEvent> = { heat: 'heat', frost: 'frost', chill: 'cold', storm: 'storm' };

function taskFor(
  s: GardenSnapshot,
  place: PlaceEntity,
  spell: HardSpell,
  assessed: PlaceAssessment | undefined,
  dealt: Readonly<Partial<Record<Covered, Dealt>>>,
): HeatTask[] {
  const acts = spellPlan(spell, s.today, inSpell(s, place, spell, assessed)).filter((a) => a.on >= s.today);
  if (acts.length === 0) return [];
  // daily acts are listed once: tomorrow asks again
  const said = acts
    .map((a) => ({ on: a.on, ...actInWords(a.what, s.format) }))
    .filter((a, i, all) => all.findIndex((x) => x.text === a.text) === i);
  return [
    {
      id: `${spell.kind}:${s.today}:${place.id}`,
      plantId: null,
      placeId: place.id,
      title: `${TITLES[spell.kind]}: ${place.name}`,
      where: place.name,
      why: spellInWords(spell, s.today, s.format) + (spell.kind === 'heat' ? warmthNote(place) : ''),
      dueOn: s.today,
      minutes: Math.max(1, acts.filter((a) => a.on === s.today).length) * MINUTES_AN_ACT,
      litres: null,
      remedy: null,
      dose: null,
      warns: { event: EVENTS[spell.kind], on: warnedOn(spell, s.today) },
      acts: [...said.map(({ on, text }) => ({ on, text })), ...coverAct(s, place, spell, dealt)],
      ...(acts.some((a) => a.what.act === 'shade') ? hangOver(s, place) : {}),
      cautions: [...new Set(said.flatMap((a) => a.caution ?? []))],
      coverings: acts.flatMap(({ on, what }): Covering[] =>
        on > s.today
          ? []
          : what.act === 'shade'
            ? [{ date: s.today, what: 'shade', did: 'on' }]
            : what.act === 'mulch'
              ? [{ date: s.today, what: 'mulch', did: 'on', depthCm: MULCH_DEPTH_M * 100 }]
              : [],
      ),
    },
  ];
}

/** How the cloth is hung over the plants that stand there. */
function hangOver(s: GardenSnapshot, place: PlaceEntity): Pick<Task, 'hang'> {
  // over film and glass it is laid from outside
  if (isUnderGlass(place)) return {};
  const hang = hangPlan(
    livePlantsIn(s, place.id).map((p) => ({
      name: p.name,
      heightM: heightOr(p.crop, sizeIn(s, p).heightM),
      support: supportIn(recordsOfPlant(s, p)),
      precious: p.worth === 3,
    })),
  );
  return hang ? { hang } : {};
}
/** Each night of frost is covered for anew; any other spell is news once. */
const warnedOn = ({ kind, from, to }: HardSpell, today: Day): Day =>
  kind === 'frost' && from <= today && to > today ? addDays(today, 1) : from;

type Covered = 'heat' | 'frost';
const coveredKind = (spell: HardSpell): Covered | null =>
  spell.kind === 'heat' || spell.kind === 'frost' ? spell.kind : null;

/** If the stock was counted, shares cloth and covers among all threatened plants, wherever they are. */
function dealtOut(
  s: GardenSnapshot,
  threatened: readonly { place: PlaceEntity; spells: readonly HardSpell[] }[],
): Partial<Record<Covered, Dealt>> {
  const { clothM2, covers } = s.garden.stock ?? {};
  const among = (kind: Covered, stock: number | null | undefined): Partial<Record<Covered, Dealt>> => {
    const places = threatened.filter((t) => t.spells.some((spell) => spell.kind === kind)).map((t) => t.place);
    if (stock == null || places.length === 0) return {};
    const plants = places.flatMap((place) =>
      livePlantsIn(s, place.id).map((p) => ({
        ...p,
        young: p.transplantedOn !== null && daysBetween(p.transplantedOn, s.today) <= NEWLY_PLANTED_DAYS,
        place,
      })),
    );
    return { [kind]: dealFor(kind, plants, stock) };
  };
  return { ...among('heat', clothM2), ...among('frost', covers) };
}

function coverAct(
  s: GardenSnapshot,
  place: PlaceEntity,
  spell: HardSpell,
  dealt: Readonly<Partial<Record<Covered, Dealt>>>,
): { on: Day; text: string }[] {
  const kind = coveredKind(spell);
  const own = kind && dealt[kind];
  if (!kind || !own) return [];
  const here = new Set(livePlantsIn(s, place.id).map((p) => p.id));
  return [{ on: s.today, text: `${dealInWords(kind, own, (id) => here.has(id), s.format)}.` }];
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
  const known =
    contexts.length > 0 && contexts.every((c) => c.waterKnown) && [...used, ...will].every((x) => x !== null);
  return {
    facts: contexts[0]?.case.place ?? place,
    plants: plants.length,
    areaM2: place.lengthM != null && place.widthM != null ? place.lengthM * place.widthM : null,
    stages: plants.map((p) => stageIn(s, p)),
    water:
      known && assessed
        ? {
            usedPerDayL: total(used),
            spellPerDayL: total(will),
            plannedOn: (day) => assessed.plan.pours.reduce((sum, pour) => sum + litresOf(pour, day), 0),
            laterOn: (day) => assessed.plan.pours.reduce((sum, pour) => sum + laterOf(pour, day), 0),
          }
        : null,
    latitude: s.garden.latitude,
    peppers: plants.some((p) => p.crop === 'pepper'),
    hotPeppers: plants.some((p) => p.type === 'hot' || p.type === 'superhot'),
  };
}

const mean = (list: readonly number[]): number | null =>
  list.length > 0 ? list.reduce((a, b) => a + b, 0) / list.length : null;
const total = (list: readonly (number | null)[]): number => list.reduce<number>((sum, x) => sum + (x ?? 0), 0);
