// A garden of ten seasons beside one of a single season, written straight into the database: for measuring only.
import { randomUUID } from 'node:crypto';
import { performance } from 'node:perf_hooks';
import { largeGarden } from './large-garden.mjs';
import { say } from './say.mjs';

const NEWEST = 2026;
const PLANTS = 30;
const RECORDS = 200;
const EARLIER = 9;
/** Weather in the whole table, of this garden and its neighbours. */
const WEATHER_ROWS = 200_000;

const inBatches = async (db, sql, rows, size = 5000) => {
  for (let i = 0; i < rows.length; i += size) await db.query(sql, [rows.slice(i, i + size)]);
};

/** @returns the garden of one season, and the same with nine seasons before it: 300 plants, 60,000 records */
async function tenYears(send, db, addDays) {
  const shape = { plants: PLANTS, together: 10, records: RECORDS };
  const one = await largeGarden(send, db, addDays, shape);
  const ten = await largeGarden(send, db, addDays, shape);
  const [[{ accountId }]] = await db.query('SELECT accountId FROM membership WHERE gardenId = ?', [ten.id]);
  const plants = [];
  const records = [];
  for (let back = 1; back <= EARLIER; back++)
    for (let n = 0; n < PLANTS; n++) {
      const id = randomUUID();
      const year = NEWEST - back;
      plants.push([
        id,
        ten.id,
        ten.places[n % ten.places.length],
        `${year} ${n}`,
        'tomato',
        'late',
        `${year}-05-01`,
        '[]',
        1000 + n,
        `${year}-10-20`,
        'season-over',
      ]);
      for (let r = 0; r < RECORDS; r++) {
        const day = addDays(`${year}-07-18`, -((r * 7 + n) % 70));
        const data = r % 5 === 0 ? { date: day, grams: 200, state: 'sound', use: 'eaten' } : { date: day, litres: 1.2 };
        records.push([
          randomUUID(),
          ten.id,
          r % 5 === 0 ? 'picking' : 'watering',
          id,
          day,
          JSON.stringify(data),
          accountId,
        ]);
      }
    }
  await inBatches(
    db,
    'INSERT INTO plant (id, gardenId, placeId, name, crop, stage, transplantedOn, resistantTo, position, retiredOn, endedBecause) VALUES ?',
    plants,
  );
  await inBatches(db, 'INSERT INTO record (id, gardenId, type, plantId, day, data, createdBy) VALUES ?', records);
  // ten years of its own, and the rest of neighbours
  const [[garden]] = await db.query('SELECT * FROM garden WHERE id = ?', [ten.id]);
  const days = Array.from({ length: 365 * EARLIER }, (_, i) => addDays(`${NEWEST - 1}-12-31`, -i));
  const ids = [ten.id];
  while (ids.length * days.length < WEATHER_ROWS) ids.push(randomUUID());
  for (const id of ids.slice(1))
    await db.query('INSERT INTO garden SET ?', [{ ...garden, id, units: text(garden.units) }]);
  for (const id of ids)
    await inBatches(
      db,
      'INSERT IGNORE INTO weather (gardenId, day, kind, tMinC, tMaxC, rainMm) VALUES ?',
      days.map((d, i) => [id, d, 'observed', 14, 27, i % 6 ? 0 : 7]),
    );
  const [[{ n }]] = await db.query('SELECT COUNT(*) AS n FROM weather');
  return { one, ten, plants: PLANTS * (EARLIER + 1), records: ten.records + records.length, weather: Number(n) };
}

const text = (json) => (typeof json === 'string' ? json : JSON.stringify(json));

/** Opening Today, the garden or a plant with ten seasons behind, beside one season. Returns the garden of ten. */
export async function tenSeasons(stack, send, addDays) {
  const { createConnection } = await import('mysql2/promise');
  const db = await createConnection(stack.databaseUrl);
  const { one, ten, plants, records, weather } = await tenYears(send, db, addDays);
  say(
    `\nTen seasons: ${plants} plants, ${records.toLocaleString('en')} records, ${weather.toLocaleString('en')} weather rows; beside one season of 30 plants, ${one.records.toLocaleString('en')} records`,
  );
  // right after a write, so that nothing is simply handed out again; one after the other, so that both have the same machine
  const opened = (g, path) => async () => {
    await send('PUT', `${g.at}/records`, {
      id: randomUUID(),
      type: 'note',
      plantId: g.plants[7],
      data: { date: '2026-07-18', text: 'Looked.' },
    });
    const from = performance.now();
    await send('GET', `${g.at}${path(g)}`);
    return performance.now() - from;
  };
  for (const [what, path] of [
    ['Garden and Today', () => '/view'],
    ['A plant', (g) => `/plants/${g.plants[3]}/view`],
    ['The season', () => '/season'],
  ]) {
    const took = { one: [], ten: [] };
    for (let i = 0; i < 25; i++) {
      took.one.push(await opened(one, path)());
      took.ten.push(await opened(ten, path)());
    }
    const median = (list) => list.slice(5).sort((a, b) => a - b)[10];
    const [a, b] = [median(took.one), median(took.ten)];
    say(
      `${`  ${what}, right after a write`.padEnd(58)} one ${a.toFixed(1).padStart(6)} ms   ten ${b.toFixed(1).padStart(6)} ms   ${(b / a).toFixed(2)} times, aim under 1.5`,
    );
  }
  await db.end();
  return ten;
}
