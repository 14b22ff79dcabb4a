import type { Formatter } from '../../units/formatter.js';
import { HELD_WHY } from '../../water/index.js';
import type { Dose } from './doses.js';

/** Returns a dose in the gardener's units: "2.2 L every day", "6 cm deep, 3 L". Empty if there is no amount. */
export function doseInWords(dose: Dose | null | undefined, f: Formatter): string {
  if (!dose) return '';
  if (dose.depthMm != null) {
    const amount =
      dose.litres != null && dose.areaM2 != null ? `: ${f.litres(dose.litres)} for ${f.area(dose.areaM2)}` : '';
    return `${f.centimetres(dose.depthMm / 10)} deep${amount}`;
  }
  const parts: string[] = [];
  if (dose.millilitres != null) parts.push(`${f.millilitres(dose.millilitres)} in water`);
  if (dose.litres != null) parts.push(f.litres(dose.litres));
  if (dose.blockPct != null) parts.push(`${dose.blockPct} %`);
  if (dose.areaM2 != null) parts.push(f.area(dose.areaM2));
  if (dose.count != null) parts.push(`${dose.count} fruit`);
  if (dose.cutsPerWeek != null)
    parts.push(`up to ${dose.cutsPerWeek} cuts a week${dose.sharedBudget ? ', other cuts included' : ''}`);
  if (dose.leafSharePct != null) parts.push(`up to ${dose.leafSharePct} % of the leaves`);
  if (dose.potLitres != null) parts.push(`${f.litres(dose.potLitres)} or more`);
  if (dose.untilDry) parts.push(HELD_WHY);
  if (dose.waitDays != null) parts.push(`for ${dose.waitDays} ${dose.waitDays === 1 ? 'day' : 'days'}`);
  if (dose.everyDays != null) parts.push(dose.everyDays === 1 ? 'every day' : `every ${dose.everyDays} days`);
  return parts.join(', ').replace(/, every/, ' every');
}
