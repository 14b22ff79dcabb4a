import { roundTo } from '../units/rounding.js';

/**
 * Returns a share of the label in words.
 * @example shareInWords(0.5) // 'half the label’s strength'
 */
export function shareInWords(share: number): string {
  const near = (x: number): boolean => Math.abs(share - x) < 0.05;
  if (near(1)) return 'the label’s strength';
  if (near(0.5)) return 'half the label’s strength';
  if (near(0.25)) return 'a quarter of the label’s strength';
  return share < 1
    ? `${Math.round(share * 100)} % of the label’s strength`
    : `${roundTo(share, 1)} times the label’s strength`;
}
