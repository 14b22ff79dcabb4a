import { expect, test, type Page } from '@playwright/test';
import { axe, DEMO, noSideways, ownDemo, signIn } from './helpers.js';

const SICK = 'plant with a finding';
/** So high its page is on a phone at most, before anything of it is unfolded. */
const PLANT_PX = 2600;

/** Every main view of the demo garden: as it must be for everybody, on a phone and at the desk, by day and by night. */
async function views(page: Page): Promise<[string, string][]> {
  const garden = new URL(page.url()).pathname;
  const hrefOf = async (name: string) => (await page.getByRole('link', { name }).first().getAttribute('href'))!;
  const sick = await hrefOf('Junction Bell');
  const bed = (await page
    .getByRole('region', { name: 'Wall bed' })
    .getByRole('link', { name: 'Wall bed' })
    .getAttribute('href'))!.replace(/\/plan$/, '');
  return [
    ['garden', garden],
    ['a day of the garden', `${garden}?day=2026-07-14`],
    [SICK, sick],
    ['looking it over', `${sick}/look?part=fruit`],
    ['Edit a plant', `${sick}/edit`],
    ['Edit a place', bed],
    ['settings', `${garden}/settings`],
    ['handbook', `${garden}/handbook`],
    ['the week of a place', `${bed}/plan`],
    ['bench', `${garden}/bench`],
    ['a trouble in the handbook', `${garden}/handbook/sunscald`],
    ['claims', `${garden}/handbook/claims`],
    ['practice', `${garden}/handbook/practice`],
    ['a plant to guess at', `${garden}/handbook/practice/spots/1`],
    ['all drawings', `${garden}/handbook/signs`],
    ['case sheet', `${sick}/sheet`],
    ['walk', `${bed}/walk`],
    ['season', `${garden}/season`],
    ['next year', `${garden}/season?year=2027`],
    ['an earlier year', `${garden}/season?year=2024`],
    ['harvest and closing', `${garden}/season/report?year=2025`],
    ['varieties', `${garden}/shed/varieties`],
    ['a variety', `${garden}/shed/varieties/new?from=slicer`],
    ['shed', `${garden}/shed`],
    ['what was sprayed', `${garden}/shed/sprays`],
    ['soil of a place', `${bed}/soil`],
    ['stock', `${garden}/shed/stock`],
    ['trials', `${garden}/shed/trials`],
    ['soils', `${garden}/shed/soil`],
    ['a product', `${garden}/shed/products/new?from=neem`],
    ['days away', `${garden}/away`],
    ['plant of another garden', `${garden}/other-garden`],
    ['import and export', `${garden}/files`],
    ['people and access', `${garden}/people`],
    ['account', '/account'],
    ['api description', '/api/docs'],
  ];
}

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

/** How a device is looked at: by day, and in its other light. */
const DEVICES = {
  desk: { viewport: { width: 1280, height: 800 }, hasTouch: false, other: 'dark' },
  phone: { viewport: { width: 390, height: 844 }, hasTouch: true, other: 'sun' },
} as const;

for (const where of ['desk', 'phone'] as const)
  test(`every view is accessible and fits the screen: ${where}`, async ({ browser }) => {
    test.setTimeout(300_000); // each view is looked at element by element
    const { other, ...device } = DEVICES[where];
    const context = await browser.newContext({ ...device, colorScheme: 'light' });
    const page = await context.newPage();
    const problems: string[] = [];
    page.on('pageerror', (e) => problems.push(e.message));
    const check = async (name: string, only?: string) => {
      // drawings that stand beside their words are silent by intent; looking into each of their lines only takes time
      const { violations } = await axe(page, only).analyze();
      expect(violations.map((v) => `${name}: ${v.id}: ${v.nodes[0]?.html}`)).toEqual([]);
      await noSideways(page);
    };
    /** What a view is made of is the same everywhere: by day at the desk all of it is looked at, elsewhere what differs there. */
    const lookAt = async (name: string, whole: boolean) => {
      if (whole || where === 'desk') await check(name);
      else await noSideways(page);
      await page.evaluate((theme) => (document.documentElement.dataset.theme = theme), other);
      await check(`${name}, ${other}`, whole ? undefined : 'color-contrast');
      await page.evaluate(() => delete document.documentElement.dataset.theme);
      if (where === 'phone') await atArmsLength(page, name);
    };
    await page.goto('/sign-in');
    await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
    await lookAt('sign-in', true);
    await signIn(page, DEMO);
    for (const [i, [name, path]] of (await views(page)).entries()) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
      // all of it is there: nothing is waited for any more
      await expect(page.getByRole('status').filter({ hasText: '…' })).toHaveCount(0);
      await page.evaluate(() => document.fonts.ready);
      // a view that sends elsewhere was not looked at
      expect(page.url()).toContain(path);
      if (name === SICK && where === 'phone') {
        await expect(page.getByRole('button', { name: 'All records' })).toBeVisible();
        const high = await page.evaluate(() => document.documentElement.scrollHeight);
        expect(high).toBeLessThanOrEqual(PLANT_PX);
      }
      // the busiest are looked at whole in each light
      await lookAt(name, i < 4);
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
  await page.keyboard.press('Space');
  await expect(page.getByText('Saved:')).toBeHidden();
});
