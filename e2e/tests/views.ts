import type { Page } from '@playwright/test';

/** The plant that has a finding. */
export const SICK = 'plant with a finding';

/** Every main view of the demo garden: as it must be for everybody, on a phone and at the desk, by day and by night. */
export async function views(page: Page): Promise<[string, string][]> {
  const garden = new URL(page.url()).pathname;
  const hrefOf = async (name: string) => (await page.getByRole('link', { name }).first().getAttribute('href'))!;
  const sick = await hrefOf('Junction Bell');
  const bed = (await page
    .getByRole('region', { name: 'Wall bed' })
    .getByRole('link', { name: 'Wall bed' })
    .getAttribute('href'))!.replace(/\/plan$/, '');
  return [
    ['garden', garden],
    ['a day of the garden', `${garden}?day=2026-07-14`],
    [SICK, sick],
    ['looking it over', `${sick}/look?part=fruit`],
    ['Edit a plant', `${sick}/edit`],
    ['Edit a place', bed],
    ['settings', `${garden}/settings`],
    ['settings: days away', `${garden}/settings/away`],
    ['handbook', `${garden}/handbook`],
    ['the week of a place', `${bed}/plan`],
    ['bench', `${garden}/bench`],
    ['a trouble in the handbook', `${garden}/handbook/sunscald`],
    ['claims', `${garden}/handbook/claims`],
    ['practice', `${garden}/handbook/practice`],
    ['a plant to guess at', `${garden}/handbook/practice/spots/1`],
    ['all drawings', `${garden}/handbook/signs`],
    ['case sheet', `${sick}/sheet`],
    ['walk', `${bed}/walk`],
    ['where to look', `${garden}/look`],
    ['season', `${garden}/season`],
    ['next year', `${garden}/season?year=2027`],
    ['an earlier year', `${garden}/season?year=2024`],
    ['harvest', `${garden}/season/harvest?year=2025`],
    ['seasons compared', `${garden}/season/compare?year=2025`],
    ['closing the year', `${garden}/season/close?year=2025`],
    ['varieties', `${garden}/shed/varieties`],
    ['a variety', `${garden}/shed/varieties/new?from=slicer`],
    ['shed', `${garden}/shed`],
    ['what was sprayed', `${garden}/shed/sprays`],
    ['soil of a place', `${bed}/soil`],
    ['stock', `${garden}/shed/stock`],
    ['trials', `${garden}/shed/trials`],
    ['soils', `${garden}/shed/soil`],
    ['a product', `${garden}/shed/products/new?from=neem`],
    ['days away', `${garden}/away`],
    ['plant of another garden', `${garden}/other-garden`],
    ['import and export', `${garden}/files`],
    ['labels', `${garden}/labels`],
    ['people and access', `${garden}/people`],
    ['account', '/account'],
    ['api description', '/api/docs'],
  ];
}
