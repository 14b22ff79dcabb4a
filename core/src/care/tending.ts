import type { PlantAssessment } from '../assessment/assess.js';
import { isEnclosed, isPotted } from '../records/place.js';
import type { PlantCase } from '../records/plant-case.js';
import type { Happening } from '../records/record-classes.js';
import { tapPlan, type TapPlan } from '../pollination/tap-plan.js';
import { type Stock, supportPlan, type SupportPlan } from '../support/support-plan.js';
import { STRONG_WIND_MS } from '../climate/limits.js';
import type { Day } from '../units/day.js';

const TIED: readonly Happening['what'][] = ['tied', 'staked'];
const lastOf = (events: readonly Happening[], what: readonly Happening['what'][]): Day | null =>
  events.filter((e) => what.includes(e.what)).at(-1)?.date ?? null;

/** Returns the day it was last staked or tied; null if none is recorded. */
export const tiedOn = ({ records }: Pick<PlantCase, 'records'>): Day | null => lastOf(records.events, TIED);

/** Returns its support and when to tie it next. */
export function supportOf({ context: c }: PlantAssessment, stock: Stock): SupportPlan {
  const { asOf, plant, place } = c.case;
  const windy = [...c.own, ...c.ownAhead].find((w) => w.date >= asOf && (w.windMs ?? 0) >= STRONG_WIND_MS);
  return supportPlan({
    today: asOf,
    crop: plant.crop,
    habit: plant.habit ?? null,
    stage: plant.stage ?? null,
    heightM: plant.heightM ?? null,
    isPot: isPotted(place),
    tiedOn: tiedOn(c.case),
    untied: plant.sinceStart === true || lastOf(c.case.records.events, ['not-tied-yet']) !== null,
    ...(plant.support ? { standing: plant.support } : {}),
    tieCuts: c.present.has('stem-tie-cutting'),
    windOn: windy?.date ?? null,
    stock,
  });
}

/** Returns whether tapping its flowers helps today. */
export function tapOf({ context: c }: PlantAssessment): TapPlan {
  const { asOf, plant, place, records } = c.case;
  return tapPlan({
    today: asOf,
    crop: plant.crop,
    stage: plant.stage ?? null,
    enclosed: isEnclosed(place),
    still: c.present.has('flower-still-air'),
    weather: [...c.own, ...c.ownAhead].find((w) => w.date === asOf) ?? null,
    tappedOn: lastOf(records.events, ['pollination-assist']),
  });
}
