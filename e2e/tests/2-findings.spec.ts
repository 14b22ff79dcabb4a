import { expect, test } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import {
  day,
  DEMO,
  noSideways,
  ofPlace,
  ownGarden,
  savedIn,
  see,
  signIn,
  stored,
  tomatoIn,
  unfold,
  watered,
  whatIsIt,
} from './helpers.js';

const SEEN = (sign: string) => ({ sign, present: true });
const NOT = (sign: string) => ({ sign, present: false });

test('drooping leaves: unclear at first, the proposed check decides, watering is held back', async ({ page }) => {
  const own = await ownGarden(page);
  await tomatoIn(own, { name: 'Clay bed', kind: 'ground', texture: 'clay', lengthM: 1, widthM: 0.5 });
  await signIn(page, own.who);
  await page.getByRole('link', { name: /The plant/ }).click();
  await see(page, /^The whole plant/, 'Drooping leaves');
  await whatIsIt(page);
  await expect(page.getByRole('heading', { name: /^Not clear yet/ })).toBeVisible();
  await expect(page.getByRole('region', { name: /What to do/ })).toBeHidden();
  // the answer is told where the check stands, with one touch
  const finger = page.getByRole('group', { name: 'Feel the soil a finger deep: what did it show?' });
  await finger.getByRole('button', { name: 'wet', exact: true }).click();
  await expect(page.getByRole('heading', { name: /^Too much water at the roots/ })).toBeVisible();
  const todo = page.getByRole('region', { name: /What to do/ });
  const finding = page.getByRole('region', { name: 'Finding' });
  await expect(finding.getByText(/^Stop watering for now/)).toBeVisible();
  await expect(todo.getByText('Water now')).toBeHidden();
  await expect
    .poll(() => savedIn(page, 'inspection'))
    .toMatchObject([
      {
        allClear: false,
        signs: [SEEN('leaf-wilt'), SEEN('soil-wet-deep'), NOT('soil-dry-deep'), NOT('soil-damp-deep')],
      },
    ]);
});

