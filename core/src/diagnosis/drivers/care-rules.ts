import { nitrogenGrams } from '../../care/feeding.js';
import { dayWords, daysBetween, daysInWords } from '../../day.js';
import { showGrams, showTemperature } from '../../units/units.js';
import type { Story } from '../story.js';
import { ABSENT, found, unknown, type Because, type RuleParams, type Verdict } from './verdict.js';

/** Rules that read feeding, soil tests, cuts and sprays. */

/** Days within which 3 g of nitrogen per plant is too much: 30 in a bed, 14 in a pot (handbook). */
const nitrogenWindow = (s: Story): number => (s.c.place.kind === 'container' ? 14 : 30);
const MOST_NITROGEN_G = 3;

const NO_FEEDING = 'what it was fed, and when: record it, or say that none was given';
const NO_CUTS = 'whether leaves were cut: no cut is on record';

export function excessNitrogen(s: Story): Verdict {
  const within = nitrogenWindow(s);
  const fed = s.recent(s.c.records.feeding, within);
  const total = fed.reduce((sum, f) => sum + nitrogenGrams(f), 0);
  const because = fed
    .filter((f) => nitrogenGrams(f) > 0)
    .map((f): Because => ({
      record: 'feeding',
      date: f.date,
      text: `${showGrams(nitrogenGrams(f), s.units)} of nitrogen on ${dayWords(f.date)}`,
    }));
  if (total > MOST_NITROGEN_G)
    return found(
      0.4 + total / 12,
      because,
      `${showGrams(total, s.units)} of nitrogen in ${within} days, fed on ${daysInWords(because.map((b) => b.date))}; ${showGrams(MOST_NITROGEN_G, s.units)} is plenty`,
    );
  const bearing =
    s.c.plant.stage !== 'seedling' && s.c.plant.stage !== 'establishing' && s.c.plant.stage !== 'vegetative';
  const leafy = bearing ? fed.filter((f) => f.n > f.p2o5 && f.n > f.k2o && nitrogenGrams(f) >= 0.3) : [];
  if (leafy.length > 0)
    return found(
      0.4,
      leafy.map((f): Because => ({
        record: 'feeding',
        date: f.date,
        text: `a feed led by nitrogen (${f.n}-${f.p2o5}-${f.k2o}) on ${dayWords(f.date)}`,
      })),
    );
  if (s.c.place.soilTest?.nitrogen === 'high')
    return found(0.5, [{ record: 'place', date: s.c.place.soilTest.date, text: 'soil test: nitrogen high' }]);
  return s.c.records.feeding.length === 0 ? unknown(NO_FEEDING) : ABSENT;
}

export function underfeeding(s: Story): Verdict {
  const limit = s.c.place.kind === 'container' ? 28 : 56;
  const { plant, records, asOf } = s.c;
  const last = records.feeding.at(-1)?.date;
  const since = last ?? plant.transplantedOn;
  if (!since) return unknown('when it was fed last');
  const days = daysBetween(since, asOf);
  if (days < limit) return ABSENT;
  const text = last
    ? `last fed on ${dayWords(last)}, ${days} days ago`
    : `no feed on record in the ${days} days since planting out`;
  return found(0.3 + days / (4 * limit), [{ record: last ? 'feeding' : 'plant', date: since, text }]);
}

export function saltBuildup(s: Story): Verdict {
  const test = s.c.place.soilTest;
  if (test?.saltsDsPerM != null)
    return test.saltsDsPerM > 2.5
      ? found(0.5 + test.saltsDsPerM / 20, [
          { record: 'place', date: test.date, text: `soil test: salts ${test.saltsDsPerM} dS/m, over 2.5` },
        ])
      : ABSENT;
  if (s.present.has('soil-white-crust'))
    return found(0.6, [{ record: 'sign', date: s.c.asOf, text: 'a white crust on the soil' }]);
  const fed = s.recent(s.c.records.feeding, 14);
  const total = fed.reduce((sum, f) => sum + nitrogenGrams(f), 0);
  if (s.c.place.kind === 'container' && total > MOST_NITROGEN_G)
    return found(
      0.6,
      fed.map((f): Because => ({
        record: 'feeding',
        date: f.date,
        text: `${showGrams(f.grams, s.units)} of feed on ${dayWords(f.date)}`,
      })),
    );
  return ABSENT;
}

