import type { Day } from '../units/day.js';
import type { Observation, SignSeen } from './observation.js';
import type { SignCode } from './vocabulary/signs.js';

/** One look at one plant. */
export interface Looked {
  date: Day;
  allClear: boolean;
  signs: readonly SignSeen[];
}

/** Turns looks into observations. An all-clear means that every sign seen before and not recorded again is gone. */
export function observationsOf(inspections: readonly Looked[]): Observation[] {
  const stillSeen = new Set<SignCode>();
  const out: Observation[] = [];
  for (const look of [...inspections].sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0))) {
    const given = new Set(look.signs.map((s) => s.sign));
    const cleared = look.allClear ? [...stillSeen].filter((sign) => !given.has(sign)) : [];
    for (const sign of cleared) {
      const sameDay = out.find((o) => o.date === look.date && o.sign === sign);
      if (sameDay) out.splice(out.indexOf(sameDay), 1);
      out.push({ date: look.date, sign, present: false });
      stillSeen.delete(sign);
    }
    for (const s of look.signs) {
      const again = out.findIndex((o) => o.date === look.date && o.sign === s.sign);
      if (again >= 0) out.splice(again, 1); // the later look of a day counts
      out.push({ ...s, date: look.date });
      if (s.present) stillSeen.add(s.sign);
      else stillSeen.delete(s.sign);
    }
  }
  return out;
}
