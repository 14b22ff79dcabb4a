import { CHILL_NIGHT_C, HOT_DAY_C } from '../climate/limits.js';
import { CAUTIONS } from '../records/vocabulary/cautions.js';
import type { Day } from '../units/day.js';
import type { Formatter } from '../units/formatter.js';
import type { HardSpell, SpellAct } from './hard-weather.js';

/** Returns an act of a heat or frost plan in the gardener's words and units, with its caution if it has one. */
export function actInWords(what: SpellAct, f: Formatter): { text: string; caution?: string } {
  switch (what.act) {
    case 'harvest':
      return {
        text: what.peppers
          ? 'Pick tomatoes at first blush: they ripen indoors. Pick peppers that have begun to turn; green ones stay green.'
          : 'Pick everything at first blush: it ripens indoors.',
        ...hotCaution(what.hot),
      };
    case 'open-vents':
      return { text: 'Open doors and vents before the sun reaches the cover; close them at dusk.' };
    case 'water-more':
      return {
        text: `Water as planned, ${f.litres(what.litres)} in total over these days. Plants use about ${what.sharePct} % more than recently. Half as much again, a common habit, would be ${f.litres(what.habitLitres)}.`,
      };
    case 'check-pots':
      return {
        text:
          what.secondL > 0
            ? `Lift the pots in the morning and at midday. Save ${f.litres(what.secondL)} of the day’s water for the afternoon.`
            : what.midday
              ? 'Lift the pots in the morning and at midday, and water the light ones.'
              : 'Lift or feel the pots in the morning.',
      };
    case 'move-pots':
      return {
        text: `Move ${what.pots === 1 ? 'the pot' : `the ${what.pots} pots`} into shade from early afternoon on.`,
        caution: 'Lift with the legs; two people for a full pot.',
      };
    case 'shade':
      return {
        text: `Hang ${f.area(what.areaM2)} of shade cloth (30 to 50 %) on the west and ${what.side} side, a hand’s width above the leaves.`,
        caution: CAUTIONS.ladder,
      };
    case 'mulch':
      return {
        text: `Cover the bare soil with about ${f.litres(what.litres)} of straw, leaves or clippings, away from the stems.`,
        caution: CAUTIONS.manure,
      };
    case 'heat-not':
      return {
        text: what.feed
          ? 'No spraying or hard pruning until it is over; feed at half strength only, after watering. Work early or late.'
          : 'No feeding, spraying or hard pruning until it is over. Work early or late.',
        caution: `Above ${f.temperature(HOT_DAY_C)} wear a hat, drink water and take breaks.`,
      };
    case 'cover':
      return {
        text: what.inside
          ? `Close the cover by dusk and lay ${f.area(what.areaM2)} of fleece${what.double ? ', doubled,' : ''} over the plants inside. Remove it in the morning.`
          : `Cover ${f.area(what.areaM2)} with ${what.double ? 'two layers of fleece or a blanket' : 'fleece or a sheet'} down to the ground by dusk. Remove it in the morning.${what.double ? ' It may not be enough: pick what you would miss.' : ''}`,
      };
    case 'check-bed':
      return { text: 'Put a finger two knuckles deep into the soil in the morning and record it: the plan follows.' };
    case 'harvest-all':
      return {
        text: what.peppers
          ? 'Pick everything, green fruit too: no cover saves plants from this frost. Tomatoes ripen indoors; eat green peppers green.'
          : 'Pick everything, green fruit too: no cover saves plants from this frost. Full-sized green tomatoes ripen indoors.',
        ...hotCaution(what.hot),
      };
    case 'water-before':
      return {
        text: what.litres
          ? `Water the morning before, as planned, ${f.litres(what.litres)} in total: damp soil releases warmth at night.`
          : 'Check the soil the day before and water it if it is dry: damp soil releases warmth at night.',
      };
    case 'pots-in':
      return {
        text: `Bring ${what.pots === 1 ? 'the pot' : `the ${what.pots} pots`} in by dusk for the night.`,
        caution: 'Lift with the legs; two people for a full pot.',
      };
    case 'check-ties':
      return { text: 'Check stakes and ties, and tie in what hangs loose. Leave a finger’s width around each stem.' };
    case 'pots-out-of-wind':
      return {
        text: `Move ${what.pots === 1 ? 'the pot' : `the ${what.pots} pots`} to the side of a wall that the wind does not reach.`,
        caution: 'Lift with the legs; two people for a full pot.',
      };
    case 'close-up':
      return { text: 'Close doors and vents before the wind comes, and see that the cover is tight.' };
    case 'tie-cloth-down':
      return { text: 'Take the shade cloth off, or tie it down on all sides.' };
    case 'weigh-down':
      return { text: 'Put away or weigh down what could fly: sheets, buckets, empty pots.' };
    case 'harvest-tender':
      return {
        text: what.peppers
          ? 'Pick full-sized fruit. Tomatoes ripen indoors; peppers that have begun to turn ripen in a warm room; eat green ones green.'
          : 'Pick full-sized fruit; green tomatoes ripen indoors.',
        ...hotCaution(what.hot),
      };
  }
}

const hotCaution = (hot: boolean): { caution?: string } => (hot ? { caution: CAUTIONS.hot } : {});

/** Says what is coming and when: "up to 36 °C is forecast from 20 July to 22 July". */
export function spellInWords(s: HardSpell, today: Day, f: Formatter): string {
  const until = s.to === s.from ? '' : ` to ${f.day(s.to)}`;
  if (s.kind === 'heat') {
    const when = s.from <= today ? 'from today' : s.to === s.from ? `on ${f.day(s.from)}` : `from ${f.day(s.from)}`;
    return `up to ${f.temperature(s.extremeC)} is forecast ${when}${until}`;
  }
  if (s.kind === 'storm')
    return `wind of ${f.windSpeed(s.windMs ?? 0)} on average is forecast ${s.from <= today ? 'from today' : `on ${f.day(s.from)}`}${until}: gusts are far stronger`;
  const dawn = s.from <= today ? 'these mornings' : `at dawn on ${f.day(s.from)}${until}`;
  return s.kind === 'frost'
    ? `down to ${f.temperature(s.extremeC)} is forecast ${dawn}: ground frost is possible; cover the evening before`
    : `a night of ${f.temperature(s.extremeC)} is forecast ${dawn}, under ${f.temperature(CHILL_NIGHT_C)}: too cold for new plants; cover the evening before`;
}
