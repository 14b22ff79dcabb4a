// npm run pictures: takes the README's pictures from the demo garden in a temporary database.
import { createRequire } from 'node:module';
import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildAll, ROOT } from './lib/build.mjs';
import { choose } from './lib/choose.mjs';
import { ensureModules, throwAwayFolder } from './lib/machine.mjs';
import { endWith, say } from './lib/say.mjs';
import { loadDemo, startStack } from './lib/stack.mjs';

const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };
const out = join(ROOT, 'docs', 'screenshots');

let stop = async () => {};
let browser;
let home;
try {
  await ensureModules();
  await buildAll(say);
  home = throwAwayFolder('pictures', 'memory');
  delete process.env.DATABASE_URL;
  const stack = await startStack({ home, port: 0, tell: say, weatherStandIns: true });
  stop = stack.stop;
  await loadDemo(stack, home);
  const { chromium } = createRequire(join(ROOT, 'e2e', 'package.json'))('@playwright/test');
  browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  mkdirSync(out, { recursive: true });

  const open = async (viewport, colorScheme = 'light') => {
    const context = await browser.newContext({ viewport, colorScheme, baseURL: stack.url });
    const page = await context.newPage();
    await page.goto('/sign-in');
    const shoot = async (name) => {
      await page.mouse.move(0, 0);
      await page.evaluate(() => document.fonts.ready);
      await page.waitForLoadState('networkidle');
      await page.screenshot({ path: join(out, `${name}.png`) });
      say(`  ${name}.png`);
    };
    const enter = async () => {
      await page.getByLabel('E-mail').fill('ann@halt.example');
      await page.getByLabel('Password').fill('beside the old line');
      await page.getByRole('button', { name: 'Sign in' }).click();
      await page.getByRole('heading', { name: 'Today' }).waitFor();
    };
    const plant = async (name) => {
      await page
        .getByRole('link', { name: new RegExp(name) })
        .first()
        .click();
      await page.getByRole('heading', { level: 1, name }).waitFor();
    };
    return { page, shoot, enter, plant, close: () => context.close() };
  };

  const desk = await open(DESK);
  await desk.enter();
  await desk.shoot('garden');
  await desk.plant('Sleeper Paste');
  await desk.page.getByRole('button', { name: 'Fruit', exact: true }).click();
  await desk.page.getByRole('button', { name: 'Dark patch at the bottom', exact: true }).click();
  await desk.page.getByLabel('Dark patch at the bottom: how many', { exact: true }).fill('5');
  await desk.page.getByLabel('Dark patch at the bottom: of how many', { exact: true }).fill('12');
  await desk.page.getByRole('button', { name: 'No insects found' }).click();
  await desk.page.getByText('Saved: 2 seen').waitFor();
  await desk.shoot('look');
  await desk.page.getByRole('link', { name: 'What is it?' }).click();
  await desk.page.getByRole('heading', { name: /Blossom end rot/ }).waitFor();
  await desk.shoot('plant');
  await desk.page.getByRole('heading', { name: 'The other steps' }).scrollIntoViewIfNeeded();
  await desk.page.evaluate(() =>
    document.querySelector('[aria-label^="What to do"]')?.scrollIntoView({ block: 'center' }),
  );
  await desk.shoot('what-to-do');
  await desk.page.getByRole('link', { name: 'Garden', exact: true }).click();
  await desk.plant('Sleeper Paste');
  await desk.page.getByRole('link', { name: 'Case sheet' }).click();
  await desk.page.getByRole('article', { name: 'Case sheet' }).waitFor();
  await desk.shoot('sheet');
  await desk.page.getByRole('link', { name: 'Handbook' }).click();
  await desk.page.getByRole('heading', { level: 1, name: 'Handbook' }).waitFor();
  await desk.shoot('handbook');
  await desk.page.getByRole('link', { name: 'Shed', exact: true }).click();
  await desk.page.getByRole('status', { name: 'The dose' }).waitFor();
  await desk.shoot('shed');
  await desk.page.getByRole('link', { name: 'Garden', exact: true }).click();
  await desk.plant('Quiet Siding');
  for (const name of ['Pruning and training', 'Feeding']) await desk.page.getByRole('button', { name }).click();
  await desk.page.getByRole('img', { name: /^Nitrogen/ }).waitFor();
  await desk.page.evaluate(() => {
    const next = document.querySelector('[role="img"][aria-label^="Nitrogen"]').closest('section');
    globalThis.scrollTo(0, next.getBoundingClientRect().top + globalThis.scrollY - 160);
  });
  await desk.shoot('care');
  await desk.page.getByRole('link', { name: 'Garden', exact: true }).click();
  await desk.page
    .getByRole('region', { name: 'Wall bed' })
    .getByRole('link', { name: 'Wall bed', exact: true })
    .click();
  await desk.page.getByRole('link', { name: 'Soil', exact: true }).click();
  await desk.page.getByRole('region', { name: 'Soil test' }).waitFor();
  await desk.shoot('soil');
  await desk.page.getByRole('link', { name: 'Garden', exact: true }).click();
  await desk.page
    .getByRole('region', { name: 'Wall bed' })
    .getByRole('link', { name: 'Wall bed', exact: true })
    .click();
  await desk.page.getByRole('region', { name: 'The next seven days' }).waitFor();
  await desk.shoot('plan');
  await desk.page.getByRole('link', { name: 'Compare watering methods' }).click();
  await choose(desk.page, 'Bed or pot', 'Clay pots');
  await desk.page.getByRole('button', { name: 'Run' }).click();
  await desk.page.getByText('keeps this plant best').waitFor();
  // its charts are drawn one by one
  await desk.page.waitForFunction(() =>
    [...document.querySelectorAll('[aria-label="Results"] figure')].every(
      (f) => f.querySelector('.recharts-bar-rectangle') ?? f.querySelector('p'),
    ),
  );
  await desk.page.evaluate(() => {
    const came = document.querySelector('[aria-label="Results"]');
    globalThis.scrollTo(0, came.getBoundingClientRect().top + globalThis.scrollY - 175);
  });
  await desk.shoot('bench');
  await desk.page.getByRole('link', { name: 'Garden', exact: true }).click();
  await desk.page.getByRole('link', { name: 'Season', exact: true }).click();
  await desk.page.getByRole('link', { name: '2027' }).click();
  await desk.page.getByText('Lessons from 2026').or(desk.page.getByText('Signal Round, Wall bed')).first().waitFor();
  await desk.shoot('season');
  await desk.page.getByRole('link', { name: '2025' }).click();
  await desk.page.getByRole('link', { name: 'Harvest', exact: true }).click();
  await desk.page.getByRole('img', { name: /^Harvest by week/ }).waitFor();
  await desk.shoot('harvest');
  await desk.page.getByRole('link', { name: 'Handbook', exact: true }).click();
  await desk.page.getByRole('link', { name: 'Practice' }).click();
  await desk.page.getByRole('link', { name: 'Drooping leaves' }).click();
  await desk.page.getByRole('button', { name: 'Feel the soil a finger deep' }).click();
  await desk.page.getByText('So far 1 min.').waitFor();
  await desk.page.evaluate(() => globalThis.scrollTo(0, 0));
  await desk.shoot('practice');
  await desk.close();

  const phone = await open(PHONE);
  await phone.enter();
  await phone.shoot('garden-phone');
  await phone.page
    .getByRole('region', { name: 'Clay pots' })
    .getByRole('link', { name: 'Clay pots', exact: true })
    .click();
  await phone.page.getByRole('region', { name: 'The next seven days' }).waitFor();
  await phone.shoot('plan-phone');
  await phone.page.getByRole('link', { name: 'Garden', exact: true }).click();
  await phone.plant('Junction Bell');
  await phone.shoot('plant-phone');
  await phone.page.getByRole('button', { name: 'Upper leaves' }).click();
  await phone.page.getByRole('heading', { name: 'Upper leaves' }).waitFor();
  await phone.shoot('look-phone');
  await phone.close();

  const night = await open(DESK, 'dark');
  await night.enter();
  await night.plant('Sleeper Paste');
  await night.shoot('plant-dark');
  await night.close();
} catch (error) {
  endWith(error);
} finally {
  await browser?.close();
  await stop();
  if (home) rmSync(home, { recursive: true, force: true });
}
