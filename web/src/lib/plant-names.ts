import type { GardenView } from '@candid-leaf/contract';
import type { Crop } from '@candid-leaf/core/records';

export const CROP_WORDS: Record<Crop, string> = { tomato: 'Tomato', pepper: 'Pepper' };

/** Returns the names of all plants in the garden. */
export const plantNames = ({ places }: Pick<GardenView, 'places'>): string[] =>
  places.flatMap((p) => p.plants.map((x) => x.plant.name));

/** Returns a name without its number: "South cordon 3" becomes "South cordon". */
export const withoutNumber = (name: string): string => name.replace(/ \d+$/, '');

/** Returns new numbered names after existing ones: "Tomato 3", "Tomato 4". */
export function numbered(word: string, count: number, taken: readonly string[]): string[] {
  const numbers = taken.map((t) => (withoutNumber(t) === word ? Number(/ (\d+)$/.exec(t)?.[1] ?? 1) : 0));
  const from = Math.max(0, ...numbers);
  return Array.from({ length: count }, (_, i) => `${word} ${from + i + 1}`);
}

/** Returns an unused name: "Pots", "Pots 2". */
export function freeName(label: string, taken: readonly string[]): string {
  for (let n = 1; ; n++) {
    const name = n === 1 ? label : `${label} ${n}`;
    if (!taken.includes(name)) return name;
  }
}
