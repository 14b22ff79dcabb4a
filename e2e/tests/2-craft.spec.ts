import { expect, test } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { choose, openToAll, ownGarden, savedIn, signIn, tomatoIn } from './helpers.js';

test('a rain barrel is described once; rain and cans move its level from then on', async ({ page }) => {
  const own = await ownGarden(page);
  await tomatoIn(own, { name: 'Pot', volumeL: 20 });
  await signIn(page, own.who);
  await page.getByRole('link', { name: 'Shed' }).click();
  await page.getByRole('link', { name: /Cloth/ }).click();
  await page.getByLabel('It holds (L)').fill('300');
  await page.getByLabel('Roof that fills it (m²)').fill('25');
  await page.getByLabel('In it now (L)').fill('120');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/since 18 July: about 120.L/)).toBeVisible();
  await openToAll(page);
});

test('weeds that a look finds at a young plant become a task; a tick records that they are cleared', async ({
  page,
}) => {
  const own = await ownGarden(page);
  const young = { stage: 'establishing', heightM: 0.2, transplantedOn: '2026-07-08' };
  await tomatoIn(own, { name: 'Bed', kind: 'ground', texture: 'loam', lengthM: 2, widthM: 0.6 }, young);
  await signIn(page, own.who);
  await page.getByRole('link', { name: /^The plant/ }).click();
  await page.getByRole('link', { name: 'Look it over' }).click();
  await page
    .getByRole('button', { name: /^Soil and roots/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Note weeds' }).click();
  await page.getByRole('button', { name: 'Save record' }).click();
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  const today = page.getByRole('region', { name: 'Today' });
  await today.getByRole('button', { name: /^Done: Weed: Bed/ }).click();
  await expect(today.getByText('Weed: Bed')).toBeHidden();
  await expect.poll(() => savedIn(page, 'companion')).toMatchObject([{ did: 'cleared' }, { did: 'seen' }]);
});

test('a split fruit says how to use it where it is picked; its taste is in the season’s report', async ({ page }) => {
  const own = await ownGarden(page);
  await tomatoIn(own, { name: 'Pot', volumeL: 20 });
  await signIn(page, own.who);
  await page.getByRole('link', { name: /^The plant/ }).click();
  await page.getByRole('button', { name: 'Record', exact: true }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('button', { name: 'Pick', exact: true }).click();
  await sheet.getByLabel('Total weight (g)').fill('400');
  await choose(sheet, 'Condition', 'Split');
  await expect(sheet.getByText(/cut out the crack and eat soon/)).toBeVisible();
  await sheet.getByText('Day and details').click();
  await choose(sheet, 'Taste', 'Best');
  await sheet.getByLabel('Sugar, °Brix').fill('6.5');
  await sheet.getByRole('button', { name: 'Save record' }).click();
  await expect
    .poll(() => savedIn(page, 'picking'))
    .toMatchObject([{ grams: 400, state: 'split', taste: 'best', brix: 6.5 }]);
  await page.getByRole('link', { name: 'Season' }).click();
  await page.getByRole('link', { name: 'Harvest' }).click();
  await expect(
    page
      .getByRole('table', { name: /Taste/ })
      .or(page.getByText('Taste', { exact: true }))
      .first(),
  ).toBeVisible();
  await expect(page.getByText('Split fruit and pauses between waterings')).toBeVisible();
  await openToAll(page);
});

test('fruit unlike its packet is noted in a look; Today asks, and the variety is corrected', async ({ page }) => {
  const own = await ownGarden(page);
  const varieties = { red: randomUUID(), gold: randomUUID() };
  for (const [name, id] of [
    ['Siding Red', varieties.red],
    ['Siding Gold', varieties.gold],
  ] as const)
    await own.put('/varieties', { id, name, crop: 'tomato', type: 'slicer', habit: 'indeterminate' });
  await tomatoIn(own, { name: 'Pot', volumeL: 20 }, { stage: 'ripening', varietyId: varieties.red });
  await signIn(page, own.who);
  await page.getByRole('link', { name: /^The plant/ }).click();
  await page.getByRole('link', { name: 'Look it over' }).click();
  await page
    .getByRole('button', { name: /^Fruit/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Unlike its packet' }).click();
  await expect(page.getByText(/Today asks which variety it is/).first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Unlike its packet' })).toBeHidden();
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await expect(page.getByText(/^Is it Siding Red\? The plant/).first()).toBeVisible();
});
