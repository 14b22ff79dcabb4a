import { expect, test } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { choose, day, ownGarden, signIn, tomatoIn, watered, savedIn, unfold, heldTask } from './helpers.js';

const FEED = { product: 'Something', n: 4, p2o5: 3, k2o: 8, grams: 10, form: 'liquid' };

test('feeding: asks if nothing is recorded, waits in heat, shows the amount when it is cool', async ({ page }) => {
  const own = await ownGarden(page);
  const hot = await tomatoIn(
    own,
    { name: 'Glass pot', volumeL: 20, cover: 'glasshouse', vents: 'shut' },
    { name: 'Hot one' },
  );
  const cool = await tomatoIn(own, { name: 'Hall pot', kind: 'indoors', volumeL: 20 }, { name: 'Cool one' });
  for (const { plant } of [hot, cool]) await watered(own, plant, [4, 3, 2, 1, 0], 4);
  await own.put('/records', {
    id: randomUUID(),
    type: 'feeding',
    plantId: hot.plant,
    data: { ...FEED, date: day(20) },
  });
  await signIn(page, own.who);
  const today = page.getByRole('region', { name: 'Today' });
  await expect(await heldTask(page, /^Feed: Glass pot/)).toContainText(/is forecast\. Until then water well/);

  await page.getByRole('link', { name: /^Cool one/ }).click();
  await expect(page.getByText('may only mean it was not written down')).toBeVisible();
  await page.getByRole('button', { name: 'Not fed so far' }).click();
  const next = page.getByRole('region', { name: 'Next here' });
  await unfold(next, /^Feed: Hall pot/);
  await expect(next.getByText(/13.mL \(2½ tsp\) in 3.L/)).toBeVisible();
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await today.getByRole('button', { name: /^Done: Feed: Hall pot/ }).click();
  await expect(today.getByText('Feed: Hall pot')).toBeHidden();
  await page.getByRole('link', { name: /^Cool one/ }).click();
  await expect(page.getByRole('button', { name: /Fed .* of Liquid tomato feed \(4-3-8\)/ })).toBeVisible();
  await unfold(page, 'Feeding');
  await expect(page.getByRole('img', { name: /^Nitrogen: .* available so far/ })).toBeVisible();
  await expect
    .poll(async () => (await savedIn(page, 'feeding'))[0])
    .toMatchObject({
      product: 'Liquid tomato feed',
      grams: 14.95,
      form: 'liquid',
    });
});

test('ten times the label dose is refused, and saved with a reason', async ({ page }) => {
  const own = await ownGarden(page);
  await tomatoIn(own, { name: 'Bed', kind: 'ground', texture: 'loam', lengthM: 1, widthM: 0.5 });
  await signIn(page, own.who);
  await page.getByRole('link', { name: /^The plant/ }).click();
  await page.getByRole('button', { name: 'Record', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Feed', exact: true }).click();
  await choose(page, 'Product', 'Organic granules');
  await page.getByLabel('Per plant (g)').fill('400');
  await page.getByRole('button', { name: 'Save record' }).click();
  await expect(page.getByText(/is 10 times the label’s 40 g: did you mean grams per plant\?/)).toBeVisible();
  await page.getByLabel('Why more than usual').fill('the bag tipped over');
  await page.getByRole('button', { name: 'Save record' }).click();
  await expect(page.getByRole('button', { name: 'Fed 400 g of Organic granules (4-4-4)' })).toBeVisible();
  await expect
    .poll(() => savedIn(page, 'feeding'))
    .toMatchObject([{ product: 'Organic granules', grams: 400, because: 'the bag tipped over' }]);
});
