import { spawnSync } from 'node:child_process';
import { join } from 'node:path';

const ROOT = join(__dirname, '../..');

/** Runs a few seasons through the built core and through the bare loop of the bench; it is no module of these tests. */
const SCRIPT = `
import { offTheBareLoop } from './scripts/lib/bench/water.mjs';
const rooms = ['climate', 'units', 'water'];
const core = Object.assign({}, ...(await Promise.all(rooms.map((room) => import('@candid-leaf/core/' + room)))));
const garden = { latitude: 45.6, longitude: 9, elevationM: 180, lastFrost: '04-18', firstFrost: '10-28' };
const subject = { garden, place: { kind: 'container', texture: 'potting-mix', volumeL: 14 } };
const table = core.climateOfPlace(garden.latitude, garden.elevationM, []);
const years = [1, 2, 3, 4, 5].map((y) =>
  core.seasonWeather(subject, core.generateWeather(table, garden, '2026-04-20', 200, core.seeded(y))));
console.log(offTheBareLoop(core, garden, years));
`;

test('the bare loop that the bench compares with comes to the same litres as the core', () => {
  const { stdout, stderr } = spawnSync(process.execPath, ['--input-type=module', '-e', SCRIPT], {
    cwd: ROOT,
    encoding: 'utf8',
  });
  expect(stderr).toBe('');
  expect(Number(stdout)).toBeLessThan(1e-6);
});
