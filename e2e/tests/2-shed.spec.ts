import type { ProductDto } from '@candid-leaf/contract';
import { expect, test } from '@playwright/test';
import { choose, ownGarden, signIn, tomatoIn, savedIn, stored, TODAY, unfold } from './helpers.js';

test('a dose for a sprayer in US gallons, with spoons and leftovers; and from a nutrient to an amount', async ({
  page,
}) => {
  const own = await ownGarden(page, { volume: 'gal-us', mass: 'oz' });
  await tomatoIn(own, { name: 'Long bed', kind: 'ground', texture: 'loam', lengthM: 3, widthM: 1 });
  await signIn(page, own.who);
  await page.getByRole('link', { name: 'Shed' }).click();
  await page.getByRole('button', { name: 'Dose of Neem oil concentrate' }).click();
  await expect(page.getByRole('heading', { name: 'Neem oil concentrate: how much?' })).toBeVisible();
  await page.getByLabel('Plants').fill('12');
  await page.getByLabel('Per plant (US gal)').fill('0.15');
  await page.getByLabel('Sprayer size (US gal)').fill('1');
  const dose = page.getByRole('status', { name: 'The dose' });
  // a teaspoon to the US gallon, and what the last half litres make of it
  await expect(dose.getByRole('listitem').first()).toContainText('4.9\u00a0mL (1 tsp) in 1\u00a0US gal');
  await expect(dose).toContainText('will be left over');
  await expect(page.getByText('Always follow the product label and local rules.')).toBeVisible();

  await page.getByRole('button', { name: 'Dose of Blood meal' }).click();
  await expect(page.getByRole('heading', { name: 'Blood meal: how much?' })).toBeVisible();
  await page.getByRole('radio', { name: 'a nutrient amount' }).click();
  await page.getByLabel('Per plant (oz)').fill('0.07');
  await expect(dose).toContainText('per plant');
  await expect(dose).toContainText('1.92 g of N');

  await test.step('a label is entered as it is printed: two tablespoons to the gallon', async () => {
    await page.getByRole('link', { name: 'Add a product' }).click();
    await page.getByLabel('Name').fill('Fish jug');
    await choose(page, 'Measured', 'poured');
    await choose(page, 'Counted in', 'tablespoons');
    await choose(page, 'for', 'a US gallon of water');
    await page.getByLabel('Dose (tablespoons)').fill('2');
    await page.getByLabel('N (%)').fill('5');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('2 tablespoons a US gallon of water').first()).toBeVisible();
    const [mine] = (await stored<ProductDto[]>(page, 'products')).filter((p) => p.name === 'Fish jug');
    expect(mine!.dose).toEqual({ per: 'litre', amount: expect.closeTo(7.81, 2), unit: 'tbsp' });
  });
});

test('an own product: 120 % nitrogen is refused at its field; later the product fills the feed form', async ({
  page,
}) => {
  const own = await ownGarden(page);
  await tomatoIn(own, { name: 'Door pot', volumeL: 20 });
  await signIn(page, own.who);
  await page.getByRole('link', { name: 'Shed' }).click();
  await unfold(page, 'Organic granules');
  await page.getByRole('link', { name: 'Copy the label of Organic granules' }).click();
  await expect(page.getByLabel('Allowed in organic growing')).toHaveText('yes');
  await page.getByLabel('Name').fill('Grey sack');
  await page.getByLabel('N (%)').fill('120');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('N (%) must be a percentage of its weight: 0 to 100 %')).toBeVisible();
  await page.getByLabel('N (%)').fill('6');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Grey sack: how much?' })).toBeVisible();
  await expect(page.getByRole('status', { name: 'The dose' })).toContainText('2.4 g of N');

  // the dose is recorded as it stands
  await page.getByRole('button', { name: 'Record this for Door pot' }).click();
  await expect(page.getByLabel('Per plant (g)')).toHaveValue('40');
  await page.getByRole('button', { name: 'Save record' }).click();
  await expect
    .poll(() => savedIn(page, 'feeding'))
    .toMatchObject([{ product: 'Grey sack', n: 6, p2o5: 4, k2o: 4, grams: 40, form: 'granular', date: TODAY }]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => savedIn(page, 'feeding')).toEqual([]);

  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await page.getByRole('link', { name: /^The plant/ }).click();
  await page.getByRole('button', { name: 'Record', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Feed', exact: true }).click();
  await choose(page, 'Product', 'Grey sack');
  await expect(page.getByLabel('N (%)')).toHaveValue('6');
  await expect(page.getByLabel('Per plant (g)')).toHaveValue('40');
  await page.getByRole('button', { name: 'Save record' }).click();
  await expect(page.getByRole('button', { name: 'Fed 40 g of Grey sack (6-4-4)' })).toBeVisible();
  await expect
    .poll(() => savedIn(page, 'feeding'))
    .toMatchObject([{ product: 'Grey sack', n: 6, grams: 40, form: 'granular' }]);
});
