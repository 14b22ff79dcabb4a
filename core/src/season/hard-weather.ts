import type { WeatherDay } from '../climate/gaps.js';
import {
  CHILL_NIGHT_C,
  HOLLOW_FROST_C,
  HOT_DAY_C,
  SCREEN_FROST_C,
  SCORCHING_DAY_C,
  STRONG_WIND_MS,
  COVER_SAVES_TO_C,
  FILM_KEEPS_C,
  NOTHING_SAVES_C,
} from '../climate/limits.js';
import type { PlaceFacts } from '../records/facts.js';
import { coverOf, isPotted, isUnderGlass } from '../records/place.js';
import { isMulched } from '../records/mulch.js';
import { spellOn } from '../records/spells.js';
import type { Stage } from '../records/plant.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { toTenth } from '../units/rounding.js';
import { at, first, last } from '../units/lists.js';

// Heat, frost, cold nights and strong wind in the forecast, and what to do bed by bed. Limits: common practice, from memory.

const WAVE_DAYS = 2;
/** Days ahead to show a plan, in time to act. */
export const AHEAD_DAYS = 3;
/** Days a plant counts as newly planted. */
export const NEWLY_PLANTED_DAYS = 21;

/** A spell of heat, frost, chill or strong wind. */
export interface HardSpell {
  kind: 'heat' | 'frost' | 'chill' | 'storm';
  from: Day;
  to: Day;
  /** hottest day, or coldest night, °C */
  extremeC: number;
  /** in strong wind: the windiest day's mean at 2 m, m/s */
  windMs?: number;
}

/** What decides from which temperature a night is dangerous in a bed or pot. */
export interface Exposure {
  facts: Pick<PlaceFacts, 'kind' | 'cover' | 'hollow'>;
  /** one of its plants was planted out within three weeks */
  newlyPlanted: boolean;
}

/**
 * Returns the screen minimum from which frost threatens a bed or pot, °C: 3 °C for ground frost, 5 where cold air
 * collects or plants are new; under film or glass less by what it keeps; indoors never (common practice).
 */
export function frostFrom({ facts, newlyPlanted }: Exposure): number {
  const cover = coverOf(facts);
  if (cover === 'indoors') return -Infinity;
  if (isUnderGlass(facts)) return SCREEN_FROST_C - FILM_KEEPS_C;
  return facts.hollow || newlyPlanted ? HOLLOW_FROST_C : SCREEN_FROST_C;
}

/** Returns the first run of at least `least` days that meet a condition; null if there is none. */
function firstRun(days: readonly WeatherDay[], least: number, hit: (d: WeatherDay) => boolean): WeatherDay[] | null {
  for (let i = 0; i < days.length; i++) {
    let n = 0;
    while (i + n < days.length && hit(at(days, i + n))) n++;
    if (n >= least) return days.slice(i, i + n);
    i += n;
  }
  return null;
}

const spellOf = (kind: HardSpell['kind'], days: readonly WeatherDay[]): HardSpell => ({
  kind,
  from: first(days).date,
  to: last(days).date,
  extremeC:
    kind === 'heat' || kind === 'storm' ? Math.max(...days.map((d) => d.tMaxC)) : Math.min(...days.map((d) => d.tMinC)),
  ...(kind === 'storm' ? { windMs: Math.max(...days.map((d) => d.windMs ?? 0)) } : {}),
});

/**
 * Returns the next heat (two or more days at 32 °C or more, or one at 38), the next frost, for new plants the next
 * cold nights under 10 °C, and the next days of strong wind, if forecast. Indoors none.
 * @param ahead the outdoor forecast; frost limits refer to the screen outdoors
 * @param own the same days where the plants grow: heat is what they feel
 */
