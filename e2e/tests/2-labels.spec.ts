import { expect, test } from '@playwright/test';
import * as reader from 'jsqr';
import sharp from 'sharp';
import { noSideways, ofPlace, ownGarden, signIn, tomatoIn } from './helpers.js';

/** Labels for plants, and what their codes open. */
test('labels of one bed: chosen, seen as they print, read by a camera, and each opens its plant', async ({ page }) => {
  const own = await ownGarden(page);
  const { plant } = await tomatoIn(
    own,
    { name: 'Wall bed', kind: 'ground', texture: 'loam', lengthM: 2, widthM: 1 },
    { name: 'First one', transplantedOn: '2026-05-08' },
  );
  await tomatoIn(
    own,
    { name: 'Far bed', kind: 'ground', texture: 'loam', lengthM: 2, widthM: 1 },
    { name: 'Second one' },
  );
  await signIn(page, own.who);
  await ofPlace(page, 'Wall bed', 'Labels to print');
  // those of the bed it came from are chosen
  const preview = page.getByRole('region', { name: 'Preview' });
  await expect(preview.getByText('First one')).toBeVisible();
  await expect(preview.getByText('planted 8 May')).toBeVisible();
  await expect(preview.getByText('Second one')).toHaveCount(0);
  await page.getByRole('group', { name: 'Far bed' }).getByLabel('Second one').click();
  await page.getByRole('group', { name: 'Far bed' }).getByLabel('The bed or pot itself').click();
  await expect(page.getByRole('button', { name: 'Print 3 labels' })).toBeVisible();
  await noSideways(page);
  // on paper there are the labels alone
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('heading', { name: 'Paper' })).toBeHidden();
  const [firstLabel] = await preview.getByRole('listitem').all();
  const picture = await firstLabel!.screenshot({ scale: 'css' });
  await page.emulateMedia({ media: 'screen' });
  const { data, info } = await sharp(picture)
    .resize({ width: 900 })
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  // the package is CommonJS: its function is the default of its default
  const readCode = (reader.default as unknown as { default?: typeof reader.default }).default ?? reader.default;
  const read =
    (readCode as unknown as typeof import('jsqr').default)(new Uint8ClampedArray(data), info.width, info.height)
      ?.data ?? '';
  expect(read).toMatch(/^http:\/\/127\.0\.0\.1:\d+\/l\/p[\w-]{43}$/);
  await page.goto(read);
  await expect(page).toHaveURL(new RegExp(`/plants/${plant}$`));
  await expect(page.getByRole('heading', { level: 1 })).toContainText('First one');
  await page.goto(read.slice(0, -3));
  await expect(page.getByRole('heading', { name: 'There is no page at this address' })).toBeVisible();
});
