import { assessPlace } from '@candid-leaf/core/assessment';
import { addDays, type Day, daysBetween, METRIC, METRIC_FORMAT } from '@candid-leaf/core/units';
import { DEFAULT_METHOD } from '@candid-leaf/core/water';
import { type FeedRules, feedingOf, sprayPlan } from '../../src/care/index.js';
import { climateOfPlace, forecastOf, generateWeather, seeded } from '../../src/climate/index.js';
import { feedInWords, MEANWHILE } from '../../src/nutrition/index.js';
import type { Product } from '../../src/products/index.js';
import { STARTERS, starterOf } from '../../src/products/index.js';
import type { Spraying } from '../../src/records/index.js';
import { parseCase } from '../../src/casefile/index.js';
import { NO_RULES } from '../questions.js';

/**
 * Seasons of daily steps in eight climates: a pot or bed is watered and fed as the plans say, and each spray is used on the
 * first evening or morning that is offered. A judge who shares no code with the gates looks at the weather and the
 * records of that hour. `npm run seasons` lives through all of them; `npm test` through fifty days of a desert and a windy coast.
 */
/** Where, when, and how it differs from what the latitude alone gives. */
interface Climate {
  name: string;
  latitude: number;
  elevationM: number;
  plantedOn: Day;
  windy?: number;
  warmerC?: number;
}
const CLIMATES: readonly Climate[] = [
  { name: 'windy coast', latitude: 53, elevationM: 60, plantedOn: '2026-05-20', windy: 2.3, warmerC: 8 },
  { name: 'warm plain', latitude: 45, elevationM: 100, plantedOn: '2026-05-08' },
  { name: 'hot dry summer', latitude: 37, elevationM: 10, plantedOn: '2026-04-12' },
  { name: 'desert', latitude: 30, elevationM: 20, plantedOn: '2026-06-01', warmerC: 11 },
  { name: 'wet tropics', latitude: 10, elevationM: 50, plantedOn: '2026-02-01' },
  { name: 'tropical highland', latitude: 1, elevationM: 1600, plantedOn: '2026-03-01' },
  { name: 'southern summer', latitude: -37, elevationM: 50, plantedOn: '2025-11-05' },
  { name: 'mountain valley', latitude: 43, elevationM: 900, plantedOn: '2026-06-01' },
];
const ALL = process.env.SEASONS === 'all';
const SHORT = new Set<string>(['windy coast', 'desert']);
const DAYS = ALL ? 105 : 50;
const FLOWERS_AFTER = 25;
const HELD_LONG_DAYS = 5;

const STARTING = STARTERS.filter((p): p is Product => p.kind === 'spray' && p.spray !== undefined);
const ownProduct = (spray: 'oil' | 'spinosad'): Product => ({ ...starterOf('neem')!, id: spray, name: spray, spray });
const SPRAYS = [...STARTING, ownProduct('oil'), ownProduct('spinosad')];
const RULES = { pondNear: false, organicOnly: false, pickOn: null, copperGPerM2: null, tools: METRIC };
const FEEDING: FeedRules = { method: 'compost-balanced' };
const WATERING = { method: DEFAULT_METHOD, ...NO_RULES };

/** What the labels and common practice forbid, as one reads it there. */
const BURNS = new Set(['soap', 'neem', 'oil', 'sulfur']);
const STAYS = new Set(['oil', 'sulfur', 'neem']);
const OILS = ['oil', 'neem'];

interface Sky {
  tMinC: number;
  tMaxC: number;
  rainMm: number;
  windMs: number;
  rainChancePct?: number;
}

/** Everything wrong with a spray at an hour; `sky` is its day and the two after it. */
function faultsOf(
  p: Product,
  { hour, on, inFlower }: { hour: 'dawn' | 'evening'; on: Day; inFlower: boolean },
  sky: readonly Sky[],
  earlier: readonly Spraying[],
) {
  const [day, next] = [sky[0]!, sky[1]!];
  const code = p.spray!;
  const then = hour === 'dawn' ? day.tMinC : day.tMaxC - 0.5 * (day.tMaxC - day.tMinC);
  const likelyMm = (w: Sky): number => (w.rainMm * (w.rainChancePct ?? 100)) / 100;
  const last = earlier.filter((s) => s.product === code).at(-1);
  const near = (other: string, days: number): boolean =>
    earlier.some((s) => s.product === other && daysBetween(s.date, on) < days);
  return [
    BURNS.has(code) && then > 30 ? 'hot' : null,
    STAYS.has(code) && sky.some((w) => w.tMaxC >= 30) ? 'hot after' : null,
    STAYS.has(code) && Math.min(day.tMinC, next.tMinC) <= 2 ? 'frost' : null,
    day.windMs > 4 ? 'wind' : null,
    [day, next].some((w) => likelyMm(w) >= 2 || (w.rainMm >= 2 && (w.rainChancePct ?? 100) >= 30)) ? 'rain' : null,
    code === 'spinosad' && inFlower ? 'bees' : null,
    p.everyDays && last && daysBetween(last.date, on) < p.everyDays ? 'again too soon' : null,
    p.mostUses && earlier.filter((s) => s.product === code).length >= p.mostUses ? 'too often' : null,
    (code === 'sulfur' && OILS.some((oil) => near(oil, 14))) || (OILS.includes(code) && near('sulfur', 14))
      ? 'sulfur and oil'
      : null,
    earlier.some((s) => s.date === on) ? 'twice a day' : null,
  ].filter((x) => x !== null);
}

