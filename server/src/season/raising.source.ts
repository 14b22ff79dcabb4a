import { Injectable } from '@nestjs/common';
import { seedsFor } from '@candid-leaf/core/planning';
import { growingYearOf } from '@candid-leaf/core/season';
import { gateInWords, gateRowInWords, HARDENING_STEPS, stepInWords } from '@candid-leaf/core/setting-out';
import { addDays } from '@candid-leaf/core/units';
import { In, type EntityManager } from 'typeorm';
import { v5 as nameUuid } from 'uuid';
import type { GardenSnapshot } from '../assessment/snapshots.service.js';
import { noteGrown } from '../places/grown.js';
import { PlantEntity } from '../plants/plant.entity.js';
import { revisionOf } from '../shared/garden-revision.js';
import { nextPosition } from '../shared/ordering.js';
import { updateRows } from '../shared/rows.js';
import { TaskSource, type Task } from '../today/task-source.js';
import { PlantingEntity } from './planting.entity.js';
import { datesOf, gateOf, hardeningOf, kindName, kindOf, modeOf, placeOf } from './planting-on-view.js';
import { PlantingsService } from './plantings.service.js';

type Step = 'sow' | 'pot' | 'harden' | 'day' | 'out';

/** From the seed to the bed: sowing, potting on, each day of hardening off, and planting out as soon as it may be. */
@Injectable()
export class RaisingSource extends TaskSource {
  readonly code = 'raise';

  constructor(private readonly plantings: PlantingsService) {
    super();
  }

  async list(s: GardenSnapshot): Promise<Task[]> {
    const now = growingYearOf(s.today, s.garden.latitude, modeOf(s)).year;
    const rows = await this.plantings.of(s.garden.id);
    return rows.filter((p) => (p.year === now || p.year === now + 1) && !p.plantedOn).flatMap((p) => stepsOf(s, p));
  }

  async done(m: EntityManager, s: GardenSnapshot, id: string): Promise<null> {
    const { p, step, day } = await this.find(m, s, id);
    if (!p || p.plantedOn) return null;
    const set = (change: Partial<PlantingEntity>) =>
      updateRows(m, PlantingEntity, { id: p.id }, change).then(() => null);
    if (step === 'sow' && !p.sownOn) return set({ sownOn: s.today, cells: p.cells ?? seedsFor(p.count).cells });
    if (step === 'pot' && !p.pottedOn) return set({ pottedOn: s.today });
    if (step === 'harden' && !p.hardenFrom) return set({ hardenFrom: s.today, outDays: [s.today] });
    if (step === 'day' && day === s.today && !(p.outDays ?? []).includes(s.today) && stepOn(s, p) !== null)
      return set({ outDays: [...(p.outDays ?? []), s.today] });
    // what a gardener does without a forecast is theirs to say: only a "wait" holds it
    if (step === 'out' && gateOf(s, p)?.verdict.go !== 'wait') {
      await plantOut(m, s, p);
      return set({ plantedOn: s.today });
    }
    return null;
  }

  async undo(m: EntityManager, s: GardenSnapshot, id: string): Promise<void> {
    const { p, step, day } = await this.find(m, s, id);
    if (!p) return;
    const set = (change: Partial<PlantingEntity>) => updateRows(m, PlantingEntity, { id: p.id }, change);
    if (step === 'sow') await set({ sownOn: null });
    if (step === 'pot') await set({ pottedOn: null });
    if (step === 'harden') await set({ hardenFrom: null, outDays: null });
    if (step === 'day') await set({ outDays: (p.outDays ?? []).filter((d) => d !== day) });
    if (step === 'out') {
      await updateRows(m, PlantEntity, { id: In(plantIds(p)), gardenId: s.garden.id }, { deletedAt: new Date() });
      await set({ plantedOn: null });
    }
  }

  /** `planting:step`, and of a day of hardening the day too. */
  private async find(
    m: EntityManager,
    s: GardenSnapshot,
    id: string,
  ): Promise<{ p: PlantingEntity | undefined; step: Step; day: string }> {
    const [of = '', step = '', day = ''] = id.split(':');
    const p = (await this.plantings.of(s.garden.id, undefined, m)).find((x) => x.id === of);
    return { p, step: step as Step, day };
  }
}

/** Which step of hardening falls on the garden's day; null: a pause, or none. */
function stepOn(s: GardenSnapshot, p: PlantingEntity): number | null {
  return hardeningOf(s, p)?.days.find((d) => d.day === s.today)?.step ?? null;
}

function stepsOf(s: GardenSnapshot, p: PlantingEntity): Task[] {
  const place = placeOf(s, p);
  if (!place) return [];
  const { bands } = datesOf(s, p.year, kindOf(s, p), p);
  const band = (what: string) => bands.find((b) => b.what === what)!;
  const kind = kindName(s.cultivarOf(p), p.crop);
  const task = (step: string, more: Pick<Task, 'title' | 'why' | 'dueOn' | 'minutes'> & Partial<Task>): Task => ({
    id: `${p.id}:${step}`,
    plantId: null,
    placeId: null,
    where: `for ${place.name}`,
    litres: null,
    remedy: null,
    dose: null,
    cautions: [],
    ...more,
  });
  if (!p.sownOn) {
    const { cells, seeds } = seedsFor(p.count);
    const sow = band('sow');
    return [
      task('sow', {
        title: `Sow ${kind}`,
        amount: `${cells} cells, ${seeds} seeds`,
        why: `Two to a cell, the weaker snipped at 2 to 3 cm; planted out from ${s.format.day(band('plant-out').from)}`,
        dueOn: sow.from,
        minutes: 5 + Math.ceil(cells / 2),
        cautions: ['Light close above, a fan on, warmth below; water from below, and empty the tray after.'],
      }),
    ];
  }
  const tasks: Task[] = [];
  if (!p.pottedOn && !p.hardenFrom)
    tasks.push(
      task('pot', {
        title: `Pot on ${kind}`,
        amount: '9 cm pots',
        why: 'First true leaves: a larger pot, tomatoes up to the seed leaves, peppers no deeper than they stood',
        dueOn: band('pot-on').from,
        minutes: 2 * p.count,
      }),
    );
  tasks.push(...(p.hardenFrom ? hardeningTask(s, p, task, kind) : [beginTask(task, kind, band('harden').from)]));
  tasks.push(...outTask(s, p, task, kind, band('plant-out').from));
  return tasks;
}

