import { normal, seeded } from '../climate/random.js';
import type { Crop, Stage } from '../records/plant.js';
import type { Day } from '../units/day.js';
import { type Milestone, milestonesOf, rankOf } from './course.js';
import type { GrowthNote } from './notes.js';

/**
 * Which stage a plant has reached, by a particle filter (Gordon, Salmond & Smith 1993): many plants that might be this
 * one, each with its own pace, planting day and milestones. Each note raises the weight of those that agree with it.
 */

/** Scatter of pace between plants of one variety, and where the variety's days are only usual for its type (judgement). */
const PACE_SD = { packet: 0.11, usual: 0.15 } as const;
/** Plants that might be this one: enough that a season of notes leaves dozens of them. */
const PARTICLES = 500;
/** How far a note may be off, days: a bud may pass for a flower. */
const NOTE_ERROR_DAYS = 0.7;
/** Weight left to a plant that contradicts a note. */
const DOUBT = 1e-4;

/** The clocks of a plant: those of its milestones, and its warm days. */
export type Clocks = Record<Milestone['clock'] | 'warmDays', number>;

/** What the estimate of a stage needs. */
export interface StageQuestion {
  crop: Crop;
  /** the variety's days to maturity are from its packet */
  sure: boolean;
  /** days to maturity */
  days: number;
  /** scatter of the planting day, days */
  startSdDays: number;
  /** the clocks on a day at the usual pace, if it was planted `laterDays` later than assumed */
  clocksOn: (day: Day, laterDays: number) => Clocks;
  asOf: Day;
  /** in order of their days */
  notes: readonly GrowthNote[];
}

/** Chance of each milestone to be passed, and what the notes say about pace and planting day. */
export interface StageEstimate {
  /** chance that the plant has reached each milestone's stage, 0 to 1 */
  reached: { stage: Stage; chance: number }[];
  /** mean progress, and its standard deviation */
  progress: number;
  progressSd: number;
  /** mean pace, 1 for the usual */
  pace: number;
  /** days the planting day moves, mean */
  laterDays: number;
}

/** Standard normal draws, the same for every plant: the estimate of a plant never changes by itself. */
const draws = (): readonly Float64Array[] => {
  const random = seeded(20_010);
  return Array.from({ length: PARTICLES }, () => Float64Array.from({ length: DRAWS }, () => normal(random)));
};
/** planting day, pace and up to six milestones */
const DRAWS = 8;

/** Returns what the notes say about one milestone. A later note wins: a plant can be cut back. */
function saidOf(milestone: Milestone, notes: readonly GrowthNote[]): Said {
  const rank = rankOf(milestone.stage);
  const said: Said = { notYet: null, by: null, near: null };
  for (const { date, stage, atLeast, soon } of notes) {
    if (stage !== undefined && rankOf(stage) < rank) {
      [said.notYet, said.by] = [date, null];
      if (rankOf(stage) === rank - 1 && soon !== undefined) said.near = { date, soon };
    } else if (rankOf(stage ?? atLeast ?? 'seedling') >= rank) said.by ??= date;
  }
  return said;
}

interface Said {
  /** last day on which it was not reached yet */
  notYet: Day | null;
  /** first day on which it was */
  by: Day | null;
  /** whether it was near, by the last note about it */
  near: { date: Day; soon: boolean } | null;
}

/** Returns the chance of each stage to be reached, with the pace of this plant. */
export function estimateStage(q: StageQuestion): StageEstimate {
  const milestones = milestonesOf(q.crop);
  const said = milestones.map((m) => saidOf(m, q.notes));
  const paceSd = q.sure ? PACE_SD.packet : PACE_SD.usual;
  // planting days are drawn in whole days, so that each is looked up once
  const clocks = remembered((later: number) => {
    const at = (day: Day | null): Clocks | null => (day === null ? null : q.clocksOn(day, later));
    return {
      now: q.clocksOn(q.asOf, later),
      said: said.map((s) => ({ notYet: at(s.notYet), by: at(s.by), near: at(s.near?.date ?? null) })),
    };
  });
  const error = { settling: NOTE_ERROR_DAYS, progress: NOTE_ERROR_DAYS / q.days };
  const sums = { weight: 0, progress: 0, square: 0, pace: 0, later: 0 };
  const passed = new Float64Array(milestones.length);
  const reached = new Uint8Array(milestones.length);
  for (const z of particles()) {
    const later = Math.round(z[0]! * q.startSdDays);
    const pace = Math.exp(z[1]! * paceSd);
    const { now, said: at } = clocks(later);
    let weight = 1;
    let from = 0;
    for (let i = 0; i < milestones.length; i++) {
      const m = milestones[i]!;
      const { notYet, by, near } = at[i]!;
      const isProgress = m.clock === 'progress';
      const speed = isProgress ? pace : 1;
      let point = (isProgress ? from : 0) + m.after + m.sd * z[2 + i]!;
      if (notYet !== null) {
        const then = notYet[m.clock] * speed;
        weight *= agreement((point - then) / error[m.clock]);
        // the note stands whatever the warmth says: the milestone lies some way beyond it
        if (point < then) point = then + m.sd * Math.abs(z[2 + i]!);
      }
      if (by !== null) weight *= agreement((by[m.clock] * speed - point) / error[m.clock]);
      if (near !== null && m.sign) {
        const seen = agreement((near[m.clock] * speed - (point - m.sign.before)) / m.sign.sd);
        weight *= said[i]!.near!.soon ? seen : 1 + DOUBT - seen;
      }
      if (isProgress) from = point;
      reached[i] = by !== null || now[m.clock] * speed > point ? 1 : 0;
    }
    for (let i = 0; i < milestones.length; i++) passed[i]! += weight * reached[i]!;
    const progress = now.progress * pace;
    sums.weight += weight;
    sums.progress += weight * progress;
    sums.square += weight * progress * progress;
    sums.pace += weight * pace;
    sums.later += weight * later;
  }
  const progress = sums.progress / sums.weight;
  return {
    reached: milestones.map(({ stage }, i) => ({ stage, chance: passed[i]! / sums.weight })),
    progress,
    progressSd: Math.sqrt(Math.max(0, sums.square / sums.weight - progress ** 2)),
    pace: sums.pace / sums.weight,
    laterDays: sums.later / sums.weight,
  };
}

/** Returns how well a plant agrees with a note: near 1 well on its side, near 0 well beyond, one half at the edge. */
const agreement = (errors: number): number => DOUBT + (1 - DOUBT) / (1 + Math.exp(-1.7 * errors));

let known: readonly Float64Array[] | null = null;
const particles = (): readonly Float64Array[] => (known ??= draws());

function remembered<V>(work: (key: number) => V): (key: number) => V {
  const values = new Map<number, V>();
  return (key) => {
    const value = values.get(key) ?? work(key);
    values.set(key, value);
    return value;
  };
}
