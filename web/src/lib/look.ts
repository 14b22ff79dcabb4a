/** The display mode of this device: as the device, or as chosen here. */
export const LOOKS = ['device', 'light', 'dark', 'sun'] as const;
export type Look = (typeof LOOKS)[number];

const KEY = 'candid-leaf:look';
const isLook = (value: string | null): value is Look => LOOKS.includes(value as Look);

export function lookHere(): Look {
  const kept = localStorage.getItem(KEY);
  return isLook(kept) ? kept : 'device';
}

/** Applies the chosen display mode; called before anything is drawn. */
export function showLook(look: Look = lookHere()): void {
  if (look === 'device') delete document.documentElement.dataset.theme;
  else document.documentElement.dataset.theme = look;
}

export function setLook(look: Look): void {
  localStorage.setItem(KEY, look);
  showLook(look);
}