test.each(CLIMATES.filter(({ name }) => ALL || SHORT.has(name)))(
  '$name: no spray breaks a gate, and no feed waits for long without saying what to do',
  (at) => {
    const random = seeded(at.latitude + 1000);
    const garden = { latitude: at.latitude, longitude: 8.9, elevationM: at.elevationM };
    const from = addDays(at.plantedOn, -30);
    const years = generateWeather(climateOfPlace(at.latitude, at.elevationM, []), garden, from, DAYS + 45, random);
    for (const w of years) {
      w.windMs *= at.windy ?? 1;
      w.tMinC += at.warmerC ?? 0;
      w.tMaxC += at.warmerC ?? 0;
    }
    const pot = { kind: 'container', volumeL: 20, texture: 'potting-mix' };
    const bed = { kind: 'ground', texture: 'loam', areaM2: 0.4 };
    const faults = new Set<string>();
    const unsaid = new Set<string>();
    const used = new Set<string>();
    let fed = 0;
    for (const [place, crop] of [
      [pot, 'tomato'],
      [bed, 'pepper'],
    ] as const) {
      const watering: object[] = [];
      const feeding: object[] = [];
      const sprays: Spraying[] = [];
      let held = 0;
      for (let i = 0; i < DAYS; i++) {
        const today = addDays(at.plantedOn, i);
        const forecast = forecastOf(years.slice(31 + i, 38 + i), seeded(i));
        const plantCase = parseCase({
          format: 'candid-leaf-case',
          version: 1,
          asOf: today,
          garden,
          place,
          plant: {
            crop,
            transplantedOn: at.plantedOn,
            stage: stageAfter(i),
            heightM: Math.min(1.4, 0.2 + i / 60),
            sinceStart: true,
          },
          records: { weather: years.slice(0, 31 + i), watering, feeding, sprays },
          observations: [],
        });
        const { plants } = assessPlace('p', WATERING, [{ id: 'a', case: plantCase }], forecast, METRIC_FORMAT);
        const own = plants.get('a')!;
        const next = own.report.water.nextWatering;
        if (next && next.date <= today) watering.push({ date: today, litres: next.litres });
        const plan = feedingOf(own, FEEDING);
        if (plan.kind === 'feed' && plan.on <= today) {
          fed++;
          feeding.push({ date: today, product: 'Tomato feed', n: 4, p2o5: 3, k2o: 8, grams: 10, form: 'liquid' });
        }
        held = plan.kind === 'feed' && plan.hold && plan.wantedOn <= today ? held + 1 : 0;
        if (held > HELD_LONG_DAYS && plan.kind === 'feed') {
          const said = feedInWords(plan, today, METRIC_FORMAT);
          if (!Object.values(MEANWHILE).some((what) => said.includes(what))) unsaid.add(said);
        }
        // one spray is wanted after another
        const product = SPRAYS[i % SPRAYS.length]!;
        const { window } = sprayPlan(own, product, { state: 'passed', triedOn: at.plantedOn }, RULES);
        if (window?.on !== today) continue;
        for (const f of faultsOf(
          product,
          { hour: window.hour as 'evening', on: today, inFlower: i >= FLOWERS_AFTER },
          [years[30 + i]!, ...forecast].slice(0, 3),
          sprays,
        ))
          faults.add(`${product.spray} on ${today}: ${f}`);
        used.add(product.spray!);
        sprays.push({ date: today, product: product.spray!, harvestDays: product.harvestDays ?? null } as Spraying);
      }
    }
    expect([...faults]).toEqual([]);
    expect([...unsaid]).toEqual([]);
    // the judge had something to judge
    expect(used.size).toBeGreaterThanOrEqual(2);
    expect(fed).toBeGreaterThan(0);
  },
);

const stageAfter = (day: number): string =>
  day < 14
    ? 'establishing'
    : day < FLOWERS_AFTER
      ? 'vegetative'
      : day < 55
        ? 'flowering'
        : day < 75
          ? 'fruiting'
          : 'ripening';
