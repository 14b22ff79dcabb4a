import { expect, test, type Browser, type Page } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { phonePhoto } from './phone-photo.js';
import { ownGarden, see, signIn, TODAY, type Own, savedIn, unfold } from './helpers.js';

test.use({ serviceWorkers: 'allow' });

/** Two plants in a pot each; the page is kept on the device, and so are they. */
async function kept(page: Page): Promise<Own & { near: string; far: string }> {
  const own = await ownGarden(page);
  const place = randomUUID();
  const [near, far] = [randomUUID(), randomUUID()];
  await own.put('/places', { id: place, name: 'By the gate', kind: 'container', texture: 'potting-mix', volumeL: 20 });
  for (const [id, name] of [
    [near, 'Near one'],
    [far, 'Far one'],
  ])
    await own.put('/plants', {
      id,
      placeId: place,
      name,
      crop: 'tomato',
      stage: 'fruiting',
      transplantedOn: '2026-05-10',
    });
  await signIn(page, own.who);
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  // with the page kept, the garden fetches its plants by itself
  const fetched = Promise.all(
    [near, far].map((id) => page.waitForResponse((r) => r.url().includes(`/plants/${id}/view`))),
  );
  await page.reload();
  await fetched;
  await isKept(page, [near, far]);
  return { ...own, near, far };
}

/** What was fetched stands on the device, and not only in the page. */
const isKept = (page: Page, plants: string[]): Promise<void> =>
  expect
    .poll(() =>
      page.evaluate(
        (ids) =>
          new Promise<boolean>((done) => {
            const opening = indexedDB.open('candid-leaf');
            opening.onsuccess = () => {
              const all = opening.result.transaction('views').objectStore('views').getAll();
              all.onsuccess = () => done(ids.every((id) => JSON.stringify(all.result).includes(`"case","${id}"`)));
            };
          }),
        plants,
      ),
    )
    .toBe(true);

const recordsOf = async (page: Page, own: Own, plant: string): Promise<{ type: string; data: { litres?: number } }[]> =>
  (await page.request.get(`/api/gardens/${own.garden}/records?plantId=${plant}`)).json();

