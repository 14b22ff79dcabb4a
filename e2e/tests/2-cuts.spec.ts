import { expect, test, type Locator } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { choose, day, ownGarden, signIn, tomatoIn, savedIn, TODAY, unfold, heldTask } from './helpers.js';

test('a backlog of cuts: this week’s budget is drawn and ticked, the rest waits, forty at once are refused', async ({
  page,
}) => {
  const own = await ownGarden(page);
  const { plant } = await tomatoIn(own, { name: 'Hall pot', kind: 'indoors', volumeL: 20 }, { habit: 'indeterminate' });
  await own.put('/records', {
    id: randomUUID(),
    type: 'inspection',
    plantId: plant,
    data: { date: day(0), allClear: false, signs: [{ sign: 'plant-leaves-touch-soil', present: true }] },
  });
  await own.put('/records', {
    id: randomUUID(),
    type: 'pruning',
    plantId: plant,
    data: { date: day(30), cuts: 0, what: ['suckers'] },
  });
  await signIn(page, own.who);
  const today = page.getByRole('region', { name: 'Today' });
  await expect(today.getByText(/2 leaves that touch the soil, 5 suckers shorter than a finger/)).toBeVisible();
  await page.getByRole('link', { name: /^The plant/ }).click();
  await unfold(page, 'Pruning and training');
  const panel = page.getByRole('region', { name: 'Pruning and training' });
  await expect(panel.getByRole('listitem')).toHaveCount(4);
  await expect(panel.getByText(/more over \d weeks?, at most four leaves a week/)).toBeVisible();
  await panel.getByText('Which shoot is a sucker?').click();
  await expect(panel.getByRole('img', { name: /^A sucker grows in the angle/ })).toBeVisible();
  await choose(panel, 'Trained to', 'left alone');
  await expect(panel.getByRole('listitem')).toHaveCount(1);
  await choose(panel, 'Trained to', 'one stem');
  await expect(panel.getByRole('listitem')).toHaveCount(4);

  await page.getByRole('button', { name: 'Record', exact: true }).click();
  await page.getByRole('button', { name: 'Cut', exact: true }).click();
  await page.getByLabel('Cuts', { exact: true }).fill('40');
  await page.getByRole('button', { name: 'Save record' }).click();
  await expect(page.getByText(/40 cuts at once are too many/)).toBeVisible();
  await page.keyboard.press('Escape');

  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await today.getByRole('button', { name: /^Done: 9 cuts: The plant/ }).click();
  await expect(await heldTask(page, /^Prune: The plant/)).toContainText('four leaves were cut this week');
  await expect
    .poll(async () => (await savedIn(page, 'pruning'))[0])
    .toEqual({
      date: TODAY,
      cuts: 9,
      what: ['lower-leaves', 'suckers'],
    });
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('a sucker becomes a plant in five touches', async ({ page }) => {
    const own = await ownGarden(page);
    await tomatoIn(
      own,
      { name: 'Hall pot', kind: 'indoors', volumeL: 20 },
      { habit: 'indeterminate', training: 'leave-alone', type: 'paste' },
    );
    await signIn(page, own.who);
    let touches = 0;
    const tap = async (what: Locator) => {
      touches += 1;
      await what.tap();
    };
    const later = async () => {
      await page.getByRole('link', { name: 'Settings' }).click();
      await page.getByRole('button', { name: 'One week' }).click();
      await page.getByRole('link', { name: 'Garden', exact: true }).click();
    };
    await tap(page.getByRole('link', { name: /^The plant/ }));
    await tap(page.getByRole('button', { name: 'Pruning and training' }));
    await tap(page.getByRole('button', { name: 'Root this sucker' }));
    await page.getByRole('button', { name: 'Next here' }).tap();
    const next = page.getByRole('region', { name: 'Next here' });
    await expect(next.getByText('Look for roots and change the water: sucker of The plant')).toBeVisible();
    await later();
    await tap(page.getByRole('button', { name: /^Roots: Look for roots/ }));
    await expect(page.getByLabel('Planted in')).toHaveText('Hall pot');
    await tap(page.getByRole('button', { name: /^Planted: Plant it deep/ }));
    await expect(page.getByRole('link', { name: /^The plant, from a sucker/ })).toBeVisible();
    expect(touches).toBe(5);
    await expect(page.getByText(/^Plant it deep/)).toBeHidden();
    await expect
      .poll(() => savedIn(page, 'event'))
      .toMatchObject([{ what: 'sucker-planted' }, { what: 'roots-seen' }, { what: 'sucker-in-water' }]);
  });
});
