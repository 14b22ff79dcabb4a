import type { GardenView } from '@candid-leaf/contract';
import { expect, test, type Page } from '@playwright/test';
import { CONTRAST, DEMO, noSideways, ownDemo, savedIn, signIn, TODAY, violations } from './helpers.js';
import { showsNoUnits } from './units-shown.js';
import { SICK, views } from './views.js';

/** So high its page is on a phone at most, before anything of it is unfolded. */
const PLANT_PX = 2600 + 68; // and the room that the pinned act needs below

/** At 360 px too nothing runs sideways, and every control can be touched with a thumb. */
async function atArmsLength(page: Page, name: string): Promise<void> {
  await page.setViewportSize({ width: 360, height: 740 });
  await noSideways(page);
  const small = await page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('main button, main a[class*="min-h"], nav a, nav button')]
      .map((e) => ({ text: e.getAttribute('aria-label') ?? e.textContent, box: e.getBoundingClientRect() }))
      .filter(({ box }) => box.width > 0 && (box.height < 43.5 || box.width < 43.5))
      .map(({ text, box }) => `${text} ${Math.round(box.width)}×${Math.round(box.height)}`),
  );
  expect([name, small]).toEqual([name, []]);
  await page.setViewportSize({ width: 390, height: 844 });
}

/** Changes the garden that is shown to US units and dates. */
async function inUsUnits(page: Page): Promise<void> {
  const id = new URL(page.url()).pathname.split('/').at(-1)!;
  const { garden } = (await (await page.request.get(`/api/gardens/${id}/view`)).json()) as GardenView;
  const { today: _t, ...settings } = garden;
  const units = { temperature: 'F', volume: 'gal-us', length: 'in', mass: 'oz', area: 'ft2' };
  const saved = await page.request.put('/api/gardens', { data: { ...settings, units, dateForm: 'MMMM d' } });
  expect(saved.ok()).toBe(true);
}

/** How a device is looked at: by day, in its other light, and in which units nothing is shown. */
const DEVICES = {
  desk: { viewport: { width: 1280, height: 800 }, hasTouch: false, other: 'dark', otherUnits: 'imperial' },
  phone: { viewport: { width: 390, height: 844 }, hasTouch: true, other: 'sun', otherUnits: 'metric' },
} as const;

for (const where of ['desk', 'phone'] as const)
  test(`every view is accessible and fits the screen: ${where}`, async ({ browser }) => {
    test.setTimeout(300_000); // each view is looked at element by element
    const { other, otherUnits, ...device } = DEVICES[where];
    const context = await browser.newContext({ ...device, colorScheme: 'light' });
    const page = await context.newPage();
    const problems: string[] = [];
    page.on('pageerror', (e) => problems.push(e.message));
    const check = async (name: string, only?: readonly string[]) => {
      expect([name, await violations(page, only)]).toEqual([name, []]);
      await noSideways(page);
    };
    /** What a view is made of is the same everywhere: by day at the desk all of it is looked at, elsewhere what differs there. */
    const lookAt = async (name: string, whole: boolean) => {
      if (whole || where === 'desk') await check(name);
      else await noSideways(page);
      // the description of the interface has one theme of its own
      if (name === 'api description') return;
      await page.evaluate((theme) => (document.documentElement.dataset.theme = theme), other);
      await check(`${name}, ${other}`, whole ? undefined : CONTRAST);
      await page.evaluate(() => delete document.documentElement.dataset.theme);
      if (where === 'phone') await atArmsLength(page, name);
    };
    await page.goto('/sign-in');
    await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
    await lookAt('sign-in', true);
    await signIn(page, where === 'desk' ? DEMO : await ownDemo());
    if (where === 'phone') await inUsUnits(page);
    for (const [i, [name, path]] of (await views(page)).entries()) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
      // all of it is there: nothing is waited for any more
      await expect(page.getByRole('status').filter({ hasText: '…' })).toHaveCount(0);
      await page.evaluate(() => document.fonts.ready);
      // a view that sends elsewhere was not looked at
      expect(page.url()).toContain(path);
      if (name === SICK && where === 'phone') {
        await expect(page.getByRole('button', { name: 'Records' })).toBeVisible();
        const high = await page.evaluate(() => document.documentElement.scrollHeight);
        expect(high).toBeLessThanOrEqual(PLANT_PX);
      }
      // the busiest are looked at whole in each light
      await lookAt(name, i < 4);
      // settings offer both systems, and the api description names every unit
      if (name !== 'settings' && name !== 'api description') await showsNoUnits(page, otherUnits, name);
    }
    expect(problems).toEqual([]);
    await context.close();
  });

test('keyboard only: sign in, pick a day, open a plant, record a sign', async ({ page }) => {
  const who = await ownDemo();
  await page.goto('/sign-in');
  const tabTo = async (name: RegExp) => {
    for (let i = 0; i < 140; i++) {
      await page.keyboard.press('Tab');
      const here = await page.evaluate(
        () => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent ?? '',
      );
      if (name.test(here)) return;
    }
    throw new Error(`the tab key never reached ${name}`);
  };
  await page.getByLabel('E-mail').focus();
  await page.keyboard.type(who.email);
  await page.keyboard.press('Tab');
  await page.keyboard.type(who.password);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  await tabTo(/Tuesday 14 July/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Tuesday 14 July' })).toBeVisible();
  await tabTo(/Down Line/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Down Line' })).toBeVisible();
  await tabTo(/^Growing tip/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Growing tip' })).toBeVisible();
  await tabTo(/^Clusters of small soft insects/);
  await page.keyboard.press('Space');
  await expect(page.getByText('Saved: 1 seen')).toBeVisible();
  await expect
    .poll(async () => (await savedIn(page, 'inspection'))[0])
    .toMatchObject({ date: TODAY, signs: [{ present: true }] });
  await page.keyboard.press('Space');
  await expect(page.getByText('Saved:')).toBeHidden();
});
