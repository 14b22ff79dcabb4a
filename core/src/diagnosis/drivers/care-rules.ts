import { shareInWords } from '../../records/label-share.js';
import { nitrogenGrams } from '../../nutrition/feeding.js';
import { hungryAfterDays, MOST_NITROGEN_G, nitrogenWindowDays } from '../../nutrition/limits.js';
import { ACID_PH, ALKALINE_PH, SALTY_DS_PER_M } from '../../soil/limits.js';
import {
  LEAF_LOSS_PCT,
  LEAF_LOSS_WITHIN_DAYS,
  leafLostPct,
  MOST_CUTS,
  MOST_SHARE_PCT,
} from '../../pruning/leaf-loss.js';
import type { SoilTest } from '../../records/facts.js';
import { isPotted } from '../../records/place.js';
import { SPRAY_WORDS } from '../../spray/gates.js';
import { BURNS_FROM_C, burnsInHeat } from '../../spray/limits.js';
import { STRONG_SHARE, strengthOf } from '../../spray/strength.js';
import { addDays, type Day, daysBetween } from '../../units/day.js';
import { isSlow, nitrogenFreedG } from '../../nutrition/release.js';
import type { CaseContext } from '../context.js';
import { graded, overLimit } from './curves.js';
import { ABSENT, type Because, found, type RuleParams, unknown, type Verdict } from './verdict.js';

// Rules that read feeding, soil tests, cuts and sprays.

const isPot = (ctx: CaseContext): boolean => isPotted(ctx.case.place);

const NO_FEEDING = 'what it was fed, and when: record it, or choose “none given”';
const NO_CUTS = 'whether leaves were cut: no pruning is recorded';

/** Fruiting or flowering: from here on a high-nitrogen feed is too late. */
const LEAFY_STAGES = new Set(['seedling', 'establishing', 'vegetative']);

/**
 * Returns whether it had too much nitrogen within the window: 14 days in a pot, 30 in a bed.
 */
export function excessNitrogen(ctx: CaseContext): Verdict {
  const { asOf, records, place, plant } = ctx.case;
  const within = nitrogenWindowDays(isPot(ctx));
  const since = addDays(asOf, -within);
  const freed = records.feeding
    .map((f) => ({ f, grams: nitrogenFreedG(f, since, asOf) }))
    .filter((x) => x.grams > 0.05);
  const total = freed.reduce((sum, x) => sum + x.grams, 0);
  const because = freed.map(({ f, grams }): Because => ({
    record: 'feeding',
    date: f.date,
    text: `${ctx.format.grams(grams)} of nitrogen ${isSlow(f) ? 'released from an earlier feed' : ''} on ${ctx.format.day(f.date)}`.replace(
      '  ',
      ' ',
    ),
  }));
  const much = graded(total / MOST_NITROGEN_G, 1, 2.5);
  const bearing = !LEAFY_STAGES.has(plant.stage ?? '');
  const leafy = bearing
    ? ctx
        .recent(records.feeding, within)
        .filter((f) => f.n > f.p2o5 && f.n > f.k2o && !isSlow(f) && nitrogenGrams(f) >= 0.3)
    : [];
  if (leafy.length > 0 && much < 0.5)
    return found(
      Math.max(much, 0.4),
      leafy.map((f): Because => ({
        record: 'feeding',
        date: f.date,
        text: `a high-nitrogen feed (${f.n}-${f.p2o5}-${f.k2o}) on ${ctx.format.day(f.date)}`,
      })),
    );
  const test = place.soilTest;
  if (test?.nitrogen === 'high' && much < 0.5)
    return found(0.5, [{ record: 'place', date: test.date, text: 'soil test: high nitrogen' }]);
  if (records.feeding.length === 0) return unknown(NO_FEEDING);
  if (because.length === 0) return ABSENT;
  return found(
    much,
    because,
    `${ctx.format.grams(total)} of nitrogen in ${within} days, fed on ${ctx.format.days(because.map((b) => b.date))}; ${ctx.format.grams(MOST_NITROGEN_G)} is already plenty`,
  );
}