test('a pale fruit patch after thinning and heat: shade it and stop cutting', async ({ page }) => {
  const own = await ownGarden(page);
  const { plant } = await tomatoIn(own, { name: 'Bed', kind: 'ground', texture: 'loam', lengthM: 1, widthM: 0.5 });
  await own.put('/records', {
    id: randomUUID(),
    type: 'pruning',
    plantId: plant,
    data: { date: day(9), cuts: 12, leafSharePct: 40, what: ['thinning'] },
  });
  await signIn(page, own.who);
  await page.getByRole('link', { name: /The plant/ }).click();
  await see(page, /^Fruit/, 'Pale papery patch', 'Patch faces the sun');
  await page.getByLabel('Search by words').fill('dark patch at the bottom');
  await page.getByRole('button', { name: 'Not there: Dark patch at the bottom' }).click();
  await whatIsIt(page);
  await expect(page.getByRole('heading', { name: /^Sunscald/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /Leaves removed: 40 % of the leaves cut on 9 July/ })).toBeVisible();
  const todo = page.getByRole('region', { name: /What to do/ });
  await expect(todo.getByText('Hang shade cloth')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Finding' }).getByText(/^Use the sound fruit/)).toBeVisible();
  await expect(todo.getByText(/Stand poles and steps on firm ground/)).toBeVisible();
  await expect
    .poll(() => savedIn(page, 'inspection'))
    .toMatchObject([
      { signs: [SEEN('fruit-pale-papery-patch'), SEEN('fruit-patch-sun-side'), NOT('fruit-blossom-end-dark')] },
    ]);
});

test('two problems at once: each has its remedies, one is started without the other', async ({ page }) => {
  const own = await ownGarden(page);
  const { plant } = await tomatoIn(own, { volumeL: 12, potMaterial: 'terracotta' }, { type: 'paste' });
  await watered(own, plant, [25, 20, 15, 10, 5], 9);
  await signIn(page, own.who);
  await page.getByRole('link', { name: /The plant/ }).click();
  await see(page, /^Fruit/, 'Dark patch at the bottom');
  await see(page, /^Growing tip/, 'Clusters of small soft insects');
  await whatIsIt(page);
  const rot = page.getByRole('region', { name: 'What to do: Blossom end rot' });
  const aphids = page.getByRole('region', { name: 'What to do: Aphids' });
  const finding = page.getByRole('region', { name: 'Finding' });
  await expect(finding.getByText(/^Water evenly/)).toBeVisible();
  await expect(rot).toBeVisible();
  await expect(aphids.getByText('Rinse them off with water')).toBeVisible();
  // a spray is a step by itself, after the look again; what not to do stands under its own words
  await expect(aphids.getByRole('heading', { name: 'Only if that was not enough' }).first()).toBeVisible();
  await expect(aphids.getByText('after the next look').first()).toBeVisible();
  await expect(aphids.getByText('No broad-spectrum insecticide: it kills the helpful insects first.')).toBeVisible();
  await aphids.getByRole('button', { name: 'I will do this' }).click();
  await expect(aphids.getByText(/Started on 18 July/)).toBeVisible();
  await expect(finding.getByRole('button', { name: 'I will do this' })).toBeVisible();
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Today' }).getByText('Rinse them off with water')).toBeVisible();
  await expect
    .poll(() => savedIn(page, 'inspection'))
    .toMatchObject([{ signs: [SEEN('fruit-blossom-end-dark'), SEEN('pest-aphids')] }]);
});

test('a harmless sign is called harmless, is not marked, and goes away with an all-clear', async ({ page }) => {
  const own = await ownGarden(page);
  const { plant } = await tomatoIn(own, { volumeL: 40 });
  await watered(own, plant, [12, 10, 8, 6, 4, 2, 1, 0], 3);
  await own.put('/records', {
    id: randomUUID(),
    type: 'feeding',
    plantId: plant,
    data: { date: day(9), n: 4, p2o5: 4, k2o: 8, grams: 20 },
  });
  await signIn(page, own.who);
  await page.getByRole('link', { name: /The plant/ }).click();
  await see(page, /^Low leaves/, 'A few old leaves yellowing', 'On the lower leaves');
  await whatIsIt(page);
  await expect(page.getByRole('heading', { name: /^Old leaves finishing/ })).toBeVisible();
  await expect(page.getByText('Nothing needs doing.').first()).toBeVisible();
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await expect(page.getByText('Old leaves finishing', { exact: true }).first()).toBeVisible();
  await page.getByRole('button', { name: 'The plant: all clear' }).click();
  await expect(page.getByText('Old leaves finishing', { exact: true }).first()).toBeHidden();
  const clears = async () => (await own.saved('inspection')).map((r) => (r as { allClear: boolean }).allClear);
  await expect.poll(clears).toEqual([true, false]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Old leaves finishing', { exact: true }).first()).toBeVisible();
  await expect.poll(clears).toEqual([false]);
});

test('find a sign by words; it replaces the signs it rules out; the ribbon describes a day', async ({ page }) => {
  const own = await ownGarden(page);
  const { plant } = await tomatoIn(own, { volumeL: 14 });
  await watered(own, plant, [3], 2);
  await signIn(page, own.who);
  await page.getByRole('link', { name: /The plant/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'The plant' })).toBeVisible();
  await page.getByRole('button', { name: /Wednesday 15 July/ }).click();
  await expect(page.getByRole('status').filter({ hasText: '15 July:' })).toContainText(/Watered, 2\sL per plant/);
  await page.getByRole('button', { name: /^Soil and roots/ }).click();
  await page.getByLabel('Search by words').fill('finger');
  await page.getByRole('button', { name: 'Dry at a finger’s depth', exact: true }).click();
  await expect(page.getByText('Saved: 1 seen')).toBeVisible();
  await page.getByRole('button', { name: 'Wet at a finger’s depth', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Dry at a finger’s depth', exact: true })).toHaveAttribute(
    'aria-pressed',
    'false',
  );
  await expect(page.getByText('Saved: 1 seen')).toBeVisible();
  await expect.poll(() => savedIn(page, 'inspection')).toMatchObject([{ signs: [SEEN('soil-wet-deep')] }]);
  // all that is drawn was looked for and is not there; a second touch takes it back
  await page.getByRole('button', { name: /^Stem and forks/ }).click();
  const none = page.getByRole('button', { name: 'None of these' });
  await none.click();
  await expect(none).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByText(/^Saved: 1 seen, [2-9] not there$/)).toBeVisible();
  await none.click();
  await expect(page.getByText('Saved: 1 seen', { exact: true })).toBeVisible();
  await expect.poll(() => savedIn(page, 'inspection')).toMatchObject([{ signs: [SEEN('soil-wet-deep')] }]);
});

test.describe('by touch', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('the finding holds its first step; the others open from there, though they are folded', async ({ page }) => {
    await signIn(page, DEMO);
    await page.getByRole('link', { name: /^Junction Bell/ }).tap();
    const finding = page.getByRole('region', { name: 'Finding' });
    await expect(finding.getByText('Use the sound fruit, today')).toBeVisible();
    await finding.getByRole('button', { name: 'Precautions' }).tap();
    await expect(page.getByRole('heading', { name: 'The other steps' })).toBeHidden();
    await finding.getByRole('link', { name: /^\d more steps?$/ }).tap();
    await expect(page.getByRole('heading', { name: 'The other steps' })).toBeVisible();
    await expect(page.getByText('Use the sound fruit', { exact: false })).toHaveCount(1);
  });

  test('Look leads to the bed that is due, and on a plant’s page to that plant', async ({ page }) => {
    await signIn(page, DEMO);
    const bar = page.getByRole('navigation', { name: 'Main' });
    await bar.getByRole('link', { name: 'Look' }).tap();
    await expect(page.getByRole('heading', { name: 'Look over', level: 1 })).toBeVisible();
    await page.getByRole('link', { name: /^Start with / }).tap();
    await expect(page).toHaveURL(/\/walk$/);
    await bar.getByRole('link', { name: 'Garden' }).tap();
    await page.getByRole('link', { name: /^Junction Bell/ }).tap();
    await expect(page.getByRole('heading', { name: 'Junction Bell', level: 1 })).toBeVisible();
    await bar.getByRole('link', { name: 'Look' }).tap();
    await expect(page).toHaveURL(/\/plants\/[^/]+\/look$/);
    await page.getByRole('navigation', { name: 'Main' }).getByRole('link', { name: 'Shed' }).tap();
    await page.getByRole('button', { name: 'Dose of Liquid tomato feed' }).tap();
    const sheet = page.getByRole('dialog', { name: 'Liquid tomato feed: how much?' });
    await expect(sheet.getByRole('status', { name: 'The dose' })).toBeVisible();
  });

  test('holding a day of the ribbon describes it, and the page does not scroll sideways', async ({ page }) => {
    await signIn(page, DEMO);
    const day = page.getByRole('list', { name: 'Days' }).getByRole('button').nth(2);
    const said = day.locator('xpath=following-sibling::*[@data-says]');
    await expect(said).toBeHidden();
    const at = (await day.boundingBox())!;
    await page.mouse.move(at.x + at.width / 2, at.y + 20);
    await page.mouse.down();
    await expect(said).toBeVisible();
    expect(await said.getAttribute('data-says')).toBe(await day.getAttribute('aria-label'));
    await noSideways(page);
    const box = (await said.boundingBox())!;
    expect(box.x).toBeGreaterThanOrEqual(0);
    expect(box.x + box.width).toBeLessThanOrEqual(390);
    await page.mouse.up();
    await expect(said).toBeHidden();
  });
});

