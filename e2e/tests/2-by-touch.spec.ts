import { expect, test, type Locator } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { ownGarden, savedIn, signIn, tomatoIn, unfold } from './helpers.js';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

const TODAY = '2026-07-18';

test('a day in the garden by touch: each act in few touches, said the way people say it', async ({ page }) => {
  const own = await ownGarden(page);
  const { place } = await tomatoIn(own, { name: 'Long bed', kind: 'ground', texture: 'loam', lengthM: 3, widthM: 1 });
  for (const name of ['Second', 'Third', 'Fourth'])
    await own.put('/plants', { id: randomUUID(), placeId: place, name, crop: 'tomato', transplantedOn: '2026-05-10' });
  await signIn(page, own.who);
  let touches = 0;
  const tap = async (what: Locator) => {
    touches += 1;
    await what.tap();
  };
  const act = async (name: string, most: number, how: () => Promise<void>) => {
    touches = 0;
    await test.step(name, how);
    expect(touches).toBeLessThanOrEqual(most);
  };
  const sheet = page.getByRole('dialog');
  const record = async (type: string) => {
    await tap(page.getByRole('button', { name: 'Add a record: Long bed' }));
    await tap(sheet.getByRole('button', { name: type, exact: true }));
  };
  const save = async () => {
    await tap(sheet.getByRole('button', { name: 'Save record' }));
    await expect(sheet).toBeHidden();
  };

  await act('mulched', 3, async () => {
    await record('Mulch, shade or cover');
    await save();
  });
  await expect
    .poll(() => savedIn(page, 'covering'))
    .toMatchObject([{ date: TODAY, what: 'mulch', did: 'on', depthCm: 5 }]);

  await act('watered until it ran out', 2, async () => {
    await tap(page.getByRole('button', { name: 'Water Long bed', exact: true }));
    await tap(page.getByRole('button', { name: 'Until it ran out' }));
  });
  await expect.poll(() => savedIn(page, 'watering')).toMatchObject([{ date: TODAY, end: 'ran-through' }]);

  await act('watered by can', 2, async () => {
    await tap(page.getByRole('button', { name: 'Water Long bed', exact: true }));
    await tap(page.getByRole('button', { name: 'Watered today' }));
  });
  await expect
    .poll(() => savedIn(page, 'watering'))
    .toMatchObject([{ date: TODAY, litres: expect.any(Number) }, { end: 'ran-through' }]);

  await act('fed from a can, by its label', 4, async () => {
    await record('Feed');
    touches += 1;
    await sheet.getByLabel('Product').selectOption({ label: 'Manure water' });
    await expect(sheet.getByLabel('Mixed in all (L)')).toHaveValue('10');
    await save();
  });
  // a can of 10 L with a tenth of manure water, for four
  await expect.poll(() => savedIn(page, 'feeding')).toMatchObject([{ product: 'Manure water', grams: 250 }]);

  await act('two products in one can of 8 L', 7, async () => {
    await record('Feed');
    touches += 1;
    await sheet.getByLabel('Product').selectOption({ label: 'Compost tea' });
    await sheet.getByLabel('Mixed in all (L)').fill('8');
    await tap(sheet.getByRole('button', { name: 'Save, and add another' }));
    await expect(sheet.getByLabel('Its name')).toHaveValue('');
    touches += 1;
    await sheet.getByLabel('Product').selectOption({ label: 'Fish emulsion' });
    await expect(sheet.getByLabel('Mixed in all (L)')).toHaveValue('8');
    await tap(sheet.getByRole('button', { name: 'Save record' }));
    // what is known about the first, once both are saved
    await tap(page.getByRole('dialog', { name: 'About this product or method' }).getByText('Good to know'));
  });
  await expect
    .poll(() => savedIn(page, 'feeding'))
    .toMatchObject([{ product: 'Fish emulsion', date: TODAY }, { product: 'Compost tea', date: TODAY }, {}]);

  await act('two glugs in the can', 5, async () => {
    await record('Feed');
    touches += 2;
    await sheet.getByLabel('Product').selectOption({ label: 'Seaweed extract' });
    await sheet.getByLabel('How much').selectOption({ label: 'Glugs in the can' });
    await sheet.getByLabel('Glugs').fill('2');
    await save();
  });
  // 60 mL for four
  await expect
    .poll(() => savedIn(page, 'feeding'))
    .toMatchObject([{ product: 'Seaweed extract', grams: expect.closeTo(16, 0) }, {}, {}, {}]);

  await act('a timer set', 4, async () => {
    await record('Timer');
    await tap(sheet.getByText('Off when it rains'));
    await save();
  });
  await expect.poll(() => savedIn(page, 'timer')).toMatchObject([{ everyDays: 2, minutes: 20, skipsRain: true }]);

  await act('one leaf sprayed as a test', 4, async () => {
    await record('Spray');
    await tap(sheet.getByText('On one leaf only, as a test'));
    await save();
  });
  await expect.poll(() => savedIn(page, 'spray')).toMatchObject([{ date: TODAY, product: 'soap', trial: true }]);

  await act('staked', 3, async () => {
    await record('Support');
    await save();
  });
  await expect.poll(() => savedIn(page, 'support')).toMatchObject([{ date: TODAY, what: 'stake' }]);

  await act('minutes of an unknown flow', 4, async () => {
    await record('Water');
    touches += 1;
    await sheet.getByLabel('How much').selectOption({ label: 'Minutes it ran' });
    await sheet.getByLabel('How long (minutes)').fill('45');
    await expect(sheet.getByText(/Saved with the amount unknown/)).toBeVisible();
    await save();
  });
  await expect
    .poll(async () => (await savedIn(page, 'watering')).map((w) => (w as { minutes?: number }).minutes))
    .toContain(45);

  await act('a look with a truss count', 5, async () => {
    await tap(page.getByRole('link', { name: /^The plant/ }));
    await tap(page.getByRole('button', { name: /^Flowers/ }).first());
    await tap(page.getByRole('button', { name: 'Count a truss' }));
    await sheet.getByLabel('Flowers, open or faded').fill('6');
    await sheet.getByLabel('Fruit set').fill('2');
    await save();
    await tap(page.getByRole('button', { name: 'All clear' }));
  });
  await expect.poll(() => savedIn(page, 'truss-count')).toMatchObject([{ truss: 1, flowers: 6, fruit: 2 }]);
  await expect.poll(() => savedIn(page, 'inspection')).toMatchObject([{ date: TODAY, allClear: true }]);
});

test('Today asks once what was done so far, and each answer is one touch', async ({ page }) => {
  const own = await ownGarden(page);
  await tomatoIn(
    own,
    { name: 'Long bed', kind: 'ground', texture: 'loam', lengthM: 3, widthM: 1 },
    { habit: 'indeterminate', type: 'slicer' },
  );
  await signIn(page, own.who);
  const today = page.getByRole('region', { name: 'Today' });
  await unfold(today, 'What was done so far: Long bed');
  await today.getByRole('button', { name: 'Tied to a support? Not yet: Long bed' }).tap();
  await expect(today.getByText('Tied to a support?')).toBeHidden();
  await today.getByRole('button', { name: 'Mulched? Yes: Long bed' }).tap();
  await expect(today.getByText('Mulched?')).toBeHidden();
  await expect.poll(() => savedIn(page, 'event')).toMatchObject([{ what: 'not-tied-yet' }]);
  await expect.poll(() => savedIn(page, 'covering')).toMatchObject([{ what: 'mulch', did: 'on' }]);
});
