// A larger garden than most, written directly into the database, for measuring.
import { randomUUID } from 'node:crypto';

const SIGNS = ['fruit-blossom-end-dark', 'leaf-target-spots', 'leaf-wilt', 'flower-drop', 'pest-aphids'];
const DAYS = 100;

/**
 * @param send sends to the API as a signed-in person: (method, path, body) => text
 * @param db a connection to the database
 * @param shape number of plants, plants per bed, records per plant and season, seasons
 */
export async function largeGarden(send, db, addDays, { plants, together, records, seasons = 1 }) {
  const { GARDEN } = await import('@candid-leaf/demo');
  const id = randomUUID();
  await send('PUT', '/gardens', { ...GARDEN, id, name: `${plants} plants` });
  const at = `/gardens/${id}`;
  const [[{ accountId }]] = await db.query('SELECT accountId FROM membership WHERE gardenId = ?', [id]);
  const places = [];
  const stand = [];
  for (let i = 0; i < plants; i += together) {
    const placeId = randomUUID();
    places.push(placeId);
    await send('PUT', `${at}/places`, {
      id: placeId,
      name: `Bed ${places.length}`,
      kind: 'ground',
      texture: 'loam',
      lengthM: together * 0.5,
      widthM: 0.6,
    });
    for (let k = 0; k < together; k++) {
      const plantId = randomUUID();
      stand.push(plantId);
      await send('PUT', `${at}/plants`, {
        id: plantId,
        placeId,
        name: `Plant ${stand.length}`,
        crop: 'tomato',
        stage: 'fruiting',
        transplantedOn: '2026-05-01',
        heightM: 1.2,
      });
    }
  }
  await send('POST', `${at}/weather/pull`);
  const rows = [];
  const add = (plantId, type, day, data) =>
    rows.push([randomUUID(), id, type, plantId, day, JSON.stringify({ date: day, ...data }), accountId]);
  for (let season = 0; season < seasons; season++)
    for (const [n, plantId] of stand.entries())
      for (let r = 0; r < records; r++) {
        const day = addDays(`${2026 - season}-07-18`, -((r * 7 + n) % DAYS));
        if (r % 10 === 0)
          add(plantId, 'inspection', day, { allClear: false, signs: [{ sign: SIGNS[(n + r) % 5], present: true }] });
        else if (r % 10 === 1) add(plantId, 'soil-check', day, { feel: 'damp', by: 'finger' });
        else if (r % 10 === 2) add(plantId, 'note', day, { text: 'Tied in, looked over, nothing else.' });
        else add(plantId, 'watering', day, { litres: 1.2 });
      }
  for (let i = 0; i < rows.length; i += 2000)
    await db.query('INSERT INTO record (id, gardenId, type, plantId, day, data, createdBy) VALUES ?', [
      rows.slice(i, i + 2000),
    ]);
  return { id, at, places, plants: stand, records: rows.length };
}
