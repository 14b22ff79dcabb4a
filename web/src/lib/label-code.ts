import { linkTo } from './paths';

/** What a printed label stands on. */
export interface Labelled {
  of: 'plant' | 'place';
  gardenId: string;
  id: string;
}

const LETTERS = { plant: 'p', place: 'b' } as const;

/** Returns the code in a label's address: short, so that it fits on narrow tape. It never changes. */
export function codeOf({ of, gardenId, id }: Labelled): string {
  const bytes = Uint8Array.from(`${gardenId}${id}`.replaceAll('-', '').match(/../g) ?? [], (hex) => parseInt(hex, 16));
  const text = btoa(String.fromCharCode(...bytes))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '');
  return LETTERS[of] + text;
}

/** Reads a code; null if it is none. */
export function labelled(code: string): Labelled | null {
  const of = code.startsWith('p') ? 'plant' : code.startsWith('b') ? 'place' : null;
  if (!of || !/^.[\w-]{43}$/.test(code)) return null;
  const bytes = atob(code.slice(1).replaceAll('-', '+').replaceAll('_', '/'));
  const hex = Array.from(bytes, (c) => c.charCodeAt(0).toString(16).padStart(2, '0')).join('');
  const uuid = (h: string): string => h.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
  return { of, gardenId: uuid(hex.slice(0, 32)), id: uuid(hex.slice(32)) };
}

/** Returns where a label leads: the plant, or a walk along its bed. */
export const behind = ({ of, gardenId, id }: Labelled): string =>
  of === 'plant' ? linkTo('plant', { gardenId, plantId: id }) : linkTo('placeWalk', { gardenId, placeId: id });
