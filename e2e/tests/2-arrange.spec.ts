import type { GardenView } from '@candid-leaf/contract';
import { expect, test, type Page } from '@playwright/test';
import { ofPlace, ownGarden, pickDay, signIn, tomatoIn, unfold } from './helpers.js';

const plantsOf = (page: Page, place: string) =>
  page.getByRole('list', { name: `Plants in ${place}` }).getByRole('link');

test('add several plants, copy a plant, copy a bed, then move them by drag and by keyboard', async ({ page }) => {
  const own = await ownGarden(page);
  await tomatoIn(
    own,
    {
      name: 'Long bed',
      kind: 'ground',
      texture: 'clay-loam',
      lengthM: 4,
      widthM: 0.6,
      mulch: [{ from: '2026-06-01', depthMm: 50 }],
      watering: { timerZone: 3, moisture: 'dry' },
    },
    { name: 'South cordon', habit: 'indeterminate' },
  );
  await signIn(page, own.who);

  await test.step('three more, and they number themselves', async () => {
    await ofPlace(page, 'Long bed', 'Add plants');
    await page.getByLabel('Name').fill('Bush');
    await page.getByLabel('How many').fill('3');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(plantsOf(page, 'Long bed')).toHaveText([/South cordon/, /Bush 1/, /Bush 2/, /Bush 3/]);
  });

  await test.step('a number that is refused saves nothing', async () => {
    await ofPlace(page, 'Long bed', 'Add plants');
    await page.getByLabel('How many').fill('99');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('Choose 1 to 40 plants.')).toBeVisible();
    await expect(page.getByLabel('How many')).toBeFocused();
    await page.getByRole('link', { name: 'Cancel' }).click();
    await expect(plantsOf(page, 'Long bed')).toHaveCount(4);
  });

  await test.step('all of a bed get their planting day at once, and the day comes back', async () => {
    const days = async () => {
      const { places } = (await (await page.request.get(`/api/gardens/${own.garden}/view`)).json()) as GardenView;
      return [...new Set(places.flatMap((p) => p.plants.map((x) => x.plant.transplantedOn)))];
    };
    expect(await days()).toEqual(['2026-05-10', '2026-07-18']);
    await ofPlace(page, 'Long bed', 'Edit');
    await unfold(page, 'All 4 plants at once');
    const all = page.getByRole('region', { name: 'All 4 plants at once' });
    await pickDay(all, 'Planted out', '2026-05-10');
    await all.getByRole('button', { name: 'Save for all 4' }).click();
    await expect.poll(days).toEqual(['2026-05-10']);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect.poll(days).toEqual(['2026-05-10', '2026-07-18']);
    await page.getByRole('link', { name: 'Garden', exact: true }).click();
  });

  await test.step('another like one: its kind and its days, under the next number', async () => {
    await page
      .getByRole('link', { name: /South cordon/ })
      .first()
      .click();
    await page.getByRole('link', { name: 'Copy', exact: true }).click();
    await expect(page.getByLabel('Name')).toHaveValue('South cordon 2');
    await expect(page.getByLabel('Habit')).toHaveText('Indeterminate');
    await expect(page.getByRole('button', { name: 'Planted out: 10 May' })).toBeVisible();
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(plantsOf(page, 'Long bed')).toHaveCount(5);
  });

  await test.step('a bed like it with its plants: the same soil, but neither its mulch nor its tests, nor its outlet of the hose timer', async () => {
    await ofPlace(page, 'Long bed', 'Copy');
    await expect(page.getByLabel('Name')).toHaveValue('Long bed 2');
    await expect(page.getByLabel('Soil')).toHaveText('Clay loam');
    await unfold(page, /^Mulch and shade none/);
    await expect(page.getByLabel('Mulch (cm)')).toHaveValue('');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(plantsOf(page, 'Long bed 2')).toHaveText([/cordon 3/, /Bush 4/, /Bush 5/, /Bush 6/, /cordon 4/]);
    const { places } = (await (await page.request.get(`/api/gardens/${own.garden}/view`)).json()) as GardenView;
    expect(places.map(({ place }) => place.watering)).toMatchObject([
      { timerZone: 3, moisture: 'dry' },
      { timerZone: null, moisture: 'dry' },
    ]);
  });

  await test.step('one is dragged into the other bed, and one is carried with the keyboard', async () => {
    await page.getByRole('button', { name: 'Rearrange' }).click();
    const bed = (name: string) => page.getByRole('region', { name: `Plants in ${name}`, exact: true });
    const handle = page.getByRole('button', { name: 'Move Bush 1' });
    const from = (await handle.boundingBox())!;
    const over = (await bed('Long bed 2').getByRole('button', { name: 'Move Bush 4' }).boundingBox())!;
    await page.mouse.move(from.x + 20, from.y + 10);
    await page.mouse.down();
    await page.mouse.move(over.x + 40, over.y + 10, { steps: 12 });
    await page.mouse.up();
    await expect(page.getByText('Bush 1 moved to Long bed 2.', { exact: true })).toBeVisible();
    await expect(bed('Long bed 2').getByRole('button')).toHaveText([
      /cordon 3/,
      /Bush 1/,
      /Bush 4/,
      /Bush 5/,
      /Bush 6/,
      /cordon 4/,
    ]);

    const second = bed('Long bed 2').getByRole('button', { name: 'Move Bush 1' });
    await second.focus();
    await page.keyboard.press('Space');
    await expect(page.getByText('Lifted Bush 1.')).toBeAttached();
    await expect(async () => {
      await page.keyboard.press('ArrowLeft');
      await expect(page.getByText(/Bush 1 is over .*Long bed\./)).toBeAttached({ timeout: 1000 });
    }).toPass();
    await page.keyboard.press('Space');
    await expect(bed('Long bed').getByRole('button', { name: 'Move Bush 1' })).toBeVisible();
    await page.reload();
    await expect(plantsOf(page, 'Long bed 2')).toHaveCount(5);
    await expect(plantsOf(page, 'Long bed').filter({ hasText: 'Bush 1' })).toHaveCount(1);
  });
});
