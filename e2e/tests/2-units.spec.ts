import type { GardenView } from '@candid-leaf/contract';
import { expect, test, type Page } from '@playwright/test';
import { ownDemo, signIn } from './helpers.js';
import { unitsShown } from './units-shown.js';
import { views } from './views.js';

/** Opens whatever is folded on a page. */
const unfold = (page: Page): Promise<void> =>
  page.evaluate(() => {
    for (const b of document.querySelectorAll<HTMLElement>('main button[aria-expanded="false"]:not([aria-haspopup])'))
      b.click();
  });

test('no view of a garden in US units shows a metric one, nor a litre or square metre in words', async ({ page }) => {
  test.setTimeout(180_000); // every view is read
  await signIn(page, await ownDemo());
  const id = new URL(page.url()).pathname.split('/').at(-1)!;
  const { garden } = (await (await page.request.get(`/api/gardens/${id}/view`)).json()) as GardenView;
  const { today: _t, ...settings } = garden;
  const units = { temperature: 'F', volume: 'gal-us', length: 'in', mass: 'oz', area: 'ft2' };
  const saved = await page.request.put('/api/gardens', { data: { ...settings, units, dateForm: 'MMMM d' } });
  expect(saved.ok()).toBe(true);
  for (const [name, path] of await views(page)) {
    // settings offer both systems, and the description of the interface is metric
    if (name === 'settings' || name === 'api description') continue;
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
    await expect(page.getByRole('status').filter({ hasText: '…' })).toHaveCount(0);
    await unfold(page);
    // what this device kept from before is shown first
    await expect.poll(() => unitsShown(page, 'metric'), { message: name }).toEqual([]);
  }
});