export function hardSpells(
  today: Day,
  ahead: readonly WeatherDay[],
  exposure: Exposure,
  own: readonly WeatherDay[] = ahead,
): HardSpell[] {
  if (coverOf(exposure.facts) === 'indoors') return [];
  const sorted = (list: readonly WeatherDay[]): WeatherDay[] =>
    list.filter((d) => d.date >= today).sort((a, b) => (a.date < b.date ? -1 : 1));
  const [outside, inside] = [sorted(ahead), sorted(own)];
  const limit = frostFrom(exposure);
  const scorch = inside.findIndex((d) => d.tMaxC >= SCORCHING_DAY_C);
  const wave = firstRun(inside, WAVE_DAYS, (d) => d.tMaxC >= HOT_DAY_C);
  const alone = scorch >= 0 && (!wave || at(inside, scorch).date < first(wave).date) ? [at(inside, scorch)] : null;
  const heat = alone ?? wave;
  const frost = firstRun(outside, 1, (d) => d.tMinC <= limit);
  const chill = exposure.newlyPlanted && !frost ? firstRun(inside, 1, (d) => d.tMinC < CHILL_NIGHT_C) : null;
  const storm = firstRun(outside, 1, (d) => (d.windMs ?? 0) >= STRONG_WIND_MS);
  return [
    ...(heat ? [spellOf('heat', heat)] : []),
    ...(frost ? [spellOf('frost', frost)] : []),
    ...(chill ? [spellOf('chill', chill)] : []),
    ...(storm ? [spellOf('storm', storm)] : []),
  ];
}

/** What the plan needs to know of a bed or pot. Amounts are for the whole of it. */
export interface PlaceInSpell {
  facts: PlaceFacts;
  plants: number;
  /** its ground, m²; null if not measured */
  areaM2: number | null;
  stages: readonly (Stage | null | undefined)[];
  /** null if it can't be computed */
  water: WaterInSpell | null;
  latitude: number;
  /** hot peppers grow here */
  hotPeppers?: boolean;
  peppers?: boolean;
}

/** Litres for the whole bed or pot. */
interface WaterInSpell {
  /** daily use of its plants recently, and during the spell, by the balance */
  usedPerDayL: number;
  spellPerDayL: number;
  /** the plan's amount on a day, and how much of it after midday */
  plannedOn: (day: Day) => number;
  laterOn?: (day: Day) => number;
}

/** Something to do before or during a spell. */
export type SpellAct =
  | { act: 'harvest'; peppers: boolean; hot: boolean }
  | { act: 'open-vents' }
  | { act: 'water-more'; litres: number; habitLitres: number; sharePct: number }
  | { act: 'check-pots'; midday: boolean; secondL: number }
  | { act: 'move-pots'; pots: number }
  | { act: 'shade'; areaM2: number; side: 'south' | 'north' }
  | { act: 'mulch'; litres: number }
  | { act: 'heat-not'; feed: boolean }
  | { act: 'cover'; areaM2: number; inside: boolean; double: boolean }
  | { act: 'check-bed' }
  | { act: 'water-before'; litres: number | null }
  | { act: 'pots-in'; pots: number }
  | { act: 'check-ties' }
  | { act: 'pots-out-of-wind'; pots: number }
  | { act: 'close-up' }
  | { act: 'tie-cloth-down' }
  | { act: 'weigh-down' }
  | { act: 'harvest-tender' | 'harvest-all'; peppers: boolean; hot: boolean };

interface DatedAct {
  on: Day;
  what: SpellAct;
}

/** Largest pot one person can carry, L. */
const PORTABLE_L = 25;
/** Mulch in a heat plan, m. */
export const MULCH_DEPTH_M = 0.06;
const AREA_PER_PLANT_M2 = 0.3;

/**
 * Returns the dated list for one bed or pot: what to do before and during the spell, with amounts; empty if nothing
 * is needed. A minimum falls at dawn, so protection goes on the evening before, again for every night of the spell.
 */
export function spellPlan(spell: HardSpell, today: Day, p: PlaceInSpell): DatedAct[] {
  if (p.plants === 0) return [];
  const area = toTenth(p.areaM2 ?? p.plants * AREA_PER_PLANT_M2);
  const isPots = isPotted(p.facts);
  const portable = isPots && (p.facts.volumeL ?? 99) <= PORTABLE_L;
  if (spell.kind === 'heat') return heatPlan(spell, today, p, area, portable);
  return spell.kind === 'storm' ? stormPlan(spell, today, p, portable) : coldPlan(spell, today, p, area, portable);
}

/** Two things before the wind comes (common practice): what could fly, and what holds the stems. */
function stormPlan(spell: HardSpell, today: Day, p: PlaceInSpell, portable: boolean): DatedAct[] {
  const on = spell.from > today ? addDays(spell.from, -1) : today;
  const loose: SpellAct = isUnderGlass(p.facts)
    ? { act: 'close-up' }
    : portable
      ? { act: 'pots-out-of-wind', pots: p.plants }
      : spellOn(p.facts.shade, today)
        ? { act: 'tie-cloth-down' }
        : { act: 'weigh-down' };
  return [loose, { act: 'check-ties' } as const].map((what) => ({ on, what }));
}

