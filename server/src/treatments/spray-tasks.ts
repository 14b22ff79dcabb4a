import type { PlantAssessment } from '@candid-leaf/core/assessment';
import { sprayPlan, sprayProduct, type SprayPlan } from '@candid-leaf/core/care';
import { disorderRow, remedyRow } from '@candid-leaf/core/diagnosis';
import { copperShare, type Product } from '@candid-leaf/core/products';
import type { DisorderCode, Inspection, Spraying } from '@candid-leaf/core/records';
import { gateInWords, trialOf, unknownsInWords, type Trial } from '@candid-leaf/core/spray';
import { copperOf } from '../assessment/copper-of.js';
import { pickOnByRecords } from '../assessment/pick-on.js';
import type { GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import type { Task } from '../today/task-source.js';
import type { TreatmentTaskEntity } from './treatment-task.entity.js';

/** State of a spray in a treatment: one leaf first, a check after a day, only then the plant. */
export interface SprayStep {
  plan: SprayPlan;
  target: string;
}

/** Returns the next step of a spray for one treatment task, or null if there is nothing to do. */
export function sprayStep(
  s: GardenSnapshot,
  task: TreatmentTaskEntity,
  disorder: DisorderCode,
  at: { plant: PlantEntity; place: PlaceEntity; own: PlantAssessment },
  products: readonly Product[],
): SprayStep | null {
  const spray = remedyRow(task.remedy).sprays;
  const product = spray && sprayProduct(products, spray);
  if (!spray || !product) return null;
  const trial = trialOf(spray, trialsOf(s, at.plant), s.today);
  const due = pickOnByRecords(s, at.plant, at.place) ?? null;
  const rules = {
    pondNear: at.place.pondNear ?? false,
    organicOnly: s.garden.organicOnly ?? false,
    // what was due and is not picked yet is picked today
    pickOn: due !== null && due < s.today ? s.today : due,
    copperGPerM2: copperOf(s, at.place, s.today).gPerM2,
    tools: s.format.units,
  };
  return { plan: sprayPlan(at.own, product, trial, rules), target: disorderRow(disorder).label };
}

/** Returns sprays on plants of the same crop, with their looks: one plant tests for all. */
function trialsOf(s: GardenSnapshot, plant: PlantEntity): { spray: Spraying; looks: Inspection[] }[] {
  return s.plants
    .filter((p) => p.crop === plant.crop)
    .flatMap((p) => {
      const own = s.recordsOf(p.id);
      const looks = own.filter((r) => r.type === 'inspection').map((r) => r.data as Inspection);
      return own.filter((r) => r.type === 'spray').map((r) => ({ spray: r.data as Spraying, looks }));
    })
    .sort((a, b) => (a.spray.date < b.spray.date ? -1 : 1));
}

/** The order of steps, shown where a spray is first due (common practice). */
const LADDER =
  'A spray comes last. Identify the pest first. Are there more than last time? Are helpful insects at work? Use hands and water first.';

const HOUR_WORDS = {
  dawn: 'early, before the sun reaches it',
  midday: 'at midday',
  evening: 'in the evening, so it dries before night',
};

/** Says that waits are the usual ones for this type of product, until the gardener entered a label. */
function usualWait(product: Product): string[] {
  if ('version' in product) return [];
  const { harvestDays, reentryHours } = product;
  const usual = [
    harvestDays != null && `${harvestDays} ${harvestDays === 1 ? 'day' : 'days'} until picking`,
    reentryHours != null && `${reentryHours} hours until anyone goes near`,
  ].filter(Boolean);
  return [
    `Usual for this type of product: ${usual.join(', ')}. Read your label, and enter it in the shed before you spray.`,
  ];
}

/** Returns the task for today: what, when, how much, or what it waits for. */
export function sprayTask(s: GardenSnapshot, base: Task, { plan, target }: SprayStep): Task {
  const { trial, window, batch, product } = plan;
  const f = s.format;
  const amount = (x: number): string => (product.form === 'liquid' ? f.millilitres(x) : f.powder(x, product.gPerMl));
  const mixed = batch?.batches[0] ? `${amount(batch.batches[0].amount)} in ${f.litres(batch.batches[0].waterL)}` : null;
  const when = window ? HOUR_WORDS[window.hour] : '';
  const waits = (until: string, because: string): Partial<Task> => ({ dueOn: until, held: { until, because } });
  const notYet = plan.against.map((g) => gateInWords(g, f)).join('; ');
  const on = (own: Partial<Task>): Partial<Task> => {
    if (!window) return { ...own, held: { until: s.today, because: notYet || 'no suitable hour within a week' } };
    return window.on > s.today ? { ...own, ...waits(window.on, `wait until ${f.day(window.on)}: ${notYet}`) } : own;
  };
  const looks = unknownsInWords(plan.unknown);
  const withLabel = {
    ...base,
    cautions: [
      ...new Set([...(looks ? [looks] : []), ...usualWait(product), ...base.cautions, ...(product.cautions ?? [])]),
    ],
    where: `${base.where}, ${product.name}`,
  };
  switch (trial.state) {
    case 'try':
      return {
        ...withLabel,
        cautions: [LADDER, ...withLabel.cautions],
        title: `Test on one leaf first: ${base.title}`,
        why: `against ${target.toLowerCase()}; ${when}. Check the leaf after 24 hours, then spray the rest`,
        ...(mixed ? { amount: mixed } : {}),
        ...on({}),
      };
    case 'wait':
      return {
        ...withLabel,
        title: `Spray the rest: ${base.title}`,
        ...waits(
          trial.until,
          `tested on one leaf on ${f.day(trial.triedOn)}: check it on ${f.day(trial.until)}, then spray the rest`,
        ),
      };
    case 'look':
      return {
        ...base,
        title: 'Check the test leaf',
        why: `${product.name} was tested on ${f.day(trial.triedOn)}: is the leaf burnt, bleached or spotted?`,
        minutes: 1,
        see: 'leaves',
      };
    case 'burnt':
      return {
        ...base,
        title: `Do not spray: ${base.title}`,
        why: `the leaf tested on ${f.day(trial.triedOn)} is burnt. Do not use it on this plant or test it again`,
      };
    case 'passed':
      return {
        ...withLabel,
        why: `against ${target.toLowerCase()}; the test leaf is healthy; ${when}`,
        ...(mixed ? { amount: mixed } : {}),
        ...on({}),
      };
  }
}

/** Returns the record to save when done; null if nothing was sprayed. */
export function sprayRecord(today: string, { plan, target }: SprayStep): Spraying | null {
  const { trial, product, batch } = plan;
  if (trial.state !== 'try' && trial.state !== 'passed') return null;
  const [mixed] = batch?.batches ?? [];
  const copper = copperShare(product);
  return {
    date: today,
    product: product.spray!,
    name: product.name,
    target,
    ...(product.dose?.per === 'litre' ? { perLitre: product.dose.amount, labelPerLitre: product.dose.amount } : {}),
    ...(mixed ? { batchL: mixed.waterL } : {}),
    ...(trial.state === 'try' ? { trial: true } : {}),
    ...(product.harvestDays != null ? { harvestDays: product.harvestDays } : {}),
    ...(product.everyDays != null ? { everyDays: product.everyDays } : {}),
    ...(product.reentryHours != null ? { reentryHours: product.reentryHours } : {}),
    ...(copper !== null ? { copperPct: copper } : {}),
  };
}

/** Returns whether it may be done now: not while waiting for an hour, a day or a check. */
export const mayDo = (today: string, plan: SprayPlan): boolean =>
  (plan.trial.state === 'try' || plan.trial.state === 'passed') && plan.window?.on === today;
/** Returns whether a leaf test ended the spray: the leaf burnt. */
export const isOver = (trial: Trial): boolean => trial.state === 'burnt';
