import type { BenchDto, GardenView } from '@candid-leaf/contract';
import { expect, test, type Page } from '@playwright/test';
import { choose, ofPlace, ownGarden, pickDay, signIn, tomatoIn, savedIn, stored, unfold } from './helpers.js';

const AMERICAN = { temperature: 'F', volume: 'gal-us', length: 'in', mass: 'oz', area: 'ft2' };

async function addPlace(
  page: Page,
  name: string,
  kind: string,
  fields: Record<string, string>,
  choices: Record<string, string> = {},
): Promise<void> {
  await page.getByRole('link', { name: 'Add a bed or pot' }).click();
  await page.getByRole('link', { name: 'Use the full form' }).click();
  await page.getByLabel('Name').fill(name);
  await unfold(page, /^Water not told yet/);
  await choose(page, 'Type', kind);
  for (const [label, value] of Object.entries(choices)) await choose(page, label, value);
  for (const [label, value] of Object.entries(fields)) await page.getByLabel(label).fill(value);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();
}

async function addPlant(page: Page, place: string, name: string, stage: string): Promise<void> {
  await ofPlace(page, place, 'Edit');
  await page.getByRole('link', { name: 'Add a plant' }).click();
  // the page before has a field of the same name
  await expect(page.getByRole('heading', { name: 'New plant' })).toBeVisible();
  await page.getByLabel('Name').fill(name);
  await pickDay(page, 'Planted out', '2026-05-20');
  await choose(page, 'Stage today', stage);
  await page.getByLabel('Height today (in)').fill('45');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('link', { name: new RegExp(name) })).toBeVisible();
}

