import { shareInWords } from '../records/label-share.js';
import { HOT_DAY_C } from '../climate/limits.js';
import type { Spraying } from '../records/record-classes.js';
import type { Formatter } from '../units/formatter.js';
import { daysBetween } from '../units/day.js';
import { gateInWords, sprayGates, type SprayQuestion } from './gates.js';
import { burnsInHeat, TRIAL_LASTS_DAYS } from './limits.js';
import { STRONG_SHARE, strengthOf } from './strength.js';

/** What is known around a spray that was made. */
export interface SprayedHere {
  /** where it grows: that day and the two after it, as far as they are known */
  ahead: SprayQuestion['ahead'];
  enclosed: boolean;
  flowersOpen: boolean;
  /** other sprays of the plant; null if they are not at hand */
  others: readonly Spraying[] | null;
}

/**
 * Returns what speaks against a spray that was made, as one line to read after it is saved; empty if nothing does. The
 * most lenient hour is taken, as nobody records it. A test on one leaf is always welcome.
 */
export function sprayRemark(s: Spraying, at: SprayedHere, f: Formatter): string {
  if (s.trial || s.product === 'weedkiller-nearby') return '';
  const earlier = (at.others ?? []).filter((o) => o.date <= s.date);
  const tested = earlier.some((o) => o.product === s.product && daysBetween(o.date, s.date) <= TRIAL_LASTS_DAYS);
  const hottestC = s.tMaxC ?? at.ahead.find((w) => w.date === s.date)?.tMaxC;
  const burns = burnsInHeat(s.product);
  const strength = strengthOf(s);
  const gates = sprayGates({
    spray: s.product,
    label: {
      everyDays: s.everyDays ?? null,
      mostUses: null,
      harvestDays: s.harvestDays ?? null,
      reentryHours: null,
      organic: true,
    },
    on: s.date,
    hour: 'evening',
    ahead: at.ahead,
    enclosed: at.enclosed,
    thirsty: null,
    flowersOpen: at.flowersOpen,
    pondNear: false,
    earlier,
    pickOn: null,
    organicOnly: false,
  });
  const said = [
    ...(burns && at.others !== null && !tested ? ['no leaf was tested first'] : []),
    ...(burns && hottestC !== undefined && hottestC >= HOT_DAY_C && !gates.some((g) => g.gate === 'hot-after')
      ? [`${f.temperature(hottestC)} that day burns leaves in the sun`]
      : []),
    ...(strength !== null && strength > STRONG_SHARE
      ? [`${shareInWords(strength)} burns leaves more easily, and in most places the label is the law`]
      : []),
    ...gates.map((g) => gateInWords(g, f)),
  ];
  return said.join('; ');
}
