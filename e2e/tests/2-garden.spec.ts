import type { GardenView } from '@candid-leaf/contract';
import { expect, test } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import {
  choose,
  ofPlace,
  ownGarden,
  pickDay,
  signIn,
  tomatoIn,
  savedIn,
  stored,
  TODAY,
  unfold,
  watered,
} from './helpers.js';

test('from an empty garden: add a bed and plants, fix errors, reorder, record, archive', async ({ page }) => {
  const own = await ownGarden(page);
  await signIn(page, own.who);
  await expect(page.getByRole('heading', { name: 'Add your first bed or pot' })).toBeVisible();

  await page.getByRole('link', { name: 'Add a bed or pot' }).click();
  await page.getByRole('link', { name: 'Use the full form' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Name must not be empty')).toBeVisible();
  await page.getByLabel('Name').fill('Long bed');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('a bed needs its length and width')).toBeVisible();
  await page.getByLabel('Length (m)').fill('3');
  await page.getByLabel('Width (m)').fill('0.8');
  await unfold(page, /^Water not told yet/);
  const flow = page.getByLabel('Flow for the whole bed or pot (L an hour)');
  await flow.fill('much');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(flow).toBeFocused();
  // what is wrong does not hide
  await page
    .getByRole('button', { name: /^Water / })
    .first()
    .click();
  await expect(flow).toBeVisible();
  await flow.fill('120');
  await expect(page.getByRole('button', { name: 'Water 120 L an hour' })).toBeVisible();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Long bed' })).toBeVisible();

  for (const name of ['First cordon', 'Second cordon']) {
    await ofPlace(page, 'Long bed', 'Edit');
    await expect(page.getByRole('heading', { level: 1, name: 'Long bed' })).toBeVisible();
    await page.getByRole('link', { name: 'Add a plant' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'New plant' })).toBeVisible();
    await page.getByLabel('Name').fill(name);
    await choose(page, 'Habit', 'Indeterminate');
    await pickDay(page, 'Planted out', '2026-05-20');
    await choose(page, 'Stage today', 'Fruiting');
    await page.getByLabel('Height today (cm)').fill('140');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('link', { name: new RegExp(name) })).toBeVisible();
  }
  const { places } = await stored<GardenView>(page, 'view');
  expect(places.map(({ place }) => place)).toMatchObject([
    { name: 'Long bed', lengthM: 3, widthM: 0.8, flowLPerH: 120 },
  ]);
  expect(places[0]!.plants.map(({ plant }) => plant)).toMatchObject([
    { name: 'First cordon', habit: 'indeterminate', transplantedOn: '2026-05-20', stage: 'fruiting', heightM: 1.4 },
    { name: 'Second cordon', habit: 'indeterminate', transplantedOn: '2026-05-20', stage: 'fruiting', heightM: 1.4 },
  ]);

  await test.step('a watering of the whole bed is two touches, and can be undone', async () => {
    await page.getByRole('button', { name: 'Water Long bed' }).click();
    await page.getByRole('button', { name: 'Watered today' }).click();
    await expect(page.getByText(/^Long bed: [\d.]+ ?.*(L|gal)\.$/)).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await ofPlace(page, 'Long bed', 'Edit');
    await unfold(page, 'Records for the whole bed or pot');
    await expect(page.getByText('No records yet.')).toBeVisible();
    // the page shows it at once, the server hears of it a moment later
    await expect.poll(() => own.saved('watering')).toEqual([]);
  });

  await test.step('the walking order is changed with the keyboard, and by dragging', async () => {
    const plants = page.getByRole('button', { name: /^Move / });
    await expect(plants).toHaveText(['First cordon', 'Second cordon']);
    await page.getByRole('button', { name: 'Move First cordon' }).focus();
    await page.keyboard.press('Space');
    await expect(page.getByText('Lifted First cordon.')).toBeAttached();
    await page.keyboard.press('ArrowDown');
    await expect(page.getByText('First cordon is over Second cordon.')).toBeAttached();
    const kept = page.waitForResponse(/plants\/order$/);
    await page.keyboard.press('Space');
    await kept;
    await expect(plants).toHaveText(['Second cordon', 'First cordon']);
    await page.reload();
    await expect(plants).toHaveText(['Second cordon', 'First cordon']);
    const from = (await plants.nth(1).boundingBox())!;
    const to = (await plants.nth(0).boundingBox())!;
    await page.mouse.move(from.x + 60, from.y + 20);
    await page.mouse.down();
    await page.mouse.move(from.x + 60, from.y, { steps: 4 });
    await page.mouse.move(to.x + 60, to.y - 4, { steps: 8 });
    await page.mouse.up();
    await expect(plants).toHaveText(['First cordon', 'Second cordon']);
  });

  await test.step('minutes count where the flow is known; a record is corrected, deleted and taken back', async () => {
    await page.getByRole('banner').getByRole('link', { name: 'Own garden' }).click();
    await ofPlace(page, 'Long bed', 'Add a record');
    const sheet = page.getByRole('dialog');
    await sheet.getByRole('button', { name: 'Water' }).click();
    await sheet.getByRole('button', { name: 'Save record' }).click();
    await expect(sheet.getByText(/choose “Not sure”/)).toBeVisible();
    await choose(sheet, 'How much', 'Minutes it ran');
    await sheet.getByLabel('How long (minutes)').fill('30');
    await unfold(sheet, 'Day and details');
    await pickDay(sheet, 'Date', '2026-07-17');
    await sheet.getByRole('button', { name: 'Save record' }).click();
    await expect(sheet).toBeHidden();
    await page.getByRole('link', { name: /First cordon/ }).click();
    await page.getByRole('button', { name: /Watered, 30 L per plant, in 30 minutes/ }).click();
    await sheet.getByLabel('How long (minutes)').fill('20');
    await sheet.getByRole('button', { name: 'Save correction' }).click();
    await expect(page.getByRole('button', { name: /Watered, 20 L per plant, in 20 minutes/ })).toBeVisible();
    await page.getByRole('button', { name: /Watered, 20 L per plant, in 20 minutes/ }).click();
    await sheet.getByRole('button', { name: 'Delete' }).click();
    await expect(page.getByRole('button', { name: /Watered, / })).toBeHidden();
    await page.getByRole('listitem').filter({ hasText: 'Deleted.' }).getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('button', { name: /Watered, 20 L per plant, in 20 minutes/ })).toBeVisible();
    await expect.poll(() => own.saved('watering')).toMatchObject([{ date: '2026-07-17', litres: 20, minutes: 20 }]);
  });

  await test.step('all clear is one touch; a plant is retired and called back', async () => {
    await page.getByRole('link', { name: 'Own garden' }).click();
    await page.getByRole('button', { name: 'First cordon: all clear' }).click();
    await expect(page.getByText('looked over today')).toBeVisible();
    await expect.poll(() => own.saved('inspection')).toMatchObject([{ date: TODAY, allClear: true, signs: [] }]);
    await page.getByRole('link', { name: /Second cordon/ }).click();
    await page.getByRole('link', { name: 'Edit' }).click();
    await page.getByRole('button', { name: 'Remove this plant' }).click();
    await expect(page.getByRole('link', { name: /Second cordon/ })).toBeHidden();
    await page.getByRole('listitem').filter({ hasText: 'was archived' }).getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('link', { name: /Second cordon/ })).toBeVisible();
    const standing = async () => (await stored<GardenView>(page, 'view')).places[0]!.plants.map((p) => p.plant.name);
    await expect.poll(standing).toEqual(['First cordon', 'Second cordon']);
  });

  await test.step('a bed is archived with its plants once it is said so, and called back whole', async () => {
    const view = () => stored<GardenView>(page, 'view');
    const { place } = (await view()).places[0]!;
    await page.goto(`/gardens/${own.garden}/places/${place.id}`);
    await page.getByRole('button', { name: 'Archive' }).click();
    const sheet = page.getByRole('dialog', { name: `Archive ${place.name}?` });
    await expect(sheet).toContainText('2 plants still stand here.');
    await sheet.getByRole('button', { name: `Archive ${place.name}` }).click();
    await expect.poll(async () => (await view()).places).toEqual([]);
    await page.getByRole('listitem').filter({ hasText: 'was archived' }).getByRole('button', { name: 'Undo' }).click();
    await expect
      .poll(async () => (await view()).places.map((p) => p.plants.map((x) => x.plant.name)))
      .toEqual([['First cordon', 'Second cordon']]);
  });
});

