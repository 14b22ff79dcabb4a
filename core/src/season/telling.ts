import { showLitres, showM2, type Units } from '../units/units.js';
import type { SpellAct } from './hard-weather.js';

/** An act of a heat or frost plan in the gardener's words and units, with its caution where it has one. */
export function actInWords({ what }: { what: SpellAct }, u: Units): { text: string; caution?: string } {
  switch (what.act) {
    case 'harvest':
      return { text: 'Pick what shows the first blush; it ripens indoors.' };
    case 'water-more':
      return {
        text: `Water ${showLitres(what.litres, u)} a day in all, ${what.sharePct} % more than lately, by the balance. Half as long again, the common habit, would be ${showLitres(what.habitLitres, u)}.`,
      };
    case 'check-pots':
      return {
        text: what.twice
          ? 'Lift the pots morning and evening; water those that are light.'
          : 'Lift or feel the pots every morning.',
      };
    case 'move-pots':
      return {
        text: `Move ${what.pots === 1 ? 'the pot' : `the ${what.pots} pots`} into shade from early afternoon on.`,
        caution: 'Lift with the legs; two people for a full pot.',
      };
    case 'shade':
      return {
        text: `Hang ${showM2(what.areaM2, u)} of shade cloth (30 to 50 %) on the west and ${what.side} side, a hand above the leaves.`,
        caution: 'Poles and steps on firm ground, not alone, not in wind.',
      };
    case 'mulch':
      return {
        text: `Cover the bare soil with about ${showLitres(what.litres, u)} of straw, leaves or clippings, kept off the stems.`,
        caution: 'Well rotted only. Hay or straw from sprayed land can carry weedkiller.',
      };
    case 'heat-not':
      return {
        text: 'No feeding, no spraying and no hard cuts until it is over; work early or late.',
        caution: 'Above 32 °C (90 °F) with hat, water and pauses.',
      };
    case 'cover':
      return {
        text: `Cover ${showM2(what.areaM2, u)} with fleece or a sheet down to the ground by evening; off again in the morning.`,
      };
    case 'water-before':
      return {
        text: `Water in the morning before, ${showLitres(what.litres, u)} in all: damp soil gives its warmth back at night.`,
      };
    case 'pots-in':
      return {
        text: `Bring ${what.pots === 1 ? 'the pot' : `the ${what.pots} pots`} in for the night.`,
        caution: 'Lift with the legs; two people for a full pot.',
      };
    case 'harvest-tender':
      return { text: 'Pick what is full-sized before the first frost; green fruit ripens indoors.' };
  }
}
