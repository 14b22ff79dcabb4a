// npm run words -- --screens: counts the words a person meets on each screen of the demo garden, against what it may have.
import { createRequire } from 'node:module';
import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildAll, ROOT } from '../lib/build.mjs';
import { checkDisk, ensureModules, throwAwayFolder } from '../lib/machine.mjs';
import { say } from '../lib/say.mjs';
import { loadDemo, startStack } from '../lib/stack.mjs';

const SIZES = { phone: { width: 390, height: 844 }, desk: { width: 1280, height: 800 } };
const WITHOUT_WINDOW = '/usr/bin/chromium-headless-shell';

/**
 * Each screen with the most words it may show on a phone and at the desk, before anything is unfolded.
 * In a path, `:garden` is the demo garden, `{Name}` a plant of it by name, and `[Name]` a bed or pot of it.
 */
export const SCREENS = [
  ['garden', '/gardens/:garden', 160, 250],
  ['a day of the garden', '/gardens/:garden?day=2026-07-14', 160, 250],
  ['plant with a finding', '/gardens/:garden/plants/{Junction Bell}', 220, 450],
  ['plant without', '/gardens/:garden/plants/{Quiet Siding}', 160, 350],
  ['look at the fruit', '/gardens/:garden/plants/{Junction Bell}/look?part=fruit', 90, 130],
  ['plan', '/gardens/:garden/places/[Wall bed]/plan', 140, 170],
  ['soil', '/gardens/:garden/places/[Wall bed]/soil', 220, 280],
  ['place form', '/gardens/:garden/places/[Wall bed]', 110, 160],
  ['new place', '/gardens/:garden/places/new', 80, 100],
  ['season', '/gardens/:garden/season', 150, 250],
  ['harvest', '/gardens/:garden/season/harvest?year=2025', 300, 380],
  ['seasons compared', '/gardens/:garden/season/compare?year=2025', 300, 380],
  ['closing the year', '/gardens/:garden/season/close?year=2025', 300, 380],
  ['shed', '/gardens/:garden/shed', 200, 260],
  ['handbook', '/gardens/:garden/handbook', 450, 700],
  ['a problem', '/gardens/:garden/handbook/sunscald', 350, 400],
  ['signs', '/gardens/:garden/handbook/signs', 250, 250],
  ['claims', '/gardens/:garden/handbook/claims', 300, 400],
  ['practice plant', '/gardens/:garden/handbook/practice/spots/1', 250, 300],
  ['settings', '/gardens/:garden/settings', 90, 150],
  // it asks one thing more since the weather has a choice
  ['new garden', '/gardens/new', 80, 90],
  ['case sheet', '/gardens/:garden/plants/{Junction Bell}/sheet', 350, 350],
];

/** Signs in to the demo garden and returns what fills in a screen's path. */
async function signIn(page, base) {
  await page.goto(`${base}/sign-in`);
  await page.getByLabel('E-mail').fill('ann@halt.example');
  await page.getByLabel('Password').fill('beside the old line');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByRole('heading', { name: 'Today' }).waitFor();
  const garden = new URL(page.url()).pathname.split('/')[2];
  await page
    .getByRole('link', { name: /^Junction Bell/ })
    .first()
    .waitFor();
  const links = await page.evaluate(() =>
    [...document.querySelectorAll('main a')].map((a) => [a.getAttribute('aria-label') ?? a.textContent, a.pathname]),
  );
  const idOf = (room, name) =>
    links.flatMap(([text, path]) => (text.startsWith(name) ? (path.match(`/${room}/([^/]+)`) ?? []) : []))[1];
  return (path) =>
    path
      .replace(':garden', garden)
      .replace(/\{(.+)\}/, (_, name) => idOf('plants', name))
      .replace(/\[(.+)\]/, (_, name) => idOf('places', name));
}

/** Opens a screen and waits until nothing more comes. */
export async function settle(page, url) {
  await page.goto(url);
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  await page.waitForLoadState('networkidle');
  await page.evaluate(() => document.fonts.ready);
}

/** Words that can be read on the page as it is: what is folded away, hidden or only for screen readers does not count. */
const wordsShown = (page) =>
  page.evaluate(() => {
    const clipped = (e) => {
      const box = e.getBoundingClientRect();
      const { display, overflow } = getComputedStyle(e);
      return display !== 'contents' && overflow !== 'visible' && (box.width <= 2 || box.height <= 2);
    };
    const shown = (e) => {
      if (!e.checkVisibility({ visibilityProperty: true })) return false;
      for (let at = e; at; at = at.parentElement) if (clipped(at)) return false;
      return true;
    };
    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    let count = 0;
    for (let at = texts.nextNode(); at; at = texts.nextNode())
      if (shown(at.parentElement)) count += (at.textContent.match(/[\p{L}\p{N}][\p{L}\p{N}’'.,:/-]*/gu) ?? []).length;
    return count;
  });

/** The browser and the demo garden's pages in it, by size. */
export async function openScreens(base) {
  const { chromium } = createRequire(join(ROOT, 'e2e', 'package.json'))('@playwright/test');
  const browser = await chromium.launch({
    executablePath: existsSync(WITHOUT_WINDOW) ? WITHOUT_WINDOW : '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const open = async (size, more = {}) => {
    const page = await browser.newPage({ viewport: SIZES[size], locale: 'en-GB', timezoneId: 'Europe/Rome', ...more });
    const pathOf = await signIn(page, base);
    return { page, go: (path) => settle(page, base + pathOf(path)) };
  };
  return { open, close: () => browser.close() };
}

/** Counts every screen in both sizes. @returns how many have more words than they may */
async function countAll(base) {
  const screens = await openScreens(base);
  let over = 0;
  try {
    const counts = {};
    for (const size of Object.keys(SIZES)) {
      const { page, go } = await screens.open(size);
      for (const [name, path] of SCREENS) {
        await go(path);
        (counts[name] ??= {})[size] = await wordsShown(page);
      }
    }
    for (const [name, , phone, desk] of SCREENS) {
      const tooMany = counts[name].phone > phone || counts[name].desk > desk;
      over += tooMany ? 1 : 0;
      const row = [name.padEnd(22), `${counts[name].phone}/${counts[name].desk}`.padStart(10), `${phone}/${desk}`];
      say(`${row[0]} ${row[1]} of ${row[2].padEnd(9)}${tooMany ? ' too many' : ''}`);
    }
  } finally {
    await screens.close();
  }
  say(`${SCREENS.length} screens, phone/desk, ${over} with too many words`);
  return over;
}

/** Counts on a running application at `BASE_URL`, or on one of its own. */
export async function screens() {
  if (process.env.BASE_URL) return countAll(process.env.BASE_URL);
  checkDisk();
  await ensureModules();
  await buildAll(say);
  const home = throwAwayFolder('words', 'memory');
  delete process.env.DATABASE_URL;
  const stack = await startStack({ home, tell: say, weatherStandIns: true });
  try {
    await loadDemo(stack, home);
    return await countAll(stack.url);
  } finally {
    await stack.stop();
    rmSync(home, { recursive: true, force: true });
  }
}
