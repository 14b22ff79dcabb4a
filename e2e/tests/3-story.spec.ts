import type { PlantView } from '@candid-leaf/contract';
import { expect, test } from '@playwright/test';
import { ownDemo, savedIn, signIn, stored, TODAY, unfold } from './helpers.js';

test('blossom end rot in a pot: seen, explained, treated, watered, followed up, better', async ({ page }) => {
  await signIn(page, await ownDemo());

  await test.step('the garden as it lies: the pot is dry and marked', async () => {
    await expect(page.getByRole('heading', { name: 'Clay pots' })).toBeVisible();
    await expect(page.getByRole('link', { name: /Sleeper Paste.*Dry/ })).toBeVisible();
    await expect(page.getByText('Old leaves finishing', { exact: true })).toBeVisible();
    await page.getByRole('link', { name: /Sleeper Paste/ }).click();
    await expect(page.getByText('No problems recorded.')).toBeVisible();
  });

  await test.step('she touches the fruit, the dark patch, counts 5 of 12, and no insects', async () => {
    await page.getByRole('button', { name: 'Fruit', exact: true }).click();
    await page.getByRole('button', { name: 'Dark patch at the bottom', exact: true }).click();
    await page.getByLabel('Dark patch at the bottom: how many', { exact: true }).fill('5');
    await page.getByLabel('Dark patch at the bottom: of how many', { exact: true }).fill('12');
    await page.getByRole('button', { name: 'No insects found' }).click();
    await expect(page.getByText('Saved: 2 seen')).toBeVisible();
    await expect
      .poll(async () => (await savedIn(page, 'inspection'))[0])
      .toMatchObject({ signs: [{ sign: 'fruit-blossom-end-dark', present: true, affected: 5, of: 12 }, {}] });
    await page.getByRole('link', { name: 'What is it?' }).click();
  });

  await test.step('what it is, why here, how sure, what else, what to do', async () => {
    await expect(page.getByRole('heading', { name: 'Blossom end rot', exact: true }).first()).toBeVisible();
    const finding = page.getByRole('region', { name: 'Finding' });
    // the first act, with its amount and its day, stands with the answer
    await expect(finding.getByText(/^Water evenly: .+, (today|\d+ July)$/)).toBeVisible();
    const water = page.getByRole('region', { name: 'Why here' }).getByRole('button', {
      name: /Water that swung between dry and full: the pot dried out by .* and was refilled on/,
    });
    await expect(water).toBeVisible();
    await unfold(page, 'What else it could be');
    await expect(
      page.getByRole('region', { name: 'Also' }).getByText(/sunscald patch is pale and papery/),
    ).toBeVisible();
    await expect(finding.getByRole('img', { name: /How certain/ })).toBeVisible();
    const charts = page.getByRole('figure', { name: /^The last four weeks/ });
    await water.click();
    // the days on which it ran dry and was flooded are lit across the charts, and only some days are
    const lit = charts.locator('[data-lit]');
    expect(await lit.count()).toBeGreaterThanOrEqual(4);
    expect(await lit.count()).toBeLessThan(20);
    const todo = page.getByRole('region', { name: /What to do/ });
    await expect(finding.getByText(/Water evenly: \d+(\.\d+)?\sL every (day|\d days)/)).toBeVisible();
    await expect(todo.getByText(/fruit that set after the change has clean ends/)).toBeVisible();
    await expect(todo.getByText(/No calcium sprays/)).toBeVisible();
    await expect(todo.getByText(/1 August/)).toBeVisible();
    await finding.getByRole('button', { name: 'I will do this' }).click();
    await expect(finding.getByText(/Started on 18 July/)).toBeVisible();
  });

  await test.step('the tasks stand in Today; she ticks the watering', async () => {
    await page.getByRole('link', { name: 'Garden', exact: true }).click();
    const today = page.getByRole('region', { name: 'Today' });
    await today.getByText(/^If you have time/).click();
    await expect(today.getByText(/Pick the damaged fruit: 5 fruit/)).toBeVisible();
    // taken on, it orders no second watering: the one of the plan stands
    await expect(today.getByText(/Water evenly/)).toBeHidden();
    await today.getByRole('button', { name: 'Done: Water Sleeper Paste, Clay pots' }).click();
    await expect(page.getByText('Done: Water Sleeper Paste.', { exact: true })).toBeVisible();
    await expect(today.getByRole('button', { name: /Done: Water Sleeper Paste/ })).toBeHidden();
    await expect(page.getByRole('link', { name: /Sleeper Paste/ })).not.toContainText('Dry');
    await expect.poll(async () => (await savedIn(page, 'watering'))[0]).toMatchObject({ date: TODAY });
    await unfold(today, /^Pick the damaged fruit/);
    await today.getByRole('button', { name: /Not today: Pick the damaged fruit/ }).click();
    await expect(today.getByText(/Pick the damaged fruit/)).toBeHidden();
  });

  await test.step('two weeks later the app asks; she says it worked; the trouble is closed with its outcome', async () => {
    await page.getByRole('link', { name: 'Settings' }).click();
    for (const day of ['25 July', '1 August']) {
      await page.getByRole('button', { name: 'One week' }).click();
      await expect(page.getByText(`This demo garden is paused on ${day}.`)).toBeVisible();
      await expect(page.getByRole('button', { name: 'One week' })).toBeEnabled();
    }
    await page.getByRole('link', { name: 'Garden', exact: true }).click();
    await page.getByRole('link', { name: 'Look again: Sleeper Paste' }).click();
    await expect(page.getByRole('heading', { name: 'Did it help?' })).toBeVisible();
    await page.getByRole('button', { name: 'It worked' }).click();
    await expect(page.getByText('Earlier here: blossom end rot, closed 1 August: it worked.')).toBeVisible();
    const plant = /plants\/([^/?]+)/.exec(page.url())![1];
    await expect
      .poll(async () => (await stored<PlantView>(page, `plants/${plant}/view`)).treatments)
      .toMatchObject([{ disorder: 'blossom-end-rot', openedOn: TODAY, outcome: 'worked', closedOn: '2026-08-01' }]);
    await expect(page.getByRole('heading', { name: 'Did it help?' })).toBeHidden();
    await expect(page.getByText('No problems recorded.')).toBeVisible();
    await page.getByRole('link', { name: 'Garden', exact: true }).click();
    await expect(page.getByRole('link', { name: 'Look again: Sleeper Paste' })).toBeHidden();
  });
});
