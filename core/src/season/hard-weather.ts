import type { WeatherDay } from '../climate/gaps.js';
import { FROST_NIGHT_C, HOT_DAY_C } from '../climate/limits.js';
import type { PlaceFacts } from '../records/facts.js';
import { isCovered } from '../records/place.js';
import type { Stage } from '../records/plant.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { toTenth } from '../units/rounding.js';

/** Heat waves and frost in the forecast, and what to do about them place by place. Limits: handbook, common practice from memory. */

const WAVE_DAYS = 2;
/** A plan is told so many days before, in time to act. */
export const AHEAD_DAYS = 3;

export interface HardSpell {
  kind: 'heat' | 'frost';
  from: Day;
  to: Day;
  /** hottest day or coldest night, °C */
  extremeC: number;
}

/** The next heat wave (two or more days at 32 °C or more) and the next frost night, if the forecast holds one. */
export function hardSpells(today: Day, ahead: readonly WeatherDay[]): HardSpell[] {
  const days = ahead.filter((d) => d.date >= today).sort((a, b) => (a.date < b.date ? -1 : 1));
  const found: HardSpell[] = [];
  for (let i = 0; i < days.length; i++) {
    let n = 0;
    while (i + n < days.length && days[i + n]!.tMaxC >= HOT_DAY_C) n++;
    if (n >= WAVE_DAYS) {
      const wave = days.slice(i, i + n);
      found.push({
        kind: 'heat',
        from: wave[0]!.date,
        to: wave.at(-1)!.date,
        extremeC: Math.max(...wave.map((d) => d.tMaxC)),
      });
      break;
    }
  }
  const frost = days.findIndex((d) => d.tMinC <= FROST_NIGHT_C);
  if (frost >= 0) {
    let end = frost;
    while (days[end + 1] && days[end + 1]!.tMinC <= FROST_NIGHT_C) end++;
    const nights = days.slice(frost, end + 1);
    found.push({
      kind: 'frost',
      from: nights[0]!.date,
      to: nights.at(-1)!.date,
      extremeC: Math.min(...nights.map((d) => d.tMinC)),
    });
  }
  return found;
}

/** What the plan must know of a place. Amounts are for the whole place. */
export interface PlaceInSpell {
  facts: PlaceFacts;
  plants: number;
  /** ground of the whole place, m²; null where nobody measured it */
  areaM2: number | null;
  stages: readonly (Stage | null | undefined)[];
  /** null where nothing can be reckoned */
  water: WaterInSpell | null;
  latitude: number;
}

/** Litres for the whole place. */
export interface WaterInSpell {
  /** what its plants used a day lately, and will in the spell, by the balance */
  usedPerDayL: number;
  spellPerDayL: number;
  /** what the place's plan gives on a day */
  plannedOn: (day: Day) => number;
}

export type SpellAct =
  | { act: 'harvest' }
  | { act: 'water-more'; litres: number; habitLitres: number; sharePct: number }
  | { act: 'check-pots'; twice: boolean }
  | { act: 'move-pots'; pots: number }
  | { act: 'shade'; areaM2: number; side: 'south' | 'north' }
  | { act: 'mulch'; litres: number }
  | { act: 'heat-not' }
  | { act: 'cover'; areaM2: number }
  | { act: 'water-before'; litres: number | null }
  | { act: 'pots-in'; pots: number }
  | { act: 'harvest-tender' };

export interface DatedAct {
  on: Day;
  what: SpellAct;
}

/** A pot that one person can carry, litres. */
const PORTABLE_L = 25;
const MULCH_DEPTH_M = 0.06;
const AREA_PER_PLANT_M2 = 0.3;

/** The dated list for one place: what there is to do before and in the spell, with amounts; empty where nothing is needed. */
export function spellPlan(spell: HardSpell, today: Day, p: PlaceInSpell): DatedAct[] {
  if (p.plants === 0) return [];
  const before = daysBetween(today, spell.from) > 0 ? addDays(spell.from, -1) : today;
  const area = toTenth(p.areaM2 ?? p.plants * AREA_PER_PLANT_M2);
  const isPots = p.facts.kind === 'container';
  const now = (spells: readonly { from: Day; to?: Day | null }[] | undefined): boolean =>
    (spells ?? []).some((s) => s.from <= today && (s.to == null || s.to >= today));
  const portable = isPots && (p.facts.volumeL ?? 99) <= PORTABLE_L;
  const bearing = p.stages.some((s) => s === 'ripening' || s === 'late' || s === 'fruiting');
  const acts: DatedAct[] = [];
  if (spell.kind === 'frost') {
    if (isCovered(p.facts.kind) && spell.extremeC > -2) return [];
    if (bearing) acts.push({ on: spell.from, what: { act: 'harvest-tender' } });
    acts.push({ on: before, what: { act: 'water-before', litres: p.water?.plannedOn(before) || null } });
    acts.push(
      portable
        ? { on: spell.from, what: { act: 'pots-in', pots: p.plants } }
        : { on: spell.from, what: { act: 'cover', areaM2: area } },
    );
    return acts;
  }
  if (p.stages.some((s) => s === 'ripening' || s === 'late')) acts.push({ on: before, what: { act: 'harvest' } });
  const more = p.water && waterMore(spell, p.water);
  if (more) acts.push({ on: spell.from, what: more });
  if (isPots) acts.push({ on: spell.from, what: { act: 'check-pots', twice: (p.facts.volumeL ?? 10) < 15 } });
  if (portable) acts.push({ on: spell.from, what: { act: 'move-pots', pots: p.plants } });
  else if (!now(p.facts.shade))
    acts.push({ on: before, what: { act: 'shade', areaM2: area, side: p.latitude < 0 ? 'north' : 'south' } });
  if (!isPots && !now(p.facts.mulch))
    acts.push({ on: before, what: { act: 'mulch', litres: Math.round(area * MULCH_DEPTH_M * 1000) } });
  acts.push({ on: spell.from, what: { act: 'heat-not' } });
  return acts;
}

/** Use rises by less than this share: nothing to tell. */
const WORTH_TELLING = 0.03;
/** The common habit in a heat wave: half as long again. */
const HABIT_FACTOR = 1.5;

/** How the plan waters through a heat wave, beside the habit; null where use hardly rises, or the plan gives nothing then. */
function waterMore(spell: HardSpell, water: WaterInSpell): SpellAct | null {
  const days = Array.from({ length: daysBetween(spell.from, spell.to) + 1 }, (_, i) => addDays(spell.from, i));
  const litres = toTenth(days.reduce((sum, day) => sum + water.plannedOn(day), 0));
  const rise = water.spellPerDayL / water.usedPerDayL - 1;
  if (!(rise > WORTH_TELLING) || litres === 0) return null;
  return {
    act: 'water-more',
    litres,
    habitLitres: toTenth(water.usedPerDayL * HABIT_FACTOR * days.length),
    sharePct: Math.round(rise * 100),
  };
}
