import 'reflect-metadata';
import { assessPlace, type Report } from '@candid-leaf/core/assessment';
import { parseCase } from '@candid-leaf/core/casefile';
import { type Prevention, whatWouldHavePrevented } from '@candid-leaf/core/prevented';
import { type ComingRisk, comingRisks } from '@candid-leaf/core/risk';
import { type Fault, type PlantCase, RefusedInput } from '@candid-leaf/core/records';
import { formatterFor, type DateForm, type Units } from '@candid-leaf/core/units';
import { DEFAULT_METHOD, type ForecastWeather, type PlaceRules, pourOf } from '@candid-leaf/core/water';

export interface CaseAsked {
  text: string;
  units: Units;
  dateForm: DateForm;
  /** the forecast, if known */
  forecast?: ForecastWeather[];
  /** how its bed or pot is watered; by need if not known */
  rules?: PlaceRules;
}

/** What a case comes to: its report, what would have prevented the finding, and what is coming. */
export interface CaseAnswer {
  report: Report;
  prevented: Prevention[];
  coming: ComingRisk[];
}

export type CaseRead =
  | ({ ok: true; plantCase: PlantCase; tookMs: number } & CaseAnswer)
  | { ok: false; faults: readonly Fault[] };

const PLANT = 'plant';

/** Reads a case file and computes its report in a worker. */
function read({ text, units, dateForm, forecast = [], rules = { method: DEFAULT_METHOD } }: CaseAsked): CaseRead {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    return { ok: false, faults: [{ path: '(whole)', reason: `is not JSON: ${(error as Error).message}` }] };
  }
  try {
    const plantCase = parseCase(json);
    const from = performance.now();
    const format = formatterFor(units, dateForm);
    const { plan, plants } = assessPlace(PLANT, rules, [{ id: PLANT, case: plantCase }], forecast, format);
    const { context, report } = plants.get(PLANT)!;
    const [leader] = report.diagnosis;
    const ahead = { plan: pourOf(plan, PLANT)?.plan ?? null, forecast, found: report.diagnosis };
    const answer: CaseAnswer = {
      report,
      prevented: whatWouldHavePrevented(context, leader, { rules, plants: 1 }),
      coming: comingRisks(context, ahead),
    };
    // as plain objects: a class does not survive the transfer
    return { ok: true, plantCase: structuredClone({ ...plantCase }), ...answer, tookMs: performance.now() - from };
  } catch (error) {
    if (error instanceof RefusedInput) return { ok: false, faults: error.faults };
    throw error;
  }
}

self.onmessage = (e: MessageEvent<CaseAsked>) => self.postMessage(read(e.data));
