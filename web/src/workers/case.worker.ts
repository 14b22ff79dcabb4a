import 'reflect-metadata';
import { type Report, reportOn } from '@candid-leaf/core/assessment';
import { parseCase } from '@candid-leaf/core/casefile';
import { type Fault, type PlantCase, RefusedInput } from '@candid-leaf/core/records';
import { formatterFor, type DateForm, type Units } from '@candid-leaf/core/units';
import type { ForecastWeather } from '@candid-leaf/core/water';

export interface CaseAsked {
  text: string;
  units: Units;
  dateForm: DateForm;
  /** the forecast, if known */
  forecast?: ForecastWeather[];
}

export type CaseRead =
  | { ok: true; plantCase: PlantCase; report: Report; tookMs: number }
  | { ok: false; faults: readonly Fault[] };

/** Reads a case file and computes its report in a worker. */
function read({ text, units, dateForm, forecast = [] }: CaseAsked): CaseRead {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    return { ok: false, faults: [{ path: '(whole)', reason: `is not JSON: ${(error as Error).message}` }] };
  }
  try {
    const plantCase = parseCase(json);
    const from = performance.now();
    const report = reportOn(plantCase, forecast, formatterFor(units, dateForm));
    // as plain objects: a class does not survive the transfer
    return { ok: true, plantCase: structuredClone({ ...plantCase }), report, tookMs: performance.now() - from };
  } catch (error) {
    if (error instanceof RefusedInput) return { ok: false, faults: error.faults };
    throw error;
  }
}

self.onmessage = (e: MessageEvent<CaseAsked>) => self.postMessage(read(e.data));
