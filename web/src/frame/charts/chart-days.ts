import { isRecordOf, type PlantView, type RecordDto } from '@candid-leaf/contract';
import { nitrogenGrams } from '@candid-leaf/core/nutrition';
import { RECORD_TYPES, type Track } from '@candid-leaf/core/records';
import { addDays, type Day } from '@candid-leaf/core/units';
import type { BalanceDay, CorrectedBy } from '@candid-leaf/core/water';

/** One day across all charts. */
export interface ChartDay {
  i: number;
  day: Day;
  ahead: boolean;
  warmth: [number, number] | null;
  rainMm: number;
  /** litres given to this plant */
  wateredL: number;
  /** percent of its water; past and future are drawn separately */
  left: number | null;
  leftAhead: number | null;
  /** correction by a measurement: percent from and to, and by what */
  moved: { from: number; to: number; by: CorrectedBy } | null;
  nitrogenG: number;
  /** the day's records by chart */
  on: Record<Track, RecordDto[]>;
}

const BACK = 27;
const AHEAD = 7;
/** Smaller corrections get no mark, %. */
const WORTH_PERCENT = 3;

const percentOf = (fraction: number): number => Math.round(fraction * 100);

function movedOn(d: BalanceDay | undefined): ChartDay['moved'] {
  if (!d?.correctedBy) return null;
  const to = percentOf(d.fractionAvailable);
  const from = percentOf(Math.min(1, Math.max(0, d.fractionAvailable + d.correctionMm / d.tawMm)));
  return Math.abs(to - from) < WORTH_PERCENT ? null : { from, to, by: d.correctedBy };
}

/** Groups a day's records by chart; a new record type finds its chart through the registry. */
function byTrack(records: readonly RecordDto[]): ChartDay['on'] {
  const on: ChartDay['on'] = { water: [], feed: [], work: [], seen: [], note: [] };
  for (const r of records) on[RECORD_TYPES[r.type].track].push(r);
  return on;
}

/** Returns four weeks back to a week ahead: everything recorded or estimated for each day. */
export function chartDays(v: PlantView): ChartDay[] {
  const { today } = v.garden;
  const { daily, ahead } = v.report.water;
  const balance = new Map(daily.map((d) => [d.date, d]));
  const coming = new Map(v.report.water.known ? ahead.map((d) => [d.date, d.fractionAvailable]) : []);
  const weather = new Map(v.weather.map((w) => [w.day, w]));
  const recorded = new Map<Day, RecordDto[]>();
  for (const r of v.records) recorded.set(r.day, [...(recorded.get(r.day) ?? []), r]);
  return Array.from({ length: BACK + 1 + AHEAD }, (_, i): ChartDay => {
    const day = addDays(today, i - BACK);
    const w = weather.get(day);
    const balanceDay = balance.get(day);
    // no line while the watering history is unknown
    const left = balanceDay?.known ? balanceDay.fractionAvailable : null;
    const next = coming.get(day);
    const records = recorded.get(day) ?? [];
    return {
      i,
      day,
      ahead: day > today,
      warmth: w ? [w.tMinC, w.tMaxC] : null,
      rainMm: w?.rainMm ?? 0,
      wateredL: records.reduce((sum, r) => sum + (isRecordOf(r, 'watering') ? (r.data.litres ?? 0) : 0), 0),
      left: left == null ? null : percentOf(left),
      // the last known day connects both lines
      leftAhead: day === today && left != null ? percentOf(left) : next == null ? null : percentOf(next),
      moved: balanceDay?.known ? movedOn(balanceDay) : null,
      nitrogenG: records.reduce((sum, r) => sum + (isRecordOf(r, 'feeding') ? nitrogenGrams(r.data) : 0), 0),
      on: byTrack(records),
    };
  });
}
