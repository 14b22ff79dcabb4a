/** The display mode of this device: as the device, or as chosen here. */
const DISPLAY_MODES = ['device', 'light', 'dark', 'sun'] as const;
export type DisplayMode = (typeof DISPLAY_MODES)[number];

const KEY = 'candid-leaf:look';
const isDisplayMode = (value: string | null): value is DisplayMode => DISPLAY_MODES.includes(value as DisplayMode);

export function displayMode(): DisplayMode {
  const kept = localStorage.getItem(KEY);
  return isDisplayMode(kept) ? kept : 'device';
}

/** Applies the chosen display mode; called before anything is drawn. */
export function applyDisplayMode(mode: DisplayMode = displayMode()): void {
  if (mode === 'device') delete document.documentElement.dataset.theme;
  else document.documentElement.dataset.theme = mode;
}

export function setDisplayMode(mode: DisplayMode): void {
  localStorage.setItem(KEY, mode);
  applyDisplayMode(mode);
}