test('what would have prevented it: its water is drawn, one tap makes it a rule, and the rule can go', async ({
  page,
}) => {
  const own = await ownGarden(page);
  const { plant } = await tomatoIn(own, { name: 'Tub', volumeL: 12, potMaterial: 'terracotta' }, { type: 'paste' });
  await watered(own, plant, [25, 20, 15, 10, 5], 9);
  await signIn(page, own.who);
  await page.getByRole('link', { name: /The plant/ }).click();
  await see(page, /^Fruit/, 'Dark patch at the bottom');
  await whatIsIt(page);
  const why = page.getByRole('region', { name: 'Why here' });
  await expect(why.getByRole('heading', { name: 'What would have prevented it' })).toBeVisible();
  const planned = why.getByRole('listitem').filter({ hasText: /^With [\d.]+\sL daily from/ });
  await expect(planned).toContainText(/\d+ % instead of \d+ %/);
  await planned.getByRole('button', { name: /instead of/ }).click();
  await expect(page.getByText(/The risk then lies between \d+ % and \d+ %/)).toBeVisible();
  await page.keyboard.press('Escape');
  // the second line
  const line = page.locator('path[data-other]');
  const show = planned.getByRole('button', { name: 'Show its water' });
  if (await show.isVisible()) await show.click();
  await expect(line).toHaveAttribute('d', /^M[\d.]+ [\d.]+L/);
  await planned.getByRole('button', { name: 'Hide its water' }).click();
  await expect(line).toHaveAttribute('d', '');
  await planned.getByRole('button', { name: 'Make it a rule here' }).click();
  await expect(planned.getByText('a rule of Tub')).toBeVisible();
  const rules = async () =>
    (await stored<{ places: { place: { rules: { rule: string }[] } }[] }>(page, 'view')).places[0]!.place.rules;
  await expect.poll(rules).toMatchObject([{ rule: 'water-by-plan' }]);
  // it stands with the pot, and goes there
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await ofPlace(page, 'Tub', 'Edit');
  await unfold(page, /^Rules/);
  await page.getByRole('button', { name: 'Remove: Water when the plan says' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect.poll(rules).toEqual([]);
});
