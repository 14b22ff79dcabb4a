import { nitrogenGrams } from '../../nutrition/feeding.js';
import {
  ACID_PH,
  ALKALINE_PH,
  hungryAfterDays,
  MOST_NITROGEN_G,
  nitrogenWindowDays,
  SALTY_DS_PER_M,
} from '../../nutrition/limits.js';
import {
  LEAF_LOSS_PCT,
  LEAF_LOSS_WITHIN_DAYS,
  leafLostPct,
  MOST_CUTS,
  MOST_SHARE_PCT,
} from '../../pruning/leaf-loss.js';
import { SoilTest } from '../../records/facts.js';
import { BURNS_FROM_C, burnsInHeat } from '../../spray/limits.js';
import { daysBetween } from '../../units/day.js';
import type { CaseContext } from '../context.js';
import { ABSENT, type Because, found, type RuleParams, unknown, type Verdict } from './verdict.js';

/** Rules that read feeding, soil tests, cuts and sprays. */

const isPot = (ctx: CaseContext): boolean => ctx.case.place.kind === 'container';

const NO_FEEDING = 'what it was fed, and when: record it, or say that none was given';
const NO_CUTS = 'whether leaves were cut: no cut is on record';

export function excessNitrogen(ctx: CaseContext): Verdict {
  const within = nitrogenWindowDays(isPot(ctx));
  const fed = ctx.recent(ctx.case.records.feeding, within);
  const total = fed.reduce((sum, f) => sum + nitrogenGrams(f), 0);
  const because = fed
    .filter((f) => nitrogenGrams(f) > 0)
    .map((f): Because => ({
      record: 'feeding',
      date: f.date,
      text: `${ctx.format.grams(nitrogenGrams(f))} of nitrogen on ${ctx.format.day(f.date)}`,
    }));
  if (total > MOST_NITROGEN_G)
    return found(
      0.4 + total / 12,
      because,
      `${ctx.format.grams(total)} of nitrogen in ${within} days, fed on ${ctx.format.days(because.map((b) => b.date))}; ${ctx.format.grams(MOST_NITROGEN_G)} is plenty`,
    );
  const bearing =
    ctx.case.plant.stage !== 'seedling' &&
    ctx.case.plant.stage !== 'establishing' &&
    ctx.case.plant.stage !== 'vegetative';
  const leafy = bearing ? fed.filter((f) => f.n > f.p2o5 && f.n > f.k2o && nitrogenGrams(f) >= 0.3) : [];
  if (leafy.length > 0)
    return found(
      0.4,
      leafy.map((f): Because => ({
        record: 'feeding',
        date: f.date,
        text: `a feed led by nitrogen (${f.n}-${f.p2o5}-${f.k2o}) on ${ctx.format.day(f.date)}`,
      })),
    );
  if (ctx.case.place.soilTest?.nitrogen === 'high')
    return found(0.5, [{ record: 'place', date: ctx.case.place.soilTest.date, text: 'soil test: nitrogen high' }]);
  return ctx.case.records.feeding.length === 0 ? unknown(NO_FEEDING) : ABSENT;
}

export function underfeeding(ctx: CaseContext): Verdict {
  const limit = hungryAfterDays(isPot(ctx));
  const { plant, records, asOf } = ctx.case;
  const last = records.feeding.at(-1)?.date;
  const since = last ?? plant.transplantedOn;
  if (!since) return unknown('when it was fed last');
  const days = daysBetween(since, asOf);
  if (days < limit) return ABSENT;
  const text = last
    ? `last fed on ${ctx.format.day(last)}, ${days} days ago`
    : `no feed on record in the ${days} days since planting out`;
  return found(0.3 + days / (4 * limit), [{ record: last ? 'feeding' : 'plant', date: since, text }]);
}

export function saltBuildup(ctx: CaseContext): Verdict {
  const test = ctx.case.place.soilTest;
  if (test?.saltsDsPerM != null)
    return test.saltsDsPerM > SALTY_DS_PER_M
      ? found(0.5 + test.saltsDsPerM / 20, [
          {
            record: 'place',
            date: test.date,
            text: `soil test: salts ${test.saltsDsPerM} dS/m, over ${SALTY_DS_PER_M}`,
          },
        ])
      : ABSENT;
  if (ctx.present.has('soil-white-crust'))
    return found(0.6, [{ record: 'sign', date: ctx.case.asOf, text: 'a white crust on the soil' }]);
  const fed = ctx.recent(ctx.case.records.feeding, nitrogenWindowDays(true));
  const total = fed.reduce((sum, f) => sum + nitrogenGrams(f), 0);
  if (isPot(ctx) && total > MOST_NITROGEN_G)
    return found(
      0.6,
      fed.map((f): Because => ({
        record: 'feeding',
        date: f.date,
        text: `${ctx.format.grams(f.grams)} of feed on ${ctx.format.day(f.date)}`,
      })),
    );
  return ABSENT;
}

