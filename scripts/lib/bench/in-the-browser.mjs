import { createRequire } from 'node:module';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { ROOT } from '../build.mjs';
import { choose } from '../choose.mjs';
import { say } from '../say.mjs';
import { row } from './timed.mjs';

/** The bench in the page: how long it takes, and the longest task that held the page up meanwhile. */
export async function benchInThePage(url) {
  const { chromium } = createRequire(join(ROOT, 'e2e', 'package.json'))('@playwright/test');
  const { DEMO_ACCOUNT, GARDEN } = await import('@candid-leaf/demo');
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  const page = await browser.newPage({ baseURL: url });
  await page.request.post('/api/session', { data: { email: DEMO_ACCOUNT.email, password: DEMO_ACCOUNT.password } });
  await page.goto(`/gardens/${GARDEN.id}/bench`);
  await choose(page, 'Bed or pot', 'Clay pots');
  await choose(page, 'Years', '200');
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Add another' }).click();
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

/** The same report in the page's own worker. */
export async function inTheBrowser(url, caseFile) {
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
