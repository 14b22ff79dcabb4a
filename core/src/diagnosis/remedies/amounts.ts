import { showCm, showLitres, showM2, type Units } from '../../units/units.js';
import type { Dose } from './doses.js';

/** A dose in the gardener's units: "2.2 L every day", "6 cm deep, 3 L". Empty where there is no amount. */
export function doseInWords(dose: Dose | null | undefined, units: Units): string {
  if (!dose) return '';
  const parts: string[] = [];
  if (dose.depthMm != null) {
    const amount =
      dose.litres != null && dose.areaM2 != null
        ? `: ${showLitres(dose.litres, units)} for ${showM2(dose.areaM2, units)}`
        : '';
    return `${showCm(dose.depthMm / 10, units)} deep${amount}`;
  }
  if (dose.millilitres != null) parts.push(`${dose.millilitres} mL in water`);
  if (dose.litres != null) parts.push(showLitres(dose.litres, units));
  if (dose.blockPct != null) parts.push(`${dose.blockPct} %`);
  if (dose.areaM2 != null) parts.push(showM2(dose.areaM2, units));
  if (dose.count != null) parts.push(`${dose.count} fruit`);
  if (dose.cutsPerWeek != null) parts.push(`up to ${dose.cutsPerWeek} cuts a week`);
  if (dose.potLitres != null) parts.push(`${showLitres(dose.potLitres, units)} or more`);
  if (dose.waitDays != null) parts.push(`for ${dose.waitDays} ${dose.waitDays === 1 ? 'day' : 'days'}`);
  if (dose.everyDays != null) parts.push(dose.everyDays === 1 ? 'every day' : `every ${dose.everyDays} days`);
  return parts.join(', ').replace(/, every/, ' every');
}
