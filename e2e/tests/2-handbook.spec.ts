import { expect, test } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { day, ofPlace, ownGarden, see, signIn, tomatoIn, watered, whatIsIt, savedIn } from './helpers.js';

test('from a finding to its handbook page and look-alike; the handbook is searched by plain words', async ({
  page,
}) => {
  const own = await ownGarden(page);
  const { plant } = await tomatoIn(own, { volumeL: 12, potMaterial: 'terracotta' });
  await watered(own, plant, [25, 20, 15, 10, 5], 9);
  await signIn(page, own.who);
  await page.getByRole('link', { name: /The plant/ }).click();
  await see(page, /^Fruit/, 'Dark patch at the bottom');
  await whatIsIt(page);
  await page.getByRole('link', { name: 'Blossom end rot in the handbook' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Blossom end rot' })).toBeVisible();
  await expect(page.getByText(/No calcium sprays on leaves or fruit/)).toBeVisible();
  const like = page.getByRole('region', { name: 'Easily confused with' });
  await expect(like.getByText(/pale and papery on the sunny side/)).toBeVisible();
  await like.getByRole('link', { name: 'Sunscald' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Sunscald' })).toBeVisible();
  await page.getByRole('link', { name: 'All problems' }).click();
  await page.getByLabel('What does it look like?').fill('white powder');
  await expect(page.getByRole('main').getByRole('listitem').first()).toContainText('mildew');
  await page.getByLabel('What does it look like?').fill('qqqq');
  await expect(page.getByText(/^No match/)).toBeVisible();
  await expect
    .poll(() => savedIn(page, 'inspection'))
    .toMatchObject([{ signs: [{ sign: 'fruit-blossom-end-dark', present: true }] }]);
});

test('a walk along a bed: compares with last time, offers the same sign, can be interrupted', async ({ page }) => {
  const own = await ownGarden(page);
  const { place, plant } = await tomatoIn(own, {
    name: 'Long bed',
    kind: 'ground',
    texture: 'loam',
    lengthM: 3,
    widthM: 0.5,
  });
  for (const name of ['Second', 'Third'])
    await own.put('/plants', {
      id: randomUUID(),
      placeId: place,
      name,
      crop: 'tomato',
      type: 'slicer',
      stage: 'fruiting',
      heightM: 1.2,
    });
  const seen = { sign: 'leaf-target-spots', present: true, affected: 4, of: 11 };
  await own.put('/records', {
    id: randomUUID(),
    type: 'inspection',
    plantId: plant,
    data: { date: day(7), allClear: false, partOfDay: 'morning', signs: [seen] },
  });
  await signIn(page, own.who);
  await ofPlace(page, 'Long bed', 'Walk along it');
  await page.getByRole('link', { name: 'Start with The plant' }).click();
  // last time's sign stands there faintly, to say whether it is still there
  await expect(page.getByText('4 of 11 on 11 July')).toBeVisible();
  await page.getByRole('button', { name: 'In the morning' }).click();
  await page.getByRole('button', { name: 'Brown spots with rings', exact: true }).click();
  const count = page.getByLabel('Brown spots with rings: how many', { exact: true });
  await count.fill('6');
  await expect(page.getByText('Saved: 1 seen')).toBeVisible();
  await page.getByRole('link', { name: 'Next: Second' }).click();
  await expect(page.getByText('today on The plant')).toBeVisible();
  await page.getByRole('button', { name: 'Begin: upper leaves' }).click();
  await page.getByRole('button', { name: 'Next: fruit' }).click();
  await expect(page.getByRole('heading', { name: 'Fruit', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'All clear' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Third' })).toBeVisible();
  // called in for lunch: another way back leads to where the walk was left
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await ofPlace(page, 'Long bed', 'Walk along it');
  await expect(page.getByText('2 of 3 looked over today.')).toBeVisible();
  await page.getByRole('link', { name: 'Continue with Third' }).click();
  await page.getByRole('button', { name: 'All clear' }).click();
  await expect(page.getByText('All 3 looked over today.')).toBeVisible();
  await page.getByRole('link', { name: /^The plant/ }).click();
  await expect(page.getByRole('button', { name: 'In the morning' })).toHaveAttribute('aria-pressed', 'true');
  await expect
    .poll(async () => (await savedIn(page, 'inspection')).slice(0, 3))
    .toMatchObject([
      { allClear: true },
      { allClear: true },
      { allClear: false, signs: [{ sign: 'leaf-target-spots', present: true, affected: 6 }] },
    ]);
});

test('export a case as file and sheet, open it as a plant from another garden', async ({ page }) => {
  const own = await ownGarden(page);
  const { plant } = await tomatoIn(own, { volumeL: 12, potMaterial: 'terracotta' });
  await watered(own, plant, [25, 20, 15, 10, 5], 9);
  await signIn(page, own.who);
  await page.getByRole('link', { name: /The plant/ }).click();
  await see(page, /^Fruit/, 'Dark patch at the bottom');
  await whatIsIt(page);
  const told = await page.getByRole('button', { name: /swung between dry and full/ }).textContent();
  await page.getByRole('link', { name: 'Case sheet' }).click();
  const sheet = page.getByRole('article', { name: 'Case sheet' });
  await expect(sheet.getByRole('heading', { name: /^Blossom end rot/ })).toBeVisible();
  await expect(sheet.getByText(/^Not known:/).first()).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  const pdf = (
    await page.pdf({ format: 'A4', margin: { top: '12mm', bottom: '12mm', left: '12mm', right: '12mm' } })
  ).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page[^s]/g)!.length).toBeLessThanOrEqual(2);
  await page.emulateMedia({ media: 'screen' });
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save case file' }).click(),
  ]);
  await page.getByRole('link', { name: 'Open another case file' }).click();
  await page.getByLabel('Case file').setInputFiles(await file.path());
  // the same answer from the file alone, worked out in the browser
  await expect(page.getByRole('heading', { name: /^Blossom end rot/ })).toBeVisible();
  await expect(page.getByRole('button', { name: told!.trim() })).toBeVisible();
  await expect(page.getByRole('button', { name: 'I will do this' })).toBeHidden();
  await page.reload();
  await expect(page.getByRole('heading', { name: /^Blossom end rot/ })).toBeVisible();
  // a faulty file is refused with the place and the reason
  const broken = JSON.parse(await (await import('node:fs/promises')).readFile(await file.path(), 'utf8')) as {
    plant: { heightM: number };
  };
  broken.plant.heightM = -3;
  await page
    .getByLabel('Case file')
    .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(broken)) });
  await expect(page.getByRole('alert')).toContainText('plant.heightM');
});
