import { isUnderGlass } from '@candid-leaf/core/records';
import { plantingSequence } from '@candid-leaf/core/raising';
import {
  gateInWords,
  gateRowInWords,
  HARDEN_FROM_C,
  HARDENING_STEPS,
  SOIL_MULCH_C,
  stepInWords,
} from '@candid-leaf/core/setting-out';
import { addDays } from '@candid-leaf/core/units';
import type { GardenSnapshot } from '../../assessment/snapshots.service.js';
import type { PlaceEntity } from '../../places/place.entity.js';
import type { Task } from '../../today/task-source.js';
import type { PlantingEntity } from '../planting.entity.js';
import { datesOfPlanting, gateOf, hardeningOf, varietyName, placeOf } from '../planting-on-view.js';
import { makerOf, type Make } from './make.js';

/** Returns the hardening step of the garden's day; null: a pause, or none. */
export function stepOn(s: GardenSnapshot, p: PlantingEntity): number | null {
  return hardeningOf(s, p)?.days.find((d) => d.day === s.today)?.step ?? null;
}

/** So long after the planting-out day plants were hardened off, whether it was ticked or not (judgement). */
const UNTICKED_DAYS = 10;

/** Tasks from tray to bed: each day of hardening off, and planting out as soon as possible. */
export function outTasks(s: GardenSnapshot, p: PlantingEntity, boneDry: boolean): Task[] {
  const place = placeOf(s, p);
  if (!place) return [];
  const { bands } = datesOfPlanting(s, p);
  const from = (what: string) => bands.find((b) => b.what === what)!.from;
  const variety = varietyName(s.varietyOf(p), p.crop);
  const task = makerOf(p, place);
  const out = from('plant-out');
  // one waits for the other, until its time has come whatever was ticked
  const potted = p.pottedOn !== null || s.today >= out;
  const hardened = p.hardenFrom !== null || s.today >= addDays(out, UNTICKED_DAYS);
  return [
    ...(p.hardenFrom
      ? hardeningTask(s, p, task, variety)
      : potted && !hardened
        ? [beginTask(task, variety, from('harden'))]
        : []),
    ...(hardened || s.today >= out ? outTask(s, p, place, { task, variety, from: out, boneDry }) : []),
  ];
}

const beginTask = (task: Make, variety: string, dueOn: string): Task =>
  task('harden', {
    title: `Start hardening off ${variety}`,
    why: `First day outside: ${stepInWords(HARDENING_STEPS[0]!)}. It takes ten days and pauses when it is cold or windy`,
    dueOn,
    minutes: 3,
  });

/** Returns today's step, or why it pauses. */
function hardeningTask(s: GardenSnapshot, p: PlantingEntity, task: Make, variety: string): Task[] {
  const plan = hardeningOf(s, p);
  const today = plan?.days.find((d) => d.day === s.today);
  if (!plan || !today || today.done) return [];
  if (today.step === null) {
    const next = plan.days.find((d) => d.day > s.today && d.step !== null)?.day ?? addDays(s.today, 1);
    const because =
      today.pause === 'wind'
        ? 'strong wind today'
        : `it will be under ${s.format.temperature(HARDEN_FROM_C)} while they are outside`;
    return [
      task(`day:${s.today}`, {
        title: `Keep ${variety} in today`,
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
      title: `Put ${variety} outside`,
      amount: stepInWords(step),
      why: `Hardening off, day ${today.step + 1} of ${HARDENING_STEPS.length}; ready on ${s.format.day(plan.readyOn)}`,
      dueOn: s.today,
      minutes: 4,
    }),
  ];
}

/** The planting-out checklist: today, at risk, or on hold. Shown from a week before its time. */
interface Out {
  task: Make;
  variety: string;
  from: string;
  boneDry: boolean;
}

function outTask(s: GardenSnapshot, p: PlantingEntity, place: PlaceEntity, o: Out): Task[] {
  const { task, variety, from } = o;
  const gate = gateOf(s, p);
  if (!gate) return [];
  const { verdict } = gate;
  const text = gateInWords(gate, s.format);
  const held = verdict.go === 'wait' && s.today >= addDays(from, -7);
  return [
    task('out', {
      title: verdict.go === 'ask' ? `Check whether ${variety} can be planted out` : `Plant out ${variety}`,
      amount: `${p.count} plants`,
      why: text,
      dueOn: from,
      minutes: 8 * p.count,
      parts: gate.rows.map((r) => gateRowInWords(r, s.format)),
      sequence: plantingSequence({
        crop: p.crop,
        habit: s.varietyOf(p)?.habit ?? null,
        place: { kind: place.kind, underCover: isUnderGlass(place), texture: place.texture },
        starter: s.garden.starter,
        boneDry: o.boneDry,
        soilWarm: (gate.rows.find((r) => r.check === 'soil')?.found ?? 0) >= SOIL_MULCH_C,
      }),
      ...(held ? { held: { until: verdict.until ?? addDays(s.today, 7), because: text } } : {}),
      cautions: [
        p.crop === 'tomato'
          ? 'Deep: up to the first leaves, or laid in a trench. Add support now, water in, and water daily for one to two weeks.'
          : 'Only as deep as it stood in its pot. Add support now, water in, and water daily for one to two weeks.',
        ...(verdict.go === 'at-risk' ? ['Keep a cover ready; on before dusk, off in the morning.'] : []),
      ],
    }),
  ];
}
