import type { CaseContext } from '../context.js';
import type { DriverCode } from '../vocabulary/drivers.js';
import type { RuleParams, Verdict } from './verdict.js';
import * as care from './care-rules.js';
import * as plant from './plant-rules.js';
import * as water from './water-rules.js';
import * as weather from './weather-rules.js';

export type { Because, RuleParams, Verdict } from './verdict.js';

/** Every driver with the rule that reads it from the records. */
export const DRIVER_RULES: Record<DriverCode, (ctx: CaseContext, params: RuleParams) => Verdict> = {
  'dry-spell': water.drySpell,
  'uneven-watering': water.unevenWatering,
  'dry-then-wet': water.dryThenWet,
  overwatering: water.overwatering,
  'poor-drainage': water.poorDrainage,
  'small-container': water.smallContainer,
  leaching: water.leaching,
  'hot-days': weather.hotDays,
  'warm-nights': weather.warmNights,
  'cold-nights': weather.coldNights,
  'low-light': weather.lowLight,
  'wind-or-hail': weather.windOrHail,
  'wet-foliage': weather.wetFoliage,
  'humid-still-air': weather.humidStillAir,
  'planted-too-early': weather.plantedTooEarly,
  'low-calcium': care.lowCalcium,
  'soil-too-acid': care.soilTooAcid,
  'soil-too-alkaline': care.soilTooAlkaline,
  'excess-nitrogen': care.excessNitrogen,
  underfeeding: care.underfeeding,
  'salt-buildup': care.saltBuildup,
  'heavy-potassium': care.heavyPotassium,
  'leaf-loss-by-pruning': care.leafLossByPruning,
  'over-pruning': care.overPruning,
  'wrong-spray-mix': care.wrongSprayMix,
  'spray-drift': care.sprayDrift,
  'leaf-loss-by-disease': plant.leafLossByDisease,
  'sudden-exposure': plant.suddenExposure,
  crowding: plant.crowding,
  'leaves-near-soil': plant.leavesNearSoil,
  'poor-pollination': plant.poorPollination,
  'heavy-flower-load': plant.heavyFlowerLoad,
  'small-plant': plant.smallPlant,
  'pests-present': plant.pestsPresent,
  'disease-present': plant.diseasePresent,
  'overripe-on-plant': plant.overripeOnPlant,
  'no-hardening': plant.noHardening,
  'same-family-before': plant.sameFamilyBefore,
  'no-mulch': plant.noMulch,
};
