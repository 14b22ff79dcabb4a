/** Rain that may come on a day ahead. */
export interface RainAhead {
  /** 1 is tomorrow */
  inDays: number;
  mm: number;
  chancePct: number;
}

/** A morning on which water is due, mm over the plant's soil. */
interface DueMorning {
  missingMm: number;
  /** use of a day without shortage */
  useMm: number;
  /** depletion at which it is watered, and the whole store */
  limitMm: number;
  tawMm: number;
}

/** Water now, and the rain it counts on. */
interface Hedge {
  mm: number;
  rain: RainAhead;
}

/** How far ahead rain is waited for, days (judgement: beyond it a forecast is hardly better than the season). */
export const WAITS_FOR_DAYS = 3;
/** The part of a shower that stays on leaves, mm (water.md: rain under 2 mm is intercepted). */
const STAYS_ON_LEAVES_MM = 2;
/**
 * What a millimetre of growth lost to dry soil is worth, in millimetres of water (judgement: yield falls about in step with
 * transpiration, FAO-33, and a crop is worth far more than its water).
 */
const GROWTH_WORTH = 20;
/** Less than this is not worth carrying a can for, mm. */
const LEAST_MM = 1;
/** A smaller gain is not worth a different plan, mm. */
const LEAST_GAIN_MM = 1;

/**
 * Returns how much to give today if rain may come: all that is missing, just enough until the rain, or nothing. Each is
 * weighed by what it costs on average, with and without the rain: the water given now and later, and growth lost to dry soil
 * (Ks falls from 1 at the limit to 0 at the end of the store, FAO-56 eq. 84). Null if all of it now is best.
 * @example
 * hedgedAmount({ missingMm: 30, useMm: 5, limitMm: 32, tawMm: 80 }, 30, [{ inDays: 1, mm: 25, chancePct: 80 }]).mm // 8
 */
export function hedgedAmount(m: DueMorning, fullMm: number, ahead: readonly RainAhead[]): Hedge | null {
  let best: Hedge | null = null;
  let most = LEAST_GAIN_MM;
  for (const rain of ahead) {
    if (rain.inDays < 1 || rain.inDays > WAITS_FOR_DAYS || rain.mm <= STAYS_ON_LEAVES_MM) continue;
    const full = cost(m, fullMm, rain);
    const bridge = m.missingMm + m.useMm * (rain.inDays + 1) - m.limitMm;
    for (const mm of bridge >= LEAST_MM ? [0, Math.min(fullMm, bridge)] : [0]) {
      const gain = full - cost(m, mm, rain);
      if (mm < fullMm && gain > most) {
        most = gain;
        best = { mm, rain };
      }
    }
  }
  return best;
}

/** What an amount costs on average until the evening of the rain: water now and later, and growth lost. */
function cost(m: DueMorning, mm: number, { inDays, mm: rainMm, chancePct }: RainAhead): number {
  let lost = 0;
  for (let day = 0; day <= inDays; day++) {
    const depletion = m.missingMm - mm + m.useMm * (day + 1);
    lost += m.useMm * Math.min(1, Math.max(0, (depletion - m.limitMm) / Math.max(1, m.tawMm - m.limitMm)));
  }
  const evening = m.missingMm - mm + m.useMm * (inDays + 1);
  const soaksIn = rainMm - STAYS_ON_LEAVES_MM;
  const chance = chancePct / 100;
  const later = chance * Math.max(0, evening - soaksIn) + (1 - chance) * Math.max(0, evening);
  return mm + later + GROWTH_WORTH * lost;
}

const WHEN: Record<number, string> = { 1: 'tomorrow', 2: 'in two days', 3: 'in three days' };

/** Says what the plan counts on: "rain is 80 % likely tomorrow: only enough until then". */
export const whyHedged = ({ mm, rain }: Hedge): string =>
  `rain is ${rain.chancePct} % likely ${WHEN[rain.inDays] ?? 'soon'}: ${mm > 0 ? 'only enough until then' : 'waiting costs less than watering'}`;
