/** Single keys can be switched off on a device: who speaks to it, or leans on it, may press them unmeant. */
const OFF = 'candid-leaf:keys-off';

export const areKeysOn = (): boolean => localStorage.getItem(OFF) === null;

export function turnKeys(on: boolean): void {
  if (on) localStorage.removeItem(OFF);
  else localStorage.setItem(OFF, 'yes');
}

/** A key, and what it does here. */
export interface Key {
  key: string;
  does: string;
}
