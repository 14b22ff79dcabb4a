import type { Random } from '../../src/climate/random.js';
import type { WeatherDay } from '../../src/climate/gaps.js';
import type { Crop, GrowthHabit, Stage } from '../../src/records/plant.js';
import type { Day } from '../../src/units/day.js';

/**
 * A plant that grows leaf by leaf, to judge the growth model by. It shares nothing with the model: development follows a
 * curve of temperature with an optimum (Yan & Hunt 1999, Annals of Botany 84: 607–614), hour by hour, and height is
 * nodes times the length between them. Numbers from memory: a tomato makes a leaf in about three warm days, the first
 * truss after nine to eleven leaves, ripe fruit some 50 days after the flower (Heuvelink 2005, Tomatoes).
 */
export interface SimulatedPlant {
  crop: Crop;
  habit: GrowthHabit;
  daysToMaturity: number;
  /** by day since planting */
  days: { date: Day; stage: Stage; soon?: boolean; heightM: number }[];
}

const OPTIMUM_C = 26;
const HIGHEST_C = 38;

/** Rate at a temperature, 1 at the optimum. */
const rateAt = (t: number): number =>
  t <= 4 || t >= HIGHEST_C
    ? 0
    : ((HIGHEST_C - t) / (HIGHEST_C - OPTIMUM_C)) *
      ((t - 4) / (OPTIMUM_C - 4)) ** ((OPTIMUM_C - 4) / (HIGHEST_C - OPTIMUM_C));

/** Warm days in a day: 1 where nights of 18 and days of 28 °C follow each other. */
function warmDays(w: Pick<WeatherDay, 'tMinC' | 'tMaxC'>): number {
  let sum = 0;
  for (let h = 0; h < 24; h++) {
    const t = (w.tMaxC + w.tMinC) / 2 + ((w.tMaxC - w.tMinC) / 2) * Math.cos(((h - 15) / 24) * 2 * Math.PI);
    sum += rateAt(t) / 24;
  }
  return sum / USUAL_RATE;
}
const USUAL_RATE = ((): number => {
  let sum = 0;
  for (let h = 0; h < 24; h++) sum += rateAt(23 + 5 * Math.cos(((h - 15) / 24) * 2 * Math.PI)) / 24;
  return sum;
})();

const NODE_M = { determinate: 0.05, 'semi-determinate': 0.058, indeterminate: 0.068, pepper: 0.034 };
const MOST_NODES = { determinate: 16, 'semi-determinate': 21, indeterminate: 30, pepper: 17 };

/** Grows a plant from planting day on; `random` makes it differ from its packet and its sisters. */
export function growPlant(
  crop: Crop,
  habit: GrowthHabit,
  daysToMaturity: number,
  weather: readonly WeatherDay[],
  random: Random,
): SimulatedPlant {
  const normal = (mean: number, sd: number): number =>
    mean + sd * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const lagDays = normal(11, 1.8); // roots first, whatever the warmth; then the new leaves
  const leafDays = normal(3, 0.2);
  const ripe = daysToMaturity * normal(1, 0.07);
  const flower =
    crop === 'tomato'
      ? 6 + leafDays * (normal(10.2, 0.7) - 6) + normal(7, 1) + 0.12 * (ripe - 75)
      : 6 + leafDays * (normal(9, 0.7) - 6) + normal(9, 1) + 0.12 * (ripe - 80);
  const fruit = flower + normal(10.5, 1.2);
  const colour = ripe - normal(4.5, 1);
  const [buds, fullSize] = [normal(7.5, 1.5), normal(10, 2)];
  const build = crop === 'pepper' ? 'pepper' : habit;
  const internode = NODE_M[build] * normal(1, 0.12);
  const [start, most] = [normal(0.18, 0.02), MOST_NODES[build]];
  let [warm, nodes, settled] = [0, 0, 0];
  const days = weather.map((w) => {
    const today = warmDays(w);
    warm += today;
    // roots: half by the warmth, half by the days
    settled += 0.5 + 0.5 * today;
    if (settled > lagDays * 0.7) nodes += (today / leafDays) * 1.15 * Math.max(0, 1 - (nodes / most) ** 3);
    const stage: Stage =
      warm >= colour
        ? 'ripening'
        : warm >= fruit
          ? 'fruiting'
          : warm >= flower
            ? 'flowering'
            : settled >= lagDays
              ? 'vegetative'
              : 'establishing';
    const soon =
      stage === 'vegetative' ? warm >= flower - buds : stage === 'fruiting' ? warm >= colour - fullSize : undefined;
    return { date: w.date, stage, ...(soon === undefined ? {} : { soon }), heightM: start + nodes * internode };
  });
  return { crop, habit, daysToMaturity, days };
}
