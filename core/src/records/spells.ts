import { addDays, type Day } from '../units/day.js';
import type { MulchSpell, RoofSpell, ShadeSpell } from './facts.js';
import type { Companion, Covering } from './seen-records.js';

// What lies on a bed or hangs over it, from one day to another: as entered with the bed, and as recorded since.

interface Spell {
  from: Day;
  to?: Day | null;
}

/**
 * Returns the spell of mulch, shade or a rain cover on a day, if any.
 * @example spellOn([{ from: '2026-05-01', to: '2026-06-30' }], '2026-07-01') // undefined
 */
export const spellOn = <T extends Spell>(spells: readonly T[] | undefined, day: Day): T | undefined =>
  spells?.find((s) => s.from <= day && (s.to == null || day <= s.to));

/** Depth of mulch if only "mulched" was said, mm; common practice is 5 to 8 cm. */
const MULCH_MM = 50;
/** Weeds laid on the soil, mm (judgement). */
const WEEDS_MM = 20;
/** The usual shade cloth for tomatoes and peppers, % (common practice: 30 to 40). */
export const USUAL_SHADE_PCT = 30;
/** Share of the day's light that cloth on one side keeps off, of what it keeps off over the plants (judgement). */
const SIDE_SHARE = { over: 1, afternoon: 0.5, morning: 0.4 } as const;

/** Mulch, shade and rain cover of a bed or pot. */
export interface Spells {
  mulch: MulchSpell[];
  shade: ShadeSpell[];
  roofed: RoofSpell[];
}

/** Ends what was there the day before, and starts the new one. */
function replaced<T extends Spell>(spells: readonly T[], on: Day, next: T | null): T[] {
  const before = spells
    .filter((s) => s.from < on)
    .map((s) => (s.to == null || s.to >= on ? { ...s, to: addDays(on, -1) } : s));
  return next ? [...before, next] : before;
}

/**
 * Returns the spells of a bed or pot with what was recorded since: each record counts from its day until the next one.
 * Spells that already contain the records stay as they are.
 * @param coverings oldest first
 * @param weeds oldest first; only weeds laid as mulch count, and only on soil that is bare
 */
export function spellsWith(
  stored: Partial<Spells>,
  coverings: readonly Covering[],
  weeds: readonly Companion[] = [],
): Spells {
  let { mulch = [], shade = [], roofed = [] } = stored;
  for (const c of coverings) {
    const on = c.did === 'on';
    const from = c.date;
    if (c.what === 'mulch')
      mulch = replaced(
        mulch,
        from,
        on ? { from, depthMm: (c.depthCm ?? MULCH_MM / 10) * 10, kind: c.material ?? 'mulch' } : null,
      );
    else if (c.what === 'shade')
      shade = replaced(
        shade,
        from,
        on ? { from, blockPct: (c.blockPct ?? USUAL_SHADE_PCT) * SIDE_SHARE[c.side ?? 'over'] } : null,
      );
    else if (c.what === 'roof') roofed = replaced(roofed, from, on ? { from } : null);
  }
  for (const w of weeds)
    if (w.did === 'laid-as-mulch' && !spellOn(mulch, w.date)) {
      const next = mulch
        .map((s) => s.from)
        .filter((from) => from > w.date)
        .sort()[0];
      mulch = [...mulch, { from: w.date, to: next ? addDays(next, -1) : null, depthMm: WEEDS_MM, kind: 'weeds' }];
    }
  return { mulch, shade, roofed };
}
