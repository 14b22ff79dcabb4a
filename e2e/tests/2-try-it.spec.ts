import { expect, test } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { openToAll } from './helpers.js';

test('one plant without an account: the answer with its reasons; after the sign-up it is the first plant', async ({
  page,
}) => {
  const asked: string[] = [];
  page.on('request', (r) => {
    if (r.url().includes('/api/') && r.method() !== 'GET') asked.push(r.url());
  });
  await page.goto('/');
  await page.getByRole('link', { name: 'Look over one plant' }).click();
  await page.getByRole('radio', { name: /^In a pot under 10/ }).click();
  await page.getByRole('radio', { name: 'Once a week or less' }).click();
  await page.getByRole('button', { name: /^Fruit/ }).click();
  await page.getByRole('button', { name: 'Dark patch at the bottom', exact: true }).click();
  await openToAll(page);
  await page.reload();
  await page.getByRole('button', { name: 'What is it?' }).click();
  const finding = page.getByRole('region', { name: 'Finding' });
  await expect(finding).toContainText('Blossom end rot');
  await openToAll(page);
  expect(asked).toEqual([]);

  await page.getByRole('link', { name: 'Start a garden with this plant' }).click();
  await page.getByLabel('Your name').fill('Bo');
  await page.getByLabel('E-mail').fill(`${randomUUID()}@halt.example`);
  await page.getByLabel('Password').fill('under the signal box');
  await page.getByRole('button', { name: 'Create account' }).click();
  await page.getByRole('combobox', { name: 'Nearest town' }).fill('zuri');
  await page.getByRole('option', { name: 'Zürich, Switzerland' }).click();
  await expect(page.getByText('time zone Europe/Zurich')).toBeVisible();
  await page.getByRole('button', { name: 'Create garden' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'First tomato' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Finding' })).toContainText('Blossom end rot');
});
