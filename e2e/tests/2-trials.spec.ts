import type { TrialDto } from '@candid-leaf/contract';
import { expect, test } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { choose, ownGarden, pickDay, signIn, stored, unfold } from './helpers.js';

test('a trial: set up, judged from both groups, explained; an empty group is refused', async ({ page }) => {
  const own = await ownGarden(page);
  const bed = randomUUID();
  await own.put('/places', { id: bed, name: 'Long bed', kind: 'ground', texture: 'loam', lengthM: 4, widthM: 1 });
  const plants = Array.from({ length: 8 }, (_, i) => ({ id: randomUUID(), name: `Plant ${i + 1}` }));
  for (const p of plants)
    await own.put('/plants', { ...p, placeId: bed, crop: 'tomato', stage: 'fruiting', transplantedOn: '2026-05-10' });
  await signIn(page, own.who);
  await page.getByRole('link', { name: 'Shed' }).click();
  await page.getByRole('link', { name: 'Trials' }).click();
  await page.getByRole('button', { name: 'Start a trial' }).click();
  await page.getByLabel('The one change').fill('Mulch');
  await page.getByRole('button', { name: 'Start trial' }).click();
  await expect(page.getByText('With the change: needs at least one plant')).toBeVisible();
  for (const [i, p] of plants.entries()) await choose(page, p.name, i < 4 ? 'with the change' : 'without');
  await pickDay(page, 'Judge it on', '2026-07-25');
  await page.getByRole('button', { name: 'Start trial' }).click();
  await expect(page.getByText('So far: too few to say')).toBeVisible();
  const trials = () => stored<TrialDto[]>(page, 'trials');
  expect(await trials()).toMatchObject([
    {
      name: 'Mulch',
      judgeOn: '2026-07-25',
      judgedOn: null,
      changed: plants.slice(0, 4).map((p) => p.id),
      untouched: plants.slice(4).map((p) => p.id),
    },
  ]);

  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByRole('button', { name: 'One week' }).click();
  await expect(page.getByText('is paused on 25 July')).toBeVisible();
  for (const [i, p] of plants.entries())
    await own.put('/records', {
      id: randomUUID(),
      type: 'inspection',
      plantId: p.id,
      data: { date: '2026-07-25', allClear: false, signs: [{ sign: 'fruit-blossom-end-dark', present: i >= 4 }] },
    });
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await page.reload();
  const today = page.getByRole('region', { name: 'Today' });
  await unfold(today, 'Judge the trial: Mulch');
  await expect(today.getByText(/0 of 4 with the change, 4 of 4 without. Fewer with the change/)).toBeVisible();
  await today.getByRole('button', { name: 'Checked: Judge the trial: Mulch' }).click();
  await page.getByRole('link', { name: 'Shed' }).click();
  await page.getByRole('link', { name: 'Trials' }).click();
  await expect(page.getByText('Fewer with the change', { exact: true })).toBeVisible();
  await expect.poll(trials).toMatchObject([{ judgedOn: '2026-07-25' }]);
});
