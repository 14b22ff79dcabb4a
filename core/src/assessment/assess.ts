import { type CaseContext, contextOf } from '../diagnosis/context.js';
import { diagnose, type DiagnosisResult } from '../diagnosis/engine/diagnose.js';
import { asksToHoldWater, type Offer, offeredRemedies, type Withheld } from '../diagnosis/remedies/offer.js';
import { scheduleRemedies } from '../diagnosis/remedies/schedule.js';
import type { PlantCase } from '../records/plant-case.js';
import { type Formatter, METRIC_FORMAT } from '../units/formatter.js';
import type { ForecastWeather } from '../water/expected-weather.js';
import { heldUntilDry } from '../water/held.js';
import { type PlacePlan, planPlace, pourOf } from '../water/place-plan.js';
import type { PlaceRules } from '../water/plan-rules.js';
import { DEFAULT_METHOD } from '../water/methods.js';
import { type Report, reportFrom } from './report.js';
import { must } from '../units/lists.js';

/** A plant's assessment: its findings, water, remedies and report. */
export interface PlantAssessment {
  context: CaseContext;
  report: Report;
}

/** One bed or pot with its plan, and each of its plants, assessed together. */
export interface PlaceAssessment {
  plan: PlacePlan;
  /** keyed by plant id */
  plants: ReadonlyMap<string, PlantAssessment>;
}

/** A plant to assess, by its id. */
export interface PlantToAssess {
  id: string;
  case: PlantCase;
}

/** The conclusions for one plant before the water of its bed or pot is decided. */
export interface Concluded {
  id: string;
  context: CaseContext;
  result: DiagnosisResult;
  offers: Offer[];
  withheld: Withheld[];
  heldBack: Withheld | null;
}

/**
 * Assesses all plants of one bed or pot in a fixed order: findings, plants whose soil should dry first, the one water
 * plan, then remedies with the plan's amounts and days. Pure: the same cases and forecast always give the same
 * answer.
 * @param forecast days after `asOf`, if known; without them the coming week is assumed to be like the last
 */
export function assessPlace(
  placeId: string,
  rules: PlaceRules,
  plants: readonly PlantToAssess[],
  forecast: readonly ForecastWeather[],
  format: Formatter,
): PlaceAssessment {
  return decidePlace(
    placeId,
    rules,
    plants.map((p) => conclude(p, forecast, format)),
    forecast,
  );
}

/**
 * Does the first half of `assessPlace`: assesses one plant by itself. Callers with many plants may pause between
 * them.
 */
export function conclude(
  plant: PlantToAssess,
  forecast: readonly ForecastWeather[],
  format: Formatter,
): Readonly<Concluded> {
  const context = contextOf(plant.case, forecast, format);
  const result = diagnose(context);
  return { id: plant.id, context, result, ...offeredRemedies(context, result) };
}

/** Does the second half of `assessPlace`: makes the water plan of the bed or pot, then each plant's report. */
export function decidePlace(
  placeId: string,
  rules: PlaceRules,
  concluded: readonly Readonly<Concluded>[],
  forecast: readonly ForecastWeather[],
): PlaceAssessment {
  const plan = planPlace(
    placeId,
    rules,
    concluded.map(({ id, context, offers }) => ({
      id,
      case: context.case,
      balance: context.balance,
      // soil felt wet by hand today, or water held back: a finger ends it, whatever the model says
      held: asksToHoldWater(offers) || isFeltWet(context) || heldUntilDry(context.case),
      felt: context.felt,
    })),
    forecast,
  );
  const plants = concluded.map(({ id, context, result, offers, withheld, heldBack }): [string, PlantAssessment] => {
    const own = pourOf(plan, id)?.plan ?? null;
    const scheduled = scheduleRemedies(context, offers, own);
    const report = reportFrom({
      context,
      result,
      plan: own,
      remedies: scheduled.remedies,
      withheld: [...withheld, ...scheduled.withheld],
      heldBack,
    });
    return [id, { context, report }];
  });
  return { plan, plants: new Map(plants) };
}

const isFeltWet = ({ felt, case: c }: CaseContext): boolean =>
  felt?.feel === 'wet' && felt.on === c.asOf && felt.by !== 'probe';

const ALONE = 'plant';

/** Returns the full report on one plant's case, watered by need where no method is chosen. */
export function reportOn(
  c: PlantCase,
  forecast: readonly ForecastWeather[] = [],
  format: Formatter = METRIC_FORMAT,
  rules: PlaceRules = { method: DEFAULT_METHOD },
): Report {
  const concluded = conclude({ id: ALONE, case: c }, forecast, format);
  return must(decidePlace(ALONE, rules, [concluded], forecast).plants.get(ALONE)).report;
}
