import type { PlantView, RecordDto } from '@candid-leaf/contract';
import { nitrogenGrams } from '@candid-leaf/core/nutrition';
import { addDays, type Day } from '@candid-leaf/core/units';
import type { BalanceDay, CorrectedBy } from '@candid-leaf/core/water';

/** One day across all strands. */
export interface StrandDay {
  i: number;
  day: Day;
  ahead: boolean;
  warmth: [number, number] | null;
  rainMm: number;
  /** litres given to this plant */
  wateredL: number;
  /** percent of the water in reach; past and coming are drawn apart */
  left: number | null;
  leftAhead: number | null;
  /** what a measurement moved the line by, percent from and to, and which */
  moved: { from: number; to: number; by: CorrectedBy } | null;
  nitrogenG: number;
  fed: boolean;
  cuts: RecordDto[];
  looks: RecordDto[];
  soil: string | null;
}

const BACK = 27;
/** A correction of less than this is not worth a mark. */
const WORTH_PERCENT = 3;

function movedOn(d: BalanceDay | undefined): StrandDay['moved'] {
  if (!d?.correctedBy) return null;
  const to = Math.round(d.fractionAvailable * 100);
  const from = Math.round(Math.min(1, Math.max(0, d.fractionAvailable + d.correctionMm / d.tawMm)) * 100);
  return Math.abs(to - from) < WORTH_PERCENT ? null : { from, to, by: d.correctedBy };
}
const AHEAD = 7;

/** Four weeks back to a week ahead, everything that is recorded or reckoned of each day. */
export function strandDays(v: PlantView): StrandDay[] {
  const { today } = v.garden;
  const balance = new Map(v.report.water.daily.map((d) => [d.date, d]));
  const ahead = new Map(v.report.water.ahead.map((d) => [d.date, d.fractionAvailable]));
  const observed = new Map(v.caseFile.records.weather.map((w) => [w.date, w]));
  const forecast = new Map(v.forecast.map((w) => [w.day, w]));
  const c = v.caseFile.records;
  return Array.from({ length: BACK + 1 + AHEAD }, (_, i) => {
    const day = addDays(today, i - BACK);
    const w = observed.get(day) ?? forecast.get(day);
    const fraction = balance.get(day)?.fractionAvailable;
    const fed = c.feeding.filter((f) => f.date === day);
    const of = (...types: string[]) => v.records.filter((r) => r.day === day && types.includes(r.type));
    return {
      i,
      day,
      ahead: day > today,
      warmth: w ? [w.tMinC, w.tMaxC] : null,
      rainMm: w?.rainMm ?? 0,
      wateredL: c.watering.filter((x) => x.date === day).reduce((s, x) => s + x.litres, 0),
      left: fraction == null ? null : Math.round(fraction * 100),
      // the last known day joins the two lines
      leftAhead:
        day === today && fraction != null
          ? Math.round(fraction * 100)
          : ahead.has(day)
            ? Math.round(ahead.get(day)! * 100)
            : null,
      moved: movedOn(balance.get(day)),
      nitrogenG: fed.reduce((s, f) => s + nitrogenGrams(f), 0),
      fed: fed.length > 0,
      cuts: of('pruning', 'spray', 'event'),
      looks: of('inspection'),
      soil: c.soilChecks.findLast((s) => s.date === day)?.feel ?? null,
    };
  });
}