/** A soil test low (or a pH outside a limit) for one nutrient. */
function byTest(
  s: Story,
  low: (t: NonNullable<Story['c']['place']['soilTest']>) => string | null,
  ask: string,
): Verdict {
  const test = s.c.place.soilTest;
  if (!test) return unknown(ask, 'soil-test');
  const text = low(test);
  return text ? found(0.8, [{ record: 'place', date: test.date, text: `soil test: ${text}` }]) : ABSENT;
}

export const lowCalcium = (s: Story): Verdict =>
  byTest(
    s,
    (t) => (t.calcium === 'low' ? 'calcium low' : t.pH != null && t.pH < 5.8 ? `pH ${t.pH}, under 5.8` : null),
    'a soil test: calcium and acidity are not known',
  );
export const soilTooAcid = (s: Story): Verdict =>
  byTest(s, (t) => (t.pH != null && t.pH < 5.8 ? `pH ${t.pH}, under 5.8` : null), 'a soil test: acidity is not known');
export const soilTooAlkaline = (s: Story, { pct = 72 }: RuleParams): Verdict =>
  byTest(
    s,
    (t) => (t.pH != null && t.pH > pct / 10 ? `pH ${t.pH}, over ${pct / 10}` : null),
    'a soil test: acidity is not known',
  );

export function leafLossByPruning(s: Story, { pct = 25, within = 14 }: RuleParams): Verdict {
  const cuts = s.recent(s.c.records.pruning, within).filter((p) => (p.leafSharePct ?? 0) > 0);
  const share = 100 * (1 - cuts.reduce((left, p) => left * (1 - (p.leafSharePct ?? 0) / 100), 1));
  if (share < pct) {
    if (s.present.has('after-pruning'))
      return found(0.4, [{ record: 'sign', date: s.c.asOf, text: 'it began after pruning' }]);
    return s.c.records.pruning.length === 0 ? unknown(NO_CUTS) : ABSENT;
  }
  return found(
    share / 50,
    cuts.map((p): Because => ({
      record: 'pruning',
      date: p.date,
      text: `${p.leafSharePct} % of the leaf cut on ${dayWords(p.date)}`,
    })),
  );
}

export function overPruning(s: Story, { within = 14 }: RuleParams): Verdict {
  const cuts = s.recent(s.c.records.pruning, within);
  if (s.c.records.pruning.length === 0) return unknown(NO_CUTS);
  const total = cuts.reduce((sum, p) => sum + (p.cuts ?? 0), 0);
  const share = Math.max(0, ...cuts.map((p) => p.leafSharePct ?? 0));
  if (total <= 8 && share < 30) return ABSENT;
  return found(
    Math.max(total / 16, share / 50),
    cuts.map((p): Because => ({
      record: 'pruning',
      date: p.date,
      text: `${p.cuts ?? 'many'} cuts on ${dayWords(p.date)}`,
    })),
  );
}

const BURNING = new Set(['neem', 'soap', 'bicarbonate', 'copper', 'other']);

export function wrongSprayMix(s: Story, { within = 10, atC = 30 }: RuleParams): Verdict {
  const hot = s
    .recent(s.c.records.sprays, within)
    .filter((p) => BURNING.has(p.product))
    .map((p) => ({ p, tMax: p.tMaxC ?? s.c.records.weather.find((w) => w.date === p.date)?.tMaxC }));
  const because = hot
    .filter((x) => (x.tMax ?? 0) >= atC)
    .map(({ p, tMax }): Because => ({
      record: 'spray',
      date: p.date,
      text: `${p.product} at ${showTemperature(tMax!, s.units)} on ${dayWords(p.date)}`,
    }));
  if (because.length > 0) return found(0.8, because);
  return s.present.has('after-spraying') && hot.length === 0
    ? unknown('what was sprayed, how strong, and how warm it was')
    : ABSENT;
}

export function sprayDrift(s: Story, { within = 21 }: RuleParams): Verdict {
  const near = s.recent(s.c.records.sprays, within).filter((p) => p.product === 'weedkiller-nearby');
  return near.length > 0
    ? found(
        0.9,
        near.map((p): Because => ({
          record: 'spray',
          date: p.date,
          text: `weedkiller used near by on ${dayWords(p.date)}`,
        })),
      )
    : s.c.records.sprays.length === 0
      ? unknown('whether weedkiller was used near by, or new straw or manure came in')
      : ABSENT;
}
