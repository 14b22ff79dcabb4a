import type { PeopleDto } from '@candid-leaf/contract';
import { expect, test, type Browser, type Page } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { choose, openToAll, ownGarden, pickDay, signIn, tomatoIn, watered, savedIn, TODAY } from './helpers.js';

const PASSWORD = 'under the signal box';

/** Another person, in a browser of their own. */
async function elsewhere(browser: Browser): Promise<Page> {
  const context = await browser.newContext();
  return context.newPage();
}

test('invite a helper who may only record, make them a manager, and leave', async ({ page, browser }) => {
  const own = await ownGarden(page);
  const { plant } = await tomatoIn(own, { name: 'Wall pot', kind: 'container', volumeL: 20 }, { name: 'Red one' });
  await watered(own, plant, [6, 4, 2, 1], 2);
  await signIn(page, own.who);
  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByRole('link', { name: 'People and access' }).click();
  await page.getByLabel('Their name').fill('Mia');
  await page.getByRole('button', { name: 'Create link' }).click();
  const link = await page.getByLabel('The link for Mia, shown only once').inputValue();
  await expect(page.getByText('Mia, helper, until')).toBeVisible();

  const hers = await elsewhere(browser);
  await hers.goto(link);
  await expect(hers.getByText('Bo invites Mia to')).toBeVisible();
  await openToAll(hers);
  await hers.getByLabel('Your name').fill('Mia');
  await hers.getByLabel('E-mail').fill(`${randomUUID()}@halt.example`);
  await hers.getByLabel('Password').fill(PASSWORD);
  await hers.getByRole('button', { name: 'Create account' }).click();
  await hers.getByRole('button', { name: 'Join the garden' }).click();
  await expect(hers.getByRole('heading', { name: 'Today' })).toBeVisible();
  // she may record, and not change what stands here
  await expect(hers.getByRole('button', { name: 'Add a record: Wall pot' })).toBeVisible();
  await hers.getByRole('button', { name: 'More about Wall pot' }).click();
  await expect(hers.getByRole('menuitem', { name: 'Edit' })).toHaveCount(0);
  await hers.keyboard.press('Escape');
  await expect(hers.getByRole('link', { name: 'Add a bed or pot' })).toHaveCount(0);
  await hers.getByRole('link', { name: /^Red one/ }).click();
  await hers.getByRole('button', { name: 'Water', exact: true }).click();
  await hers.getByRole('dialog').getByLabel('Per plant (L)').fill('1.5');
  await hers.getByRole('dialog').getByRole('button', { name: 'Save record' }).click();
  await expect(hers.getByRole('dialog')).toHaveCount(0);
  await expect.poll(async () => (await own.saved('watering', plant))[0]).toMatchObject({ date: TODAY, litres: 1.5 });
  // the link works once
  const third = await elsewhere(browser);
  await third.goto(link);
  await expect(third.getByText('The link no longer works')).toBeVisible();
  await third.context().close();

  // what she wrote stands with her name
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await page.getByRole('link', { name: /^Red one/ }).click();
  await expect(page.getByRole('region', { name: 'Records' }).locator('tbody').getByRole('row').first()).toContainText(
    'Mia',
  );
  // she is let keep it, and the first one can go
  await page.goto(`/gardens/${own.garden}/people`);
  await expect(page.getByText('You are the only manager.')).toBeVisible();
  await choose(page, 'Access of Mia', 'Manager');
  await page.getByRole('button', { name: 'Leave garden', exact: true }).click();
  await page.getByRole('button', { name: 'Leave Own garden' }).click();
  await expect(page.getByRole('heading', { name: 'New garden' })).toBeVisible();
  await hers.goto(`/gardens/${own.garden}`);
  const left = (await (await hers.request.get(`/api/gardens/${own.garden}/people`)).json()) as PeopleDto;
  const access = Object.fromEntries(left.members.map(({ name, role }) => [name, role]));
  expect(access).toEqual({ Bo: null, Mia: 'keep' });
  expect((await page.request.get(`/api/gardens/${own.garden}/view`)).status()).toBe(404);
  await hers.getByRole('button', { name: 'More about Wall pot' }).click();
  await expect(hers.getByRole('menuitem', { name: 'Edit' })).toBeVisible();
  await hers.keyboard.press('Escape');
  await hers.context().close();
});

