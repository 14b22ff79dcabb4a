import { dayWords, daysBetween } from '../../day.js';
import { isCovered } from '../../plant.js';
import { showCm } from '../../units/units.js';
import { spellOn } from '../../water/season.js';
import type { SignCode } from '../vocabulary/signs.js';
import type { Story } from '../story.js';
import { ABSENT, found, unknown, type Because, type RuleParams, type Verdict } from './verdict.js';

/** Rules that read the plant, its place, its history and the signs that are a setting rather than a trouble. */

const bySign = (s: Story, signs: readonly SignCode[], text: string, strength = 0.6): Verdict =>
  signs.some((sign) => s.present.has(sign)) ? found(strength, [{ record: 'sign', date: s.c.asOf, text }]) : ABSENT;

export function suddenExposure(s: Story, { within = 14 }: RuleParams): Verdict {
  const moved = s.recent(s.c.records.events, within).filter((e) => e.what === 'moved');
  const because: Because[] = moved.map((e) => ({
    record: 'event',
    date: e.date,
    text: `moved on ${dayWords(e.date)}`,
  }));
  if (s.present.has('stem-broken'))
    because.push({ record: 'sign', date: s.c.asOf, text: 'a branch broke or sagged and let the sun in' });
  return because.length > 0 ? found(0.7, because) : ABSENT;
}

export function noHardening(s: Story, { within = 21 }: RuleParams): Verdict {
  const { transplantedOn } = s.c.plant;
  if (!transplantedOn || daysBetween(transplantedOn, s.c.asOf) > within) return ABSENT;
  return s.c.records.events.some((e) => e.what === 'hardened-off')
    ? ABSENT
    : found(0.5, [
        {
          record: 'plant',
          date: transplantedOn,
          text: `planted out on ${dayWords(transplantedOn)}; no hardening off on record`,
        },
      ]);
}

/** Advised spacing, m: 0.45 to 0.6 tomato, 0.4 to 0.5 pepper (handbook). Crowded under two thirds of it. */
const ADVISED_SPACING_M = { tomato: 0.5, pepper: 0.45 } as const;

export function crowding(s: Story): Verdict {
  const { plant, asOf } = s.c;
  const advised = ADVISED_SPACING_M[plant.crop];
  if (plant.spacingM != null && s.c.place.kind !== 'container' && plant.spacingM < (advised * 2) / 3)
    return found(0.7, [
      {
        record: 'plant',
        date: asOf,
        text: `${showCm(plant.spacingM * 100, s.units)} apart; ${showCm(advised * 100, s.units)} is advised`,
      },
    ]);
  return bySign(s, ['plant-dense'], 'so bushy that light and air do not get in', 0.5);
}

export function leavesNearSoil(s: Story): Verdict {
  if (s.present.has('plant-leaves-touch-soil'))
    return bySign(s, ['plant-leaves-touch-soil'], 'leaves touch the soil', 0.8);
  const { plant, records, asOf } = s.c;
  const cleared = records.pruning.some((p) => p.what?.includes('lower-leaves'));
  if ((plant.heightM ?? 0) > 0.6 && !cleared)
    return found(0.5, [
      {
        record: 'pruning',
        date: asOf,
        text: `no low leaf was cut on a plant ${showCm((plant.heightM ?? 0) * 100, s.units)} tall`,
      },
    ]);
  return ABSENT;
}

export function poorPollination(s: Story): Verdict {
  if (s.present.has('flower-still-air'))
    return bySign(s, ['flower-still-air'], 'neither wind nor bees reach the flowers', 0.8);
  if (!isCovered(s.c.place.kind)) return ABSENT;
  const helped = s.recent(s.c.records.events, 10).some((e) => e.what === 'pollination-assist');
  return helped
    ? ABSENT
    : found(0.5, [{ record: 'place', date: s.c.asOf, text: 'under cover, and no shaking of the flowers on record' }]);
}

export const heavyFlowerLoad = (s: Story): Verdict =>
  bySign(s, ['flower-many-open'], 'far more flowers open than it can carry', 0.8);

export function smallPlant(s: Story): Verdict {
  const { heightM, crop } = s.c.plant;
  const least = crop === 'tomato' ? 0.5 : 0.3;
  if (heightM == null) return bySign(s, ['plant-stunted'], 'much smaller than it should be', 0.5);
  return heightM < least
    ? found(0.5, [{ record: 'plant', date: s.c.asOf, text: `${showCm(heightM * 100, s.units)} tall` }])
    : ABSENT;
}

const PESTS: readonly SignCode[] = ['pest-aphids', 'pest-whitefly', 'pest-mites', 'pest-thrips', 'flower-tiny-insects'];
const DISEASES: readonly SignCode[] = [
  'leaf-target-spots',
  'leaf-small-grey-spots',
  'leaf-greasy-blotches',
  'leaf-small-dark-spots',
  'leaf-mottle',
  'leaf-bronze-rings',
];
const LEAF_LOSS: readonly SignCode[] = ['leaf-target-spots', 'leaf-small-grey-spots', 'leaf-yellow-fast'];

/** Nobody knows of insects where nobody looked for them. */
export const pestsPresent = (s: Story): Verdict =>
  s.present.has('pest-none-found') || PESTS.some((sign) => s.present.has(sign)) || PESTS.every((x) => s.absent.has(x))
    ? bySign(s, PESTS, 'insects were seen on it', 0.7)
    : unknown('whether insects sit under the leaves or in the flowers', 'look-under-leaves');
export const diseasePresent = (s: Story): Verdict => bySign(s, DISEASES, 'a leaf disease shows', 0.6);
export const leafLossByDisease = (s: Story): Verdict =>
  bySign(s, LEAF_LOSS, 'leaves are being lost to spots or yellowing', 0.6);

export function overripeOnPlant(s: Story): Verdict {
  const { stage } = s.c.plant;
  if (stage !== 'ripening' && stage !== 'late') return ABSENT;
  const picked = s.recent(s.c.records.events, 10).some((e) => e.what === 'harvest');
  return picked
    ? ABSENT
    : found(0.4, [{ record: 'event', date: s.c.asOf, text: 'ripening, and no picking on record for ten days' }]);
}

export function sameFamilyBefore(s: Story): Verdict {
  const { place, asOf } = s.c;
  if (place.kind === 'container') return ABSENT;
  const year = Number(asOf.slice(0, 4));
  const before = (place.history ?? []).filter((h) => h.family === 'nightshade' && h.year < year && h.year >= year - 3);
  if (before.length > 0)
    return found(0.5, [
      {
        record: 'place',
        date: asOf,
        text: `tomato, pepper or kin stood here in ${before.map((h) => h.year).join(', ')}`,
      },
    ]);
  return (place.history ?? []).length === 0 ? unknown('what stood here in earlier years') : ABSENT;
}

export function noMulch(s: Story): Verdict {
  if (spellOn(s.c.place.mulch, s.c.asOf)) return ABSENT;
  if (s.present.has('soil-bare')) return bySign(s, ['soil-bare'], 'the soil is bare', 0.6);
  return found(0.3, [{ record: 'place', date: s.c.asOf, text: 'no mulch on record' }]);
}
