import type { GardenView } from '@candid-leaf/contract';
import { expect, test } from '@playwright/test';
import { choose, ownGarden, signIn, stored, tomatoIn, TODAY, unfold } from './helpers.js';

test('a soil test in its own units, what is short, a split dose of lime, and mulch from Today', async ({ page }) => {
  const own = await ownGarden(page);
  await tomatoIn(own, { name: 'Sour bed', kind: 'ground', texture: 'clay', lengthM: 2, widthM: 2 });
  await signIn(page, own.who);
  await page.getByRole('link', { name: 'Shed' }).click();
  await page.getByRole('link', { name: 'Soil', exact: true }).click();
  await page.getByRole('link', { name: /Sour bed/ }).click();
  await page.getByRole('button', { name: 'Add a soil test' }).click();
  const form = page.getByRole('region', { name: 'Soil test' });
  await form.getByLabel('pH', { exact: true }).fill('12');
  await form.getByLabel('Potassium', { exact: true }).fill('0.2');
  await choose(form, 'Potassium in', 'meq/100 g');
  await form.getByRole('button', { name: 'Save test' }).click();
  await expect(form.getByText('pH must be a soil pH between 2 and 11')).toBeVisible();
  await form.getByLabel('pH', { exact: true }).fill('5.0');
  await form.getByRole('button', { name: 'Save test' }).click();
  await expect(form.getByText(/Low: pH, potassium/)).toBeVisible();
  await expect(form.getByText('78', { exact: true })).toBeVisible();

  const dose = page.getByRole('status', { name: 'The dose' });
  await expect(dose.getByRole('listitem')).toHaveText([
    '1172\u00a0g on 18 July 2026',
    '1172\u00a0g on 14 January 2027',
  ]);
  await expect(dose).toContainText('Recipes range from 585\u00a0g to 810\u00a0g in total');
  await page.getByLabel('Target pH').fill('7');
  await expect(page.getByText(/Never lime above pH 6.8/)).toBeVisible();

  await page.getByRole('button', { name: 'The soil is bare' }).click();
  await expect(page.getByText(/The soil is bare and warm/)).toBeVisible();
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  const today = page.getByRole('region', { name: 'Today' });
  await today.getByRole('button', { name: /^Done: Mulch: Sour bed/ }).click();
  await expect(today.getByText('Mulch: Sour bed')).toBeHidden();
  await expect
    .poll(async () => (await stored<GardenView>(page, 'view')).places[0]!.place)
    .toMatchObject({
      soilTests: [{ pH: 5, values: { potassium: { amount: 0.2, unit: 'meq/100g' } } }],
      mulch: [{ from: TODAY }],
    });
});

test('earlier years are told by one touch each, with their problems, and count when planting', async ({ page }) => {
  const own = await ownGarden(page);
  const bed = { name: 'Old bed', kind: 'ground', texture: 'loam', lengthM: 2, widthM: 1 };
  const { place } = await tomatoIn(own, bed, { transplantedOn: '2026-05-10' });
  const told = async () => {
    const { places } = (await (await page.request.get(`/api/gardens/${own.garden}/view`)).json()) as GardenView;
    return places.find((p) => p.place.id === place)!.place.history;
  };
  await signIn(page, own.who);
  await page.goto(`/gardens/${own.garden}/places/${place}/soil`);
  const panel = page.getByRole('region', { name: 'What grew here, and its problems' });
  await panel.getByRole('button', { name: '2024: others or nothing' }).click();
  await expect.poll(told).toEqual([{ year: 2024, family: 'other' }]);
  await panel.getByRole('button', { name: '2025: tomatoes, peppers or relatives' }).click();
  await panel.getByText('Any problems in 2025?').click();
  await panel.getByRole('button', { name: 'White mould' }).click();
  const year = { year: 2025, family: 'nightshade', problems: ['white-mould'] };
  await expect.poll(told).toEqual([{ year: 2024, family: 'other' }, year]);
  await expect(panel.getByText('What grew here in')).toHaveCount(0);
  // the panel is drawn anew when what was saved comes back
  await expect(async () => {
    await unfold(panel, /^Problems in 2025/);
    await panel.getByRole('button', { name: 'White mould' }).click({ timeout: 2000 });
  }).toPass();
  await expect.poll(told).toContainEqual({ ...year, problems: [] });
});
