import { expect, test } from '@playwright/test';
import { drawPractice } from '@candid-leaf/core/practice';
import { disorderRow } from '@candid-leaf/core/diagnosis';
import { ownGarden, signIn } from './helpers.js';

test('practice: checks cost time, the answer is explained and saved once, a link shares the same plant', async ({
  page,
  browser,
}) => {
  const own = await ownGarden(page);
  await signIn(page, own.who);
  await page.getByRole('link', { name: 'Handbook', exact: true }).click();
  await page.getByRole('link', { name: 'Practice' }).click();
  await expect(page.getByText('After a few answers this shows')).toBeVisible();
  await page.getByRole('region', { name: 'Drooping leaves' }).getByRole('link', { name: 'Plant 1' }).click();
  await expect(page.getByRole('heading', { name: 'What you see' })).toBeVisible();

  await page.getByRole('button', { name: 'Feel the soil a finger deep' }).click();
  const looked = page.getByRole('list', { name: 'What the checks showed' });
  await expect(looked.getByText('Feel the soil a finger deep:')).toBeVisible();
  await expect(page.getByText('So far 1 min.')).toBeVisible();
  // what was looked at stands in the address
  await page.reload();
  await expect(looked.getByText('Feel the soil a finger deep:')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Feel the soil a finger deep' })).toHaveCount(0);

  await page.getByRole('button', { name: 'Submit answer' }).click();
  await expect(page.getByText('Choose one: guessing is fine.')).toHaveCount(3);
  const trouble = disorderRow(drawPractice('wilting', 1).trouble).label;
  await page.getByRole('radio', { name: trouble, exact: true }).click();
  const sure = page.getByRole('slider', { name: 'How sure are you?' });
  await sure.focus();
  await sure.press('ArrowRight');
  await sure.press('ArrowRight');
  await expect(page.getByText('70 in 100')).toBeVisible();
  await page.getByRole('radio', { name: 'Nothing in the records explains it' }).click();
  await page.getByRole('radio', { name: 'Nothing needs doing' }).click();
  await page.getByRole('button', { name: 'Submit answer' }).click();
  const answer = page.getByRole('region', { name: 'The answer' });
  await expect(answer.getByRole('heading', { name: `Right: ${trouble.toLowerCase()}.` })).toBeFocused();
  await expect(answer.getByText('What each check told you')).toBeVisible();
  await expect(answer.getByText(/Feel the soil a finger deep, 1 min: /)).toBeVisible();
  await expect(answer.getByRole('link', { name: 'Next plant' })).toHaveAttribute('href', /wilting\/2$/);
  const seen = await page
    .getByRole('listitem')
    .filter({ has: page.locator('svg') })
    .first()
    .textContent();

  await page.getByRole('link', { name: 'Handbook', exact: true }).click();
  await page.getByRole('link', { name: 'Practice' }).click();
  await expect(page.getByText('1 of 1 right. After 10 answers')).toBeVisible();
  await expect(page.getByRole('progressbar', { name: 'You said 60 to 80 in 100: right 1 of 1' })).toBeVisible();
  await page.getByRole('link', { name: `Right: ${trouble}, 70 in 100` }).click();
  await expect(page.getByText('the first answer counts')).toBeVisible();

  // a friend, in a garden of their own, sees the same plant
  const there = await browser.newPage();
  const friends = await ownGarden(there);
  await signIn(there, friends.who);
  await there.goto(page.url().replace(own.garden, friends.garden));
  await expect(there.getByRole('heading', { name: 'What you see' })).toBeVisible();
  expect(
    await there
      .getByRole('listitem')
      .filter({ has: there.locator('svg') })
      .first()
      .textContent(),
  ).toBe(seen);
  await expect(there.getByText('the first answer counts')).toHaveCount(0);
  await there.goto(there.url().replace(/wilting.*/, 'wilting/nowhere'));
  await expect(there.getByRole('alert')).toContainText('We can’t find that plant');
});
