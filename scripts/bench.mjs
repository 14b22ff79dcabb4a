// npm run bench: how fast it is, in numbers. Nothing here passes or fails; the aims stand beside the figures.
import { randomUUID } from 'node:crypto';
import { createRequire } from 'node:module';
import { readFileSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { gzipSync } from 'node:zlib';
import { buildAll, ROOT } from './lib/build.mjs';
import { ensureModules, throwAwayFolder } from './lib/machine.mjs';
import { endWith, say } from './lib/say.mjs';
import { loadDemo, startStack } from './lib/stack.mjs';

async function timed(runs, work) {
  for (let i = 0; i < 5; i++) await work();
  const ms = [];
  for (let i = 0; i < runs; i++) {
    const from = performance.now();
    await work();
    ms.push(performance.now() - from);
  }
  ms.sort((a, b) => a - b);
  return { median: ms[Math.floor(ms.length / 2)], p95: ms[Math.floor(ms.length * 0.95)] };
}
const row = (what, { median, p95 }, aim) =>
  say(
    `${what.padEnd(58)} median ${median.toFixed(1).padStart(6)} ms   95 % ${p95.toFixed(1).padStart(6)} ms   aim ${aim}`,
  );

/** The balance, the plan and the bench, and that their cost grows with days and places in a straight line. */
async function water(core) {
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
  const rules = { school: 'by-need', how: 'drip', flowLPerH: 4 };
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
    place: { kind: 'container', texture: 'potting-mix', volumeL: 14 },
    plant: { crop: 'tomato', heightM: 1.2 },
  };
  const setUps = ['deep', 'daily', 'by-need', 'timer', 'remembered', 'half-often'].map((strategy) => ({
    name: strategy,
    strategy,
  }));
  const table = core.climateOfPlace(garden.latitude, garden.elevationM, []);
  const from = performance.now();
  for (let y = 0; y < 200; y++) {
    const days = core.generateWeather(table, garden, '2026-04-20', 200, core.seeded(core.yearSeed(1, y)));
    core.runYear(subject, setUps, core.seasonWeather(garden, days), y);
  }
  say(
    `${'Bench: 6 strategies × 200 years × 200 days (core)'.padEnd(58)} ${((performance.now() - from) / 1000).toFixed(2)} s   aim under 3 s`,
  );
}

/** The bench in the page: how long it takes, and the longest task that held the page up meanwhile. */
async function benchInThePage(url) {
  const { chromium } = createRequire(join(ROOT, 'e2e', 'package.json'))('@playwright/test');
  const { DEMO_ACCOUNT, GARDEN } = await import('@candid-leaf/demo');
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  const page = await browser.newPage({ baseURL: url });
  await page.request.post('/api/session', { data: { email: DEMO_ACCOUNT.email, password: DEMO_ACCOUNT.password } });
  await page.goto(`/gardens/${GARDEN.id}/bench`);
  await page.getByLabel('Place').selectOption({ label: 'Clay pots' });
  await page.getByLabel('Years').selectOption('200');
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'One more' }).click();
  await page.evaluate(() => {
    globalThis.longest = 0;
    new globalThis.PerformanceObserver((list) => {
      for (const e of list.getEntries()) globalThis.longest = Math.max(globalThis.longest, e.duration);
    }).observe({ entryTypes: ['longtask'] });
  });
  const from = performance.now();
  await page.getByRole('button', { name: 'Run' }).click();
  await page.getByText('years').last().waitFor();
  const during = page.getByText('keeps this plant best');
  await during.waitFor({ timeout: 60_000 });
  const took = performance.now() - from;
  const longest = await page.evaluate(() => globalThis.longest);
  say(
    `${'The same in the page’s worker, charts drawn'.padEnd(58)} ${(took / 1000).toFixed(2)} s   aim under 3 s; longest task of the page ${longest.toFixed(0)} ms, aim under 100`,
  );
  await browser.close();
}

