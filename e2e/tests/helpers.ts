import axe, { type AxeResults, type ElementContext, type RunOptions } from 'axe-core';
import { DEMO_ACCOUNT, DEMO_DAY, loadDemo } from '@candid-leaf/demo';
import { expect, type APIRequestContext, type Locator, type Page } from '@playwright/test';
import { randomUUID } from 'node:crypto';

const { source } = axe;

/** The demo garden, to look at only: others look at it too. */
export const DEMO = DEMO_ACCOUNT;
export const TODAY = DEMO_DAY;

/** A copy of the demo garden of one's own, to do things in. */
export async function ownDemo(): Promise<{ email: string; password: string }> {
  const who = { ...DEMO_ACCOUNT, email: `${randomUUID()}@halt.example` };
  await loadDemo(process.env.BASE_URL ?? '', { who, copy: randomUUID(), timerUrl: process.env.TIMER_URL! });
  return who;
}

const must = async (request: APIRequestContext, method: 'put' | 'post', path: string, data: object): Promise<void> => {
  const answer = await request[method](path, { data });
  expect(answer.ok(), `${path}: ${await answer.text()}`).toBe(true);
};

/** Comes in as somebody who has a session; the form of the sign-in has stories of its own. */
export async function signIn(page: Page, who: { email: string; password: string }): Promise<void> {
  await must(page.request, 'post', '/api/session', { email: who.email, password: who.password });
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
}

export interface Own {
  who: { email: string; password: string };
  garden: string;
  put: (path: string, data: object) => Promise<void>;
  post: (path: string, data?: object) => Promise<void>;
  /** what the server has stored of a type, newest first */
  saved: (type: string, plantId?: string) => Promise<object[]>;
  /** moves the garden's day */
  until: (day: string) => Promise<void>;
}

/** A gardener of our own with an empty garden that stands on 18 July; later tests are not disturbed. */
export async function ownGarden(
  page: Page,
  units: object = {},
  pinnedDate = TODAY,
  timeZone = 'Europe/Rome',
): Promise<Own> {
  const who = { email: `${randomUUID()}@halt.example`, password: 'under the signal box' };
  const garden = randomUUID();
  const { request } = page;
  await must(request, 'post', '/api/accounts', { ...who, name: 'Bo' });
  const settings = {
    id: garden,
    name: 'Own garden',
    latitude: 45.6,
    longitude: 8.9,
    elevationM: 180,
    lastFrost: '04-18',
    firstFrost: '10-28',
    timeZone,
    units: { temperature: 'C', volume: 'L', length: 'cm', mass: 'g', area: 'm2', ...units },
    weekStart: 'monday',
    dateForm: 'd MMMM',
    pinnedDate,
  };
  await must(request, 'put', '/api/gardens', settings);
  const at = (path: string) => `/api/gardens/${garden}${path}`;
  const own: Own = {
    who,
    garden,
    put: (p, d) => must(request, 'put', at(p), d),
    post: (p, d = {}) => must(request, 'post', at(p), d),
    saved: async (type, plantId) => {
      const query = new URLSearchParams({ type, ...(plantId ? { plantId } : {}) });
      const rows = (await (await request.get(`${at('/records')}?${query}`)).json()) as { data: object }[];
      return rows.map((r) => r.data);
    },
    until: async (day) => {
      const { garden: now } = (await (await request.get(at('/view'))).json()) as { garden: { version: number } };
      await must(request, 'put', '/api/gardens', { ...settings, version: now.version, pinnedDate: day });
    },
  };
  return own;
}

/** What the server has stored of a type in the garden that the page shows, newest first. */
export async function savedIn(page: Page, type: string): Promise<object[]> {
  const rows = await stored<{ data: object }[]>(page, `records?type=${type}`);
  return rows.map((r) => r.data);
}

/** What the server answers about the garden that the page shows: what it has stored, not what the page remembers. */
export async function stored<T>(page: Page, path: string): Promise<T> {
  const garden = /\/gardens\/([^/?]+)/.exec(page.url())![1];
  return (await (await page.request.get(`/api/gardens/${garden}/${path}`)).json()) as T;
}

/** Nothing on the page may be wider than the page, once charts have taken its width. */
export async function noSideways(page: Page): Promise<void> {
  const over = (): Promise<number> =>
    page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  await expect.poll(over).toBeLessThanOrEqual(0);
}

/** A day so many before the garden's own. */
export const day = (back: number): string => new Date(Date.UTC(2026, 6, 18 - back)).toISOString().slice(0, 10);

export async function tomatoIn(own: Own, place: object, plant: object = {}): Promise<{ place: string; plant: string }> {
  const ids = { place: randomUUID(), plant: randomUUID() };
  await own.put('/places', { id: ids.place, name: 'The place', kind: 'container', texture: 'potting-mix', ...place });
  await own.put('/plants', {
    id: ids.plant,
    placeId: ids.place,
    name: 'The plant',
    crop: 'tomato',
    type: 'slicer',
    stage: 'fruiting',
    transplantedOn: '2026-05-10',
    heightM: 1.2,
    ...plant,
  });
  return ids;
}
export const watered = (own: Own, plantId: string, backs: number[], litres: number) =>
  Promise.all(
    backs.map((back) =>
      own.put('/records', { id: randomUUID(), type: 'watering', plantId, data: { date: day(back), litres } }),
    ),
  );

