import { climateOfPlace, forecastOf, generateWeather, seeded, weatherInPlace } from '@candid-leaf/core/climate';
import type { GardenView, TaskDto } from '@candid-leaf/contract';
import { remedyRow } from '@candid-leaf/core/diagnosis';
import { isPotted } from '@candid-leaf/core/records';
import { addDays, type Day } from '@candid-leaf/core/units';
import { growPlant } from '../../../core/test/growth/simulated-plant.js';
import { groupTasks } from '../../../web/src/features/garden/today/group-tasks.js';
import type { App } from '../app.js';
import { gardenOf } from '../gardening.js';
import type { SeasonGarden } from './climates.js';
import { LivingPlant, meadowMm } from './plant-in-ground.js';
import { type Habit, Worker } from './work.js';

/** What a simulated season came to. */
export interface Outcome {
  garden: string;
  habit: Habit['name'];
  /** share of plant-days too dry, and too wet by watering */
  dry: number;
  wet: number;
  /** nitrogen that reached the roots over what was needed, by plant */
  nitrogen: number[];
  /** share of plant-days with the right stage */
  stage: number;
  /** lines on Today */
  tasksMedian: number;
  tasks95: number;
  /** tasks that stood unchanged for more than ten days */
  stuck: string[];
  /** tasks of one day that contradict each other */
  contradict: string[];
  /** days from the first ripe fruit to the first picking suggested; null: never, or none ripe */
  picking: number | null;
  failed: string[];
}

const BEFORE_DAYS = 30;
const BED = [
  { name: 'North', crop: 'tomato', habit: 'indeterminate', type: 'slicer', daysToMaturity: 75 },
  { name: 'Middle', crop: 'tomato', habit: 'determinate', type: 'paste', daysToMaturity: 72 },
  { name: 'South', crop: 'pepper', habit: 'determinate', type: 'sweet', daysToMaturity: 75 },
] as const;
const POT = { name: 'Pot plant', crop: 'tomato', habit: 'indeterminate', type: 'cherry', daysToMaturity: 65 } as const;
const BED_M = { lengthM: 1.5, widthM: 0.8 };
const STUCK_DAYS = 10;

