/** Chooses an option of a list by its words. */
export async function choose(page, label, words) {
  await page.getByRole('combobox', { name: label, exact: true }).click();
  await page.getByRole('option', { name: words, exact: true }).click();
}
