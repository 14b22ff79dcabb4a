import type { PlantAssessment } from '../assessment/assess.js';
import { disorderRow } from '../diagnosis/tables/disorders.js';
import { cutPlan, type CutPlan, isCordon } from '../pruning/cut-plan.js';
import { LEAF_LOSS_PCT, LEAF_LOSS_WITHIN_DAYS, leafLostPct } from '../pruning/leaf-loss.js';
import { defaultTraining, type Training, type TrainingChoice } from '../pruning/methods.js';
import { isRainless } from '../records/place.js';
import type { SignCode } from '../records/vocabulary/signs.js';
import { AHEAD_DAYS, hardSpells } from '../season/hard-weather.js';
import { nearestTo, nextAfter } from '../units/month-day.js';
import { lastUsefulFlower } from '../season/last-flower.js';
import { HOT_DAY_C } from '../climate/limits.js';
import { addDays, daysBetween } from '../units/day.js';

/** Signs on leaves that spread and are removed; each is counted, or counts as one. */
const DISEASED: readonly SignCode[] = [
  'leaf-target-spots',
  'leaf-small-grey-spots',
  'leaf-olive-mould-under',
  'leaf-white-powder',
  'plant-grey-fur',
  'leaf-frogeye-spots',
  'leaf-small-dark-spots',
];
const MOST_DISEASED = 8;
const HOT_WEEKS_DAYS = 28;

/** Returns this week's cuts and the training: chosen by the gardener, or the suggested one. */
export function cutsOf(
  { context: c, report }: PlantAssessment,
  chosen: Training | null,
): CutPlan & { training: TrainingChoice; chosen: boolean } {
  const { asOf, plant, place, records, garden } = c.case;
  const seasonDays =
    garden.lastFrost && garden.firstFrost
      ? daysBetween(nearestTo(asOf, garden.lastFrost), nextAfter(nearestTo(asOf, garden.lastFrost), garden.firstFrost))
      : null;
  const hot = c.weather(HOT_WEEKS_DAYS);
  const disease =
    DISEASED.some((s) => c.present.has(s)) ||
    (place.history ?? []).some((y) =>
      (y.problems ?? []).some((p) => disorderRow(p).remedies.some((l) => l.remedy === 'splash-barrier')),
    );
  const reasoned = defaultTraining({
    crop: plant.crop,
    habit: plant.habit ?? null,
    seasonDays,
    hotShare: hot.length > 0 ? hot.filter((w) => w.tMaxC >= HOT_DAY_C).length / hot.length : 0,
    disease,
  });
  const training = chosen ?? reasoned.training;
  const ahead = [...c.own.filter((w) => w.date >= asOf), ...c.ownAhead];
  const heat = hardSpells(asOf, ahead, { facts: place, newlyPlanted: false }, ahead).find(
    (s) => s.kind === 'heat' && s.from <= addDays(asOf, AHEAD_DAYS),
  );
  const diseased = DISEASED.reduce((n, s) => (c.present.has(s) ? n + Math.max(1, c.seen.get(s)?.affected ?? 1) : n), 0);
  const plan = cutPlan({
    today: asOf,
    crop: plant.crop,
    habit: plant.habit ?? null,
    training,
    stage: plant.stage ?? null,
    heightM: plant.heightM ?? null,
    plantedOn: plant.transplantedOn ?? null,
    pruned: records.pruning,
    uncut: plant.sinceStart === true || records.events.some((e) => e.what === 'not-cut-yet'),
    diseased: Math.min(MOST_DISEASED, diseased),
    touchesSoil: c.present.has('plant-leaves-touch-soil'),
    leafScarce: leafLostPct(c.recent(records.pruning, LEAF_LOSS_WITHIN_DAYS)) >= LEAF_LOSS_PCT,
    sunscald:
      c.present.has('fruit-pale-papery-patch') || report.remedies.some((r) => r.remedy === 'keep-shading-leaves'),
    heatAhead: heat?.to ?? null,
    wetToday: !isRainless(place) && (c.own.find((w) => w.date === asOf)?.rainMm ?? 0) >= 1,
    // only a cordon is topped
    topOn: isCordon(plant)
      ? lastUsefulFlower({
          ...garden,
          firstFrost: garden.firstFrost ? nextAfter(asOf, garden.firstFrost) : null,
          today: asOf,
          recorded: c.own.filter((w) => w.date <= asOf),
        })
      : null,
    seasonDays,
  });
  return { ...plan, training: { ...reasoned, training }, chosen: chosen !== null };
}