test('a week of water in gallons: sent to the hose timer, corrected by a soil check, with heat ahead', async ({
  page,
}) => {
  test.setTimeout(90_000);
  // the day before a hot spell of the station's July
  const own = await ownGarden(page, AMERICAN, '2026-07-07');
  await own.post('/weather/pull');
  await signIn(page, own.who);
  await addPlace(
    page,
    'Drip bed',
    'Bed',
    { 'Length (ft)': '6', 'Width (ft)': '2', 'Flow for the whole bed or pot (US gal an hour)': '4' },
    { Soil: 'Loam', 'Watered by': 'Drip' },
  );
  await addPlant(page, 'Drip bed', 'Cordon', 'Ripening');
  await addPlace(page, 'Pot', 'Pots', { 'Soil per pot (US gal)': '3.5' }, { Soil: 'Potting mix' });
  await addPlant(page, 'Pot', 'Paste', 'Fruiting');
  await addPlace(page, 'Tunnel', 'Tunnel bed', { 'Length (ft)': '8', 'Width (ft)': '3' });
  await addPlant(page, 'Tunnel', 'Under cover', 'Fruiting');

  await test.step('nobody knows what they got: no litres are told, a finger is asked, and one touch tells it', async () => {
    const today = page.getByRole('region', { name: 'Today' });
    await expect(today.getByText('Check the soil: Pot')).toBeVisible();
    await expect(today.getByText(/^Water /)).toHaveCount(0);
    for (const place of ['Pot', 'Tunnel', 'Drip bed']) {
      const strip = page.getByRole('region', { name: place, exact: true });
      await expect(strip.getByText('unknown: check the soil')).toBeVisible();
      await strip.getByRole('button', { name: 'Damp' }).click();
      await expect(strip.getByText('unknown: check the soil')).toBeHidden();
    }
    await expect(today.getByText('Check the soil: Pot')).toBeHidden();
  });

  await test.step('warned of the heat in time, with dates and amounts, done with one touch', async () => {
    const today = page.getByRole('region', { name: 'Today' });
    // one line for the garden, which opens to what is done in each bed
    await expect(today.getByText(/^Heat: .*Drip bed/)).toBeVisible();
    await today.getByText('Bed by bed').first().click();
    await expect(
      today
        .getByText(
          /US gal in total over these days. Plants use about \d+ % more than recently\. Half as much again, a common habit, would be/,
        )
        .first(),
    ).toBeVisible();
    await expect(today.getByText(/ft² of shade cloth/).first()).toBeVisible();
    await expect(today.getByText('Pick everything at first blush: it ripens indoors.').first()).toBeVisible();
    await unfold(page, 'How steady the water is');
    await expect(
      page
        .getByRole('region', { name: 'How steady the water is' })
        .getByText(/With 2\.4\sin of mulch/)
        .first(),
    ).toBeVisible();
    // one tick for the garden: mulch and shade lie there from today on
    await today.getByRole('button', { name: /^Done: Heat: / }).click();
    await expect(today.getByRole('button', { name: /^Done: Heat: / })).toBeHidden();
    await expect
      .poll(async () => (await savedIn(page, 'covering')).map((r) => (r as { what: string }).what))
      .toContain('mulch');
    // one touch takes all of it back
    await page.getByRole('listitem').filter({ hasText: 'Done: Heat' }).getByRole('button', { name: 'Undo' }).click();
    await expect(today.getByText(/^Heat: /).first()).toBeVisible();
    await expect.poll(() => savedIn(page, 'covering')).toEqual([]);
  });

  await test.step('a finger corrects the plan: it was drier than the balance thought', async () => {
    await page.getByRole('region', { name: 'Drip bed' }).getByRole('link', { name: 'Drip bed', exact: true }).click();
    const week = page.getByRole('region', { name: 'The next seven days' });
    const left = () => week.getByRole('button', { name: /^Today: .*% left at night$/ }).getAttribute('aria-label');
    const before = await left();
    await page
      .getByRole('group', { name: 'Soil of Drip bed at a finger’s depth' })
      .getByRole('button', { name: 'Dry' })
      .click();
    await expect(page.getByText('Recorded: the soil felt dry. The plan follows.', { exact: true })).toBeVisible();
    await expect.poll(left).not.toBe(before);
  });

  await test.step('the week’s plan in her units, kept to allowed days, sent to the timer', async () => {
    const week = page.getByRole('region', { name: 'The next seven days' });
    await expect(week.getByRole('heading', { name: /^Water .*US gal$/ })).toBeVisible();
    await expect(week.getByRole('button', { name: /% left at night$/ })).toHaveCount(7);
    await choose(page, 'Watering method', 'Evenly moist');
    await expect(page.getByRole('combobox', { name: 'Watering method' })).toHaveText('Evenly moist');
    await page.getByRole('button', { name: 'Thursday', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Thursday', exact: true })).toHaveAttribute('aria-pressed', 'false');
    await week.getByRole('button', { name: /^Thursday / }).click();
    await expect(week.getByText('no water: not a watering day')).toBeVisible();
    await unfold(page, 'More rules');
    await choose(page, 'Hose timer', 'outlet 3');
    const timer = page.getByRole('region', { name: 'Hose timer' });
    // nobody has said yet where her timer is
    await timer.getByRole('button', { name: 'Send this week' }).click();
    await expect(timer.getByText(/no hose timer is set up for this garden/)).toBeVisible();
    const plan = page.url();
    await page.getByRole('link', { name: 'Settings' }).click();
    await page.getByRole('link', { name: 'Weather and hose timer' }).click();
    const settings = page.getByRole('region', { name: 'Hose timer' });
    await settings.getByLabel('Address').fill('http://192.0.2.7/boxes/hers');
    await settings.getByLabel('Secret').fill('her-own-secret');
    await settings.getByRole('button', { name: 'Save timer' }).click();
    await expect(settings.getByText(/this server may only contact timers at/)).toBeVisible();
    await settings.getByLabel('Address').fill(`${process.env.TIMER_URL!}/boxes/${own.garden}`);
    await settings.getByRole('button', { name: 'Save timer' }).click();
    await expect(page.getByText('Hose timer: saved.', { exact: true })).toBeVisible();
    await page.goto(plan);
    await timer.getByRole('button', { name: 'Send this week' }).click();
    await expect(page.getByText('This week’s schedule was sent to the timer.', { exact: true })).toBeVisible();
    await expect(timer.getByText(/\d+ min, .*US gal/).first()).toBeVisible();
    // the box on the tap loses its signal: said, with how old the facts are
    await fetch(`${process.env.TIMER_URL!}/fault?box=${own.garden}&offline=true`, { method: 'POST' });
    await timer.getByRole('button', { name: 'Read log' }).click();
    await expect(timer.getByText(/It does not answer/)).toBeVisible();
    await fetch(`${process.env.TIMER_URL!}/fault?box=${own.garden}&offline=false`, { method: 'POST' });
    await timer.getByRole('button', { name: 'Read log' }).click();
    await expect(timer.getByText(/It does not answer/)).toBeHidden();
  });
});

test('compare a weekly soak with small waterings, use the better one, stop a long run', async ({ page }) => {
  const own = await ownGarden(page, AMERICAN, '2026-07-07');
  await tomatoIn(own, { name: 'Pot', volumeL: 13 });
  await signIn(page, own.who);
  await page.getByRole('region', { name: 'Pot' }).getByRole('link', { name: 'Pot', exact: true }).click();
  await page.getByRole('link', { name: 'Compare watering methods' }).click();
  await expect(page.getByLabel('Bed or pot')).toHaveText('Pot');
  await expect(page.getByRole('group', { name: 'Set-up 1' }).getByLabel('Name')).toHaveValue('One big weekly soak');
  await choose(page, 'Years', '20');
  await page.getByLabel('Save as').fill('Soak or sip');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Saved: Soak or sip.', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Run' }).click();
  const came = page.getByRole('region', { name: 'Results' });
  await expect(came.getByText(/keeps this plant best/)).toBeVisible({ timeout: 20_000 });
  await expect(came.getByRole('list', { name: 'Each set-up' }).getByRole('listitem')).toHaveText([
    /^One big weekly soak: \d+ days? short of water, .*\d+ waterings$/,
    /^Half a can, often: /,
    /^By need: /,
  ]);
  await came.getByText('The figures').click();
  const short = async (name: string) =>
    Number(
      await came
        .getByRole('row', { name: new RegExp(name) })
        .getByRole('cell')
        .first()
        .textContent(),
    );
  expect(await short('One big weekly soak')).toBeGreaterThan(await short('Half a can, often'));
  await page.getByRole('button', { name: 'Half a can, often', exact: true }).click();
  await expect(page.getByText('Pot is now planned: half a can, often.', { exact: true })).toBeVisible();
  await expect
    .poll(async () => (await stored<GardenView>(page, 'view')).places[0]!.place.watering)
    .toMatchObject({ method: 'half-often' });
  const benches = await stored<BenchDto[]>(page, 'benches');
  expect(benches).toMatchObject([{ name: 'Soak or sip', years: 20 }]);
  expect(benches[0]!.setUps.map((s) => s.name)).toEqual(['One big weekly soak', 'Half a can, often', 'By need']);
  // a long run can be stopped
  await choose(page, 'Years', '200');
  // both in one go: 200 years may be through before a second touch
  await page.evaluate(async () => {
    const press = (name: string): void =>
      [...document.querySelectorAll('button')].find((b) => b.textContent?.trim() === name)!.click();
    press('Run');
    await Promise.resolve();
    press('Stop');
  });
  await expect(page.getByText('Stopped. Nothing was saved.')).toBeVisible();
  await page.reload();
  await choose(page, 'Bed or pot', 'Pot');
  await page.getByLabel('Saved set-ups').click();
  await expect(page.getByRole('option', { name: 'Soak or sip' })).toBeVisible();
});
