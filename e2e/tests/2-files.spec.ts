import { expect, test } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { choose, ownDemo, ownGarden, signIn, tomatoIn } from './helpers.js';

const csv = (text: string, name = 'notebook.csv') => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });

test('a notebook of somebody else’s comes in: looked at, its units chosen, tried, brought in without the row at fault, and taken out again', async ({
  page,
}) => {
  const own = await ownGarden(page);
  await tomatoIn(own, { name: 'Wall pot', kind: 'container', volumeL: 20 }, { name: 'Red one' });
  await signIn(page, own.who);
  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByRole('link', { name: 'Files in and out' }).click();
  const panel = page.getByRole('region', { name: 'Bring a table in' });
  await panel
    .getByLabel('Choose a CSV file')
    .setInputFiles(csv('Day;Plant;Amount\n16.7.2026;Red one;1,5\n17.7.2026;red one;2\n17.7.2026;Blue one;2\n'));
  await expect(panel.getByLabel('What it holds')).toHaveText('Waterings');
  await expect(panel.getByLabel('Days are written')).toHaveText('day, month, year');
  await expect(panel.getByLabel('Decimals have')).toHaveText('a comma: 1,5');
  await choose(panel, 'Unit of Water for each plant', 'US gal');
  await panel.getByRole('button', { name: 'Try it' }).click();
  await expect(panel.getByText('3 rows read: 2 would come in, 1 is at fault.')).toBeVisible();
  await expect(panel.getByRole('list', { name: 'At fault' })).toContainText(
    'Line 4, Plant: there is no plant called "Blue one" here',
  );
  await panel.getByRole('button', { name: 'Bring 2 rows in, without those at fault' }).click();
  await expect(panel.getByText('2 rows came in, 1 row at fault stayed out.')).toBeVisible();
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await page.getByRole('link', { name: /^Red one/ }).click();
  const records = page.getByRole('region', { name: 'What was recorded' });
  await expect(records.locator('tbody').getByRole('row')).toHaveText([
    /Watered, 7.6.L a plant/,
    /Watered, 5.7.L a plant/,
  ]);
  await page.goto(`/gardens/${own.garden}/files`);
  await page.getByRole('button', { name: 'Take notebook.csv out again' }).click();
  await expect(page.getByText('taken out again', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await page.getByRole('link', { name: /^Red one/ }).click();
  await expect(records.getByRole('listitem')).toHaveCount(0);

  // what is no table says why
  await page.goto(`/gardens/${own.garden}/files`);
  await panel.getByLabel('Choose a CSV file').setInputFiles(csv('a,b\n1,"2\n'));
  await expect(panel.getByRole('alert')).toContainText('a quotation mark is opened and never closed');
});

test('a whole garden goes out as one file, into an empty one, and out again the same, byte for byte', async ({
  page,
}) => {
  const who = await ownDemo();
  await signIn(page, who);
  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByRole('link', { name: 'Files in and out' }).click();
  const save = async (): Promise<Buffer> => {
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'The whole garden' }).click();
    const file = await download;
    expect(file.suggestedFilename()).toBe('behind-the-old-halt.garden.zip');
    return readFileSync(await file.path());
  };
  const out = await save();
  const { body } = { body: await (await page.request.get('/api/gardens')).json() };
  const { id: _i, today: _t, version: _v, role: _r, ...settings } = body[0];
  const empty = randomUUID();
  const made = await page.request.put('/api/gardens', { data: { ...settings, id: empty, name: 'Empty one' } });
  expect(made.ok(), await made.text()).toBe(true);
  await page.goto(`/gardens/${empty}`);
  await page.getByRole('link', { name: 'from a file' }).click();
  await page
    .getByLabel('Choose a garden’s file')
    .setInputFiles({ name: 'a.zip', mimeType: 'application/zip', buffer: out });
  await expect(
    page.getByRole('region', { name: 'Wall bed' }).getByRole('link', { name: 'Wall bed', exact: true }),
  ).toBeVisible();
  await expect(page.getByRole('heading', { level: 1, name: 'Behind the old halt' })).toBeAttached();
  await page.goto(`/gardens/${empty}/files`);
  expect((await save()).equals(out)).toBe(true);
});
