import { expect, test } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { openToAll, ownGarden, signIn, TODAY, tomatoIn } from './helpers.js';

/** A time zone in which it is eight in the morning now: the day's list is due there. */
function whereItIsEight(): string {
  const ahead = ((8 - new Date().getUTCHours() + 36) % 24) - 12;
  // the signs of these names are the other way round
  return ahead === 0 ? 'Etc/GMT' : `Etc/GMT${ahead > 0 ? '-' : '+'}${Math.abs(ahead)}`;
}

interface Came {
  subject: string;
  text: string;
}

test('a morning list by mail: chosen in settings, ticked from the mail without signing in, turned off by one tap', async ({
  page,
  browser,
}) => {
  const own = await ownGarden(page, {}, undefined, whereItIsEight());
  const { place } = await tomatoIn(own, { name: 'Wall bed', volumeL: 20 });
  await own.put('/records', {
    id: randomUUID(),
    type: 'soil-check',
    placeId: place,
    data: { date: TODAY, feel: 'dry', depthCm: 5 },
  });
  await signIn(page, own.who);
  await page.goto(`/gardens/${own.garden}/settings/messages`);
  await page.getByRole('switch', { name: 'Morning list' }).click();
  await expect(page.getByRole('status')).toContainText('Choose how they come');
  await page.getByRole('switch', { name: 'Mail' }).click();
  await expect(page.getByText('Choose how they come')).toHaveCount(0);
  await openToAll(page);
  await page.reload();
  await expect(page.getByRole('switch', { name: 'Mail' })).toBeChecked();

  const inbox = `${process.env.MAIL_URL}/mails?to=${encodeURIComponent(own.who.email)}`;
  const mails = async (): Promise<Came[]> => (await page.request.get(inbox)).json() as Promise<Came[]>;
  // the server looks once a minute
  await expect.poll(async () => (await mails()).length, { timeout: 100_000 }).toBe(1);
  const [{ subject, text }] = (await mails()) as [Came];
  expect(subject).toMatch(/^Own garden: .* today$/);
  const done = /Done: (\S+)/.exec(text)![1]!;
  const off = /Turn these messages off: (\S+)/.exec(text)![1]!;

  const elsewhere = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await elsewhere.goto(done);
  await elsewhere.getByRole('button', { name: 'Mark as done' }).click();
  await expect(elsewhere.getByRole('status')).toHaveText('Done.');
  await openToAll(elsewhere);
  await elsewhere.goto(off);
  await elsewhere.getByRole('button', { name: 'Turn off' }).click();
  await expect(elsewhere.getByRole('status')).toContainText('Turned off');
  await elsewhere.goto(`${new URL(done).origin}/messages/done#changed`);
  await expect(elsewhere.getByText('The link no longer works')).toBeVisible();
  await elsewhere.close();
  await page.reload();
  await expect(page.getByRole('switch', { name: 'Morning list' })).not.toBeChecked();
});

test.describe('on a device', () => {
  test.use({ serviceWorkers: 'allow' });

  test('the kept page shows what is pushed, and one tap on it turns messages off', async ({ page, context }) => {
    const own = await ownGarden(page);
    await signIn(page, own.who);
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    const [worker] = context.serviceWorkers();
    const message = {
      title: 'Frost tonight: Wall bed',
      text: '- Cover 2 m²',
      path: `/gardens/${own.garden}`,
      tag: 'frost-2026-07-19',
      off: 'a-token',
    };
    // a browser without a window shows nothing: what it is asked for is noted instead
    const seen = await worker!.evaluate(async (pushed) => {
      const own = self as unknown as {
        registration: { showNotification: (...shown: unknown[]) => Promise<void> };
        fetch: (...asked: unknown[]) => Promise<unknown>;
      };
      const [shown, asked]: unknown[][] = [[], []];
      own.registration.showNotification = async (...what) => void shown!.push(what);
      own.fetch = async (...what) => void asked!.push(what);
      const say = (name: string, facts: object): boolean =>
        self.dispatchEvent(Object.assign(new Event(name), { waitUntil: () => undefined, ...facts }));
      say('push', { data: { json: () => pushed } });
      const { path, off } = pushed;
      say('notificationclick', { notification: { close: () => undefined, data: { path, off } }, action: 'off' });
      return { shown, asked };
    }, message);
    expect(seen.shown).toEqual([
      [message.title, expect.objectContaining({ body: message.text, tag: message.tag }) as object],
    ]);
    expect(seen.asked).toEqual([['/api/messages/off/a-token', { method: 'POST' }]]);
  });
});
