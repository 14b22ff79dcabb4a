import { expect, test } from '@playwright/test';
import { ownGarden, signIn, tomatoIn, savedIn } from './helpers.js';

test('a logged home remedy is saved and commented on once; claims can be searched', async ({ page }) => {
  const own = await ownGarden(page);
  await tomatoIn(own, { name: 'Bed', kind: 'ground', texture: 'loam', lengthM: 1, widthM: 0.5 });
  await signIn(page, own.who);
  await page.getByRole('link', { name: /^The plant/ }).click();
  const note = async (text: string) => {
    await page.getByRole('button', { name: 'Record', exact: true }).click();
    await page.getByRole('button', { name: 'Note', exact: true }).click();
    await page.getByLabel('Note', { exact: true }).fill(text);
    await page.getByRole('button', { name: 'Save record' }).click();
  };
  await note('Crushed eggshells round the stem');
  const told = page.getByRole('dialog', { name: 'About this product or method' });
  await expect(told).toContainText('No evidence that it helps. They take years to dissolve');
  await expect(told).toContainText('Better: Water evenly');
  await told.getByRole('button', { name: 'Good to know' }).click();
  await expect(page.getByRole('button', { name: /Crushed eggshells round the stem/ })).toBeVisible();
  await note('More eggshells');
  await expect(page.getByRole('button', { name: /More eggshells/ })).toBeVisible();
  await expect(told).toBeHidden();

  await page.getByRole('link', { name: 'Handbook' }).click();
  await page.getByRole('link', { name: 'Claims', exact: true }).click();
  await page.getByLabel('Search claims').fill('marigold');
  await expect(page.getByRole('main').getByRole('listitem')).toHaveCount(1);
  await expect(page.getByText(/Conboy et al. 2019/)).toBeVisible();
  await expect
    .poll(() => savedIn(page, 'note'))
    .toMatchObject([{ text: 'More eggshells' }, { text: 'Crushed eggshells round the stem' }]);
});