/** Care records in six weeks that make a regular log, which would include a feed (judgement). */
const KEPT_LOG = 6;
const LOG_DAYS = 42;
/** Strength of "no feed recorded" in a regular log. */
const SILENT_SHARE = 0.6;

/** Returns whether this gardener keeps a regular log. If so, what is not recorded was probably not done. */
export function keepsLog(ctx: CaseContext): boolean {
  const { watering, pruning, feeding, sprays, events } = ctx.case.records;
  const lists: readonly (readonly { date: Day }[])[] = [watering, pruning, feeding, sprays, events];
  const count = lists.reduce((sum, list) => sum + ctx.recent(list, LOG_DAYS).length, 0);
  return count >= KEPT_LOG;
}

const NUTRIENT_NAMES = { p2o5: 'phosphorus', k2o: 'potassium' } as const;

/**
 * Returns whether feeding stopped for too long. Without any feeding record the strength is lowered: not recorded is
 * not "not fed".
 */
export function underfeeding(ctx: CaseContext, { nutrient }: RuleParams = {}): Verdict {
  const limit = hungryAfterDays(isPot(ctx));
  const { plant, records, asOf } = ctx.case;
  // a feed without phosphorus feeds none
  const feeds = records.feeding.filter((f) => f.grams > 0 && (nutrient ? f[nutrient] : f.n + f.p2o5 + f.k2o) > 0);
  const last = feeds.at(-1);
  // not recorded does not mean not given: only a regular log suggests it
  if (!last && records.feeding.length === 0 && !keepsLog(ctx)) return unknown('when it was fed last');
  const since = last?.date ?? plant.transplantedOn;
  if (!since) return unknown('when it was fed last');
  // a slow feed keeps feeding as long as it releases nitrogen
  const days = daysBetween(since, asOf) - (last && isSlow(last) ? 30 : 0);
  const strength = graded(days / limit, 1, 2.2) * (last || records.feeding.length > 0 ? 1 : SILENT_SHARE);
  const feed = nutrient ? `feed with ${NUTRIENT_NAMES[nutrient]}` : 'feed';
  const text = last
    ? `last ${feed === 'feed' ? 'fed' : feed} on ${ctx.format.day(last.date)}, ${daysBetween(last.date, asOf)} days ago`
    : records.feeding.length > 0
      ? `no ${feed} in the ${days} days since planting out`
      : `no ${feed} recorded in the ${days} days since planting out`;
  return found(strength, [{ record: last ? 'feeding' : 'plant', date: since, text }]);
}

/** Returns whether salts have built up: by a soil test, else a white crust, else much feed in a pot. */
export function saltBuildup(ctx: CaseContext): Verdict {
  const test = ctx.case.place.soilTest;
  const limit = SALTY_DS_PER_M[ctx.case.plant.crop];
  if (test?.saltsDsPerM != null)
    return found(graded(test.saltsDsPerM / limit, 1, 2.5), [
      {
        record: 'place',
        date: test.date,
        text: `soil test: salts ${test.saltsDsPerM} dS/m; a ${ctx.case.plant.crop} tolerates ${limit}`,
      },
    ]);
  if (ctx.present.has('soil-white-crust'))
    return found(0.6, [{ record: 'sign', date: ctx.case.asOf, text: 'a white crust on the soil' }]);
  if (!isPot(ctx)) return ABSENT;
  const fed = ctx.recent(ctx.case.records.feeding, nitrogenWindowDays(true)).filter((f) => !isSlow(f));
  const total = fed.reduce((sum, f) => sum + nitrogenGrams(f), 0);
  if (fed.length === 0) return ctx.case.records.feeding.length === 0 ? unknown(NO_FEEDING) : ABSENT;
  return found(
    graded(total / MOST_NITROGEN_G, 1, 2) * 1.1,
    fed.map((f): Because => ({
      record: 'feeding',
      date: f.date,
      text: `${ctx.format.grams(f.grams)} of feed on ${ctx.format.day(f.date)}`,
    })),
  );
}

/** Excess of K₂O over the plant's nitrogen in six weeks that blocks magnesium, g (judgement). */
const MUCH_K2O_G = 6;

