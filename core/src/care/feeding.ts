import type { PlantAssessment } from '../assessment/assess.js';
import type { CaseContext } from '../diagnosis/context.js';
import { wetnessByHand } from '../diagnosis/wetness.js';
import { disorderRow } from '../diagnosis/tables/disorders.js';
import { remedyRow } from '../diagnosis/tables/remedies.js';
import { feedPlan, type FeedPlan, type PepperFeed, type StarterMethod } from '../nutrition/feed-plan.js';
import { type LedgerDay, ledgerDays } from '../nutrition/ledger-days.js';
import { soilSupplyG } from '../nutrition/soil-supply.js';
import { expectedFruitKg, UPTAKE_G_PER_KG } from '../nutrition/uptake.js';
import { grownByDay } from './grown.js';
import { isPotted } from '../records/place.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { at } from '../units/lists.js';
import { likelyDrainedMm, washedShare } from '../water/leaching.js';
import type { BalanceDay } from '../water/run.js';
import { WATER_CROPS } from '../water/crops.js';
import { seasonClock } from '../water/season.js';

/** Days for which the nitrogen is counted ahead. */
const WEEKS_AHEAD_DAYS = 42;
/** Ground of a plant without a balance, m². */
const USUAL_GROUND_M2 = 0.25;

/** Signs of pale or overfed leaves seen recently. */
const PALE = 'leaf-yellow-whole-old';
const LUSH = 'leaf-dark-lush';
const BURNT = 'leaf-tip-burn';
/** Days to look ahead for heat. */
const HEAT_AHEAD_DAYS = 2;

/** Days to look ahead for rain: a feed takes about so long to be drawn in or held by the soil (judgement). */
const RAIN_AHEAD_DAYS = 2;
/** Share of a feed from which it waits for the rain to pass (judgement: more than a usual month loses). */
const MUCH_WASHED = 0.15;

/**
 * Days after a washing rain in which a feed no longer waits: in a wet summer the plant would go hungry (judgement).
 */
const WET_SPELL_DAYS = 5;

/** What the gardener chose about feeding. */
export interface FeedRules {
  method: StarterMethod;
  pepperFeed?: PepperFeed | null;
}

/** Plans a plant's next feed from the same facts that its findings and water use. */
export function feedingOf(assessed: PlantAssessment, { method, pepperFeed }: FeedRules): FeedPlan {
  const { context: c, report } = assessed;
  const { asOf, plant, place, records } = c.case;
  const byHand = wetnessByHand(c);
  const today = c.balance.days.at(-1);
  const pausing = report.remedies.find((r) => remedyRow(r.remedy).dose === 'pause-feed');
  return feedPlan({
    today: asOf,
    crop: plant.crop,
    isPot: isPotted(place),
    stage: plant.stage ?? null,
    plantedOn: plant.transplantedOn ?? null,
    fed: records.feeding,
    unfed: plant.sinceStart === true,
    method,
    pepperFeed: pepperFeed ?? null,
    test: place.soilTest ?? null,
    potLitres: isPotted(place) ? (place.volumeL ?? null) : null,
    leftG: () => feedingStory(assessed)?.leftG ?? null,
    paleOn: c.present.has(PALE) ? (c.seen.get(PALE)?.date ?? null) : null,
    lush: c.present.has(LUSH),
    hottest: hottest(c),
    left: c.waterKnown && today ? today.fractionAvailable : null,
    waterOn: report.water.nextWatering?.date ?? null,
    washing: washing(c),
    wet: byHand ? byHand.feel === 'wet' : c.waterKnown && today?.waterlogged === true,
    paused: pausing
      ? {
          until: addDays(pausing.when, pausing.dose?.waitDays ?? 0),
          because: disorderRow(pausing.forDisorder).label.toLowerCase(),
        }
      : null,
    burnt: c.present.has(BURNT),
  });
}

/**
 * Returns the rain of the next days, if it would wash a good part of a feed below the roots: by the balance ahead, which
 * counts only rain that is likely enough. Null where nobody knows the water.
 */
