import { randomUUID } from 'node:crypto';
import { expect, test, type Page } from '@playwright/test';
import { choose, ofPlace } from './helpers.js';

/** Weather from outside: each service is a stand-in that speaks the real protocol. */
// one after the other: a fault of a stand-in meets everybody
test.describe.configure({ mode: 'serial' });
const OPEN_METEO = process.env.OPEN_METEO_URL!;

/** Creates an account that has no garden yet. */
async function newcomer(page: Page): Promise<void> {
  const made = await page.request.post('/api/accounts', {
    data: { email: `${randomUUID()}@halt.example`, password: 'under the signal box', name: 'Ida' },
  });
  expect(made.ok()).toBe(true);
  await page.goto('/gardens/new');
}

/** Chooses a town and a service, and creates the garden. */
async function create(page: Page, town: string, service: string): Promise<void> {
  await page.getByRole('combobox', { name: 'Nearest town' }).fill(town);
  await page.getByRole('option').first().click();
  await createWith(page, service);
}

async function createWith(page: Page, service: string): Promise<void> {
  await choose(page, 'Weather from', service);
  await page.getByRole('button', { name: 'Create garden' }).click();
  await expect(page.getByText('Add your first bed or pot')).toBeVisible();
}

for (const [service, town] of [
  ['Open-Meteo', 'zuri'],
  ['MET Norway', 'bergen'],
  ['Made-up weather', 'alba'],
] as const)
  test(`a new garden with ${service} has its weather and its first plan at once`, async ({ page }) => {
    await newcomer(page);
    await create(page, town, service);
    // yesterday was measured, tomorrow is forecast
    const days = page.getByRole('list', { name: 'Days' }).getByRole('button');
    await expect(days.first()).toHaveAccessibleName(/°C/);
    await expect(days.last()).toHaveAccessibleName(/°C/);
    await page.getByRole('link', { name: 'Add a bed or pot' }).click();
    await page.getByRole('radio', { name: 'Raised bed' }).click();
    await page.getByRole('radio', { name: 'Peppers' }).click();
    await page.getByRole('button', { name: 'Create', exact: true }).click();
    await ofPlace(page, 'Raised bed', 'Watering plan');
    await expect(page.getByRole('heading', { name: /^Water today: \d+\sL$/ })).toBeVisible();
    await page.getByRole('link', { name: 'Settings' }).click();
    await page.getByRole('link', { name: 'Weather and hose timer' }).click();
    await expect(page.getByRole('radio', { name: new RegExp(`^${service}`) })).toBeChecked();
    await expect(page.getByText(/^Updated less than a minute ago; newest day/)).toBeVisible();
    if (service !== 'Made-up weather') await expect(page.getByRole('link', { name: /CC BY 4\.0/ })).toBeVisible();
  });

test('the usual frosts come from ten years of the place, and the page says so', async ({ page }) => {
  await newcomer(page);
  await page.getByRole('combobox', { name: 'Nearest town' }).fill('graz');
  await page.getByRole('option').first().click();
  await expect(page.getByText('Estimated. If you know better, change it.')).toBeVisible();
  await choose(page, 'Weather from', 'Open-Meteo');
  await expect(page.getByText('From 10 years of weather at this place. If you know better, change it.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Usual last frost: about/ })).toBeVisible();
});

test('a service that fails leaves the garden usable and says what is missing; another one fills the days', async ({
  page,
}) => {
  await newcomer(page);
  await page.request.post(`${OPEN_METEO}/fault?is=truncated`);
  try {
    // somewhere nobody has asked about
    await page.getByRole('button', { name: 'Enter coordinates' }).click();
    await page.getByLabel('Latitude (°)').fill((40 + Math.random() * 10).toFixed(3));
    await page.getByLabel('Longitude (°)').fill((5 + Math.random() * 20).toFixed(3));
    await page.getByRole('button', { name: 'Use these' }).click();
    await createWith(page, 'Open-Meteo');
    await page.getByRole('link', { name: 'Settings' }).click();
    await page.getByRole('link', { name: 'Weather and hose timer' }).click();
    await expect(page.getByText('The answer of Open-Meteo was cut off or is not weather.')).toBeVisible();
  } finally {
    await page.request.post(`${OPEN_METEO}/fault`);
  }
  await page.getByRole('radio', { name: /^Made-up weather/ }).click();
  await expect(page.getByText('Weather now comes from Made-up weather.', { exact: true })).toBeVisible();
  await expect(page.getByText('cut off')).toBeHidden();
  await page.getByRole('radio', { name: /^Open-Meteo/ }).click();
  await expect(page.getByText('Weather now comes from Open-Meteo.', { exact: true })).toBeVisible();
  await expect(page.getByText(/newest day/)).toBeVisible();
});

test('a station of one’s own: its key, what it sends, what is wrong, and its probe in the soil', async ({ page }) => {
  await newcomer(page);
  await create(page, 'alba', 'Made-up weather');
  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByRole('link', { name: 'Weather and hose timer' }).click();
  await page.getByRole('button', { name: 'Connect a station' }).click();
  const key = await page.getByLabel('The station’s key, shown only once').inputValue();
  const report = async (body: string): Promise<void> => {
    const sent = await page.request.post(`/api/stations/${key}/report`, {
      headers: { 'content-type': 'application/x-www-form-urlencoded' },
      data: body,
    });
    expect([sent.status(), await sent.text()]).toEqual([200, 'success\n']);
  };
  await report('dateutc=now&tempf=71.6&humidity=60&dailyrainin=0');
  await page.reload();
  await expect(page.getByText(/^Heard less than a minute ago: temperature, humidity,? and rain\.$/)).toBeVisible();
  // 900 mm in a minute is no rain
  await report('dateutc=now&dailyrainin=35.5');
  await page.reload();
  await expect(page.getByText('It sent 902 mm of rain at once. We left that out.')).toBeVisible();
  // a probe in the soil: where it stands, and its two points
  const { garden } = (await (
    await page.request.get(page.url().replace(/.*\/gardens\/([^/]+).*/, '/api/gardens/$1/view'))
  ).json()) as { garden: { id: string } };
  const bed = { id: randomUUID(), name: 'Wall bed', kind: 'ground', texture: 'loam', lengthM: 2, widthM: 1 };
  expect((await page.request.put(`/api/gardens/${garden.id}/places`, { data: bed })).ok()).toBe(true);
  await report('dateutc=now&soilmoisture1=20');
  await page.reload();
  await choose(page, 'Stands in', 'Wall bed');
  await page.getByRole('button', { name: 'Soil is dry now' }).click();
  await expect(page.getByText('Dry: 20 · drained: not noted', { exact: false })).toBeVisible();
  await report('dateutc=now&soilmoisture1=60');
  await page.reload();
  await page.getByRole('button', { name: 'Soaked yesterday' }).click();
  await report('dateutc=now&soilmoisture1=45');
  await page.reload();
  await expect(page.getByText('reads 45, 63 % left')).toBeVisible();
  await page.getByRole('button', { name: 'Disconnect' }).click();
  await expect(page.getByText('The station’s key no longer works.', { exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Connect a station' })).toBeVisible();
});
