import { CHILL_NIGHT_C, HOT_DAY_C } from '../climate/limits.js';
import type { Day } from '../units/day.js';
import type { Formatter } from '../units/formatter.js';
import type { HardSpell, SpellAct } from './hard-weather.js';

/** An act of a heat or frost plan in the gardener's words and units, with its caution where it has one. */
export function actInWords(what: SpellAct, f: Formatter): { text: string; caution?: string } {
  switch (what.act) {
    case 'harvest':
      return {
        text: what.peppers
          ? 'Pick tomatoes that show the first blush, they ripen indoors; and peppers that have begun to turn, a green one stays green.'
          : 'Pick what shows the first blush; it ripens indoors.',
        ...hotCaution(what.hot),
      };
    case 'open-vents':
      return { text: 'Open doors and vents before the sun is on the cover; shut them at dusk.' };
    case 'water-more':
      return {
        text: `Water as the plan has it, ${f.litres(what.litres)} in all over these days: by the balance the plants use ${what.sharePct} % more than lately. Half as long again, the common habit, would be ${f.litres(what.habitLitres)}.`,
      };
    case 'check-pots':
      return {
        text:
          what.secondL > 0
            ? `Lift the pots in the morning and again at midday; of the day’s water keep ${f.litres(what.secondL)} in all for the afternoon.`
            : what.midday
              ? 'Lift the pots in the morning and again at midday; water those that are light.'
              : 'Lift or feel the pots in the morning.',
      };
    case 'move-pots':
      return {
        text: `Move ${what.pots === 1 ? 'the pot' : `the ${what.pots} pots`} into shade from early afternoon on.`,
        caution: 'Lift with the legs; two people for a full pot.',
      };
    case 'shade':
      return {
        text: `Hang ${f.area(what.areaM2)} of shade cloth (30 to 50 %) on the west and ${what.side} side, a hand above the leaves.`,
        caution: 'Poles and steps on firm ground, not alone, not in wind.',
      };
    case 'mulch':
      return {
        text: `Cover the bare soil with about ${f.litres(what.litres)} of straw, leaves or clippings, kept off the stems.`,
        caution: 'Well rotted only. Hay or straw from sprayed land can carry weedkiller.',
      };
    case 'heat-not':
      return {
        text: 'No feeding, no spraying and no hard cuts until it is over; work early or late.',
        caution: `Above ${f.temperature(HOT_DAY_C)} with hat, water and pauses.`,
      };
    case 'cover':
      return {
        text: what.inside
          ? `Shut the cover by dusk and lay fleece over ${f.area(what.areaM2)} of plants inside; off again in the morning.`
          : `Cover ${f.area(what.areaM2)} with fleece or a sheet down to the ground by dusk; off again in the morning.`,
      };
    case 'water-before':
      return {
        text: what.litres
          ? `Water in the morning of the day before, as the plan has it, ${f.litres(what.litres)} in all: damp soil gives its warmth back at night.`
          : 'Feel the soil the day before: damp soil gives its warmth back at night, so water it if it is dry.',
      };
    case 'pots-in':
      return {
        text: `Bring ${what.pots === 1 ? 'the pot' : `the ${what.pots} pots`} in by dusk, for the night.`,
        caution: 'Lift with the legs; two people for a full pot.',
      };
    case 'harvest-tender':
      return {
        text: what.peppers
          ? 'Pick what is full-sized: tomatoes ripen indoors; peppers that have begun to turn do in a warm room, green ones are eaten green.'
          : 'Pick what is full-sized; green tomatoes ripen indoors.',
        ...hotCaution(what.hot),
      };
  }
}

const hotCaution = (hot: boolean): { caution?: string } =>
  hot ? { caution: 'Hot peppers: gloves, and nothing near the eyes.' } : {};

/** What is coming and when: "32 °C or more is expected from 20 July to 22 July, up to 36 °C". */
export function spellInWords(s: HardSpell, today: Day, f: Formatter): string {
  const until = s.to === s.from ? '' : ` to ${f.day(s.to)}`;
  if (s.kind === 'heat') {
    const when = s.from <= today ? 'from today' : s.to === s.from ? `on ${f.day(s.from)}` : `from ${f.day(s.from)}`;
    return `${f.temperature(Math.min(HOT_DAY_C, s.extremeC))} or more is expected ${when}${until}, up to ${f.temperature(s.extremeC)}`;
  }
  const dawn = s.from <= today ? 'these mornings' : `at dawn on ${f.day(s.from)}${until}`;
  return s.kind === 'frost'
    ? `down to ${f.temperature(s.extremeC)} is expected ${dawn}: frost may form on the ground; cover on the evening before`
    : `a night of ${f.temperature(s.extremeC)} is expected ${dawn}, under ${f.temperature(CHILL_NIGHT_C)}: too cold for what was just planted; cover on the evening before`;
}
