/** The device's current account. Everything stored here belongs to it, and no other account sees it. */
const KEY = 'candid-leaf:account';

export const accountHere = (): string | null => localStorage.getItem(KEY);

export function setAccountHere(id: string | null): void {
  if (id !== accountHere()) setGardenHere(null);
  if (id === null) localStorage.removeItem(KEY);
  else localStorage.setItem(KEY, id);
}

/** Last-opened garden; the app opens here. */
const GARDEN_KEY = 'candid-leaf:garden';

export const gardenHere = (): string | null => localStorage.getItem(GARDEN_KEY);

export function setGardenHere(id: string | null): void {
  if (id === null) localStorage.removeItem(GARDEN_KEY);
  else localStorage.setItem(GARDEN_KEY, id);
}
