// npm run bench: measures speed. Nothing here passes or fails; each figure is printed beside its target.
import { readFileSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { gzipSync } from 'node:zlib';
import { benchInThePage, inTheBrowser } from './lib/bench/in-the-browser.mjs';
import { largeGardens, manyWriters, senderOf } from './lib/bench/server.mjs';
import { morningLists } from './lib/bench/messages.mjs';
import { row, timed } from './lib/bench/timed.mjs';
import { water } from './lib/bench/water.mjs';
import { uploads } from './lib/bench/weather.mjs';
import { buildAll, ROOT } from './lib/build.mjs';
import { quickOnAPhone } from './lib/quick.mjs';
import { slowPhone } from './lib/slow-phone.mjs';
import { afterNoSignal, fiftyTogether, largeFile } from './lib/together.mjs';
import { tenSeasons } from './lib/ten-years.mjs';
import { ensureModules, throwAwayFolder } from './lib/machine.mjs';
import { endWith, say } from './lib/say.mjs';
import { loadDemo, startStack } from './lib/stack.mjs';

let stop = async () => {};
let home;
try {
  await ensureModules();
  await buildAll(say);
  const rooms = ['assessment', 'casefile', 'climate', 'units', 'water'];
  const core = Object.assign({}, ...(await Promise.all(rooms.map((room) => import(`@candid-leaf/core/${room}`)))));

  const day = (i) => core.addDays('2026-03-21', i);
  const file = JSON.parse(readFileSync(join(ROOT, 'core', 'cases', 'fabric-bag-tomato-black-ends.case.json'), 'utf8'));
  file.asOf = day(119);
  file.plant.transplantedOn = day(0);
  file.records.weather = Array.from({ length: 120 }, (_, i) => ({
    date: day(i),
    tMinC: 14 + Math.sin(i),
    tMaxC: 26 + 4 * Math.sin(i / 3),
    rainMm: i % 6 ? 0 : 7,
  }));
  file.records.watering = Array.from({ length: 40 }, (_, i) => ({ date: day(i * 3), litres: 4 }));
  file.observations = file.observations.map((o) => ({ ...o, date: file.asOf }));
  const parsed = core.parseCase(file);
  row('One plant’s report, 120 days, 3 findings (core)', await timed(200, () => core.reportOn(parsed)), 'under 10');
  const more = [
    'fruit-ring-cracks',
    'leaf-yellow-fast',
    'where-lower-leaves',
    'leaf-wilt',
    'pest-ants',
    'leaf-sticky',
    'flower-drop',
    'pace-days',
    'after-heat',
  ];
  const many = core.parseCase({
    ...file,
    observations: [
      ...file.observations.filter((o) => o.sign !== 'pest-none-found'),
      ...more.map((sign) => ({ date: file.asOf, sign, present: true })),
    ],
  });
  row(`The same with ${many.observations.length} findings`, await timed(100, () => core.reportOn(many)), 'under 30');
  row('Its water balance alone', await timed(300, () => core.waterBalance(parsed)), '');

  await water(core);

  home = throwAwayFolder('bench');
  delete process.env.DATABASE_URL;
  const stack = await startStack({
    home,
    env: { SIGN_UPS_PER_HOUR: '1000', LOG_LEVEL: 'error' },
    weatherStandIns: true,
  });
  stop = stack.stop;
  await loadDemo(stack, home);
  const { DEMO_ACCOUNT, GARDEN } = await import('@candid-leaf/demo');
  const entry = await fetch(`${stack.url}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email: DEMO_ACCOUNT.email, password: DEMO_ACCOUNT.password }),
  });
  const cookie = entry.headers
    .getSetCookie()
    .find((c) => c.startsWith('candid-leaf='))
    .split(';')[0];
  const view = async () => {
    const answer = await fetch(`${stack.url}/api/gardens/${GARDEN.id}/view`, { headers: { cookie } });
    await answer.text();
  };
  row('Garden view over HTTP, demo garden, reports at hand', await timed(60, view), 'under 60');
  const pull = () =>
    fetch(`${stack.url}/api/gardens/${GARDEN.id}/weather/pull`, { method: 'POST', headers: { cookie } });
  const cold = [];
  for (let i = 0; i < 10; i++) {
    await pull(); // a write: every report of the garden is worked out anew
    const from = performance.now();
    await view();
    cold.push(performance.now() - from);
  }
  cold.sort((a, b) => a - b);
  row('The same right after a write, all 14 reports made anew', { median: cold[5], p95: cold[9] }, 'under 60');

  const send = senderOf(stack, cookie);
  await uploads(stack, send, GARDEN.id);
  const ten = await tenSeasons(stack, send, core.addDays);
  await fiftyTogether(send, ten);
  await largeFile(stack, cookie, GARDEN.id, 'Sleeper Paste');
  await afterNoSignal(stack.url, DEMO_ACCOUNT);
  await slowPhone(stack.url, cookie);
  await quickOnAPhone(stack.url, DEMO_ACCOUNT);
  await largeGardens(stack, cookie, core);
  await manyWriters(stack.url);
  await morningLists(stack, view);
  await inTheBrowser(stack.url, { format: 'candid-leaf-case', version: 1, ...many });
  await benchInThePage(stack.url);

  const dist = join(ROOT, 'web', 'dist');
  const html = readFileSync(join(dist, 'index.html'), 'utf8');
  const first = [...html.matchAll(/(?:src|href)="\/(assets\/[^"]+\.js)"/g)].map((m) => m[1]);
  const size = (files) => files.reduce((sum, f) => sum + gzipSync(readFileSync(join(dist, f))).length, 0) / 1024;
  say(`${'Script of the first page, gzipped'.padEnd(58)} ${size(first).toFixed(0)} KB   aim under 160`);
  say(
    `${'All script, gzipped'.padEnd(58)} ${size(
      readdirSync(join(dist, 'assets'))
        .filter((f) => f.endsWith('.js'))
        .map((f) => `assets/${f}`),
    ).toFixed(0)} KB`,
  );
} catch (error) {
  endWith(error);
} finally {
  await stop();
  if (home) rmSync(home, { recursive: true, force: true });
}
