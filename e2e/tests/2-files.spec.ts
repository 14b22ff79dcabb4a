import { expect, test } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { choose, ownDemo, ownGarden, signIn, tomatoIn } from './helpers.js';

const csv = (text: string, name = 'notebook.csv') => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });

test('import a CSV: preview, choose units, dry run, import without the faulty row, undo', async ({ page }) => {
  const own = await ownGarden(page);
  await tomatoIn(own, { name: 'Wall pot', kind: 'container', volumeL: 20 }, { name: 'Red one' });
  await signIn(page, own.who);
  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByRole('link', { name: 'Import and export' }).click();
  const panel = page.getByRole('region', { name: 'Import a table' });
  await panel
    .getByLabel('Choose a CSV file')
    .setInputFiles(csv('Day;Plant;Amount\n16.7.2026;Red one;1,5\n17.7.2026;red one;2\n17.7.2026;Blue one;2\n'));
  await expect(panel.getByLabel('Contents')).toHaveText('Waterings');
  await expect(panel.getByLabel('Date format')).toHaveText('day, month, year');
  await expect(panel.getByLabel('Decimal mark')).toHaveText('a comma: 1,5');
  await choose(panel, 'Unit of Water per plant', 'US gal');
  await panel.getByRole('button', { name: 'Check file' }).click();
  await expect(panel.getByText('3 rows read: 2 to import, 1 with errors.')).toBeVisible();
  await expect(panel.getByRole('list', { name: 'Error' })).toContainText(
    'Line 4, Plant: there is no plant called "Blue one" here',
  );
  await panel.getByRole('button', { name: 'Import 2 rows and skip the ones with errors' }).click();
  await expect(panel.getByText('2 rows imported, 1 row with errors skipped.')).toBeVisible();
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await page.getByRole('link', { name: /^Red one/ }).click();
  const records = page.getByRole('region', { name: 'Records' });
  await expect(records.locator('tbody').getByRole('row')).toHaveText([
    /Watered, 7.6.L per plant/,
    /Watered, 5.7.L per plant/,
  ]);
  expect(await own.saved('watering')).toMatchObject([
    { date: '2026-07-17', litres: expect.closeTo(7.57, 2) },
    { date: '2026-07-16', litres: expect.closeTo(5.68, 2) },
  ]);
  await page.goto(`/gardens/${own.garden}/files`);
  // a row edited since is shown first; it stays, unless told otherwise
  const [newest] = (await (await page.request.get(`/api/gardens/${own.garden}/records?type=watering`)).json()) as {
    id: string;
    version: number;
    plantId: string;
    data: object;
  }[];
  const { id, version, plantId, data } = newest!;
  const correction = { id, version, type: 'watering', plantId, data: { ...data, litres: 4 } };
  expect((await page.request.put(`/api/gardens/${own.garden}/records`, { data: correction })).ok()).toBe(true);
  const undo = page.getByRole('button', { name: 'Undo the import of notebook.csv' });
  await undo.click();
  const sheet = page.getByRole('dialog', { name: 'Undo the import of notebook.csv?' });
  await expect(sheet).toContainText('1 of 2 rows was used or edited since.');
  await expect(sheet.getByRole('listitem')).toHaveText(['Waterings, 17 July (edited since)']);
  await sheet.getByRole('button', { name: 'Cancel' }).click();
  expect(await own.saved('watering')).toHaveLength(2);
  await undo.click();
  await sheet.getByRole('button', { name: 'Remove the edited ones too' }).click();
  await expect(page.getByText('undone', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await page.getByRole('link', { name: /^Red one/ }).click();
  await expect(records.getByRole('listitem')).toHaveCount(0);
  expect(await own.saved('watering')).toEqual([]);

  // what can be read two ways is asked, not guessed
  await page.goto(`/gardens/${own.garden}/files`);
  await panel.getByLabel('Choose a CSV file').setInputFiles(csv('Day;Plant;Amount\n03/04/2026;Red one;1\n', 'two.csv'));
  await expect(panel.getByText('03/04/2026: which number is the month?')).toBeVisible();
  await expect(panel.getByRole('button', { name: 'Check file' })).toBeDisabled();
  await choose(panel, 'Date format', 'month, day, year');
  await panel.getByRole('button', { name: 'Check file' }).click();
  await expect(panel.getByText('1 row read: 0 to import, 1 with errors.')).toBeVisible();

  // an import goes on without its page, which finds it again
  await page.goto(`/gardens/${own.garden}/files`);
  const days = Array.from({ length: 3000 }, (_, i) => new Date(Date.UTC(2010, 0, 1 + i)).toISOString().slice(0, 10));
  const weather = `date,tmin,tmax,prcp\n${days.map((d) => `${d},10,20,0`).join('\n')}\n`;
  await panel.getByLabel('Choose a CSV file').setInputFiles(csv(weather, 'old-days.csv'));
  await panel.getByRole('button', { name: 'Check file' }).click();
  const bring = panel.getByRole('button', { name: 'Import 3000 rows' });
  // the answer to the check is not the one to wait for
  await expect(bring).toBeVisible();
  const begun = page.waitForResponse((r) => r.request().method() === 'PUT' && r.status() === 202);
  await bring.click();
  await begun;
  await page.reload();
  await expect(panel.getByText('3000 rows imported.')).toBeVisible();
  await expect(panel.getByText('old-days.csv', { exact: true })).toBeVisible();
  // and shows it once
  await page.reload();
  await expect(panel.getByLabel('Choose a CSV file')).toBeAttached();

  // what is no table says why
  await page.goto(`/gardens/${own.garden}/files`);
  await panel.getByLabel('Choose a CSV file').setInputFiles(csv('a,b\n1,"2\n'));
  await expect(panel.getByRole('alert')).toContainText('a quotation mark is opened but never closed');
});

test('export a garden, import it into an empty one, export the same bytes again', async ({ page }) => {
  const who = await ownDemo();
  await signIn(page, who);
  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByRole('link', { name: 'Import and export' }).click();
  const save = async (): Promise<Buffer> => {
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Whole garden' }).click();
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