export async function see(page: Page, part: RegExp, ...signs: string[]): Promise<void> {
  await page.getByRole('button', { name: part }).click();
  for (const sign of signs) {
    await touchSign(page, sign);
    await expect(page.getByRole('button', { name: sign, exact: true })).toHaveAttribute('aria-pressed', 'true');
  }
}
/** Opens a task on hold and returns its line, with the reason. */
export async function heldTask(page: Page, title: RegExp): Promise<Locator> {
  const held = page.getByRole('list', { name: 'Not now' });
  const line = held
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: title }) })
    .first();
  await expect(line).toBeVisible();
  await unfold(line, title);
  return line;
}
/** Touches a sign, among the likeliest or behind "More signs". */
export async function touchSign(page: Page, name: string): Promise<void> {
  const tile = page.getByRole('button', { name, exact: true });
  const more = page.getByRole('button', { name: 'More signs' });
  await expect(tile.or(more).first()).toBeVisible();
  if (!(await tile.isVisible())) await more.click();
  await tile.click();
}
export const whatIsIt = async (page: Page) => {
  await expect(page.getByText(/^Saved:/)).toBeVisible();
  await page.getByRole('link', { name: 'What is it?' }).click();
};

/** Both at once: the rule for 7:1 leaves what is below 4.5:1 to the other. */
export const CONTRAST = ['color-contrast', 'color-contrast-enhanced'] as const;

/**
 * Returns what axe finds wrong, a line for each rule. Axe is put into a page once, however often it looks at it. Drawings
 * that stand beside their words are silent by intent. Words are at 7:1, large ones at 4.5:1 (WCAG 2.2, 1.4.6).
 */
export async function violations(page: Page, only?: readonly string[]): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(source);
  return page.evaluate(async (rules) => {
    const { axe } = window as unknown as { axe: { run: (of: ElementContext, how: RunOptions) => Promise<AxeResults> } };
    const found = await axe.run(
      { exclude: [['svg[aria-hidden="true"]']] },
      {
        resultTypes: ['violations'],
        rules: { 'color-contrast-enhanced': { enabled: true } },
        ...(rules ? { runOnly: [...rules] } : {}),
      },
    );
    return found.violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`);
  }, only);
}

/** A page that only a link opens, as every other must be: nothing that axe finds, by day, by night and in the sun, and nothing sideways on a phone. */
export async function openToAll(page: Page): Promise<void> {
  const before = page.viewportSize()!;
  await page.setViewportSize({ width: 360, height: 740 });
  for (const [scheme, theme] of [
    ['light', ''],
    ['dark', ''],
    ['light', 'sun'],
  ] as const) {
    await page.emulateMedia({ colorScheme: scheme });
    await page.evaluate(
      (t) => (t ? (document.documentElement.dataset.theme = t) : delete document.documentElement.dataset.theme),
      theme,
    );
    expect([scheme, theme, await violations(page)]).toEqual([scheme, theme, []]);
    await noSideways(page);
  }
  await page.evaluate(() => delete document.documentElement.dataset.theme);
  await page.emulateMedia({ colorScheme: 'light' });
  await page.setViewportSize(before);
}

/** What can be done with a place stands behind one touch. */
export async function ofPlace(page: Page, place: string, item: string): Promise<void> {
  if (item === 'Add a record') return page.getByRole('button', { name: `Add a record: ${place}` }).click();
  await page.getByRole('button', { name: `More about ${place}` }).click();
  await page.getByRole('menuitem', { name: item }).click();
}

/** Chooses one of a list by its words: from the device's own where a finger points, else from the one that opens. */
export async function choose(scope: Page | Locator, label: string, words: string): Promise<void> {
  const page = 'page' in scope ? scope.page() : scope;
  // a region may have the same name
  const field = scope.getByLabel(label, { exact: true }).and(scope.locator('select, button'));
  if ((await field.evaluate((el) => el.tagName)) === 'SELECT') {
    await field.selectOption({ label: words });
    return;
  }
  await field.click();
  await page.getByRole('option', { name: words, exact: true }).click();
  await expect(field).toHaveText(words);
}

/** Chooses a day on the calendar of a field: its year and month from the lists, then the day. */
export async function pickDay(scope: Page | Locator, label: string, iso: string): Promise<void> {
  const page = 'page' in scope ? scope.page() : scope;
  await scope
    .getByRole('button', { name: new RegExp(`^${label}: `) })
    .first()
    .click();
  const calendar = page.getByRole('dialog', { name: label, exact: true });
  const [year, month] = iso.split('-').map(Number) as [number, number];
  for (const [list, value] of [
    ['Choose the Year', year],
    ['Choose the Month', month - 1],
  ] as const) {
    const select = calendar.getByLabel(list);
    if ((await select.inputValue()) !== String(value)) await select.selectOption(String(value));
  }
  await calendar.locator(`[data-day="${iso}"] button`).click();
  await expect(calendar).toHaveCount(0);
}

/** Opens a line of Today or another fold; leaves an open one open. */
export async function unfold(where: Page | Locator, name: string | RegExp): Promise<void> {
  const line = where.getByRole('button', { name }).first();
  if ((await line.getAttribute('aria-expanded')) !== 'true') await line.click();
}
