import { disorderRow } from '../diagnosis/tables/disorders.js';
import type { WeatherDay } from '../climate/gaps.js';
import { type Cover, isPotted, type PlaceKind } from '../records/place.js';
import type { EarlierYear, MulchSpell } from '../records/facts.js';
import type { DisorderCode } from '../records/vocabulary/disorders.js';
import { isSheet } from '../records/choices.js';
import { type MulchPlan, mulchPlan, THIN_MM } from '../soil/mulch-plan.js';
import { AHEAD_DAYS, hardSpells } from '../season/hard-weather.js';
import { addDays, type Day } from '../units/day.js';
import { mulchOn } from '../records/mulch.js';
import { spellOn } from '../records/spells.js';

interface PlaceWithMulch {
  kind: PlaceKind;
  cover?: Cover | null;
  mulch: readonly MulchSpell[];
  lengthM: number | null;
  widthM: number | null;
}

interface MulchedPlace {
  place: PlaceWithMulch;
  plants: readonly { heightM: number | null; transplantedOn: Day | null }[];
  history: readonly EarlierYear[];
  /** where the plants grow */
  weather: readonly WeatherDay[];
  today: Day;
  /** bare soil was recorded */
  bareSeen: boolean;
}

/** Problems that splash up from the soil: those whose remedies lay a barrier. */
const splashes = (code: DisorderCode): boolean => disorderRow(code).remedies.some((l) => l.remedy === 'splash-barrier');

/** How deep mulch covers, mm: a sheet covers whatever its depth. */
const coverMm = (m: MulchSpell | undefined): number =>
  m && m.depthMm > 0 && isSheet(m.kind) ? Math.max(THIN_MM, m.depthMm) : (m?.depthMm ?? 0);

/** Returns whether it is time to mulch a bed or pot, and with how much. */
export function mulchOfPlace({ place, plants, history, weather, today, bareSeen }: MulchedPlace): MulchPlan {
  const heights = plants.flatMap((p) => (p.heightM === null ? [] : [p.heightM]));
  const planted = plants.flatMap((p) => (p.transplantedOn === null ? [] : [p.transplantedOn])).sort();
  const spread = spellOn(place.mulch, today);
  const ahead = weather.filter((w) => w.date >= today);
  const exposure = { facts: place, newlyPlanted: false };
  const heatAhead = hardSpells(today, ahead, exposure, ahead).some(
    (spell) => spell.kind === 'heat' && spell.from <= addDays(today, AHEAD_DAYS),
  );
  return mulchPlan({
    today,
    heatAhead,
    weather,
    heightM: heights.length > 0 ? Math.min(...heights) : null,
    plantedOn: planted.at(-1) ?? null,
    liesMm: bareSeen ? 0 : place.mulch.length === 0 ? null : coverMm(mulchOn(place.mulch, today)),
    spreadOn: !bareSeen && spread && spread.depthMm >= THIN_MM ? spread.from : null,
    areaM2: place.lengthM !== null && place.widthM !== null ? place.lengthM * place.widthM : null,
    leafSpot: history.some((y) => (y.problems ?? []).some(splashes)),
    isPot: isPotted(place),
  });
}
