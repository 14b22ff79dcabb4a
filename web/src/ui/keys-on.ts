/** Shortcuts can be switched off on a device, for people using speech or resting on keys. */
const OFF = 'candid-leaf:keys-off';

export const areKeysOn = (): boolean => localStorage.getItem(OFF) === null;

export function turnKeys(on: boolean): void {
  if (on) localStorage.removeItem(OFF);
  else localStorage.setItem(OFF, 'yes');
}

/** A key and its action here. */
export interface Key {
  key: string;
  does: string;
}
