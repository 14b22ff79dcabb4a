import { expect, type Page, test } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { choose, day, openToAll, ownGarden, signIn, tomatoIn, watered, savedIn, heldTask } from './helpers.js';

/** Opens the form of a spray for a tomato in a garden of one's own. */
async function sprayForm(page: Page): Promise<void> {
  const own = await ownGarden(page);
  await tomatoIn(own, { name: 'Pot', volumeL: 20 });
  await signIn(page, own.who);
  await page.getByRole('link', { name: /^The plant/ }).click();
  await page.getByRole('button', { name: 'Record', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Spray', exact: true }).click();
}

test('a spray: leaf test, a day’s wait, a look, then the plant; sulfur conflicts; the log; no picking', async ({
  page,
}) => {
  const own = await ownGarden(page);
  const { plant } = await tomatoIn(
    own,
    { name: 'Hall pot', kind: 'indoors', volumeL: 14 },
    { crop: 'pepper', type: 'sweet', heightM: 0.6, stage: 'vegetative' },
  );
  await watered(own, plant, [17, 14, 11, 8, 5, 3, 1, 0], 2);
  const look = (back: number, ...signs: string[]) =>
    own.put('/records', {
      id: randomUUID(),
      type: 'inspection',
      plantId: plant,
      data: { date: day(back), allClear: signs.length === 0, signs: signs.map((sign) => ({ sign, present: true })) },
    });
  await look(0, 'pest-aphids', 'leaf-sticky', 'leaf-curl-tight-new');
  const id = randomUUID();
  await own.post(`/plants/${plant}/treatments`, { id, disorder: 'aphids' });
  // water alone was not enough, three times over
  const today = page.getByRole('region', { name: 'Today' });
  await signIn(page, own.who);
  for (let week = 0; week < 4; week++) {
    await page.getByRole('link', { name: 'Settings' }).click();
    await page.getByRole('button', { name: 'One week' }).click();
    await expect(page.getByText(/is paused on/)).toBeVisible();
    await own.post(`/treatments/${id}/outcome`, { outcome: 'no-change' });
    await own.put('/records', {
      id: randomUUID(),
      type: 'watering',
      plantId: plant,
      data: { date: day(-7 * (week + 1)), litres: 2 },
    });
    // whether the spray's time has come, the server says
    const view = await page.request.get(`/api/gardens/${own.garden}/view`);
    if ((await view.text()).includes('Soap spray')) break;
  }
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await page.reload();
  await today.getByRole('button', { name: /^Done: Test on one leaf first: Soap spray/ }).click();
  await expect(await heldTask(page, /^Spray the rest: Soap spray/)).toContainText('Tested on one leaf');
  await page.getByRole('link', { name: 'Shed' }).click();
  await page.getByRole('link', { name: 'Sprays' }).click();
  await expect(page.getByRole('heading', { name: /Insecticidal soap/ })).toContainText('test on one leaf');
  await expect(page.getByText('Aphids')).toBeVisible();
  // a day later it is looked at, and the rest is offered
  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByRole('button', { name: 'One day' }).click();
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await today.getByRole('link', { name: 'Check the test leaf' }).click();
  await page.getByRole('button', { name: 'All clear', exact: true }).click();
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await expect(today.getByRole('button', { name: /^Done: Soap spray/ })).toBeVisible();
});

test('conflicting sprays are refused in the form, and so is picking during the wait', async ({ page }) => {
  const own = await ownGarden(page);
  const { plant } = await tomatoIn(own, { name: 'Bed', kind: 'ground', texture: 'loam', lengthM: 1, widthM: 0.5 });
  await own.put('/records', {
    id: randomUUID(),
    type: 'spray',
    plantId: plant,
    data: { date: day(2), product: 'sulfur', name: 'Yellow powder', harvestDays: 5 },
  });
  await signIn(page, own.who);
  await expect(await heldTask(page, /^Do not pick: The plant/)).toContainText('Yellow powder was sprayed on 16 July');
  await page.getByRole('link', { name: /^The plant/ }).click();
  await page.getByRole('button', { name: 'Record', exact: true }).click();
  await page.getByRole('button', { name: 'Spray', exact: true }).click();
  await choose(page, 'Product', 'Neem oil concentrate');
  await page.getByRole('button', { name: 'Save record' }).click();
  await expect(page.getByText(/oil and sulfur together burn leaves; leave 30 days between them/)).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Record', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Pick', exact: true }).click();
  await page.getByRole('button', { name: 'Save record' }).click();
  await expect(page.getByText(/not to pick before 21 July/)).toBeVisible();
  await page.getByLabel('Why anyway').fill('only one, washed');
  await page.getByRole('button', { name: 'Save record' }).click();
  await expect(page.getByRole('row', { name: /18 Jul Pick/ })).toBeVisible();
  await expect.poll(() => savedIn(page, 'spray')).toMatchObject([{ product: 'sulfur', name: 'Yellow powder' }]);
  await expect.poll(() => savedIn(page, 'picking')).toMatchObject([{ because: 'only one, washed' }]);
});

test('a spray in teaspoons keeps the strength really used beside the label’s', async ({ page }) => {
  await sprayForm(page);
  await choose(page, 'Product', 'Insecticidal soap');
  await page.getByLabel('Total mixed (L)').fill('2');
  await choose(page, 'Strength', 'in teaspoons');
  await page.getByLabel('Level teaspoons in all').fill('3');
  await page.getByRole('button', { name: 'Save record' }).click();
  // three teaspoons of 5 mL in 2 L are 7.5 mL in a litre: half of the label's 15
  await expect
    .poll(() => savedIn(page, 'spray'))
    .toMatchObject([{ product: 'soap', batchL: 2, perLitre: 7.5, labelPerLitre: 15 }]);
  await page.getByRole('link', { name: 'Shed' }).click();
  await page.getByRole('link', { name: 'Sprays' }).click();
  await expect(page.getByText('15 g or mL (used: half the label’s strength)')).toBeVisible();
  await openToAll(page);
});

test('a spray without a test is saved, and one line says so', async ({ page }) => {
  await sprayForm(page);
  await page.getByRole('button', { name: 'Save record' }).click();
  await expect(page.getByText(/recorded for The plant\. Note: no leaf was tested first/).first()).toBeVisible();
  await expect.poll(() => savedIn(page, 'spray')).toMatchObject([{ product: 'soap' }]);
});
