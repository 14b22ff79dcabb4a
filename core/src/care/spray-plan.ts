import type { PlantAssessment } from '../assessment/assess.js';
import { type DoseAnswer, labelDose, type Tools } from '../products/dose.js';
import type { Product } from '../products/product.js';
import { isInFlower } from '../pollination/in-flower.js';
import { isEnclosed } from '../records/place.js';
import {
  neverPasses,
  type SprayGate,
  sprayGates,
  type SprayHour,
  type SprayQuestion,
  type SprayUnknown,
  sprayUnknowns,
} from '../spray/gates.js';
import { burnsInHeat, LASTING_DAYS, type SprayCode } from '../spray/limits.js';
import type { Trial } from '../spray/trial.js';
import { addDays, type Day } from '../units/day.js';
import { isShortOfWater } from '../water/stress.js';

/** Solution to wet a medium plant, L (common practice: until it just drips), and for a test on one leaf. */
export const SPRAY_LITRES_EACH = 0.3;
const TRIAL_LITRES = 0.25;
/** Days to look ahead for a spray window. */
const AHEAD_DAYS = 7;
/** Order of the hours in one day, next first. */
const HOURS: readonly SprayHour[] = ['evening', 'dawn'];

/** Plan for one spray on one plant: the leaf test, the next allowed hour, and the dose. */
export interface SprayPlan {
  product: Product;
  /** the leaf test that must come first; a spray that does not burn needs none */
  trial: Trial;
  /** first day and hour with nothing against it; null if none fits */
  window: { on: Day; hour: SprayHour } | null;
  /** what to look at before it, because nothing here measures or forecasts it */
  unknown: SprayUnknown[];
  /** reasons against spraying this evening */
  against: SprayGate[];
  /** the mix for one leaf, or for the plant */
  batch: DoseAnswer | null;
}

interface SprayRules {
  pondNear: boolean;
  organicOnly: boolean;
  pickOn: Day | null;
  /** copper metal its ground got in the last twelve months, g/m²; null if unknown */
  copperGPerM2: number | null;
  /** what it is measured with */
  tools: Tools;
}

/** Returns the gardener's own product of a type, else the starter; null if there is neither. */
export const sprayProduct = (products: readonly Product[], spray: SprayCode): Product | null =>
  products.find((p) => p.kind === 'spray' && p.spray === spray && p.dose) ?? null;

/** Plans when one plant may be sprayed with a product, how much, and after which leaf test. */
export function sprayPlan(
  { context: c }: PlantAssessment,
  product: Product,
  trial: Trial,
  rules: SprayRules,
): SprayPlan {
  const { asOf, plant, place, records } = c.case;
  const spray = product.spray!;
  const days = [...c.own, ...c.ownAhead];
  const today = c.balance.days.at(-1);
  const flowersOpen = isInFlower(plant);
  const question = (on: Day, hour: SprayHour): SprayQuestion => ({
    spray,
    label: {
      everyDays: product.everyDays ?? null,
      mostUses: product.mostUses ?? null,
      harvestDays: product.harvestDays ?? null,
      reentryHours: product.reentryHours ?? null,
      organic: product.organic ?? null,
    },
    on,
    hour,
    ahead: days.filter((w) => w.date >= on && w.date <= addDays(on, LASTING_DAYS)),
    enclosed: isEnclosed(place),
    // a plant that is dry today can be watered by tomorrow
    thirsty: on === asOf && c.waterKnown && today ? isShortOfWater(today) : null,
    flowersOpen,
    pondNear: rules.pondNear,
    earlier: records.sprays,
    pickOn: rules.pickOn,
    organicOnly: rules.organicOnly,
    copperGPerM2: rules.copperGPerM2,
  });
  const gatesOn = (on: Day, hour: SprayHour): SprayGate[] => sprayGates(question(on, hour));
  const against = gatesOn(asOf, 'evening');
  const needsTrial = burnsInHeat(spray);
  const stage: Trial = needsTrial ? trial : { state: 'passed', triedOn: asOf };
  const litresEach = stage.state === 'try' ? TRIAL_LITRES : SPRAY_LITRES_EACH;
  const mixed = labelDose(product, { plants: 1, litresEach, tools: rules.tools });
  const window = against.some(neverPasses) ? null : firstWindow(asOf, gatesOn);
  return {
    product,
    trial: stage,
    window,
    unknown: window ? sprayUnknowns(question(window.on, window.hour)) : [],
    against,
    batch: Array.isArray(mixed) ? null : mixed,
  };
}

function firstWindow(asOf: Day, gatesOn: (on: Day, hour: SprayHour) => SprayGate[]): SprayPlan['window'] {
  for (let i = 0; i < AHEAD_DAYS; i++)
    for (const hour of HOURS) {
      // this morning may be over already
      if (i === 0 && hour === 'dawn') continue;
      const on = addDays(asOf, i);
      if (gatesOn(on, hour).length === 0) return { on, hour };
    }
  return null;
}
