/** Chooses one of a list that opens under a mouse, by its words. */
export async function choose(page, label, words) {
  await page.getByRole('combobox', { name: label, exact: true }).click();
  await page.getByRole('option', { name: words, exact: true }).click();
}
