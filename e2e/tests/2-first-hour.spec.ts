import { expect, test, type Locator, type Page } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { noSideways, ofPlace, ownGarden, signIn, savedIn, unfold } from './helpers.js';

/** Somebody new, whose touches and typed fields are counted. */
function counted(page: Page) {
  let inputs = 0;
  return {
    tap: async (what: Locator) => {
      inputs += 1;
      await what.tap();
    },
    /** as it stands in the first screen: nothing is scrolled for it */
    tapInSight: async (what: Locator) => {
      inputs += 1;
      await expect(what).toBeInViewport({ ratio: 1 });
      await what.tap();
      expect(await page.evaluate(() => window.scrollY)).toBe(0);
    },
    type: async (what: Locator, text: string) => {
      inputs += 1;
      await what.fill(text);
    },
    inputs: () => inputs,
    since: (before: number) => inputs - before,
    page,
  };
}

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, locale: 'de-CH' });

test('by touch: from sign-up to the first finding in twelve inputs, then six plants at once', async ({ page }) => {
  const her = counted(page);
  await page.goto('/');
  // the first screen: who she is
  await her.tap(page.getByRole('button', { name: 'Create account' }));
  await her.type(page.getByLabel('Your name'), 'Ida');
  await her.type(page.getByLabel('E-mail'), `${randomUUID()}@halt.example`);
  await her.type(page.getByLabel('Password'), 'under the signal box');
  await her.tap(page.getByRole('button', { name: 'Create account' }));
  // the second: where the garden lies
  const town = page.getByRole('combobox', { name: 'Nearest town' });
  await her.type(town, 'zuri');
  await her.tap(page.getByRole('option', { name: 'Zürich, Switzerland' }));
  await expect(page.getByText('time zone Europe/Zurich')).toBeVisible();
  // proposed, and said to be a guess; amounts by the device's language
  await expect(page.getByRole('button', { name: /^Usual last frost: about \d+ May$/ })).toBeVisible();
  await expect(page.getByRole('radio', { name: 'Metric' })).toBeChecked();
  await noSideways(page);
  await her.tap(page.getByRole('button', { name: 'Create garden' }));
  // the third: the plant that looks sick
  await expect(page.getByText('Add your first bed or pot')).toBeVisible();
  await noSideways(page);
  await her.tapInSight(page.getByRole('button', { name: 'Look it over' }));
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Tomato 1');
  await her.tapInSight(page.getByRole('button', { name: /^Fruit/ }));
  await her.tapInSight(page.getByRole('button', { name: /^Dark patch at the bottom/ }));
  await her.tapInSight(page.getByRole('link', { name: 'What is it?' }));
  const finding = page.getByRole('region', { name: 'Finding' });
  await expect(finding.getByRole('heading').first()).toContainText('Blossom end rot');
  // what nobody told of the pot is not held against it
  await expect(finding.getByText(/larger pot/)).toHaveCount(0);
  // the answer, what to do first and how sure stand in the first screen
  await expect(finding.getByRole('img', { name: /How certain/ })).toBeInViewport();
  await expect(page.getByRole('button', { name: 'I will do this' })).toBeInViewport({ ratio: 1 });
  // and the act stays in reach of the thumb however far down she reads
  await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight));
  await expect(page.getByRole('button', { name: 'I will do this' })).toBeInViewport({ ratio: 1 });
  expect(her.inputs()).toBeLessThanOrEqual(12);

  // six plants more
  await page.getByRole('link', { name: 'Garden', exact: true }).tap();
  const before = her.inputs();
  await her.tap(page.getByRole('link', { name: 'Add a bed or pot' }));
  await her.tap(page.getByRole('radio', { name: 'Raised bed' }));
  await her.tap(page.getByRole('radio', { name: 'Peppers' }));
  await her.tap(page.getByRole('button', { name: 'Create' }));
  expect(her.since(before)).toBeLessThanOrEqual(8);
  const bed = page.getByRole('region', { name: 'Raised bed' });
  await expect(bed.getByRole('link', { name: /^Pepper \d/ })).toHaveCount(6);
  await expect(bed.getByRole('link', { name: /^Pepper 6/ })).toBeAttached();
  // a bed watered in two, all clear in one
  const two = her.inputs();
  await her.tap(page.getByRole('button', { name: 'Water Raised bed', exact: true }));
  await her.tap(page.getByRole('button', { name: 'Watered today' }));
  expect(her.since(two)).toBe(2);
  await expect(page.getByText(/^Raised bed: [\d.]+ ?.*(L|gal)\.$/)).toBeVisible();
  await her.tap(page.getByRole('button', { name: 'Pepper 1: all clear' }));
  await expect(bed.getByText('looked over today')).toBeVisible();
  // what is behind the dots is reached by thumb too
  await ofPlace(page, 'Raised bed', 'Walk along it');
  await expect(page).toHaveURL(/\/walk$/);
  await expect
    .poll(() => savedIn(page, 'inspection'))
    .toMatchObject([{ allClear: true }, { signs: [{ sign: 'fruit-blossom-end-dark', present: true }] }]);
  await expect.poll(() => savedIn(page, 'watering')).toHaveLength(1);
});

