import { coverOf, isPotted, type PlaceKind } from '../records/place.js';
import type { Cover } from '../records/place.js';
import type { Crop, Stage } from '../records/plant.js';
import { dealOut, type Dealt, SUBSTITUTES, type Wanting } from '../support/deal-out.js';
import type { Formatter } from '../units/formatter.js';
import { coveredM2, heightOr } from '../water/crops.js';
import { toTenth } from '../units/rounding.js';

/** A plant threatened by heat or frost, with what decides who is covered first. */
interface Threatened {
  id: string;
  name: string;
  crop: Crop;
  stage: Stage | null;
  heightM: number | null;
  worth: 1 | 2 | 3 | null;
  young: boolean;
  place: { kind: PlaceKind; cover?: Cover | null; hollow?: boolean | null; volumeL?: number | null };
}

const BEARING: ReadonlySet<Stage> = new Set<Stage>(['flowering', 'fruiting', 'ripening']);
const SMALL_POT_L = 15;

/** Returns exposure, 0 to 1: open ground 0.6, more in a hollow or small pot, less under a roof or glass (judgement). */
function exposureOf({ place }: Threatened): number {
  const base = coverOf(place) === 'none' ? 0.6 : 0.2;
  return Math.min(
    1,
    base + (place.hollow ? 0.3 : 0) + (isPotted(place) && (place.volumeL ?? SMALL_POT_L) <= SMALL_POT_L ? 0.3 : 0),
  );
}

/** Returns cloth over a plant, m²: it overhangs by about half on each sunny side, as for its shade. */
const clothFor = (p: Threatened): number => toTenth(Math.max(0.3, coveredM2(p.crop, heightOr(p.crop, p.heightM)) * 2));

/**
 * Returns how a stock of cloth or covers is dealt out among the plants a spell threatens. Stock: m² for heat, pieces
 * for frost.
 */
export function dealFor(kind: 'heat' | 'frost', plants: readonly Threatened[], stock: number): Dealt {
  return dealOut(
    plants.map((p): Wanting => ({
      id: p.id,
      name: p.name,
      value: p.worth ?? 2,
      atRisk: p.stage !== null && BEARING.has(p.stage),
      exposure: exposureOf(p),
      young: p.young,
      needs: kind === 'heat' ? clothFor(p) : 1,
    })),
    stock,
  );
}

/** Says which plants get cover, which do not, what is missing and what can be used instead. */
export function dealInWords(kind: 'heat' | 'frost', dealt: Dealt, here: (id: string) => boolean, f: Formatter): string {
  const names = (list: readonly Wanting[]): string =>
    list
      .filter((w) => here(w.id))
      .map((w) => w.name)
      .join(', ');
  const [given, without] = [names(dealt.given), names(dealt.without)];
  const what = kind === 'heat' ? 'Cloth' : 'Covers';
  const missing =
    kind === 'heat' ? f.area(toTenth(dealt.short)) : `${dealt.short} ${dealt.short === 1 ? 'cover' : 'covers'}`;
  if (!without) return dealt.without.length === 0 ? `${what}: enough for everything` : `${what} for ${given}`;
  const short = `(${missing} short in all). Use instead: ${SUBSTITUTES[kind]}`;
  return given
    ? `${what} for ${given}; not enough for ${without} ${short}`
    : `No ${what.toLowerCase()} left for ${without} ${short}`;
}
