// Opens the demo garden on a phone of usual size, for measuring.
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { ROOT } from './build.mjs';

/** The caller closes the browser. */
export async function demoOnAPhone(url, { email, password }) {
  const { chromium, devices } = createRequire(join(ROOT, 'e2e', 'package.json'))('@playwright/test');
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  const context = await browser.newContext({ ...devices['Pixel 5'], baseURL: url });
  const page = await context.newPage();
  await page.goto('/sign-in');
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByRole('heading', { name: 'Today' }).waitFor();
  return { browser, context, page };
}
