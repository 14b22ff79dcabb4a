import { expect, test } from '@playwright/test';
import type { PracticeDto } from '@candid-leaf/contract';
import { drawPractice } from '@candid-leaf/core/practice';
import { disorderRow } from '@candid-leaf/core/diagnosis';
import { ownGarden, signIn } from './helpers.js';

test('practice: checks cost time, the answer is explained and saved once, and what was missed comes again', async ({
  page,
}) => {
  const own = await ownGarden(page);
  await signIn(page, own.who);
  await page.getByRole('link', { name: 'Handbook', exact: true }).click();
  await page.getByRole('link', { name: 'Practice' }).click();
  await expect(page.getByText('After a few answers this shows')).toBeVisible();
  await page.getByRole('link', { name: 'Drooping leaves' }).click();
  await expect(page.getByRole('heading', { name: 'What you see' })).toBeVisible();

  await page.getByRole('button', { name: 'Feel the soil a finger deep' }).click();
  const looked = page.getByRole('list', { name: 'What the checks showed' });
  await expect(looked.getByText('Feel the soil a finger deep:')).toBeVisible();
  await expect(page.getByText('So far 1 min.')).toBeVisible();
  // what was looked at stands in the address
  await page.reload();
  await expect(looked.getByText('Feel the soil a finger deep:')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Feel the soil a finger deep' })).toHaveCount(0);

  const trouble = disorderRow(drawPractice('wilting', 1).trouble).label;
  await page.getByRole('radio', { name: trouble, exact: true }).click();
  await page.getByRole('button', { name: 'Submit answer' }).click();
  await expect(page.getByText('Choose one: guessing is fine.')).toHaveCount(2);
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
  await page.getByRole('link', { name: 'Handbook', exact: true }).click();
  await page.getByRole('link', { name: 'Practice' }).click();
  await expect(page.getByText('1 of 1 right. After 10 answers')).toBeVisible();
  await expect(page.getByRole('progressbar', { name: 'You said 60 to 80 in 100: right 1 of 1' })).toBeVisible();
  await page.getByRole('link', { name: `Right: ${trouble}, 70 in 100` }).click();
  await expect(page.getByText('the first answer counts')).toBeVisible();

  // a problem missed yesterday is asked again, on another plant
  const missed = drawPractice('spots', 1).trouble;
  await page.goto(page.url().replace(/wilting.*/, 'spots/1'));
  const others = page.getByRole('radiogroup', { name: 'What is it?' }).getByRole('radio');
  await expect(others).toHaveCount(6);
  const wrong = (await others.evaluateAll((all) => all.map((r) => r.textContent.trim()))).find(
    (label) => label !== disorderRow(missed).label,
  )!;
  await page.getByRole('radio', { name: wrong, exact: true }).click();
  await page.getByRole('radio', { name: 'Nothing in the records explains it' }).click();
  await page.getByRole('radio', { name: 'Nothing needs doing' }).click();
  await page.getByRole('button', { name: 'Submit answer' }).click();
  await expect(
    page.getByRole('heading', { name: `Not quite: ${disorderRow(missed).label.toLowerCase()}.` }),
  ).toBeVisible();
  const kept = await page.evaluate(async () => (await fetch('/api/practice')).json() as Promise<PracticeDto>);
  expect(kept.answers).toMatchObject([{ theme: 'spots', was: missed, right: false }, { right: true }]);
  await page.goto(page.url().replace(/spots\/1.*/, 'spots/nowhere'));
  await expect(page.getByRole('alert')).toContainText('We can’t find that plant');
});