test('a garden needs a location, by town or by coordinates', async ({ page }) => {
  await page.goto('/sign-in');
  const email = `${randomUUID()}@halt.example`;
  const made = await page.request.post('/api/accounts', {
    data: { email, password: 'under the signal box', name: 'Ida' },
  });
  expect(made.ok()).toBe(true);
  await page.goto('/gardens/new');
  await page.getByRole('button', { name: 'Create garden' }).click();
  await expect(page.getByText('We need the location')).toBeVisible();
  await page.getByRole('button', { name: 'Enter coordinates' }).click();
  await page.getByLabel('Latitude (°)').fill('-41.3');
  await page.getByLabel('Longitude (°)').fill('174.8');
  await page.getByRole('button', { name: 'Use these' }).click();
  await expect(page.getByText(/New Zealand/)).toBeVisible();
  await page.getByRole('radio', { name: 'By the sea' }).click();
  // in the south spring is in the second half of the year
  await expect(page.getByRole('button', { name: /^Usual last frost: about \d+ (October|September)$/ })).toBeVisible();
  // there is none here, she knows; and the first one she chooses on the calendar
  await page.getByRole('button', { name: 'Usual last frost: no frost here' }).click();
  await page.getByRole('button', { name: 'Usual first frost: no frost here' }).click();
  await page.getByRole('radio', { name: 'I know it' }).click();
  await page.getByRole('button', { name: 'Create garden' }).click();
  await expect(page.getByText('Elevation (m) is needed')).toBeVisible();
  await page.getByLabel('Elevation (m)').fill('12');
  await page.getByRole('button', { name: 'Create garden' }).click();
  await expect(page.getByText('Add your first bed or pot')).toBeVisible();
  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByRole('link', { name: 'The garden' }).click();
  // what was refused shows itself, even in groups that were closed again
  await unfold(page, 'By coordinates');
  await page.getByLabel('Latitude (°)').fill('95');
  await page.getByRole('button', { name: 'By coordinates' }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByLabel('Latitude (°)')).toBeVisible();
  await expect(page.getByLabel('Latitude (°)')).toHaveAttribute('aria-invalid', 'true');
  await page.getByLabel('Latitude (°)').fill('-41.3');
  await expect(page.getByRole('button', { name: 'Usual last frost: no frost here' }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Usual last frost: no frost here' }).first().click();
  await page
    .getByRole('dialog', { name: 'Usual last frost' })
    .getByRole('button', { name: /May 12/ })
    .click();
  await expect(page.getByRole('button', { name: /^Usual last frost: 12 May/ })).toBeVisible();
});

test('a stranger sees a finding, looks at the demo garden without an account, and starts', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByText('Blossom end rot.')).toBeVisible();
  await page.getByRole('link', { name: 'Look at a demo garden' }).click();
  await expect(page.getByText('Demo garden, view only.')).toBeVisible();
  await page.getByRole('link', { name: /^Junction Bell/ }).click();
  await expect(page.getByRole('heading', { name: 'Sunscald', exact: true })).toBeVisible();
  for (const act of [/^I will do this/, /^Water/, /^Record$/, /^Done/, /^Sign out/])
    await expect(page.getByRole('button', { name: act })).toHaveCount(0);
  await page.getByRole('link', { name: 'Start your own garden' }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByLabel('Your name')).toBeFocused();
});

test('a newcomer visits the demo garden, read-only, and returns to her own', async ({ page }) => {
  const own = await ownGarden(page);
  await signIn(page, own.who);
  await page.getByRole('link', { name: 'Open the demo garden' }).click();
  await expect(page.getByText('Demo garden, view only.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Wall bed' })).toBeVisible();
  // nothing in it can be changed
  await expect(page.getByRole('button', { name: /all clear|^Done|^Not today/ })).toHaveCount(0);
  const demo = /gardens\/([^/?]+)/.exec(page.url())![1]!;
  const note = { id: randomUUID(), type: 'rain-gauge', data: { date: '2026-07-18', rainMm: 1 } };
  expect((await page.request.put(`/api/gardens/${demo}/records`, { data: note })).status()).toBe(403);
  await page.getByRole('link', { name: /^Junction Bell/ }).tap();
  await expect(page.getByRole('region', { name: 'Finding' }).getByRole('heading').first()).toContainText('Sunscald');
  await page.getByRole('link', { name: 'To your own garden' }).click();
  await expect(page.getByText('Add your first bed or pot')).toBeVisible();
  // one lands in one's own
  await page.goto('/');
  await expect(page.getByText('Add your first bed or pot')).toBeVisible();
});