const daysFrom = (from: Day, to: Day): Day[] =>
  Array.from({ length: Math.max(0, daysBetween(from, to) + 1) }, (_, i) => addDays(from, i));

function coldPlan(spell: HardSpell, today: Day, p: PlaceInSpell, area: number, portable: boolean): DatedAct[] {
  // the night of the first minimum began the evening before
  const evenings = daysFrom(addDays(spell.from, -1), addDays(spell.to, -1)).filter((day) => day >= today);
  const [first] = evenings;
  if (!first) return [];
  const acts: DatedAct[] = [];
  const frost = spell.kind === 'frost';
  const bearing = p.stages.some((s) => s === 'ripening' || s === 'late' || s === 'fruiting');
  const handled = { peppers: p.peppers ?? false, hot: p.hotPeppers ?? false };
  // what the plants themselves feel: film keeps a little
  const feltC = spell.extremeC + (isUnderGlass(p.facts) ? FILM_KEEPS_C : 0);
  const lost = frost && feltC <= NOTHING_SAVES_C && !portable;
  if (frost && bearing) acts.push({ on: first, what: { act: lost ? 'harvest-all' : 'harvest-tender', ...handled } });
  // no cover saves it, so none is laid
  if (lost) return acts;
  if (frost) acts.push({ on: first, what: { act: 'water-before', litres: p.water?.plannedOn(first) || null } });
  for (const on of evenings)
    acts.push(
      portable
        ? { on, what: { act: 'pots-in', pots: p.plants } }
        : {
            on,
            what: { act: 'cover', areaM2: area, inside: isUnderGlass(p.facts), double: feltC < COVER_SAVES_TO_C },
          },
    );
  return acts;
}

function heatPlan(spell: HardSpell, today: Day, p: PlaceInSpell, area: number, portable: boolean): DatedAct[] {
  const before = daysBetween(today, spell.from) > 0 ? addDays(spell.from, -1) : today;
  const isPots = isPotted(p.facts);
  const acts: DatedAct[] = [];
  const days = daysFrom(spell.from > today ? spell.from : today, spell.to);
  const handled = { peppers: p.peppers ?? false, hot: p.hotPeppers ?? false };
  if (isUnderGlass(p.facts)) for (const on of days) acts.push({ on, what: { act: 'open-vents' } });
  if (p.stages.some((s) => s === 'ripening' || s === 'late'))
    acts.push({ on: before, what: { act: 'harvest', ...handled } });
  const more = p.water && waterMore(spell, p.water);
  if (more) acts.push({ on: spell.from > today ? spell.from : today, what: more });
  const scorching = spell.extremeC >= SCORCHING_DAY_C;
  if (isPots)
    for (const on of days)
      acts.push({
        on,
        what: {
          act: 'check-pots',
          midday: scorching || (p.facts.volumeL ?? 10) < 15,
          secondL: toTenth(p.water?.laterOn?.(on) ?? 0),
        },
      });
  // a bed is felt once; the finger says more than the estimate in such days
  else acts.push({ on: first(days), what: { act: 'check-bed' } });
  if (portable) acts.push({ on: first(days), what: { act: 'move-pots', pots: p.plants } });
  else if (!spellOn(p.facts.shade, today))
    acts.push({ on: before, what: { act: 'shade', areaM2: area, side: p.latitude < 0 ? 'north' : 'south' } });
  if (!isPots && !isMulched(p.facts.mulch, today))
    acts.push({ on: before, what: { act: 'mulch', litres: Math.round(area * MULCH_DEPTH_M * 1000) } });
  acts.push({ on: first(days), what: { act: 'heat-not', feed: !scorching } });
  return acts.sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}

/** A smaller rise in use is not mentioned. */
const WORTH_TELLING = 0.03;
/** The common habit in a heat wave: half as much again. */
const HABIT_FACTOR = 1.5;

/** Compares the plan's water in a heat wave with the habit; null if use hardly rises, or the plan gives none then. */
function waterMore(spell: HardSpell, water: WaterInSpell): SpellAct | null {
  const days = daysFrom(spell.from, spell.to);
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