/** Returns whether potassium is so high that it blocks calcium and magnesium. */
export function heavyPotassium(ctx: CaseContext): Verdict {
  const { records, place } = ctx.case;
  if (place.soilTest?.potassium === 'high')
    return found(0.7, [{ record: 'place', date: place.soilTest.date, text: 'soil test: high potassium' }]);
  if (records.feeding.length === 0) return unknown(NO_FEEDING);
  const fed = ctx.recent(records.feeding, 42).filter((f) => f.k2o >= 1.5 * Math.max(1, f.n));
  const total = fed.reduce((sum, f) => sum + (f.grams * f.k2o) / 100, 0);
  return found(
    graded(total / MUCH_K2O_G, 1, 2.5),
    fed.map((f): Because => ({
      record: 'feeding',
      date: f.date,
      text: `a high-potassium feed (${f.n}-${f.p2o5}-${f.k2o}) on ${ctx.format.day(f.date)}`,
    })),
    `${ctx.format.grams(total)} of potash in six weeks, fed on ${ctx.format.days(fed.map((f) => f.date))}`,
  );
}

/** Judges a soil test as low (or a pH outside a limit) for one nutrient; `strength` 0 if it is not. */
function byTest(
  ctx: CaseContext,
  low: (t: SoilTest) => { text: string; strength: number } | null,
  ask: string,
): Verdict {
  const test = ctx.case.place.soilTest;
  if (!test) return unknown(ask, 'soil-test');
  const said = low(test);
  return said ? found(said.strength, [{ record: 'place', date: test.date, text: `soil test: ${said.text}` }]) : ABSENT;
}

/** a pH one whole step beyond the limit has full strength */
const tooAcid = (pH: number | undefined): { text: string; strength: number } | null =>
  pH === undefined
    ? null
    : { text: `pH ${pH}; under ${ACID_PH} is too acid`, strength: graded(1 + (ACID_PH - pH) / 0.5, 1, 2) };
const ASK_PH = 'a soil test: we don’t know the pH';

/** Returns whether a soil test shows low calcium, or a pH so low that little is available. */
export const lowCalcium = (ctx: CaseContext): Verdict =>
  byTest(
    ctx,
    (t) => (t.calcium === 'low' ? { text: 'low calcium', strength: 0.8 } : tooAcid(t.pH)),
    'a soil test: we don’t know calcium or pH',
  );
/** Returns whether a soil test shows a pH below the limit. */
export const soilTooAcid = (ctx: CaseContext): Verdict => byTest(ctx, (t) => tooAcid(t.pH), ASK_PH);
/** Returns whether a soil test shows a pH above the limit, by default 7.2. */
export const soilTooAlkaline = (ctx: CaseContext, { pH = ALKALINE_PH }: RuleParams): Verdict =>
  byTest(
    ctx,
    (t) =>
      t.pH === undefined
        ? null
        : { text: `pH ${t.pH}; over ${pH} is too alkaline`, strength: graded(1 + (t.pH - pH) / 0.5, 1, 2) },
    ASK_PH,
  );

/** Returns whether too large a share of the leaves was cut within the window, %. */
export function leafLossByPruning(
  ctx: CaseContext,
  { pct = LEAF_LOSS_PCT, within = LEAF_LOSS_WITHIN_DAYS }: RuleParams,
): Verdict {
  const cuts = ctx.recent(ctx.case.records.pruning, within).filter((p) => (p.leafSharePct ?? 0) > 0);
  const share = leafLostPct(cuts);
  const strength = graded(share / pct, 1, 2);
  if (strength < 0.4 && ctx.present.has('after-pruning'))
    return found(0.4, [{ record: 'sign', date: ctx.case.asOf, text: 'it began after pruning' }]);
  if (ctx.case.records.pruning.length === 0) return unknown(NO_CUTS);
  return found(
    strength,
    cuts.map((p): Because => ({
      record: 'pruning',
      date: p.date,
      text: `${p.leafSharePct} % of the leaves cut on ${ctx.format.day(p.date)}`,
    })),
  );
}

