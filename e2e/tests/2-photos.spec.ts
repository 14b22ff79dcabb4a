import { expect, test } from '@playwright/test';
import exifr from 'exifr';
import { day, ownGarden, see, signIn, tomatoIn, watered, unfold } from './helpers.js';
import { grainyPhoto, phonePhoto } from './phone-photo.js';

interface Watched {
  lastPicture?: string;
}

test('photos are upright, small and without location before upload; shown side by side, in charts and on the sheet', async ({
  page,
}) => {
  const own = await ownGarden(page);
  const { plant } = await tomatoIn(own, { name: 'Wall pot', kind: 'container', volumeL: 20 }, { name: 'Red one' });
  await watered(own, plant, [6, 4, 2, 1], 2);
  // two from before, by the way in which a script would bring them
  for (const [n, back] of [8, 20].entries()) {
    const { buffer } = await phonePhoto(['#2f6f2f', '#8fae4f'][n]);
    const at = `/api/gardens/${own.garden}/photos/0190a3b4-0000-7000-8000-${own.garden.slice(-11)}${n}?plantId=${plant}&day=${day(back)}`;
    const put = await page.request.put(at, { headers: { 'content-type': 'image/jpeg' }, data: buffer });
    expect(put.ok(), await put.text()).toBe(true);
  }
  // what leaves the phone is looked at as it leaves: the browser shows its tester no files
  await page.addInitScript(() => {
    const real = XMLHttpRequest.prototype.send;
    XMLHttpRequest.prototype.send = function (this: XMLHttpRequest, body) {
      if (body instanceof Blob)
        void body.arrayBuffer().then((buffer) => {
          const letters = Array.from(new Uint8Array(buffer), (b) => String.fromCharCode(b));
          (globalThis as unknown as Watched).lastPicture = btoa(letters.join(''));
        });
      real.call(this, body);
    };
  });
  await signIn(page, own.who);
  await page.getByRole('link', { name: /^Red one/ }).click();
  await unfold(page, 'Photos');
  const photos = page.getByRole('region', { name: 'Photos' });
  await expect(photos.getByRole('img', { name: 'Red one on 28 June' })).toBeVisible();
  await expect(photos.getByRole('img', { name: 'Red one on 10 July' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Photo of 28 June' })).toBeVisible();

  // a sign is seen, and a photo of it taken where it is touched
  await see(page, /^Fruit/, 'Dark patch at the bottom');
  await page.getByLabel('Take or choose a photo: Dark patch at the bottom').setInputFiles(await phonePhoto('#a33'));
  await expect(page.getByText('Photo saved.', { exact: true })).toBeVisible();
  const left = Buffer.from(await page.evaluate(() => (globalThis as unknown as Watched).lastPicture!), 'base64');
  expect(left.subarray(0, 3).toString('hex')).toBe('ffd8ff');
  expect(left.length).toBeLessThan(200_000);
  expect(await exifr.parse(left)).toBeUndefined();
  await page.getByRole('link', { name: 'What is it?' }).click();
  await unfold(page, 'Photos');
  const newest = photos.getByRole('img', { name: 'Red one on 18 July: dark patch at the bottom' });
  await expect(newest).toBeVisible();
  await newest.scrollIntoViewIfNeeded();
  // upright: a phone's 2400 x 1800 on its side is 1200 x 1600 px
  await expect
    .poll(() => newest.evaluate((img: HTMLImageElement) => [img.naturalWidth, img.naturalHeight]))
    .toEqual([1200, 1600]);
  await photos.getByRole('button', { name: 'Compare with 10 July' }).click();
  await expect(photos.getByRole('img', { name: 'Red one on 10 July' })).toBeVisible();

  // what is no photo is said to be none, and changes nothing
  await photos
    .getByLabel('Take or choose a photo: Red one')
    .setInputFiles({ name: 'a.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('not a picture') });
  await expect(page.getByText('We can’t open this as a photo.', { exact: true })).toBeVisible();
  await photos.getByRole('button', { name: 'Delete the photo of 18 July' }).click();
  await expect(newest).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(newest).toBeVisible();

  await page.getByRole('link', { name: 'Case sheet' }).click();
  const sheet = page.getByRole('region', { name: 'Photos' });
  await expect(sheet.getByRole('img')).toHaveCount(3);
  await expect(sheet).toContainText('18 July: dark patch at the bottom');

  // a place has photos too
  await page.getByRole('link', { name: 'Garden', exact: true }).click();
  await page.getByRole('region', { name: 'Wall pot' }).getByRole('link', { name: 'Wall pot', exact: true }).click();
  await unfold(page, 'Photos');
  // a line that breaks twice while it is sent: it goes on where it was, and begins once
  const sent: [method: string, offset: string | undefined][] = [];
  let breaks = 2;
  await page.route('**/photos/*/parts', async (route) => {
    const request = route.request();
    if (request.method() === 'PATCH' && breaks-- > 0) return route.abort('connectionreset');
    sent.push([request.method(), request.headers()['upload-offset']]);
    await route.continue();
  });
  await page.getByLabel('Take or choose a photo: Wall pot').setInputFiles(await grainyPhoto());
  await expect(page.getByRole('img', { name: 'Wall pot on 18 July' })).toHaveAttribute('src', /\/whole$/);
  expect(breaks).toBeLessThanOrEqual(0);
  expect(sent.filter(([method]) => method === 'POST')).toHaveLength(1);
  const offsets = sent.filter(([method]) => method === 'PATCH').map(([, offset]) => Number(offset));
  expect(offsets.length).toBeGreaterThan(1);
  expect(Math.min(...offsets)).toBeGreaterThan(0);
  expect(offsets).toEqual([...offsets].sort((x, y) => x - y));
});
