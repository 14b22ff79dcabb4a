import { CAUTIONS } from '@candid-leaf/core/records';
import { leftOf, seedsFor, tooLateToSow } from '@candid-leaf/core/planning';
import { actsAfter, lightOn, nextLookOn, OVERTAKEN_DAYS, thinOn, trayWater } from '@candid-leaf/core/raising';
import { type Day, daysBetween } from '@candid-leaf/core/units';
import type { GardenSnapshot } from '../../assessment/snapshots.service.js';
import type { Task } from '../../today/task-source.js';
import type { PlantingEntity } from '../planting.entity.js';
import { datesOfPlanting, varietyName, placeOf } from '../planting-on-view.js';
import { makerOf, type Make } from './make.js';

/** Sown now it would not ripen, but bought plants still would. It cannot be done: the season's page has what can. */
const lateTask = (s: GardenSnapshot, task: Make, variety: string, buyBy: Day): Task =>
  task('late', {
    title: `Too late to sow ${variety}`,
    why: `Sown now it would not ripen here. Buy plants by ${s.format.day(buyBy)}, or delete it on the season’s page. A good one is short, thick and dark green, with white roots, no flowers yet, and nothing under its leaves`,
    dueOn: s.today,
    minutes: 0,
    held: { until: buyBy, because: `too late to sow: buy plants by ${s.format.day(buyBy)}, or skip it this year` },
  });

/** Sowing, in order (common practice). */
const HOW_TO_SOW = [
  'Fine, fresh seed mix with little feed: it lets air to the roots, and salt burns none.',
  'Cover the seeds as deep as they are thick, water, and put the lid on until most are up.',
  'Warmth below: 22 to 27 °C (72 to 81 °F).',
];
/** The lamp, nearer by days. */
const LAMP = [
  'Lid off once most are up; a fan on low.',
  'Hang the lamp a forearm above them on the first two days, a hand’s length on the next two.',
  'Then 5 to 10 cm (2 to 4 in) above, 14 to 16 hours a day.',
  'Farther off they grow leggy; so near at once, they scorch.',
];

/** From seed to pot: sowing, light, thinning, water from below, checks, potting on. */
/** @param nibbled seedlings were eaten in this garden before */
export function seedlingTasks(s: GardenSnapshot, p: PlantingEntity, nibbled = false): Task[] {
  const place = placeOf(s, p);
  if (!place) return [];
  const { bands } = datesOfPlanting(s, p);
  const band = (what: string) => bands.find((b) => b.what === what)!;
  const variety = varietyName(s.varietyOf(p), p.crop);
  const task = makerOf(p, place);
  const { cells, seeds } = seedsFor(p.count, nibbled);
  if (!p.sownOn) {
    const late = tooLateToSow(bands, s.today);
    if (late) return late.buyBy ? [lateTask(s, task, variety, late.buyBy)] : [];
    return [
      task('sow', {
        title: `Sow ${variety}`,
        amount: `${cells} cells, ${seeds} seeds`,
        why: `Two to a cell; snip the weaker at 2 to 3 cm (1 in). Plant out from ${s.format.day(band('plant-out').from)}`,
        dueOn: band('sow').from,
        minutes: 5 + Math.ceil(cells / 2),
        ...(nibbled
          ? { sequence: ['Seedlings were eaten here before, so there are some to spare.', ...HOW_TO_SOW] }
          : { sequence: HOW_TO_SOW }),
        cautions: ['Water from below and empty the tray afterwards.'],
      }),
    ];
  }
  const tasks: Task[] = [];
  const young = !p.pottedOn && !p.hardenFrom;
  const age = daysBetween(p.sownOn, s.today);
  if (!p.litOn && young && age < OVERTAKEN_DAYS.light)
    tasks.push(
      task('light', {
        title: `Light and air for ${variety}`,
        why: 'They come up about now, and need light before they stretch',
        sequence: LAMP,
        dueOn: lightOn(p.sownOn),
        minutes: 5,
        cautions: [CAUTIONS.lights],
      }),
    );
  if (!p.thinnedOn && young && age < OVERTAKEN_DAYS.thin)
    tasks.push(
      task('thin', {
        title: `Thin ${variety}`,
        amount: 'one to a cell',
        why: 'Keep the stronger; snip the other at the soil when they are 2 to 3 cm (1 in) tall. Do not pull it',
        dueOn: thinOn(p.sownOn),
        minutes: Math.max(2, Math.ceil((p.cells ?? cells) / 4)),
      }),
    );
  const water = trayWater({
    sownOn: p.sownOn,
    pottedOn: p.pottedOn,
    wateredOn: p.trayDays?.at(-1) ?? null,
    count: p.pottedOn ? (leftOf(p) ?? p.count) : (p.cells ?? cells),
    // the weight in cells says nothing about pots
    cellMl: p.cellMl,
    potMl: p.potMl,
    wetG: p.pottedOn ? null : p.trayWetG,
    today: s.today,
  });
  tasks.push(
    task('tray', {
      title: `Lift the ${p.pottedOn ? 'pots' : 'tray'} of ${variety}`,
      amount: `${s.format.millilitres(water.ml)} from below if light`,
      why:
        water.lightG === null
          ? 'If light: water into the tray and pour away what is left after 20 minutes. If heavy: wait until tomorrow'
          : `At ${s.format.grams(water.lightG)} or less: water into the tray and pour away what is left after 20 minutes. If heavier: wait until tomorrow`,
      dueOn: water.dueOn,
      minutes: 3,
    }),
  );
  const [first, ...more] = actsAfter(p.crop, p.looks ?? []);
  tasks.push(
    task('look', {
      title: `Check the seedlings of ${variety}`,
      why: first ?? 'Done if they are short, thick and green; otherwise record it on the season’s page',
      dueOn: nextLookOn(p.sownOn, p.looks ?? []),
      minutes: 2,
      cautions: more,
    }),
  );
  if (young)
    tasks.push(
      task('pot', {
        title: `Pot on ${variety}`,
        amount: `${s.format.centimetres(9)} pots`,
        why: 'First true leaves: a larger pot. Tomatoes up to the seed leaves, peppers no deeper than before',
        dueOn: band('pot-on').from,
        minutes: 2 * p.count,
      }),
    );
  return tasks;
}