/** A soil test low (or a pH outside a limit) for one nutrient. */
function byTest(ctx: CaseContext, low: (t: SoilTest) => string | null, ask: string): Verdict {
  const test = ctx.case.place.soilTest;
  if (!test) return unknown(ask, 'soil-test');
  const text = low(test);
  return text ? found(0.8, [{ record: 'place', date: test.date, text: `soil test: ${text}` }]) : ABSENT;
}

const tooAcid = (pH: number): string => `pH ${pH}, under ${ACID_PH}`;

export const lowCalcium = (ctx: CaseContext): Verdict =>
  byTest(
    ctx,
    (t) => (t.calcium === 'low' ? 'calcium low' : t.pH != null && t.pH < ACID_PH ? tooAcid(t.pH) : null),
    'a soil test: calcium and acidity are not known',
  );
export const soilTooAcid = (ctx: CaseContext): Verdict =>
  byTest(ctx, (t) => (t.pH != null && t.pH < ACID_PH ? tooAcid(t.pH) : null), 'a soil test: acidity is not known');
export const soilTooAlkaline = (ctx: CaseContext, { pH = ALKALINE_PH }: RuleParams): Verdict =>
  byTest(
    ctx,
    (t) => (t.pH != null && t.pH > pH ? `pH ${t.pH}, over ${pH}` : null),
    'a soil test: acidity is not known',
  );

export function leafLossByPruning(
  ctx: CaseContext,
  { pct = LEAF_LOSS_PCT, within = LEAF_LOSS_WITHIN_DAYS }: RuleParams,
): Verdict {
  const cuts = ctx.recent(ctx.case.records.pruning, within).filter((p) => (p.leafSharePct ?? 0) > 0);
  const share = leafLostPct(cuts);
  if (share < pct) {
    if (ctx.present.has('after-pruning'))
      return found(0.4, [{ record: 'sign', date: ctx.case.asOf, text: 'it began after pruning' }]);
    return ctx.case.records.pruning.length === 0 ? unknown(NO_CUTS) : ABSENT;
  }
  return found(
    share / 50,
    cuts.map((p): Because => ({
      record: 'pruning',
      date: p.date,
      text: `${p.leafSharePct} % of the leaf cut on ${ctx.format.day(p.date)}`,
    })),
  );
}

export function overPruning(ctx: CaseContext, { within = LEAF_LOSS_WITHIN_DAYS }: RuleParams): Verdict {
  const cuts = ctx.recent(ctx.case.records.pruning, within);
  if (ctx.case.records.pruning.length === 0) return unknown(NO_CUTS);
  const total = cuts.reduce((sum, p) => sum + (p.cuts ?? 0), 0);
  const share = Math.max(0, ...cuts.map((p) => p.leafSharePct ?? 0));
  if (total <= MOST_CUTS && share < MOST_SHARE_PCT) return ABSENT;
  return found(
    Math.max(total / 16, share / 50),
    cuts.map((p): Because => ({
      record: 'pruning',
      date: p.date,
      text: `${p.cuts ?? 'many'} cuts on ${ctx.format.day(p.date)}`,
    })),
  );
}

export function wrongSprayMix(ctx: CaseContext, { within = 10, atC = BURNS_FROM_C }: RuleParams): Verdict {
  const hot = ctx
    .recent(ctx.case.records.sprays, within)
    .filter((p) => burnsInHeat(p.product))
    .map((p) => ({ p, tMax: p.tMaxC ?? ctx.case.records.weather.find((w) => w.date === p.date)?.tMaxC }));
  const because = hot
    .filter((x) => (x.tMax ?? 0) >= atC)
    .map(({ p, tMax }): Because => ({
      record: 'spray',
      date: p.date,
      text: `${p.product} at ${ctx.format.temperature(tMax!)} on ${ctx.format.day(p.date)}`,
    }));
  if (because.length > 0) return found(0.8, because);
  return ctx.present.has('after-spraying') && hot.length === 0
    ? unknown('what was sprayed, how strong, and how warm it was')
    : ABSENT;
}

export function sprayDrift(ctx: CaseContext, { within = 21 }: RuleParams): Verdict {
  const near = ctx.recent(ctx.case.records.sprays, within).filter((p) => p.product === 'weedkiller-nearby');
  return near.length > 0
    ? found(
        0.9,
        near.map((p): Because => ({
          record: 'spray',
          date: p.date,
          text: `weedkiller used near by on ${ctx.format.day(p.date)}`,
        })),
      )
    : ctx.case.records.sprays.length === 0
      ? unknown('whether weedkiller was used near by, or new straw or manure came in')
      : ABSENT;
}