/** Simulates a gardener who follows Today through the API, for `days` days from planting. */
export async function liveSeason(
  app: App,
  at: SeasonGarden,
  habit: Habit,
  days: number,
  seed: number,
): Promise<Outcome> {
  const random = seeded(seed);
  const site = { latitude: at.latitude, longitude: 8.9, elevationM: at.elevationM };
  const from = addDays(at.plantedOn, -BEFORE_DAYS);
  const years = generateWeather(
    climateOfPlace(at.latitude, at.elevationM, []),
    site,
    from,
    BEFORE_DAYS + days + 8,
    random,
  );
  const indexOf = (day: Day): number => Math.round((Date.parse(day) - Date.parse(from)) / 86_400_000);
  app.station.skies.set(at.latitude, {
    observed: (a, b) => years.slice(Math.max(0, indexOf(a)), indexOf(b) + 1),
    forecast: (issued) => forecastOf(years.slice(indexOf(issued) + 1, indexOf(issued) + 8), seeded(indexOf(issued))),
  });

  const g = await gardenOf(app);
  const { today: _t, ...settings } = (await g.agent.get(g.url('')).expect(200)).body as GardenView['garden'];
  await g.agent
    .put('/api/gardens')
    .send({
      ...settings,
      ...site,
      lastFrost: null,
      firstFrost: null,
      away: [],
      stock: null,
      pinnedDate: at.plantedOn,
    })
    .expect(200);
  const bed = await g.place({
    name: 'Bed',
    kind: at.kind,
    texture: at.texture,
    irrigation: 'can',
    ...BED_M,
    ...(at.kind === 'tunnel-bed' ? { vents: 'open' } : {}),
  });
  const pot = await g.place({
    name: 'Pot',
    kind: 'container',
    texture: 'potting-mix',
    volumeL: at.potL,
    potMaterial: 'plastic',
    irrigation: 'can',
    lengthM: null,
    widthM: null,
  });
  const living = new Map<string, { placeId: string; plant: LivingPlant }>();
  const places = {
    bed: { kind: at.kind, ...(at.kind === 'tunnel-bed' ? { vents: 'open' as const } : {}) },
    pot: { kind: 'container' as const },
  };
  for (const [placeId, plants] of [
    [bed, BED],
    [pot, [POT]],
  ] as const)
    for (const { name, daysToMaturity, ...facts } of plants) {
      const where = placeId === bed ? places.bed : places.pot;
      const weather = years.slice(BEFORE_DAYS).map((w) => weatherInPlace(where, w, site));
      const growing = growPlant(facts.crop, facts.habit, daysToMaturity, weather, random).days;
      const id = await g.plant(placeId, { name, ...facts, transplantedOn: at.plantedOn, stage: null, heightM: null });
      const areaM2 = placeId === bed ? (BED_M.lengthM * BED_M.widthM) / BED.length : 0.3;
      const potL = isPotted(where) ? at.potL : null;
      living.set(id, { placeId, plant: new LivingPlant({ crop: facts.crop, potL, areaM2, growing, garden: at }) });
    }

  const worker = new Worker(g, living, habit, random);
  let [plantDays, dry, wet, right] = [0, 0, 0, 0];
  const lines: number[] = [];
  const stuck = new Set<string>();
  const contradict = new Set<string>();
  const since = new Map<string, number>();
  let firstRipe: number | null = null;
  for (let day = 0; day < days; day++) {
    const today = addDays(at.plantedOn, day);
    if (day > 0) await g.goTo(today);
    await g.weather();
    const view = await g.view();
    const open = view.today.filter((t) => !t.held);
    lines.push(groupTasks(open).length);
    for (const t of open) {
      const said = `${t.title} | ${t.why}`;
      const from = since.get(said) ?? day;
      since.set(said, from);
      // after that it may only stand in the line of what nobody answered
      if (day - from > STUCK_DAYS && !t.unansweredSince) stuck.add(said.slice(0, 90));
    }
    for (const said of since.keys()) if (!open.some((t) => `${t.title} | ${t.why}` === said)) since.delete(said);
    for (const c of contradictions(open)) contradict.add(c);
    await worker.day(view, today);
    await worker.carryOut(today);
    // judged as the day ends, after what was asked has been answered
    const evening = await g.view();
    const mulched = new Set(evening.places.filter((p) => p.place.mulch?.length).map((p) => p.place.id));
    for (const onView of evening.places.flatMap((p) => p.plants)) {
      const { placeId, plant } = living.get(onView.plant.id)!;
      if (onView.growth.stage === plant.now.stage) right++;
      if (plant.now.stage === 'ripening') firstRipe ??= day;
      const open = years[BEFORE_DAYS + day]!;
      const air = { solarMj: 20, ...weatherInPlace(placeId === bed ? places.bed : places.pot, open, site) };
      const meadow = meadowMm(air, at.latitude) * (at.kind === 'tunnel-bed' && placeId === bed ? 0.8 : 1);
      const state = plant.live({ ...air, solarMj: air.solarMj ?? 20 }, mulched.has(placeId), meadow);
      plantDays++;
      if (state.dry) dry++;
      else if (state.wet) wet++;
    }
  }
  const sorted = [...lines].sort((a, b) => a - b);
  const firstPick = worker.firstPick === null ? null : indexOf(worker.firstPick) - BEFORE_DAYS;
  return {
    garden: at.name,
    habit: habit.name,
    dry: dry / plantDays,
    wet: wet / plantDays,
    nitrogen: [...living.values()].map(({ plant: p }) => (p.had.soil + p.had.fed - p.had.washed) / p.needG),
    stage: right / plantDays,
    tasksMedian: sorted[Math.floor(sorted.length / 2)]!,
    tasks95: sorted[Math.floor(sorted.length * 0.95)]!,
    stuck: [...stuck],
    contradict: [...contradict],
    picking: firstRipe === null || firstPick === null ? null : firstPick - firstRipe,
    failed: worker.failed,
  };
}

/** Water and "let it dry" for one plant or bed on one day. */
function contradictions(tasks: readonly TaskDto[]): string[] {
  const holdsWater = (t: TaskDto): boolean => t.remedy !== null && remedyRow(t.remedy).acts === 'hold-water';
  return tasks
    .filter(holdsWater)
    .flatMap((t) =>
      tasks
        .filter((o) => o.source === 'water' && (o.litres ?? 0) > 0 && o.placeId === t.placeId)
        .map((o) => `${t.title} / ${o.title}`),
    );
}