type Make = (step: string, more: Pick<Task, 'title' | 'why' | 'dueOn' | 'minutes'> & Partial<Task>) => Task;

const beginTask = (task: Make, kind: string, dueOn: string): Task =>
  task('harden', {
    title: `Begin to harden off ${kind}`,
    why: `The first day outside: ${stepInWords(HARDENING_STEPS[0]!)}; ten days, and it pauses by itself when nights are cold or the wind is strong`,
    dueOn,
    minutes: 3,
  });

/** Today's step, or why it pauses. */
function hardeningTask(s: GardenSnapshot, p: PlantingEntity, task: Make, kind: string): Task[] {
  const plan = hardeningOf(s, p);
  const today = plan?.days.find((d) => d.day === s.today);
  if (!plan || !today || today.done) return [];
  if (today.step === null) {
    const next = plan.days.find((d) => d.day > s.today && d.step !== null)?.day ?? addDays(s.today, 1);
    const because =
      today.pause === 'wind'
        ? 'strong wind today'
        : 'the night will be under 10 °C'.replace('10 °C', s.format.temperature(10));
    return [
      task(`day:${s.today}`, {
        title: `${kind} stays in today`,
        why: `Hardening off pauses: ${because}`,
        dueOn: s.today,
        minutes: 0,
        held: { until: next, because: `Hardening off pauses: ${because}` },
      }),
    ];
  }
  const step = HARDENING_STEPS[today.step]!;
  return [
    task(`day:${s.today}`, {
      title: `Put ${kind} outside`,
      amount: stepInWords(step),
      why: `Hardening off, day ${today.step + 1} of ${HARDENING_STEPS.length}; ready on ${s.format.day(plan.readyOn)}`,
      dueOn: s.today,
      minutes: 4,
    }),
  ];
}

/** The checklist of planting out: today, at risk, or held. Told from a week before its time on. */
function outTask(s: GardenSnapshot, p: PlantingEntity, task: Make, kind: string, from: string): Task[] {
  const gate = gateOf(s, p);
  if (!gate) return [];
  const { verdict } = gate;
  const text = gateInWords(gate, s.format);
  const held = verdict.go === 'wait' && s.today >= addDays(from, -7);
  return [
    task('out', {
      title: verdict.go === 'ask' ? `May ${kind} go out?` : `Plant out ${kind}`,
      amount: `${p.count} plants`,
      why: text,
      dueOn: from,
      minutes: 8 * p.count,
      parts: gate.rows.map((r) => gateRowInWords(r, s.format)),
      ...(held ? { held: { until: verdict.until ?? addDays(s.today, 7), because: text } } : {}),
      cautions: [
        p.crop === 'tomato'
          ? 'Deep: up to the first leaves, or laid in a trench. Support now, water in, and daily for one to two weeks.'
          : 'Only as deep as it stood in its pot. Support now, water in, and daily for one to two weeks.',
        ...(verdict.go === 'at-risk' ? ['A cover at hand, on before dusk and off in the morning.'] : []),
      ],
    }),
  ];
}

const OWN_NAMES = 'b9a7c0de-51a5-4c0a-9b0e-6f1f2d3c4b5a';
/** The same plants however often it is told. */
const plantIds = (p: PlantingEntity): string[] =>
  Array.from({ length: p.count }, (_, i) => nameUuid(`${p.id} ${i}`, OWN_NAMES));

/** They stand in their place now, each a plant of its own. */
async function plantOut(m: EntityManager, s: GardenSnapshot, p: PlantingEntity): Promise<void> {
  const kind = s.cultivarOf(p);
  const name = kindName(kind, p.crop);
  let position = await nextPosition(m, PlantEntity, { gardenId: s.garden.id, placeId: p.placeId });
  for (const [i, id] of plantIds(p).entries()) {
    const old = await m.findOneBy(PlantEntity, { id });
    if (old) {
      await updateRows(m, PlantEntity, { id }, { deletedAt: null, transplantedOn: s.today });
      continue;
    }
    await m.insert(PlantEntity, {
      id,
      gardenId: s.garden.id,
      version: 1,
      revision: revisionOf(m),
      deletedAt: null,
      placeId: p.placeId,
      name: p.count === 1 ? name : `${name} ${i + 1}`,
      crop: p.crop,
      habit: kind?.habit ?? null,
      type: kind?.type ?? null,
      stage: 'establishing',
      transplantedOn: s.today,
      heightM: null,
      spacingM: p.spacingM,
      resistantTo: [],
      worth: null,
      training: null,
      cultivarId: p.cultivarId,
      kindUnsure: null,
      position: position++,
      retiredOn: null,
      endedBecause: null,
    });
  }
  await noteGrown(m, p.placeId, Number(s.today.slice(0, 4)));
}
