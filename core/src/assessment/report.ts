import type { EtoMethod } from '../climate/reference-evapotranspiration.js';
import type { CaseContext } from '../diagnosis/context.js';
import type { NextCheck } from '../diagnosis/engine/check-gains.js';
import { CLEAR_FROM, type Diagnosis, type DiagnosisResult } from '../diagnosis/engine/diagnose.js';
import { likelySigns } from '../diagnosis/engine/likely-signs.js';
import { nextChecks } from '../diagnosis/engine/next-checks.js';
import type { Withheld } from '../diagnosis/remedies/offer.js';
import type { Remedy } from '../diagnosis/remedies/schedule.js';
import { disorderRow } from '../diagnosis/tables/disorders.js';
import { type Seriousness, seriousnessOf } from '../diagnosis/severity.js';
import { headline } from '../diagnosis/wording.js';
import { isPotted } from '../records/place.js';
import type { SignCode } from '../records/vocabulary/signs.js';
import type { Day } from '../units/day.js';
import { roundTo } from '../units/rounding.js';
import { evenness, FRUIT_WINDOW_DAYS } from '../water/evenness.js';
import { dryingOf } from '../water/learning.js';
import { probeFault } from '../water/measured.js';
import type { WeekPlan } from '../water/plan.js';
import type { BalanceDay } from '../water/run.js';
import { dryingInWords, whyWatered } from '../water/wording.js';

interface WaterReport {
  tawMm: number | null;
  rawMm: number | null;
  /** containers only */
  tawL?: number;
  rawL?: number;
  etoMethod: EtoMethod | null;
  daily: BalanceDay[];
  /** fraction left on the coming days without watering; from the forecast, or like the last week */
  ahead: { date: Day; fractionAvailable: number }[];
  /** true if the watering history is known. If not, the balance assumes nothing was given, and nothing is ordered */
  known: boolean;
  evenness: number | null;
  /** how fast it really dries, in words, if its checks show it; null if not */
  drying: string | null;
  /** first watering of the week's plan, per plant; null if the week needs none or cannot be computed */
  nextWatering: { date: Day; litres: number; why: string } | null;
  /** nothing until a finger says that the soil is dry */
  held: boolean;
}

/** The answer to a case: format `candid-leaf-report`, version 1. */
export interface Report {
  format: 'candid-leaf-report';
  version: 1;
  asOf: Day;
  headline: string;
  water: WaterReport;
  diagnosis: Diagnosis[];
  nextChecks: NextCheck[];
  remedies: Remedy[];
  withheld: Withheld[];
  /** the act that ought to come first, and why it must wait; null if nothing holds it back */
  heldBack: Withheld | null;
  /** for the leading clear finding: what not to do, and what else helps to know */
  doNot: string[];
  goodToKnow: string[];
  unexplained: SignCode[];
  /** signs to look for first on each part, likeliest first */
  likelySigns: SignCode[];
  harmless: boolean;
  /** what makes the leading clear finding urgent, or lets it be; null if nothing known does */
  seriousness: Seriousness | null;
  notKnown: string[];
}

/** The parts a report is built from. */
interface ReportParts {
  context: CaseContext;
  result: DiagnosisResult;
  /** the week plan of this plant's group */
  plan: WeekPlan | null;
  remedies: Remedy[];
  withheld: Withheld[];
  heldBack: Withheld | null;
}

/** Returns the report of a diagnosis: findings, water, remedies and checks, each with its reason. */
export function reportFrom({ context, result, plan, remedies, withheld, heldBack }: ReportParts): Report {
  const likely = result.list.filter((d) => d.probability >= CLEAR_FROM);
  const lead = likely[0] && disorderRow(likely[0].disorder);
  return {
    format: 'candid-leaf-report',
    version: 1,
    asOf: context.case.asOf,
    headline: headline(result.list, { unexplained: result.unexplained, seen: context.present, heldBack }),
    water: waterReport(context, plan),
    diagnosis: result.list,
    nextChecks: nextChecks(context, result),
    remedies,
    withheld,
    heldBack,
    doNot: [...(lead?.doNot ?? [])],
    goodToKnow: [...(lead?.goodToKnow ?? [])],
    unexplained: result.unexplained,
    likelySigns: likelySigns(result),
    seriousness: likely[0] ? seriousnessOf(context, likely[0].disorder) : null,
    harmless: likely.length > 0 && likely.every((d) => disorderRow(d.disorder).harmless === true),
    notKnown: notKnown(context, result),
  };
}

