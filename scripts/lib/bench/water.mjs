import { performance } from 'node:perf_hooks';
import { bareSeason, typed } from '../bare-season.mjs';
import { say } from '../say.mjs';
import { row, timed } from './timed.mjs';

/** The balance, the plan and the bench, and that their cost grows with days and places in a straight line. */
export async function water(core) {
  const garden = { latitude: 45.6, longitude: 9, elevationM: 180, lastFrost: '04-18', firstFrost: '10-28' };
  const day = (i) => core.addDays('2026-04-01', i);
  const caseOf = (days) =>
    core.parseCase({
      format: 'candid-leaf-case',
      version: 1,
      asOf: day(days - 1),
      garden,
      place: { kind: 'ground', texture: 'loam', areaM2: 0.25 },
      plant: { crop: 'tomato', transplantedOn: day(0), heightM: 1.2 },
      records: {
        weather: Array.from({ length: days }, (_, i) => ({
          date: day(i),
          tMinC: 14,
          tMaxC: 27,
          rainMm: i % 6 ? 0 : 7,
        })),
        watering: Array.from({ length: Math.floor(days / 3) }, (_, i) => ({ date: day(i * 3), litres: 4 })),
      },
      observations: [],
    });
  for (const days of [50, 100, 200]) {
    const known = caseOf(days);
    row(
      `One place, ${days} days of balance (core)`,
      await timed(200, () => core.waterBalance(known)),
      days === 200 ? 'under 1' : '',
    );
  }
  const c = caseOf(100);
  const balance = core.waterBalance(c);
  const start = { state: core.morningOf(balance), since: 2 };
  const ahead = Array.from({ length: 14 }, (_, i) => ({
    date: day(99 + i),
    tMinC: 16,
    tMaxC: 30,
    rainMm: i === 3 ? 6 : 0,
  }));
  const rules = { method: 'by-need', how: 'drip', flowLPerH: 4 };
  for (const places of [75, 150, 300])
    row(
      `Plan of the week for ${places} places (core)`,
      await timed(20, () => {
        for (let i = 0; i < places; i++) core.planWeek(c, start, ahead, rules);
      }),
      places === 300 ? 'under 300' : '',
    );
  const subject = {
    garden,
    place: POT,
    plant: { crop: 'tomato', heightM: HEIGHT_M },
  };
  const setUps = ['deep', 'daily', 'by-need', 'timer', 'remembered', 'half-often'].map((strategy) => ({
    name: strategy,
    strategy,
  }));
  const table = core.climateOfPlace(garden.latitude, garden.elevationM, []);
  const from = performance.now();
  const years = Array.from({ length: 200 }, (_, y) => {
    const days = core.generateWeather(table, garden, '2026-04-20', 200, core.seeded(core.yearSeed(1, y)));
    return core.seasonWeather(subject, days);
  });
  years.forEach((year, y) => core.runYear(subject, setUps, year, y));
  say(
    `${'Bench: 6 habits × 200 years × 200 days, weather and all (core)'.padEnd(58)} ${((performance.now() - from) / 1000).toFixed(2)} s   aim under 1 s`,
  );
  besideABareLoop(core, subject, setUps, years);
}

/** The pot of the comparison, and its soil as the bare loop reads it. */
const POT = { kind: 'container', texture: 'potting-mix', volumeL: 14 };
const HEIGHT_M = 1.2;
const bareSoil = (core) => {
  const mix = core.SOILS[POT.texture];
  return {
    ...mix,
    volumeL: POT.volumeL,
    share: core.availableShare(POT.texture),
    rew: mix.rewMm,
    tew: core.totalEvaporableMm(POT.texture),
    wettedShare: core.WETTED_SHARE.base,
  };
};
const BY_NEED = { name: 'by need', strategy: 'by-need' };

/** Returns by how much the core and the bare loop differ in a season's water, L: the most over some years. */
export const offTheBareLoop = (core, garden, years) =>
  Math.max(
    ...years.map((w) => {
      const subject = { garden, place: POT, plant: { crop: 'tomato', heightM: HEIGHT_M } };
      const { litres } = core.runSeason(subject, BY_NEED, w, core.seeded(1));
      return Math.abs(litres - bareSeason(typed(w), bareSoil(core), HEIGHT_M).litres);
    }),
  );

/** What a season costs beside the same equations as a bare loop over typed arrays, which must come to the same litres. */
function besideABareLoop(core, subject, setUps, years) {
  const arrays = years.map(typed);
  const soil = bareSoil(core);
  const least = (work) => Math.min(...Array.from({ length: 7 }, () => clocked(work)));
  const bare = least(() => arrays.map((w) => bareSeason(w, soil, HEIGHT_M)));
  const one = least(() => years.map((w) => core.runSeason(subject, BY_NEED, w, core.seeded(1))));
  const six = least(() => years.map((w) => core.runYear(subject, setUps, w, 1)));
  const off = offTheBareLoop(core, subject.garden, years);
  if (off > 1e-6) throw new Error(`The bare loop and the core differ by ${off} l over a season.`);
  say(
    `${'A season beside a bare typed-array loop of its equations'.padEnd(58)} ${(one / bare).toFixed(1)} times by itself, ${(six / bare / setUps.length).toFixed(1)} times among six habits   aim at most 4`,
  );
}

function clocked(work) {
  const from = performance.now();
  work();
  return performance.now() - from;
}
