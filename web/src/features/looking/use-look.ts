import type { GardenView, PlantView } from '@candid-leaf/contract';
import { impliedAbsent, PARTS, type Part, type SignCode, type SignSeen } from '@candid-leaf/core/records';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { useFormat, useLink } from '../../lib/garden-context';
import { useSay } from '../../ui/toast';
import { inOrder, walkOf } from './walk-of';
import { walkPlan } from './walk-plan';
import { lastTime, numbersOf } from './last-time';
import { useInspection } from './use-inspection';

const isPart = (part: string | null): part is Part => PARTS.includes(part as Part);

/** State of looking a plant over: which part, what is recorded, what was there before, and the next step. */
export function useLook(view: PlantView, around: GardenView | undefined) {
  const { plant } = view;
  const say = useSay();
  const format = useFormat();
  const link = useLink();
  const [params, setParams] = useSearchParams();
  const inspection = useInspection(view, (e) => say(e.message, { bad: true }));
  const asked = params.get('part');
  const part = isPart(asked) ? asked : null;
  const walking = params.has('walk');
  const walk = walking && around ? walkPlan(around, plant.placeId) : null;
  const after = walk?.next(plant.id) ?? null;
  const earlier = useMemo(() => lastTime(view), [view]);
  const nearby = new Map(walk?.offered(plant.id).map((o) => [o.sign, o.on]));
  const of = (code: SignCode): SignSeen | undefined => inspection.signs.find((s) => s.sign === code);
  return {
    part,
    walking,
    /** parts in the order to check: the reason for this walk first */
    order: inOrder(walking ? walkOf(around, plant.placeId)?.parts : []),
    walk,
    after,
    inspection,
    of,
    /** the next step: the next plant of the walk, its end, or this plant's page */
    wayOn: !walking
      ? link('plant', { plantId: plant.id })
      : after
        ? link('look', { plantId: after.plant.id }, { walk: '1' })
        : link('placeWalk', { placeId: plant.placeId }),
    choose: (next: Part | null) =>
      setParams({ ...(next ? { part: next } : {}), ...(walking ? { walk: '1' } : {}) }, { replace: true }),
    /** what was seen of a sign last time, or today on a plant nearby */
    before: (code: SignCode): string | undefined => {
      const last = earlier.get(code);
      if (last) return `${numbersOf(last.seen)} on ${format.day(last.day)}`;
      const on = nearby.get(code);
      return on && `today on ${on}`;
    },
    /** Sets a sign and removes what it rules out, so a day never contains both. */
    put: (code: SignCode, seen: SignSeen | null): void => {
      if (seen?.present) for (const out of impliedAbsent(code)) if (of(out)?.present) inspection.put(out, null);
      inspection.put(code, seen);
    },
  };
}
export type LookState = ReturnType<typeof useLook>;