/** Rounds to a thousandth of a millimetre: the precision of the open format. */
function rounded(day: BalanceDay): BalanceDay {
  const out: Record<string, unknown> = { ...day };
  for (const key of Object.keys(out)) {
    const value = out[key];
    if (typeof value === 'number') out[key] = roundTo(value, key === 'soilM2' || key === 'groundM2' ? 4 : 3);
  }
  return out as unknown as BalanceDay;
}

function waterReport(
  { case: c, balance, ahead, hasForecast, format, waterKnown }: CaseContext,
  plan: WeekPlan | null,
): WaterReport {
  const { days } = balance;
  const last = days.at(-1);
  const window = days.slice(-FRUIT_WINDOW_DAYS).filter((d) => d.known);
  const even = waterKnown ? evenness(window) : null;
  const next = plan?.next;
  const drying = dryingOf(balance.end?.learned);
  return {
    tawMm: last ? roundTo(last.tawMm, 1) : null,
    rawMm: last ? roundTo(last.rawMm, 1) : null,
    ...(last && isPotted(c.place)
      ? { tawL: roundTo(last.tawMm * last.soilM2, 2), rawL: roundTo(last.rawMm * last.soilM2, 2) }
      : {}),
    etoMethod: balance.etoMethod,
    known: waterKnown,
    daily: days.map(rounded),
    ahead: ahead.map((d) => ({ date: d.date, fractionAvailable: roundTo(d.fractionAvailable, 3) })),
    evenness: even === null ? null : roundTo(even, 2),
    drying: waterKnown && drying ? dryingInWords(drying) : null,
    held: plan?.held ?? false,
    nextWatering: next
      ? { date: next.date, litres: next.litres, why: whyWatered(next, c.asOf, hasForecast, format) }
      : null,
  };
}

/** Returns what the records could not show, most useful first. */
function notKnown(context: CaseContext, { list, all }: DiagnosisResult): string[] {
  const { case: c, balance, format, waterKnown } = context;
  const first = c.records.weather[0]?.date;
  const planted = c.plant.transplantedOn;
  const filled = balance.days.filter((d) => d.filled).length;
  const leader = list[0];
  const noCause =
    leader &&
    leader.probability >= CLEAR_FROM &&
    leader.drivers.length === 0 &&
    disorderRow(leader.disorder).drivers.length > 0;
  const asks = list
    .filter((d) => d.probability >= CLEAR_FROM)
    .flatMap((d) => all.find((candidate) => candidate.row.code === d.disorder)?.unknown ?? [])
    .map((u) => u.verdict.ask);
  const probe = probeFault(c);
  return [
    ...(first === undefined ? ['no weather is recorded, so water and temperature cannot be estimated'] : []),
    ...(first && planted && planted < first ? [`no weather records before ${format.day(first)}`] : []),
    ...(filled > 0 ? [`${filled} days without weather were filled in from the days around them`] : []),
    ...(balance.days.length > 0 && !waterKnown ? [waterNotKnown(context)] : []),
    ...(noCause ? [`nothing in the records up to ${format.day(c.asOf)} explains it`] : []),
    ...(probe ? [probe] : []),
    ...new Set(asks),
  ];
}

/** Returns why the water is unknown, with the gentlest question. */
function waterNotKnown({ case: c, format }: CaseContext): string {
  if (isPotted(c.place) && c.place.volumeL == null)
    return 'we don’t know how much the pot holds: record its size, and check the soil by hand for now';
  const last = c.records.watering.at(-1)?.date;
  return last
    ? `we don’t know if it was watered since ${format.day(last)}: push a finger in to check, and record the watering or “none given”`
    : 'no watering is recorded, so we can’t estimate its water. Push a finger in to check, and record a watering or “none given”';
}
