import { expect, test } from '@playwright/test';
import { choose, ownGarden, signIn, tomatoIn } from './helpers.js';

test('a soil test in its own units, what is short, a split dose of lime, and mulch from Today', async ({ page }) => {
  const own = await ownGarden(page);
  await tomatoIn(own, { name: 'Sour bed', kind: 'ground', texture: 'clay', lengthM: 2, widthM: 2 });
  await signIn(page, own.who);
  await page.getByRole('link', { name: 'Shed' }).click();
  await page.getByRole('link', { name: 'Soil', exact: true }).click();
  await page.getByRole('link', { name: /Sour bed/ }).click();
  await page.getByRole('button', { name: 'Add a soil test' }).click();
  const form = page.getByRole('region', { name: 'Soil test' });
  await form.getByLabel('pH', { exact: true }).fill('12');
  await form.getByLabel('Potassium', { exact: true }).fill('0.2');
  await choose(form, 'Potassium in', 'meq/100 g');
  await form.getByRole('button', { name: 'Save test' }).click();
  await expect(form.getByText('pH must be a soil pH between 2 and 11')).toBeVisible();
  await form.getByLabel('pH', { exact: true }).fill('5.0');
  await form.getByRole('button', { name: 'Save test' }).click();
  await expect(form.getByText(/Low: pH, potassium/)).toBeVisible();
  await expect(form.getByText('78', { exact: true })).toBeVisible();

  const dose = page.getByRole('status', { name: 'The dose' });
  await expect(dose.getByRole('listitem')).toHaveText([
    '1172\u00a0g on 18 July 2026',
    '1172\u00a0g on 14 January 2027',
  ]);
  await expect(dose).toContainText('Recipes range from 585 to 810 g per square metre in total');
  await page.getByLabel('Target pH').fill('7');
  await expect(page.getByText(/Never lime above pH 6.8/)).toBeVisible();
  await expect(page.getByText(/4 times as much. Start with the weaker/).first()).toBeVisible();

  await page.getByRole('button', { name: 'The soil is bare' }).click();
  await expect(page.getByText(/The soil is bare and warm/)).toBeVisible();
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  const today = page.getByRole('region', { name: 'Today' });
  await today.getByRole('button', { name: /^Done: Mulch: Sour bed/ }).click();
  await expect(today.getByText('Mulch: Sour bed')).toBeHidden();
});
