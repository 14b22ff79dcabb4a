import { expect, test, type Locator, type Page } from '@playwright/test';
import { savedIn } from './helpers.js';
import { randomUUID } from 'node:crypto';

/** Somebody who has a keyboard and nothing else: tabs to where they want to be, then types or presses a key. Both count as one input. */
function byKeys(page: Page) {
  let inputs = 0;
  const focused = (what: Locator) => what.evaluate((e) => e === document.activeElement);
  const reach = async (what: Locator): Promise<void> => {
    await expect(what).toBeVisible();
    for (let tabs = 0; !(await focused(what)); tabs++) {
      expect(tabs, `${String(what)} is not reached with the tab key`).toBeLessThan(70);
      await page.keyboard.press('Tab');
    }
    // where one is can be seen
    expect(await what.evaluate((e) => getComputedStyle(e).outlineStyle)).not.toBe('none');
  };
  return {
    reach,
    press: async (what: Locator, key = 'Enter') => {
      inputs += 1;
      await reach(what);
      await page.keyboard.press(key);
    },
    type: async (what: Locator, text: string) => {
      inputs += 1;
      await reach(what);
      await page.keyboard.type(text);
    },
    key: async (key: string) => {
      inputs += 1;
      await page.keyboard.press(key);
    },
    inputs: () => inputs,
  };
}

test.use({ viewport: { width: 1280, height: 800 }, locale: 'en-US' });

test('keyboard only: from sign-up to the first finding, then six plants, a watering and an all-clear', async ({
  page,
}) => {
  const his = byKeys(page);
  await page.goto('/');
  await his.press(page.getByRole('button', { name: 'Create account' }));
  await his.type(page.getByLabel('Your name'), 'Ole');
  await his.type(page.getByLabel('E-mail'), `${randomUUID()}@halt.example`);
  await his.type(page.getByLabel('Password'), 'under the signal box');
  await his.press(page.getByRole('button', { name: 'Create account' }));
  const town = page.getByRole('combobox', { name: 'Nearest town' });
  await his.type(town, 'savannah');
  await expect(page.getByRole('option', { name: /Savannah, .*United States/ }).first()).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await his.press(town);
  await expect(page.getByText(/time zone America/)).toBeVisible();
  await expect(page.getByRole('radio', { name: 'US' })).toBeChecked();
  await his.press(page.getByRole('button', { name: 'Create garden' }));
  await his.press(page.getByRole('button', { name: 'Look it over' }));
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Tomato 1');
  // whoever opened a page goes on from its heading
  await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
  await his.press(page.getByRole('button', { name: /^Fruit/ }));
  await his.press(page.getByRole('button', { name: /^Dark patch at the bottom/ }), 'Space');
  // a key of its own, listed under "?"
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keyboard shortcuts' })).toContainText('What is it?');
  await page.keyboard.press('Escape');
  await his.key('n');
  const finding = page.getByRole('region', { name: 'Finding' });
  await expect(finding.getByRole('heading').first()).toContainText('Blossom end rot');
  await expect(finding.getByRole('heading').first()).toBeInViewport();
  expect(his.inputs()).toBeLessThanOrEqual(12);

  // with single keys: to the garden; then six peppers in a raised bed
  await his.key('g');
  const before = his.inputs();
  await his.press(page.getByRole('link', { name: 'Add a bed or pot' }));
  await his.reach(page.getByRole('radio', { name: 'Bed', exact: true }));
  // held as long as a finger holds it: the choice follows the focus while the key is down
  await page.keyboard.down('ArrowRight');
  await expect(page.getByRole('radio', { name: 'Raised bed' })).toBeChecked();
  await page.keyboard.up('ArrowRight');
  await his.press(page.getByRole('button', { name: 'Create' }));
  expect(his.inputs() - before).toBeLessThanOrEqual(8);
  await expect(page.getByRole('region', { name: 'Raised bed' }).getByRole('link', { name: /^Tomato \d/ })).toHaveCount(
    6,
  );
  await his.press(page.getByRole('button', { name: 'Water Raised bed', exact: true }));
  await his.press(page.getByRole('button', { name: 'Watered today' }));
  await expect(page.getByText(/^Raised bed: [\d.]+ ?.*(L|gal)\.$/)).toBeVisible();
  await his.press(page.getByRole('button', { name: 'Tomato 2: all clear' }));
  await expect(page.getByText('Tomato 2: all clear.', { exact: true })).toBeVisible();
  await expect
    .poll(() => savedIn(page, 'inspection'))
    .toMatchObject([{ allClear: true }, { signs: [{ sign: 'fruit-blossom-end-dark', present: true }] }]);
  await expect.poll(() => savedIn(page, 'watering')).toHaveLength(1);
});