/** Returns whether it was cut too hard or too often within the window, days. */
export function overPruning(ctx: CaseContext, { within = LEAF_LOSS_WITHIN_DAYS, from = 0 }: RuleParams): Verdict {
  const cuts = ctx.recent(ctx.case.records.pruning, within).filter((p) => daysBetween(p.date, ctx.case.asOf) >= from);
  if (ctx.case.records.pruning.length === 0) return unknown(NO_CUTS);
  const total = cuts.reduce((sum, p) => sum + (p.cuts ?? 0), 0);
  const share = Math.max(0, ...cuts.map((p) => p.leafSharePct ?? 0));
  return found(
    Math.max(graded(total / (MOST_CUTS + 1), 1, 2), graded(share / MOST_SHARE_PCT, 1, 2)),
    cuts.map((p): Because => ({
      record: 'pruning',
      date: p.date,
      text: `${p.cuts ?? 'many'} cuts on ${ctx.format.day(p.date)}`,
    })),
  );
}

/** Returns whether a spray that burns was used in heat, stronger than its label, or two within three days. */
export function wrongSprayMix(ctx: CaseContext, { within = 10, atC = BURNS_FROM_C }: RuleParams): Verdict {
  const burning = ctx
    .recent(ctx.case.records.sprays, within)
    .filter((p) => burnsInHeat(p.product))
    // without weather or a recorded temperature for that day, the heat is unknown
    .map((p) => ({ p, tMax: p.tMaxC ?? ctx.own.find((w) => w.date === p.date)?.tMaxC }));
  const hot = burning.map((x) => ({ ...x, score: x.tMax === undefined ? 0 : overLimit(x.tMax, atC, 4) }));
  const oils = burning.filter(
    (x) => x.p.product === 'neem' || x.p.product === 'oil' || x.p.product === 'other' || x.p.product === 'soap',
  );
  const crowded = burning.some((a) => burning.some((b) => a !== b && Math.abs(daysBetween(a.p.date, b.p.date)) <= 3));
  const because = hot
    .filter((x) => x.score > 0.3)
    .map(({ p, tMax }): Because => ({
      record: 'spray',
      date: p.date,
      text: `${SPRAY_WORDS[p.product]} at ${ctx.format.temperature(tMax!)} on ${ctx.format.day(p.date)}`,
    }));
  if (crowded)
    because.push(
      ...burning
        .filter((x) => !because.some((b) => b.date === x.p.date))
        .map(({ p }): Because => ({
          record: 'spray',
          date: p.date,
          text: `${SPRAY_WORDS[p.product]} on ${ctx.format.day(p.date)}, soon after another spray`,
        })),
    );
  const strong = burning.filter(({ p }) => (strengthOf(p) ?? 1) > STRONG_SHARE);
  because.push(
    ...strong.map(({ p }): Because => ({
      record: 'spray',
      date: p.date,
      text: `${SPRAY_WORDS[p.product]} on ${ctx.format.day(p.date)} at ${shareInWords(strengthOf(p)!)}`,
    })),
  );
  // twice the label burns as surely as heat does (judgement)
  const tooStrong = Math.max(0, ...strong.map(({ p }) => Math.min(1, strengthOf(p)! - 1)));
  const strength = Math.max(0, ...hot.map((x) => graded(x.score, 1, 1.5) * 1.2), crowded ? 0.5 : 0, tooStrong);
  if (because.length > 0) return found(strength, because);
  if (ctx.present.has('after-spraying') && (burning.length === 0 || oils.some((x) => x.tMax === undefined)))
    return unknown('what was sprayed, how strong, and how hot it was');
  return ctx.case.records.sprays.length === 0 ? unknown('whether anything was sprayed') : ABSENT;
}

/** Returns whether weedkiller was sprayed nearby within the window, days. */
export function sprayDrift(ctx: CaseContext, { within = 21 }: RuleParams): Verdict {
  const near = ctx.recent(ctx.case.records.sprays, within).filter((p) => p.product === 'weedkiller-nearby');
  return near.length > 0
    ? found(
        0.9,
        near.map((p): Because => ({
          record: 'spray',
          date: p.date,
          text: `weedkiller used nearby on ${ctx.format.day(p.date)}`,
        })),
      )
    : ctx.case.records.sprays.length === 0
      ? unknown('whether weedkiller was used nearby, or new straw or manure was brought in')
      : ABSENT;
}