test('offline: open, look over, water, reload, reopen; later everything syncs once and in order', async ({
  page,
  context,
}) => {
  const own = await kept(page);
  await context.setOffline(true);
  await page.reload();
  await expect(page.getByText(/^Offline. Showing your garden as of \d\d:\d\d/)).toBeVisible();
  await page.getByRole('button', { name: 'Near one: all clear' }).click();
  await expect(page.getByText(/all clear. Saved on this device/).first()).toBeVisible();
  await expect(page.getByText('1 change waiting to sync.', { exact: false })).toBeVisible();
  await page.getByRole('link', { name: /^Far one/ }).click();
  await page.getByRole('button', { name: 'Water', exact: true }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Per plant (L)').fill('2');
  await sheet.getByRole('button', { name: 'Record' }).click();
  // it stands on the plant's page at once
  await expect(page.getByRole('button', { name: /Watered, 2.L per plant/ })).toBeVisible();
  // and so does a photo
  const photo = { name: 'Far one on 18 July' };
  await unfold(page, 'Photos');
  await page.getByLabel('Take or choose a photo: Far one').setInputFiles(await phonePhoto());
  await expect(page.getByRole('img', photo)).toBeVisible();
  await page.reload();
  await expect(page.getByText('3 changes waiting to sync.', { exact: false })).toBeVisible();
  await expect(page.getByRole('button', { name: /Watered, 2.L per plant/ })).toBeVisible();
  await unfold(page, 'Photos');
  await expect(page.getByRole('img', photo)).toBeVisible();
  const address = page.url();
  await page.close();
  const again = await context.newPage();
  await again.goto(address);
  await again.getByRole('button', { name: 'Review' }).click();
  await expect(again.getByRole('dialog').getByRole('listitem')).toContainText([
    /^Look over, Near one, 18 July/,
    /^Water, Far one, 18 July/,
    /^A photo/,
  ]);
  await again.keyboard.press('Escape');
  // the signal comes back
  await context.setOffline(false);
  await expect(again.getByText('to sync.', { exact: false })).toBeHidden();
  expect((await recordsOf(again, own, own.near)).map((r) => r.type)).toEqual(['inspection']);
  expect((await recordsOf(again, own, own.far)).map((r) => [r.type, r.data.litres])).toEqual([['watering', 2]]);
  const photos = async (): Promise<unknown[]> =>
    (await again.request.get(`/api/gardens/${own.garden}/photos?plantId=${own.far}`)).json();
  expect(await photos()).toHaveLength(1);
  await unfold(again, 'Photos');
  await expect(again.getByRole('img', photo)).toHaveAttribute('src', /\/whole$/);
  // and nothing is sent a second time
  await again.reload();
  await expect(again.getByRole('button', { name: /Watered, 2.L per plant/ })).toBeVisible();
  expect(await recordsOf(again, own, own.far)).toHaveLength(1);
  expect(await photos()).toHaveLength(1);
  // what needs the server says so
  await context.setOffline(true);
  await again.getByRole('link', { name: 'Edit', exact: true }).click();
  await again.getByRole('button', { name: 'Save' }).click();
  await expect(again.getByText(/You’re offline. This can only be changed online/).first()).toBeVisible();
});

test('offline: a look is diagnosed on the device as on the server', async ({ page, context }) => {
  const own = await kept(page);
  await context.setOffline(true);
  await page.getByRole('link', { name: /^Near one/ }).click();
  await see(page, /^Fruit/, 'Dark patch at the bottom');
  await page.getByRole('link', { name: 'What is it?' }).click();
  const finding = page.getByRole('region', { name: 'Finding' });
  await expect(finding.getByRole('heading').first()).toHaveText('Blossom end rot');
  const howCertain = await finding.getByRole('img', { name: /How certain/ }).getAttribute('aria-label');
  await context.setOffline(false);
  await expect(page.getByText('to sync.', { exact: false })).toBeHidden();
  const { report } = await (await page.request.get(`/api/gardens/${own.garden}/plants/${own.near}/view`)).json();
  // the same answer, and as certain
  expect(report.headline).toBe(`Blossom end rot, ${howCertain!.replace('How certain: ', '')}.`);
  expect(report.diagnosis[0].disorder).toBe('blossom-end-rot');
});

/** A helper of one's own, in a browser of her own, whose device keeps the garden. */
async function helperOf(browser: Browser, page: Page, own: Own, plant: string): Promise<Page> {
  const invited = await page.request.post(`/api/gardens/${own.garden}/invitations`, {
    data: { id: randomUUID(), name: 'Mia', role: 'record' },
  });
  const { path } = (await invited.json()) as { path: string };
  const context = await browser.newContext({ serviceWorkers: 'allow' });
  const who = { email: `${randomUUID()}@halt.example`, password: 'under the signal box' };
  const made = await context.request.post('/api/accounts', { data: { ...who, name: 'Mia' } });
  const joined = await context.request.post(`/api/invitations/${path.split('#')[1]}/accept`);
  expect([made.ok(), joined.ok()]).toEqual([true, true]);
  const hers = await context.newPage();
  await signIn(hers, who);
  await hers.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await hers.goto(`/gardens/${own.garden}/plants/${plant}`);
  await expect(hers.getByRole('button', { name: /Watered, 1.L per plant/ })).toBeVisible();
  return hers;
}

/** Corrects the watering that stands on the plant's page, without signal. */
async function correct(page: Page, litres: string): Promise<void> {
  await page.getByRole('button', { name: /Watered, 1.L per plant/ }).click();
  await page.context().setOffline(true);
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Per plant (L)').fill(litres);
  await sheet.getByRole('button', { name: 'Save correction' }).click();
  await expect(page.getByText('1 change waiting', { exact: false })).toBeVisible();
}

test('two helpers edit one record offline: the later one compares both and chooses', async ({
  page,
  context,
  browser,
}) => {
  const own = await kept(page);
  const id = randomUUID();
  const record = { id, type: 'watering', plantId: own.far, data: { date: TODAY, litres: 1 } };
  await own.put('/records', record);
  await page.reload();
  await page.getByRole('link', { name: /^Far one/ }).click();
  const hers = await helperOf(browser, page, own, own.far);
  await correct(page, '5');
  await correct(hers, '3');
  // she has signal first
  await hers.context().setOffline(false);
  await expect(hers.getByText('to sync.', { exact: false })).toBeHidden();
  await hers.context().close();
  await context.setOffline(false);
  await expect(page.getByText('1 needs a decision.', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Review' }).click();
  await expect(page.getByRole('region', { name: 'Mine' })).toContainText(/Watered, 5.L per plant, 18 July/);
  await expect(page.getByRole('region', { name: 'Theirs' })).toContainText(/Watered, 3.L per plant, 18 July/);
  await page.getByRole('button', { name: 'Keep mine' }).click();
  await expect(page.getByText('to sync.', { exact: false })).toBeHidden();
  expect((await recordsOf(page, own, own.far)).map((r) => r.data.litres)).toEqual([5]);
  await expect.poll(() => savedIn(page, 'watering')).toMatchObject([{ litres: 5 }]);
});

test('signing out with changes waiting warns; another account does not see them; they sync later', async ({ page }) => {
  const own = await kept(page);
  await page.route('**/api/gardens/*/records', (route) => route.abort());
  await page.getByRole('button', { name: 'Near one: all clear' }).click();
  await expect(page.getByText('1 change waiting to sync.', { exact: false })).toBeVisible();
  // what could be sent does not overtake it
  await page
    .getByRole('button', { name: /^Not today/ })
    .first()
    .click();
  await expect(page.getByText('2 changes waiting to sync.', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Sign out' }).click();
  const asked = page.getByRole('alertdialog');
  await expect(asked).toContainText('2 changes are waiting to sync');
  await asked.getByRole('button', { name: 'Cancel' }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await asked.getByRole('button', { name: 'Sign out anyway' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await page.unroute('**/api/gardens/*/records');
  const other = await ownGarden(page);
  await signIn(page, other.who);
  await expect(page.getByText('to sync.', { exact: false })).toBeHidden();
  await expect(page.getByText('Near one')).toBeHidden();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await signIn(page, own.who);
  await expect.poll(async () => (await recordsOf(page, own, own.near)).map((r) => r.type)).toEqual(['inspection']);
  await expect.poll(() => savedIn(page, 'inspection')).toMatchObject([{ date: TODAY, allClear: true }]);
});

test('leaving a device: signing out works offline, and a session ended elsewhere clears it', async ({
  page,
  context,
  playwright,
  baseURL,
}) => {
  const own = await kept(page);
  const address = `/gardens/${own.garden}`;
  const views = (): Promise<number> =>
    page.evaluate(
      () =>
        new Promise<number>((done) => {
          const opening = indexedDB.open('candid-leaf');
          opening.onsuccess = () => {
            const count = opening.result.transaction('views').objectStore('views').count();
            count.onsuccess = () => done(count.result);
          };
        }),
    );
  const signInShown = () => expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  const session = async (): Promise<number> => (await page.request.get('/api/session')).status();
  await test.step('offline: the device is cleared at once, the session ends with the signal', async () => {
    await context.setOffline(true);
    await page.reload();
    await expect(page.getByText('Near one').first()).toBeVisible();
    await page.getByRole('button', { name: 'Sign out' }).click();
    await signInShown();
    expect(await views()).toBe(0);
    await page.goto(address);
    await expect(page.getByText('Near one')).toBeHidden();
    await context.setOffline(false);
    await expect.poll(session).toBe(401);
    await page.goto(address);
    await signInShown();
  });
  await test.step('signed out everywhere: a reload shows nothing, and another account sees nothing', async () => {
    await signIn(page, own.who);
    await isKept(page, [own.near, own.far]);
    const elsewhere = await playwright.request.newContext({ baseURL: baseURL! });
    expect((await elsewhere.post('/api/session', { data: own.who })).ok()).toBe(true);
    expect((await elsewhere.delete('/api/sessions')).ok()).toBe(true);
    await page.goto(address);
    await signInShown();
    expect(await views()).toBe(0);
    await signIn(page, (await ownGarden(page)).who);
    await page.goto(address);
    await expect(page.getByText('Near one')).toBeHidden();
    await page.goto('/');
    await page.getByRole('button', { name: 'Sign out' }).click();
    await signInShown();
  });
});