test('a garden in US units shows and takes nothing else', async ({ page }) => {
  const own = await ownGarden(page, { temperature: 'F', volume: 'gal-us', length: 'in', mass: 'oz', area: 'ft2' });
  const tub = randomUUID();
  await own.put('/places', {
    id: tub,
    name: 'Tub',
    kind: 'container',
    texture: 'potting-mix',
    volumeL: 37.85411784,
  });
  await own.put('/plants', {
    id: randomUUID(),
    placeId: tub,
    name: 'Tub pepper',
    crop: 'pepper',
    transplantedOn: '2026-05-20',
    heightM: 0.508,
    stage: 'fruiting',
  });
  await signIn(page, own.who);
  await expect(page.getByText('10 US gal')).toBeVisible();
  await expect(page.getByRole('button', { name: /Saturday 18 July, today, \d+ to \d+ °F/ })).toBeVisible();
  await page.getByRole('link', { name: /Tub pepper/ }).click();
  await expect(page.getByText('20 in tall')).toBeVisible();
  await page.getByRole('button', { name: 'Water', exact: true }).click();
  await page.getByRole('dialog').getByLabel('Per plant (US gal)').fill('0.5');
  await page.getByRole('dialog').getByRole('button', { name: 'Save record' }).click();
  await expect(page.getByRole('button', { name: /Watered, 0.5 US gal per plant/ })).toBeVisible();
  await expect(page.locator('main')).not.toContainText(/\d (L|°C|cm|mm)\b/);
  await expect.poll(() => savedIn(page, 'watering')).toMatchObject([{ litres: expect.closeTo(1.893, 3) as unknown }]);
});

