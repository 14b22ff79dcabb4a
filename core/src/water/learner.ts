import type { PlaceFacts } from '../records/facts.js';
import type { Day } from '../units/day.js';
import { corrected, grown, type Measured, MOST_ERROR } from './corrections.js';
import {
  carry,
  changeDays,
  doubtOfUse,
  learnedAnew,
  learnedFrom,
  mostUseOf,
  nothingLearned,
  withLearned,
} from './learning.js';
import type { Learned } from './learned.js';
import type { BalanceDay, RunState } from './run.js';
import type { Demand } from './season.js';
import type { RootZone } from './root-zone.js';
import { feltPart, leftInPart, topShare } from './top-layer.js';

/**
 * Learns beside a running balance: a check of the morning counts from that day's use on, one of the evening from the
 * next. The days before stay as they were, so a check never rewrites the past.
 */
export class Learner {
  private learned: Learned;
  private readonly changed: ReadonlySet<Day>;

  /** @param before what was learned earlier; nothing by default */
  constructor(
    private readonly place: PlaceFacts,
    before: Learned | null = null,
  ) {
    this.learned = before ? { ...before } : nothingLearned(place);
    this.changed = changeDays(place);
  }

  /**
   * Runs one day with what was learned so far, and learns from its check. Changes the state in place.
   * @param step runs the day with a demand
   */
  day(
    state: RunState,
    demand: Demand,
    date: Day,
    seen: Measured | null,
    step: (demand: Demand) => BalanceDay,
  ): BalanceDay {
    if (this.changed.has(date)) this.learned = learnedAnew(this.learned, this.place);
    const morningSd = state.sd;
    let moved = 0;
    if (seen?.beforeWater) {
      const plain = withLearned(demand, this.learned);
      const left = state.depletionMm === null ? state.fraction : 1 - state.depletionMm / plain.zone.tawMm;
      const now = this.storeOf(plain.zone, seen, left, state.topMm, state.sd);
      // the store is corrected inside the day; its error after the check follows the same step
      moved = this.learn(
        state,
        learnedFrom(this.learned, seen, now, corrected({ fraction: left, sd: now.sd }, seen).sd),
      );
    }
    const own = withLearned(demand, this.learned);
    const share = topShare(own.zone);
    const topBefore = state.topMm;
    const day = step(own);
    day.correctionMm += moved;
    const top = seen && !seen.beforeWater ? (state.topBeforeCheckMm ?? null) : state.topMm;
    const inMm = day.effectiveRainMm + day.irrigationMm;
    const stood = topBefore === null || top === null ? null : Math.max(0, topBefore - inMm);
    const dried = stood === null ? null : Math.max(0, top! - stood) / (share * day.tawMm);
    const filled = topBefore !== null && topBefore > 0 ? Math.min(1, inMm / topBefore) : inMm > 0 ? 1 : 0;
    const doubt = doubtOfUse(this.learned, day);
    carry(this.learned, day, dried, filled, morningSd);
    if (seen && !seen.beforeWater) {
      const left = 1 - (day.depletionMm - day.correctionMm) / day.tawMm;
      const evening = this.storeOf(own.zone, seen, left, top, grown(morningSd));
      const later = this.learn(state, learnedFrom(this.learned, seen, evening, day.uncertainty));
      day.depletionMm += later;
      day.correctionMm += later;
    }
    // measured in the evening, its doubt ends there
    if (!seen || seen.beforeWater) {
      state.sd = Math.min(MOST_ERROR, Math.hypot(state.sd, doubt));
      day.uncertainty = state.sd;
    }
    state.learned = this.learned;
    return day;
  }

  /** A store that turns out larger keeps its share. Returns by how much its depletion changes, mm. */
  private learn(state: RunState, learned: Learned): number {
    const grows = Math.exp(learned.capacity - this.learned.capacity);
    const before = state.depletionMm ?? 0;
    if (state.depletionMm !== null) state.depletionMm *= grows;
    if (state.topMm !== null) state.topMm *= grows;
    this.learned = learned;
    return (state.depletionMm ?? 0) - before;
  }

  private storeOf(zone: RootZone, seen: Measured, whole: number, topMm: number | null, sd: number) {
    const part = feltPart(zone, seen, topMm);
    const left = part && topMm !== null ? leftInPart(part, zone, whole, topMm) : whole;
    return { part, left, sd, mostUse: mostUseOf(this.place) };
  }
}