test('a watering list is opened and ticked without an account, until its link is revoked', async ({
  page,
  browser,
}) => {
  const own = await ownGarden(page);
  const { plant } = await tomatoIn(own, { name: 'Wall pot', kind: 'container', volumeL: 14 }, { name: 'Red one' });
  await watered(own, plant, [6, 5, 4], 2);
  await signIn(page, own.who);
  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByRole('link', { name: 'Days away' }).click();
  await pickDay(page, 'From', '2026-07-18');
  await pickDay(page, 'To', '2026-07-28');
  await page.getByRole('button', { name: 'Add days away' }).click();
  await page.getByRole('link', { name: 'Watering list for a helper' }).click();
  await page.getByLabel('Their name').fill('Grandma');
  await page.getByRole('button', { name: 'Create link' }).click();
  const link = await page.getByLabel('The link for Grandma, shown only once').inputValue();

  const hers = await elsewhere(browser);
  await hers.setViewportSize({ width: 390, height: 844 });
  await hers.goto(link);
  await expect(hers.getByRole('heading', { name: 'Watering Own garden' })).toBeVisible();
  await openToAll(hers);
  const button = hers.getByRole('button', { name: 'Watered: Water Red one' });
  await button.click();
  await expect(hers.getByText('All watered. Thank you.')).toBeVisible();
  await hers.reload();
  const told = hers.getByText(/Red one: [\d.]+\sL, watered/);
  await expect(told).toBeVisible();
  const litres = Number(/([\d.]+)\sL/.exec(await told.innerText())![1]);

  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await page.getByRole('link', { name: /^Red one/ }).click();
  await expect(page.getByRole('region', { name: 'Records' }).locator('tbody').getByRole('row').first()).toContainText(
    'Grandma',
  );
  await page.goto(`/gardens/${own.garden}/away`);
  await page.getByRole('button', { name: 'Remove the link of Grandma' }).click();
  await expect(page.getByText('The link no longer works.', { exact: true })).toBeVisible();
  await hers.reload();
  await expect(hers.getByText('The link no longer works')).toBeVisible();
  await hers.context().close();
  await expect.poll(async () => (await savedIn(page, 'watering'))[0]).toMatchObject({ date: TODAY, litres });
});

test('reset a forgotten password by mail; other sessions end', async ({ page, browser }) => {
  const own = await ownGarden(page);
  const elsewhereSignedIn = await elsewhere(browser);
  await signIn(elsewhereSignedIn, own.who);
  await page.context().clearCookies();
  await page.goto('/sign-in');
  await page.getByRole('button', { name: 'I forgot my password' }).click();
  await page.getByLabel('E-mail').fill(own.who.email);
  await page.getByRole('button', { name: 'Send me a link' }).click();
  await expect(page.getByText('we’ve sent a link')).toBeVisible();
  const newest = async (): Promise<string> => {
    const mails = (await (await fetch(`${process.env.MAIL_URL}/mails?to=${own.who.email}`)).json()) as {
      text: string;
    }[];
    return mails[0]?.text ?? '';
  };
  await expect.poll(newest).toContain('/new-password#');
  await page.goto(/http\S+#\S+/.exec(await newest())![0]);
  await expect(page.getByLabel('Password', { exact: true })).toBeVisible();
  await openToAll(page);
  await page.getByLabel('Password', { exact: true }).fill('beside the new points');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.getByRole('link', { name: 'Sign in' }).click();
  await signIn(page, { ...own.who, password: 'beside the new points' });
  await elsewhereSignedIn.reload();
  await expect(elsewhereSignedIn.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await elsewhereSignedIn.context().close();

  // changed on one's own page, and the account asked to go, and kept
  await page.goto('/account');
  await page.getByLabel('Current password').fill('not this one');
  await page.getByLabel('New password').fill('under the signal box');
  await page.getByRole('button', { name: 'Change password' }).click();
  await expect(page.getByText('That is not your current password.')).toBeVisible();
  await page.getByLabel('Your password').fill('beside the new points');
  await page.getByRole('button', { name: 'Delete it in two weeks' }).click();
  await expect(page.getByRole('heading', { name: 'This account will be deleted' })).toBeVisible();
  await page.getByRole('button', { name: 'Keep my account' }).click();
  await expect(page.getByRole('heading', { name: 'Delete account' })).toBeVisible();
});
