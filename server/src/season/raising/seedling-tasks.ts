import { leftOf, seedsFor } from '@candid-leaf/core/planning';
import { actsAfter, lightOn, nextLookOn, thinOn, trayWater } from '@candid-leaf/core/raising';
import type { GardenSnapshot } from '../../assessment/snapshots.service.js';
import type { Task } from '../../today/task-source.js';
import type { PlantingEntity } from '../planting.entity.js';
import { datesOfPlanting, kindName, placeOf } from '../planting-on-view.js';
import { makerOf } from './make.js';

/** From the seed to its pot: sowing, light, thinning, water from below, a look now and then, potting on. */
export function seedlingTasks(s: GardenSnapshot, p: PlantingEntity): Task[] {
  const place = placeOf(s, p);
  if (!place) return [];
  const { bands } = datesOfPlanting(s, p);
  const band = (what: string) => bands.find((b) => b.what === what)!;
  const kind = kindName(s.cultivarOf(p), p.crop);
  const task = makerOf(p, place);
  const { cells, seeds } = seedsFor(p.count);
  if (!p.sownOn)
    return [
      task('sow', {
        title: `Sow ${kind}`,
        amount: `${cells} cells, ${seeds} seeds`,
        why: `Two to a cell, the weaker snipped at 2 to 3 cm; planted out from ${s.format.day(band('plant-out').from)}`,
        dueOn: band('sow').from,
        minutes: 5 + Math.ceil(cells / 2),
        cautions: ['Light close above, a fan on, warmth below; water from below, and empty the tray after.'],
      }),
    ];
  const tasks: Task[] = [];
  const young = !p.pottedOn && !p.hardenFrom;
  if (!p.litOn && young)
    tasks.push(
      task('light', {
        title: `Light and air for ${kind}`,
        why: 'They come up about now: light 5 to 10 cm above, 14 to 16 hours a day, the cover off, a fan on low; else they grow long and thin',
        dueOn: lightOn(p.sownOn),
        minutes: 5,
      }),
    );
  if (!p.thinnedOn && young)
    tasks.push(
      task('thin', {
        title: `Thin ${kind}`,
        amount: 'one to a cell',
        why: 'The stronger stays; the other is snipped at the soil when they are 2 to 3 cm tall, not pulled',
        dueOn: thinOn(p.sownOn),
        minutes: Math.max(2, Math.ceil((p.cells ?? cells) / 4)),
      }),
    );
  const water = trayWater({
    sownOn: p.sownOn,
    pottedOn: p.pottedOn,
    wateredOn: p.trayDays?.at(-1) ?? null,
    count: p.pottedOn ? (leftOf(p) ?? p.count) : (p.cells ?? cells),
    // what was weighed in cells says nothing of pots
    wetG: p.pottedOn ? null : p.trayWetG,
    today: s.today,
  });
  tasks.push(
    task('tray', {
      title: `Lift the ${p.pottedOn ? 'pots' : 'tray'} of ${kind}`,
      amount: `${s.format.millilitres(water.ml)} from below if light`,
      why:
        water.lightG === null
          ? 'Light: water into the tray, and pour out what is left after 20 minutes. Heavy: leave it until tomorrow'
          : `At ${s.format.grams(water.lightG)} or less: water into the tray, and pour out what is left after 20 minutes. Heavier: leave it until tomorrow`,
      dueOn: water.dueOn,
      minutes: 3,
    }),
  );
  const [first, ...more] = actsAfter(p.crop, p.looks ?? []);
  tasks.push(
    task('look', {
      title: `Look at the seedlings of ${kind}`,
      why: first ?? 'Done if they stand short, thick and green; what is otherwise is said on the season’s page',
      dueOn: nextLookOn(p.sownOn, p.looks ?? []),
      minutes: 2,
      cautions: more,
    }),
  );
  if (young)
    tasks.push(
      task('pot', {
        title: `Pot on ${kind}`,
        amount: '9 cm pots',
        why: 'First true leaves: a larger pot, tomatoes up to the seed leaves, peppers no deeper than they stood',
        dueOn: band('pot-on').from,
        minutes: 2 * p.count,
      }),
    );
  return tasks;
}
