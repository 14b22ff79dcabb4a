import type { SeasonView } from '@candid-leaf/contract';
import { expect, test } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { choose, ownGarden, signIn, stored, unfold, heldTask } from './helpers.js';

test('a season from plan to lessons: sow, harden off, wait for warm soil, plant out, pick, close', async ({ page }) => {
  test.slow(); // a whole year
  const own = await ownGarden(page, {}, '2026-03-05');
  const bed = randomUUID();
  await own.put('/places', {
    id: bed,
    name: 'Long bed',
    kind: 'ground',
    texture: 'loam',
    lengthM: 2.4,
    widthM: 0.6,
    history: [{ year: 2025, family: 'nightshade', problems: ['vascular-wilt'] }],
  });
  await signIn(page, own.who);

  // a kind from its packet: the letters are read
  await page.getByRole('link', { name: 'Shed', exact: true }).click();
  await page.getByRole('link', { name: 'Varieties' }).click();
  await page.getByRole('link', { name: 'Round tomato' }).click();
  await page.getByLabel('Name').fill('Track Red');
  await page.getByLabel('Resistance letters').fill('VF ZZ');
  await expect(
    page.getByText('V: verticillium wilt; F: fusarium wilt; ZZ: not a known letter, so it is ignored'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Track Red' })).toBeVisible();

  // the plan is held against the bed while it is written
  await page.getByRole('link', { name: 'Season' }).click();
  await expect(page.getByText('Nothing is planned for 2026')).toBeVisible();
  await page.getByRole('button', { name: 'Plan a planting' }).click();
  const said = page.getByRole('status', { name: 'Pros and cons' });
  await expect(said).toContainText('Wilt disease in the stem was found here and survives in the soil');
  await page.getByLabel('How many').fill('9');
  await expect(said).toContainText('9 plants are too many here: at 45 cm spacing there is room for 5');
  await choose(page, 'Variety', 'Track Red');
  await expect(said).toContainText('grew here in 2025, the year before');
  await page.getByLabel('How many').fill('2');
  await expect(said).toContainText('3 cells, 6 seeds');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: '2 Track Red, Long bed' })).toBeVisible();
  await unfold(page, /^Track Red/);
  await expect(page.getByRole('button', { name: '25 April to 16 May' }).first()).toBeVisible();

  // Today asks for it, step by step
  const goTo = async (day: string) => {
    const { today: _t, ...garden } = await (await page.request.get(`/api/gardens/${own.garden}`)).json();
    await page.request.put('/api/gardens', { data: { ...garden, pinnedDate: day } });
    // what this device kept from before is shown first, and replaced
    const fresh = page.waitForResponse((r) => r.url().endsWith(`/${own.garden}/view`) && r.ok());
    await page.goto(`/gardens/${own.garden}`);
    await fresh;
  };
  await goTo('2026-03-05');
  const tick = async (title: string) => {
    const done = page.getByRole('button', { name: `Done: ${title}` });
    await done.click();
    await expect(done).toBeHidden();
  };
  await tick('Sow Track Red');
  // seedlings that fell over are counted, and it is said what to do
  await goTo('2026-03-16');
  await page.getByRole('link', { name: 'Season' }).click();
  const seedlings = page.getByRole('group', { name: 'Seedlings of Track Red' });
  await seedlings.getByRole('button', { name: 'Collapsed at the soil line' }).click();
  await expect(seedlings).toContainText('Do not water until the top is dry');
  await seedlings.getByLabel('How many were lost').fill('1');
  await seedlings.getByRole('button', { name: 'Save count' }).click();
  await expect(page.getByText('Sown on 5 March, 3 cells, 1 lost.')).toBeVisible();
  await goTo('2026-04-12');
  await tick('Pot on Track Red');
  await tick('Start hardening off Track Red');
  await goTo('2026-04-13');
  // the night is cold, but by day they may go out
  await expect(page.getByText(/^Put Track Red outside: 2 hours in the shade/)).toBeVisible();
  await goTo('2026-05-27');
  await expect(page.getByText(/^Put Track Red outside: 2 hours in the shade/)).toBeVisible();
  await tick('Put Track Red outside');

  // the other days are written down; a cold soil holds it still, a warm one lets it out
  const { plantings } = await (await page.request.get(`/api/gardens/${own.garden}/season?year=2026`)).json();
  const outDays = ['2026-04-12', ...Array.from({ length: 9 }, (_, i) => `2026-05-${18 + i}`)];
  await own.put('/plantings', { ...plantings[0].planting, outDays });
  // one reading, which is then corrected: of two on a day only ids tell which is the newer
  const reading = { id: randomUUID(), type: 'soil-warmth', placeId: bed };
  const soil = (celsius: number, more: object = {}) =>
    own.put('/records', { ...reading, ...more, data: { date: '2026-05-27', celsius } });
  await soil(11);
  await goTo('2026-05-27');
  await expect(await heldTask(page, /^Plant out Track Red/)).toContainText(/Wait .*soil/);
  await soil(18, { version: 1 });
  await goTo('2026-05-27');
  await expect(async () => {
    await unfold(page, /^Plant out Track Red/);
    await expect(page.getByRole('button', { name: /step by step/ }).first()).toBeVisible({ timeout: 2000 });
  }).toPass();
  await unfold(page, /step by step/);
  await expect(page.getByText(/Hardened off$/)).toBeVisible();
  await expect(page.getByText('Water it in at its foot until the soil settles', { exact: false })).toBeVisible();
  await tick('Plant out Track Red');
  await expect(page.getByRole('link', { name: /^Track Red 2/ })).toBeVisible();
  await page.getByRole('link', { name: 'Season' }).click();
  await expect(page.getByText('Planted out on 27 May.')).toBeVisible();

  // picked in two touches; dark ends are not for the jar, and that is said where it stands
  await goTo('2026-08-25');
  await page.getByRole('button', { name: 'Pick: Track Red 1' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('How many').fill('6');
  await sheet.getByLabel('Total weight (g)').fill('700');
  await choose(sheet, 'Condition', 'Blossom end rot');
  await choose(sheet, 'Use', 'to preserve: dried, frozen, canned');
  await sheet.getByRole('button', { name: 'Record' }).click();
  await expect(sheet.getByText(/does not keep and is not for canning/)).toBeVisible();
  await choose(sheet, 'Use', 'to cook');
  await sheet.getByRole('button', { name: 'Record' }).click();
  await expect(page.getByRole('button', { name: 'Pick: Track Red 1' })).toBeHidden();

  // the year is closed: plants bagged, kit away, and what to change
  await goTo('2026-11-05');
  await page.getByRole('link', { name: 'Season' }).click();
  await page.getByRole('link', { name: 'Harvest', exact: true }).click();
  await expect(page.getByText('0.7 kg recorded so far.')).toBeVisible();
  await expect(page.getByText(/^No harvest yet: \d plants?\.$/)).toBeVisible();
  await page.getByRole('link', { name: 'Close the year' }).click();
  await expect(page.getByRole('button', { name: 'Close 2026' })).toBeDisabled();
  await choose(page, 'Long bed: reason', 'It is diseased');
  await expect(page.getByText('Bag it with its roots and bin it', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Clear the plants in Long bed' }).click();
  await expect(page.getByText('All plants of 2026 are cleared.')).toBeVisible();
  await page.getByLabel('What to change').fill('Water twice a week in August.');
  await page.getByRole('checkbox', { name: /^String/ }).check();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Saved for next year.', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Close 2026' }).click();
  await expect(page.getByText('Closed on 5 November 2026.')).toBeVisible();
  await expect(page.getByRole('checkbox', { name: /^String/ })).toBeChecked();

  // and next year’s plan begins with it
  await page.getByRole('link', { name: '2027' }).click();
  await page.getByRole('link', { name: 'Plan', exact: true }).click();
  await unfold(page, 'Lessons from 2026');
  const before = page.getByRole('main');
  await expect(before).toContainText('To change: Water twice a week in August.');
  await page.getByRole('button', { name: 'Plan a planting' }).click();
  await choose(page, 'Variety', 'Track Red');
  await expect(said).toContainText('grew here in 2026, the year before');
  // what stood opens as it stood
  await before.getByRole('link', { name: 'What grew where in 2026' }).click();
  await page
    .getByRole('region', { name: 'Long bed in 2026' })
    .getByRole('link', { name: /^Track Red 1/ })
    .click();
  await expect(page.getByText('It ended on 5 November 2026')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Water' })).toHaveCount(0);
  await expect(page.getByText(/Picked 6, 700.g, dark end, for sauce/)).toBeVisible();
  // it stands on its last day: the ribbon, which tells of these days, is not over it, and back in the garden it is
  await expect(page.getByRole('list', { name: 'Days' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await expect(page.getByRole('list', { name: 'Days' })).toBeVisible();
});

test('move plants in their bed by keyboard and by drag; too close is shown; it is saved', async ({ page }) => {
  const own = await ownGarden(page, {}, '2026-03-05');
  const bed = randomUUID();
  await own.put('/places', { id: bed, name: 'Long bed', kind: 'ground', texture: 'loam', lengthM: 2.4, widthM: 0.6 });
  await own.put('/plantings', { id: randomUUID(), year: 2026, placeId: bed, crop: 'tomato', count: 3 });
  await signIn(page, own.who);
  await page.getByRole('link', { name: 'Season' }).click();
  await page.getByRole('button', { name: 'Edit Tomato, Long bed' }).click();
  await choose(page, 'Aim', 'One big harvest, for sauce');
  const second = page.getByRole('button', { name: /^Plant 2,/ });
  await expect(second).toHaveAccessibleName(/Plant 2, 120.cm along, 30.cm across/);
  await second.focus();
  await page.keyboard.press('Space');
  await expect(page.getByText('Plant 2 lifted.')).toBeAttached();
  // the arrows are listened to one task after the plant is lifted
  await page.evaluate(() => new Promise((done) => setTimeout(done)));
  for (let at = 115; at >= 60; at -= 5) {
    await page.keyboard.press('ArrowLeft');
    await expect(page.getByText(new RegExp(`^Plant 2: ${at}.cm along`))).toBeAttached();
  }
  await page.keyboard.press('Space');
  await expect(second).toHaveAccessibleName(/Plant 2, 60.cm along, 30.cm across, too close/);
  await expect(page.getByText('Two are too close', { exact: false })).toBeVisible();
  const third = page.getByRole('button', { name: /^Plant 3,/ });
  const at = (await third.boundingBox())!;
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2);
  await page.mouse.down();
  await page.mouse.move(at.x + at.width / 2 - 60, at.y + at.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect(third).not.toHaveAccessibleName(/200.cm along/);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('For: one big harvest, for sauce.', { exact: false })).toBeVisible();
  await expect(page.getByText('Two are too close', { exact: false })).toBeVisible();
  const { plantings } = await stored<SeasonView>(page, 'season?year=2026');
  const [{ planting }] = plantings as [SeasonView['plantings'][0]];
  expect(planting).toMatchObject({ aim: 'at-once', count: 3 });
  expect(planting.spots!.map((at) => at.x)).toEqual([expect.anything(), 0.6, expect.anything()]);
  expect(planting.spots![2]!.x).toBeLessThan(2);
});

test('twenty minutes: the most useful tasks stay; the calendar link works until it is revoked', async ({
  page,
  request,
}) => {
  const own = await ownGarden(page);
  for (const name of ['North bed', 'South bed', 'East bed']) {
    const place = randomUUID();
    await own.put('/places', { id: place, name, kind: 'ground', texture: 'loam', lengthM: 4, widthM: 0.5 });
    for (let i = 0; i < 4; i++)
      await own.put('/plants', {
        id: randomUUID(),
        placeId: place,
        name: `${name} ${i}`,
        crop: 'tomato',
        stage: 'ripening',
        transplantedOn: '2026-05-06',
      });
  }
  await signIn(page, own.who);
  const count = async () => parseInt(await page.getByText(/^\d+ things?, /).innerText(), 10);
  await expect(page.getByText(/^\d+ things, /)).toBeVisible();
  const all = await count();
  await choose(page, 'Time available', '10 minutes');
  await expect(page.getByText(/more would take longer/)).toBeVisible();
  expect(await count()).toBeLessThan(all);
  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByRole('link', { name: 'Calendar link' }).click();
  await page.getByRole('button', { name: 'Create link' }).click();
  const address = await page.getByLabel('The link, shown only once').inputValue();
  const read = await request.get(address);
  expect(await read.text()).toMatch(/(Check for ripe fruit|Pick at first blush): North bed/);
  await page.getByRole('button', { name: 'Remove link' }).click();
  await expect(page.getByText('The link no longer works.', { exact: true })).toBeVisible();
  expect((await request.get(address)).status()).toBe(404);
});
