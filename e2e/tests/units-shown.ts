import { expect, type Page } from '@playwright/test';

const METRIC = '°C|cm|mm|m²|m|kg|km|m/s|L';
/** "2 in", but not "1 in 5" */
const IMPERIAL = '°F|US gal|in(?! \\d)|ft²|ft|oz|lb|mph';
/** "5", "1.5", "5 to 8". */
const NUMBER = String.raw`\d[\d.,]*(?: to \d[\d.,]*)?[ \u00a0]?`;
/** Fixed texts say both: "5 to 8 cm (2 to 3 in)". */
const BOTH = new RegExp(String.raw`${NUMBER}(?:${METRIC}) \([^()]*(?:${IMPERIAL})\)`, 'g');
const OF = {
  metric: new RegExp(String.raw`${NUMBER}(?:${METRIC})(?![\p{L}²/])|per litre|a litre|square metre`, 'gu'),
  imperial: new RegExp(String.raw`${NUMBER}(?:${IMPERIAL})(?![\p{L}²/])|US gallon|square foot`, 'gu'),
};

/** Opens whatever is folded on a page. */
const unfold = (page: Page): Promise<void> =>
  page.evaluate(() => {
    for (const b of document.querySelectorAll<HTMLElement>('main button[aria-expanded="false"]:not([aria-haspopup])'))
      b.click();
  });

/** Expects that nothing of a page, folded or not, shows a unit of this system. */
export async function showsNoUnits(page: Page, system: keyof typeof OF, name: string): Promise<void> {
  await unfold(page);
  // what this device kept from before is shown first
  await expect.poll(() => unitsShown(page, system), { message: name }).toEqual([]);
}

async function unitsShown(page: Page, system: keyof typeof OF): Promise<string[]> {
  const lines = await page.evaluate(() => [
    ...document.body.innerText.split('\n'),
    ...[...document.querySelectorAll('[aria-label]')].map((e) => e.getAttribute('aria-label') ?? ''),
  ]);
  return [...new Set(lines)].filter((line) => line.replaceAll(BOTH, '').match(OF[system]));
}