function washing(c: CaseContext): { day: Day; rainMm: number } | null {
  if (!c.waterKnown) return null;
  const washed = washedShareIn(c);
  const until = addDays(c.case.asOf, RAIN_AHEAD_DAYS);
  const rainy = c.ahead.filter((d) => d.date <= until && d.effectiveRainMm > 0);
  const stays = rainy.reduce((share, d) => share * (1 - washed(d)), 1);
  const day = rainy.at(-1)?.date;
  const past = c.balance.days.slice(-WET_SPELL_DAYS);
  if (!day || 1 - stays < MUCH_WASHED || past.some((d) => d.effectiveRainMm > 0 && washed(d) >= MUCH_WASHED))
    return null;
  const days = new Set(rainy.map((d) => d.date));
  return { day, rainMm: c.ownAhead.reduce((sum, w) => sum + (days.has(w.date) ? w.rainMm : 0), 0) };
}

function hottest(c: CaseContext): { day: Day; tMaxC: number } | null {
  const until = addDays(c.case.asOf, HEAT_AHEAD_DAYS);
  const days = [...c.own, ...c.ownAhead].filter((w) => w.date >= c.case.asOf && w.date <= until);
  return days.reduce<{ day: Day; tMaxC: number } | null>(
    (most, w) => (!most || w.tMaxC >= most.tMaxC ? { day: w.date, tMaxC: w.tMaxC } : most),
    null,
  );
}

/** What a plant was fed, and when it needs how much. */
export interface FeedingStory {
  days: LedgerDay[];
  /**
   * nitrogen left in its soil tonight and on each of the coming weeks' days if nothing more is given, g; below 0 it is
   * short by so much
   */
  leftG: number[];
  /** first flowers and first fruit by the crop's calendar, adjusted to the recorded stage */
  flowering: Day | null;
  fruiting: Day | null;
  fruitKg: readonly [number, number];
  /** whether drainage below the roots could be estimated */
  washingKnown: boolean;
}

/**
 * Returns the share of the dissolved nitrogen that washed out of a plant's soil, by day; empty where nobody knows the
 * water.
 */
export function washedOn({ context: c }: PlantAssessment): ReadonlyMap<Day, number> {
  const days = c.waterKnown ? c.balance.days : [];
  return new Map(days.map((d) => [d.date, washedShareIn(c)(d)]));
}

/** Returns what a day washes out of this place: ground takes up what is too much; a pot lets it run. */
function washedShareIn(c: CaseContext): (d: BalanceDay) => number {
  const drained = isPotted(c.case.place) ? likelyDrainedMm : (d: BalanceDay) => d.drainedMm;
  return (d) => washedShare({ drainedMm: drained(d), tawMm: d.tawMm });
}

/** Returns the nitrogen ledger of a plant from planting to a day, with the feeds recorded so far. It must have a planting day. */
export function nitrogenLedger(assessed: PlantAssessment, to: Day): LedgerDay[] {
  const { context: c } = assessed;
  const { plant, place, records } = c.case;
  const from = plant.transplantedOn!;
  const groundM2 = c.balance.days.at(-1)?.groundM2 ?? USUAL_GROUND_M2;
  const fruitKg = expectedFruitKg(plant, place);
  const [low, high] = UPTAKE_G_PER_KG[plant.crop].n;
  const grown = grownByDay(c, from, to, groundM2);
  return ledgerDays({
    from,
    to,
    soilG: soilSupplyG(place, groundM2, place.soilTest?.nitrogen ?? null),
    fed: records.feeding,
    washedShare: washedOn(assessed),
    season: [low * fruitKg[0], high * fruitKg[1]],
    grown: (day) => at(grown, day),
  });
}

/** Returns the nitrogen given since planting, released, left and needed. Null if the planting date is unknown. */
export function feedingStory(assessed: PlantAssessment): FeedingStory | null {
  const { context: c } = assessed;
  const { asOf, plant, place } = c.case;
  const from = plant.transplantedOn;
  if (!from || from > asOf) return null;
  const clock = seasonClock(c.case);
  const all = nitrogenLedger(assessed, addDays(asOf, WEEKS_AHEAD_DAYS));
  const onSeasonDay = (day: number): Day => addDays(from, Math.round(day / clock.pace));
  const [ini, dev] = WATER_CROPS[plant.crop].stageDays;
  const past = daysBetween(from, asOf) + 1;
  return {
    days: all.slice(0, past),
    leftG: all.slice(past - 1).map((d) => d.soil + d.freed - d.washed - (d.takenLow + d.takenHigh) / 2),
    flowering: onSeasonDay(ini),
    fruiting: onSeasonDay(ini + 0.7 * dev),
    fruitKg: expectedFruitKg(plant, place),
    washingKnown: c.waterKnown,
  };
}
