import { type CaseContext, contextOf } from '../diagnosis/context.js';
import { diagnose, type DiagnosisResult } from '../diagnosis/engine/diagnose.js';
import { asksToHoldWater, type Offer, offeredRemedies, type Withheld } from '../diagnosis/remedies/offer.js';
import { scheduleRemedies } from '../diagnosis/remedies/schedule.js';
import type { PlantCase } from '../records/plant-case.js';
import { type Formatter, METRIC_FORMAT } from '../units/formatter.js';
import type { ForecastWeather } from '../water/expected-weather.js';
import { type PlacePlan, planPlace, pourOf } from '../water/place-plan.js';
import type { PlaceRules } from '../water/plan-rules.js';
import { DEFAULT_SCHOOL } from '../water/schools.js';
import { type Report, reportFrom } from './report.js';

/** A plant with all that is concluded of it. */
export interface PlantAssessment {
  context: CaseContext;
  report: Report;
}

export interface PlaceAssessment {
  plan: PlacePlan;
  /** by the plant's id */
  plants: ReadonlyMap<string, PlantAssessment>;
}

export interface PlantToAssess {
  id: string;
  case: PlantCase;
}

/** What is concluded of one plant before the place's water is decided. */
export interface Concluded {
  id: string;
  context: CaseContext;
  result: DiagnosisResult;
  offers: Offer[];
  withheld: Withheld[];
}

/**
 * Everything that is concluded of the plants of one place, in the one order in which it can be: what each plant has, whether its
 * soil is to dry first, the place's one plan of water, and then the remedies with the plan's amounts and days.
 * Pure: the same cases and forecast always give the same answer.
 * @param forecast days after `asOf`, if any are known; without them the coming week is taken to be like the last
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

/** The first half of `assessPlace`: one plant by itself. Whoever has many plants may pause between them. */
export function conclude(
  plant: PlantToAssess,
  forecast: readonly ForecastWeather[],
  format: Formatter,
): Readonly<Concluded> {
  const context = contextOf(plant.case, forecast, format);
  const result = diagnose(context);
  return { id: plant.id, context, result, ...offeredRemedies(context, result) };
}

/** The second half: the place's plan, and each plant's report with it. */
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
      // felt wet today by hand: whatever the model says, nothing is poured on it
      held: asksToHoldWater(offers) || isFeltWet(context),
    })),
    forecast,
  );
  const plants = concluded.map(({ id, context, result, offers, withheld }): [string, PlantAssessment] => {
    const own = pourOf(plan, id)?.plan ?? null;
    const scheduled = scheduleRemedies(context, offers, own);
    const report = reportFrom({
      context,
      result,
      plan: own,
      remedies: scheduled.remedies,
      withheld: [...withheld, ...scheduled.withheld],
    });
    return [id, { context, report }];
  });
  return { plan, plants: new Map(plants) };
}

const isFeltWet = ({ felt, case: c }: CaseContext): boolean =>
  felt?.feel === 'wet' && felt.on === c.asOf && felt.by !== 'probe';

const ALONE = 'plant';

/** The full report on one plant's case, watered by need where nothing else is known. */
export function reportOn(
  c: PlantCase,
  forecast: readonly ForecastWeather[] = [],
  format: Formatter = METRIC_FORMAT,
  rules: PlaceRules = { school: DEFAULT_SCHOOL },
): Report {
  const concluded = conclude({ id: ALONE, case: c }, forecast, format);
  return decidePlace(ALONE, rules, [concluded], forecast).plants.get(ALONE)!.report;
}
