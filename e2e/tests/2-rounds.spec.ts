import type { GardenView } from '@candid-leaf/contract';
import { expect, test } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { day, ownGarden, pickDay, signIn, tomatoIn, savedIn, stored, TODAY, unfold } from './helpers.js';

test('after three wet days Today asks for a walk and says why; counts show a trend', async ({ page }) => {
  const own = await ownGarden(page);
  const { plant } = await tomatoIn(own, { name: 'Rain bed', kind: 'ground', texture: 'loam', lengthM: 2, widthM: 0.5 });
  const counted = (back: number, affected: number) =>
    own.put('/records', {
      id: randomUUID(),
      type: 'inspection',
      plantId: plant,
      data: { date: day(back), allClear: false, signs: [{ sign: 'leaf-yellow-fast', present: true, affected }] },
    });
  await own.post('/weather/pull');
  await counted(14, 2);
  await counted(4, 3);
  for (const back of [3, 2, 1])
    await own.put('/records', { id: randomUUID(), type: 'rain-gauge', data: { date: day(back), rainMm: 6 } });
  await signIn(page, own.who);
  await unfold(page, 'Check Rain bed');
  await expect(page.getByText(/\d wet days in a row, until 17 July/)).toBeVisible();
  await page.getByRole('link', { name: 'Start: Check Rain bed' }).click();
  await expect(page.getByText(/Why now: \d wet days in a row/)).toBeVisible();
  await expect(page.getByText(/Look first at low leaves/)).toContainText('turn the leaves over');
  await page.getByRole('link', { name: 'Start with The plant' }).click();
  await page.getByRole('button', { name: 'Begin: low leaves' }).click();
  await page.getByRole('button', { name: 'Yellowing and dropping fast', exact: true }).click();
  await page.getByLabel('Yellowing and dropping fast: how many', { exact: true }).fill('9');
  await expect(page.getByText('Saved: 1 seen')).toBeVisible();
  await page.getByRole('link', { name: 'End of the walk' }).click();
  await expect(page.getByText('All 1 looked over today.')).toBeVisible();
  await page.getByRole('link', { name: 'Back to the garden' }).click();
  await expect(page.getByText(/wet days in a row/)).toBeHidden();
  await page.getByRole('link', { name: /^The plant/ }).click();
  await expect(page.getByRole('list', { name: 'Trends' })).toContainText(
    ': 2, 3, 9 in 14 days: rising, faster than normal ageing.',
  );
  await expect
    .poll(async () => (await savedIn(page, 'inspection'))[0])
    .toMatchObject({
      date: TODAY,
      signs: [{ sign: 'leaf-yellow-fast', present: true, affected: 9 }],
    });
});

test('while away: a watering list, no walks; an end before the start is refused', async ({ page }) => {
  const own = await ownGarden(page);
  await tomatoIn(own, { name: 'Door pot', volumeL: 14 });
  await own.post('/weather/pull');
  await signIn(page, own.who);
  await unfold(page, 'Check Door pot');
  await expect(page.getByText(/no look at the whole bed is recorded/i)).toBeVisible();
  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByRole('link', { name: 'Days away' }).click();
  await pickDay(page, 'From', day(-6));
  await pickDay(page, 'To', day(-1));
  await page.getByRole('button', { name: 'Add days away' }).click();
  await expect(page.getByText('To must not be before the first day')).toBeVisible();
  await pickDay(page, 'From', day(0));
  await pickDay(page, 'To', day(-5));
  await page.getByRole('button', { name: 'Add days away' }).click();
  await expect(page.getByText('18 July to 23 July')).toBeVisible();
  const away = async () => (await stored<GardenView>(page, 'view')).garden.away;
  await expect.poll(away).toEqual([{ from: day(0), to: day(-5) }]);
  await page.getByRole('link', { name: 'Watering list for a helper' }).click();
  await expect(page.getByRole('heading', { name: 'Door pot' })).toBeVisible();
  await expect(page.getByText(/not recorded: push a finger in two knuckles deep/)).toBeVisible();
  await page.getByRole('link', { name: 'Own garden' }).click();
  await expect(page.getByText(/no look at the whole bed is recorded/i)).toBeHidden();
});