test('the weather service is down: the page says so; the own rain gauge counts', async ({ page }) => {
  const own = await ownGarden(page);
  await signIn(page, own.who);
  const station = process.env.STATION_URL!;
  await page.request.post(`${station}/fault?down=true`);
  try {
    await page.getByRole('link', { name: 'Settings' }).click();
    await page.getByRole('link', { name: 'Weather and hose timer' }).click();
    await page.getByRole('button', { name: 'Update now' }).click();
    await expect(
      page.getByText('The simulated station has a fault (503). We try again within the hour.'),
    ).toBeVisible();
    await expect(page.getByText(/The newest day is 18 July/)).toBeVisible();
  } finally {
    await page.request.post(`${station}/fault?down=false`);
  }
  await page.getByRole('button', { name: 'Update now' }).click();
  await expect(page.getByText('has a fault (503)')).toBeHidden();
  await page.getByRole('link', { name: 'Own garden', exact: true }).click();
  await page.getByRole('button', { name: /Friday 17 July/ }).click();
  await page.getByLabel('Your rain gauge (mm)').fill('12');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('12 mm in your own rain gauge')).toBeVisible();
});

test('keyboard shortcuts move between plants, are listed by "?", and can be switched off', async ({ page }) => {
  const own = await ownGarden(page);
  const { place } = await tomatoIn(own, { name: 'Key bed', kind: 'container', volumeL: 20 }, { name: 'First' });
  await own.put('/plants', { id: randomUUID(), placeId: place, name: 'Second', crop: 'pepper' });
  await signIn(page, own.who);
  await page.getByRole('link', { name: /^First/ }).click();
  await expect(page).toHaveTitle('First · Candid Leaf');
  await page.keyboard.press('n');
  await expect(page).toHaveTitle('Second · Candid Leaf');
  await page.keyboard.press('w');
  await expect(page.getByRole('dialog', { name: 'Water: Second' })).toBeVisible();
  // in a field a key is a letter
  await page.getByLabel('Per plant (L)').press('g');
  await page.keyboard.press('Escape');
  await page.keyboard.press('l');
  await expect(page).toHaveURL(/look/);
  // its address comes before the page does, and until then no key is heard
  await expect(page.getByRole('button', { name: 'All clear', exact: true })).toBeVisible();
  await page.keyboard.press('?');
  const keys = page.getByRole('dialog', { name: 'Keyboard shortcuts' });
  await expect(keys.getByText('Garden', { exact: true })).toBeVisible();
  await keys.getByRole('switch', { name: 'Shortcuts on this device' }).click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('g');
  await page.getByRole('link', { name: 'Season' }).click();
  await expect(page).toHaveTitle(/Season|20\d\d/);
});

