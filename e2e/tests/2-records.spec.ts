import { expect, test } from '@playwright/test';
import { choose, DEMO, signIn, unfold } from './helpers.js';

test('a plant’s records: pages, order, type, search, and an empty result', async ({ page }) => {
  await signIn(page, DEMO);
  await page.getByRole('link', { name: 'Junction Bell' }).first().click();
  await unfold(page, 'Records');
  const panel = page.getByRole('region', { name: 'Records' });
  await expect(panel.getByRole('row')).toHaveCount(5);
  await panel.getByRole('button', { name: /^All \d+ records$/ }).click();
  const rows = panel.getByRole('row');
  const days = async () =>
    (
      await panel
        .getByRole('cell')
        .filter({ hasText: /^\d+ \w{3}$/ })
        .allTextContents()
    ).map((d) => Date.parse(`${d} 2026`));
  await expect(rows).toHaveCount(13);
  const first = await days();
  expect(first).toEqual([...first].sort((a, b) => b - a));
  const of = Number((await panel.getByText(/^1 to 12 of/).textContent())!.split(' ').at(-1));
  expect(of).toBeGreaterThan(24);
  await panel.getByRole('button', { name: 'Older page' }).click();
  await expect(panel.getByText(`13 to 24 of ${of}`)).toBeVisible();
  expect((await days())[0]).toBeLessThanOrEqual(first.at(-1)!);

  await panel.getByRole('button', { name: 'Date', exact: true }).click();
  await expect(panel.getByRole('columnheader', { name: 'Date' })).toHaveAttribute('aria-sort', 'ascending');
  await expect(panel.getByText(`1 to 12 of ${of}`)).toBeVisible();
  const oldest = await days();
  expect(oldest).toEqual([...oldest].sort((a, b) => a - b));
  expect(oldest[0]).toBeLessThan(first.at(-1)!);

  await choose(panel, 'Type', 'Cut');
  await expect(rows.filter({ hasText: 'Cut' })).toHaveCount((await rows.count()) - 1);
  await expect(panel.getByRole('button', { name: /11 cuts/ })).toBeVisible();
  await panel.getByLabel('Search').fill('watered');
  await expect(panel.getByRole('status')).toHaveText('No record of this type contains these words.');
  await choose(panel, 'Type', 'all types');
  await expect(rows.filter({ hasText: 'Watered' })).toHaveCount((await rows.count()) - 1);
});