/** 300 plants in 300 beds, a sign on each: the view made anew, and how long another request waits meanwhile. */
async function largeGarden(url, cookie) {
  const send = async (method, path, body) => {
    const answer = await fetch(`${url}/api${path}`, {
      method,
      headers: { cookie, 'content-type': 'application/json' },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
    if (!answer.ok) throw new Error(`${path}: ${await answer.text()}`);
    return answer.text();
  };
  const { GARDEN } = await import('@candid-leaf/demo');
  const id = randomUUID();
  await send('PUT', '/gardens', { ...GARDEN, id, name: 'Three hundred' });
  const at = `/gardens/${id}`;
  const signs = ['fruit-blossom-end-dark', 'leaf-target-spots', 'leaf-wilt', 'flower-drop', 'pest-aphids'];
  for (let i = 0; i < 300; i++) {
    const placeId = randomUUID();
    const plantId = randomUUID();
    const place = { id: placeId, name: `Bed ${i}`, kind: 'ground', texture: 'loam', lengthM: 1, widthM: 0.5 };
    const plant = { name: `Plant ${i}`, crop: 'tomato', stage: 'fruiting', transplantedOn: '2026-05-10', heightM: 1.2 };
    const seen = [{ sign: signs[i % 5], present: true }];
    await send('PUT', `${at}/places`, place);
    await send('PUT', `${at}/plants`, { id: plantId, placeId, ...plant });
    const data = { date: '2026-07-17', allClear: false, partOfDay: 'morning', signs: seen };
    await send('PUT', `${at}/records`, { id: randomUUID(), type: 'inspection', plantId, data });
  }
  await send('POST', `${at}/weather/pull`);
  let done = false;
  let waited = 0;
  const from = performance.now();
  const view = send('GET', `${at}/view`).then(() => (done = true));
  while (!done) {
    const asked = performance.now();
    await fetch(`${url}/api/health`);
    waited = Math.max(waited, performance.now() - asked);
  }
  await view;
  say(
    `${'A garden of 300 plants, all reports made anew'.padEnd(58)} ${((performance.now() - from) / 1000).toFixed(2)} s   aim under 5 s; another request waits ${waited.toFixed(0)} ms at most`,
  );
  await send('GET', `${at}/plan`); // what-ifs are tried once and kept
  row('The week of its 300 places over HTTP', await timed(5, () => send('GET', `${at}/plan`)), 'under 300');
}

/** The same report in the page's own worker. */
async function inTheBrowser(url, caseFile) {
  const { chromium } = createRequire(join(ROOT, 'e2e', 'package.json'))('@playwright/test');
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  const page = await browser.newPage();
  await page.goto(`${url}/sign-in`);
  const script = readdirSync(join(ROOT, 'web', 'dist', 'assets')).find((f) => f.startsWith('case.worker'));
  const ms = await page.evaluate(
    async ([file, text]) => {
      const worker = new globalThis.Worker(file, { type: 'module' });
      const took = [];
      for (let i = 0; i < 40; i++)
        took.push(
          await new Promise((ok) => {
            worker.onmessage = (e) => ok(e.data.tookMs);
            const units = { temperature: 'C', volume: 'L', length: 'cm', mass: 'g', area: 'm2' };
            worker.postMessage({ text, units, dateForm: 'd MMMM' });
          }),
        );
      return took.slice(5).sort((a, b) => a - b);
    },
    [`/assets/${script}`, JSON.stringify(caseFile)],
  );
  row('The report with 12 findings in the browser’s worker', { median: ms[17], p95: ms[33] }, 'under 60');
  await browser.close();
}

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
  const stack = await startStack({ home, port: 0 });
  stop = stack.stop;
  await loadDemo(stack, home);
  const { DEMO_ACCOUNT, GARDEN } = await import('@candid-leaf/demo');
  const entry = await fetch(`${stack.url}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email: DEMO_ACCOUNT.email, password: DEMO_ACCOUNT.password }),
  });
  const cookie = entry.headers.getSetCookie()[0].split(';')[0];
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

  await largeGarden(stack.url, cookie);
  await inTheBrowser(stack.url, many);
  await benchInThePage(stack.url);

  const dist = join(ROOT, 'web', 'dist');
  const html = readFileSync(join(dist, 'index.html'), 'utf8');
  const first = [...html.matchAll(/(?:src|href)="\/(assets\/[^"]+\.js)"/g)].map((m) => m[1]);
  const size = (files) => files.reduce((sum, f) => sum + gzipSync(readFileSync(join(dist, f))).length, 0) / 1024;
  say(`${'Script of the first page, gzipped'.padEnd(58)} ${size(first).toFixed(0)} KB   aim under 250`);
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