test('leaving the page while saving does not lead back', async ({ page }) => {
  const own = await ownGarden(page);
  await tomatoIn(own, { name: 'Slow pot', kind: 'container', volumeL: 20 });
  await signIn(page, own.who);
  await page.getByRole('link', { name: /^The plant/ }).click();
  await page.getByRole('link', { name: 'Look it over' }).click();
  let answer = (): void => undefined;
  const held = new Promise<void>((done) => (answer = done));
  await page.route('**/records', async (route) => {
    await held;
    await route.continue();
  });
  await page.getByRole('button', { name: 'All clear', exact: true }).click();
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  answer();
  await expect(page.getByText('The plant: all clear.').first()).toBeVisible();
  await expect(page.getByRole('button', { name: /today.*, looked over/ })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  await expect(page).toHaveURL(new RegExp(`${own.garden}$`));
  await expect.poll(() => savedIn(page, 'inspection')).toMatchObject([{ allClear: true }]);
});

test('a wrong address says so and keeps the frame; old addresses still lead on', async ({ page }) => {
  const own = await ownGarden(page);
  await signIn(page, own.who);
  await page.goto(`/gardens/${own.garden}/nowhere`);
  await expect(page.getByRole('heading', { name: 'There is no page at this address' })).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Main' })).toBeVisible();
  await page.getByRole('link', { name: 'To your garden' }).click();
  await expect(page).toHaveURL(new RegExp(`/gardens/${own.garden}$`));
  await page.goto('/nowhere');
  await expect(page.getByRole('heading', { name: 'There is no page at this address' })).toBeVisible();
  await page.goto(`/gardens/${own.garden}/season/report`);
  await expect(page).toHaveURL(/\/season\/harvest$/);
  await page.goto(`/gardens/${own.garden}/away`);
  await expect(page.getByText('No days away are set')).toBeVisible();
  await page.getByRole('link', { name: 'Set days away' }).click();
  await expect(page.getByRole('heading', { name: 'Settings' })).toBeVisible();
});

test('water starts with the amount of last time, in steps one can pour', async ({ page }) => {
  const own = await ownGarden(page);
  const { plant } = await tomatoIn(own, { name: 'Pot', volumeL: 20 });
  await watered(own, plant, [4], 1.5);
  await watered(own, plant, [2], 2.5);
  await signIn(page, own.who);
  await page.getByRole('link', { name: /^The plant/ }).click();
  await page.getByRole('button', { name: 'Water', exact: true }).click();
  const sheet = page.getByRole('dialog');
  const amount = sheet.getByLabel('Per plant (L)');
  await expect(amount).toHaveValue('2.5');
  await sheet.getByRole('button', { name: 'More' }).click();
  await expect(amount).toHaveValue('3');
  await sheet.getByRole('button', { name: 'Less' }).click();
  await sheet.getByRole('button', { name: 'Less' }).click();
  await expect(amount).toHaveValue('1.5');
  await sheet.getByRole('button', { name: 'Save record' }).click();
  await expect.poll(async () => (await savedIn(page, 'watering')).at(0)).toMatchObject({ litres: 1.5 });
});
