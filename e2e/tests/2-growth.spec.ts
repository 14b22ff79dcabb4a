import { expect, test } from '@playwright/test';
import { ownGarden, signIn } from './helpers.js';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

test('a bed planted today grows: asked about flowers with one tap, corrected in its form', async ({ page }) => {
  const own = await ownGarden(page, {}, '2026-05-10');
  await signIn(page, own.who);
  await page.getByRole('radio', { name: 'Bed', exact: true }).tap();
  await page.getByLabel('Number of plants').fill('2');
  await page.getByRole('button', { name: 'Create' }).tap();
  await page.getByRole('link', { name: 'Tomato 1' }).tap();
  await expect(page.getByText(/planted out 10\sMay, about 18\scm tall, establishing/)).toBeVisible();
  const plant = page.url().split('/').at(-1)!;

  // four weeks on nobody has said anything
  await own.until('2026-06-12');
  await page.reload();
  await page
    .getByRole('link', { name: /Look it over/ })
    .first()
    .tap();
  const question = page.getByRole('group', { name: 'First flowers open?' });
  await question.getByRole('button', { name: 'Yes' }).tap();
  await expect(page.getByText('Tomato 1: yes. Saved.', { exact: true })).toBeVisible();
  await expect(question).toBeHidden();
  await expect
    .poll(() => own.saved('growth', plant))
    .toEqual([{ date: '2026-06-12', stage: 'flowering', orLater: true }]);

  // its neighbour may have flowers as well: asked on the garden page, without looking it over
  await page.goto(`/gardens/${own.garden}`);
  const other = page.getByRole('group', { name: 'Tomato 2: First flowers open?' });
  await other.getByRole('button', { name: 'Buds', exact: true }).tap();
  await expect(page.getByText('Tomato 2: buds. Saved.', { exact: true })).toBeVisible();
  await expect(other).toBeHidden();
  await page.getByRole('link', { name: 'Tomato 2' }).first().tap();
  await expect(page).toHaveURL(/\/plants\//);
  await expect
    .poll(() => own.saved('growth', page.url().split('/').at(-1)))
    .toEqual([{ date: '2026-06-12', stage: 'vegetative', soon: true }]);

  await page.goto(`/gardens/${own.garden}/plants/${plant}/edit`);
  await expect(page.getByText('Estimated: flowering. Choose one only to correct it.')).toBeVisible();
  await page.getByLabel('Height today').fill('70');
  await page.getByRole('button', { name: 'Save' }).tap();
  await expect(page.getByText(/about 7\d\scm tall, flowering/)).toBeVisible();
  await expect
    .poll(async () => (await own.saved('growth', plant))[0])
    .toMatchObject({
      date: '2026-06-12',
      heightM: expect.closeTo(0.7),
    });
});
