import type { GardenView } from '@candid-leaf/contract';
import { expect, test } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { choose, day, ownGarden, signIn, tomatoIn, savedIn, stored, TODAY, unfold } from './helpers.js';

test('tying a bed: support, string, one tick; truss counts show fruit set', async ({ page }) => {
  const own = await ownGarden(page);
  const { plant } = await tomatoIn(
    own,
    { name: 'Wall', kind: 'ground', texture: 'loam', lengthM: 2, widthM: 0.5 },
    { habit: 'indeterminate' },
  );
  await own.put('/records', {
    id: randomUUID(),
    type: 'event',
    plantId: plant,
    data: { date: day(10), what: 'staked' },
  });
  await signIn(page, own.who);
  const today = page.getByRole('region', { name: 'Today' });
  await expect(today.getByText(/one tie each, 0\.3.m of soft string/)).toBeVisible();
  await today.getByRole('button', { name: /^Done: Tie: The plant/ }).click();
  await expect(today.getByText('Tie: The plant')).toBeHidden();
  await page.getByRole('link', { name: /^The plant/ }).click();
  await unfold(page, 'Support and fruit set');
  const panel = page.getByRole('region', { name: 'Support and fruit set' });
  await expect(panel).toContainText(/a string from above, looped loosely at the base, 2\.3.m long; 5 ties/);
  await page.getByRole('button', { name: 'Record', exact: true }).click();
  await page.getByRole('button', { name: 'Count a truss' }).click();
  await page.getByLabel('Flowers, open or faded').fill('2');
  await page.getByLabel('Fruit set', { exact: true }).fill('6');
  await page.getByRole('button', { name: 'Save record' }).click();
  await expect(panel.getByRole('list', { name: 'Trusses' })).toContainText('75 %');
  await expect.poll(async () => (await savedIn(page, 'event'))[0]).toEqual({ date: TODAY, what: 'tied' });
  await expect.poll(() => savedIn(page, 'truss-count')).toMatchObject([{ truss: 1, flowers: 2, fruit: 6 }]);
});

test('shade cloth before heat: most important first, and what to do about the shortage', async ({ page }) => {
  const own = await ownGarden(page);
  const glass = { cover: 'glasshouse', vents: 'shut', volumeL: 20 };
  const { place } = await tomatoIn(own, { ...glass, name: 'Glass' }, { name: 'Plain one' });
  await own.put('/plants', {
    id: randomUUID(),
    placeId: place,
    name: 'Dear one',
    crop: 'tomato',
    stage: 'fruiting',
    transplantedOn: '2026-05-10',
    heightM: 1.2,
    worth: 3,
  });
  await signIn(page, own.who);
  await page.getByRole('link', { name: 'Shed' }).click();
  await page.getByRole('link', { name: 'Cloth and stakes' }).click();
  await page.getByLabel('Shade cloth (m²)').fill('0.8');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/^Stock saved/).first()).toBeVisible();
  expect((await stored<GardenView>(page, 'view')).garden.stock).toMatchObject({ clothM2: 0.8 });
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await page
    .getByRole('button', { name: /^What to do/ })
    .first()
    .click();
  await expect(
    page.getByText(/Cloth for Dear one; not enough for Plain one .* Use instead: an old sheet/),
  ).toBeVisible();
});

test('companion plants and weeds are recorded; weeds that carry disease may not lie as mulch', async ({ page }) => {
  const own = await ownGarden(page);
  const { place } = await tomatoIn(own, { name: 'Wall', kind: 'ground', texture: 'loam', lengthM: 2, widthM: 0.5 });
  await signIn(page, own.who);
  await page.goto(`/gardens/${own.garden}/places/${place}/soil`);
  const panel = page.getByRole('region', { name: 'Companion plants and weeds' });
  const write = async (what: string, did: string) => {
    await panel.getByRole('button', { name: 'Add a record' }).click();
    await choose(page, 'Plant or weed', what);
    await choose(page, 'Action', did);
    await page.getByRole('button', { name: 'Save record' }).click();
  };
  // a long list tells that there is more, and no choice moves away under a click for that
  await panel.getByRole('button', { name: 'Add a record' }).click();
  await page.getByRole('combobox', { name: 'Plant or weed' }).click();
  const choices = page.locator('[data-radix-select-viewport]');
  const height = () => choices.evaluate((el) => el.clientHeight);
  const least = await choices.evaluate((el) => el.scrollTo(0, 0)).then(height);
  expect(await choices.evaluate((el) => el.scrollHeight)).toBeGreaterThan(least + 20);
  for (const to of [10, 1000]) {
    await choices.evaluate((el, top) => el.scrollTo(0, top), to);
    await expect(page.getByRole('listbox').locator('svg').first()).toBeVisible();
    expect(await height()).toBe(least);
  }
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await write('Nightshade weeds', 'Laid as mulch');
  await expect(page.getByText(/are no use as mulch: they carry the same problems/)).toBeVisible();
  await page.keyboard.press('Escape');
  await write('Sweet alyssum', 'Planted');
  await unfold(panel, /^Sweet alyssum planted, 18 July/);
  await expect(panel.getByText(/Its flowers feed hoverflies.*good evidence/).first()).toBeVisible();
  await expect.poll(() => savedIn(page, 'companion')).toMatchObject([{ what: 'sweet-alyssum', did: 'planted' }]);
});
