import type { Formatter } from '../units/formatter.js';
import { capital } from '../units/text.js';
import { shareInWords } from './label-share.js';
import type { Picking } from './record-classes.js';
import type { RecordData, RecordType } from './record-types.js';
import { signRow } from './vocabulary/signs.js';

const words = (code: string): string => code.replaceAll('-', ' ');
const together = (parts: readonly string[], by = ', '): string => parts.filter(Boolean).join(by);

const COVERING_NAMES = { mulch: 'Mulch', shade: 'Shade cloth', roof: 'Rain cover', net: 'Net' } as const;

const SUPPORT_NAMES = {
  stake: 'Staked',
  cage: 'Cage set up',
  string: 'String hung',
  panel: 'Panel set up',
  weave: 'Woven between stakes',
  cylinder: 'Mesh cylinder set up',
} as const;

const PICKED_FOR: Record<Picking['use'], string> = {
  eaten: 'eaten',
  sauce: 'for sauce',
  kept: 'kept',
  given: 'given away',
  shelf: 'set aside to ripen',
  binned: 'binned',
};

/** Returns " (4 of 11)", " (4)" or an empty text. */
const counted = (s: { affected?: number | null; of?: number | null }): string =>
  s.affected == null ? '' : ` (${s.affected}${s.of != null ? ` of ${s.of}` : ''})`;

/** One line for a list, by record type. */
const DESCRIBE: { readonly [K in RecordType]: (data: RecordData<K>, f: Formatter) => string } = {
  watering: (d, f) =>
    together([
      d.litres == null ? 'Watered' : `Watered, ${f.litres(d.litres)} per plant`,
      d.minutes != null ? `in ${d.minutes} minutes` : '',
      d.how === 'overhead' ? 'over the leaves' : '',
      d.end === 'ran-through' ? 'until it ran out below' : d.litres == null ? 'amount unknown' : '',
    ]),
  'soil-check': (d, f) =>
    `${d.by === 'probe' ? 'Probe reading' : 'Soil felt'} ${d.feel}${d.share == null ? '' : ` (${Math.round(100 * d.share)} % left)`}${d.depthCm ? ` at ${f.centimetres(d.depthCm)}` : ''}${d.after ? ', after watering' : ''}`,
  'soil-warmth': (d, f) => `Soil ${f.temperature(d.celsius)}`,
  feeding: (d, f) => {
    if (d.grams === 0) return 'Not fed';
    const what = d.product ?? 'feed';
    return d.unknown
      ? `Fed: ${what}, amount unknown`
      : together([
          `Fed ${f.grams(d.grams)} of ${what} (${d.n}-${d.p2o5}-${d.k2o})`,
          d.labelGrams ? shareInWords(d.grams / d.labelGrams) : '',
        ]);
  },
  pruning: (d) =>
    together([
      `${d.cuts ?? 'Some'} cuts`,
      d.leafSharePct != null ? `${d.leafSharePct} % of the leaves` : '',
      (d.what ?? []).map(words).join(', '),
    ]),
  note: (d) => d.text,
  spray: (d) =>
    together([
      `${d.trial ? 'Tested on one leaf' : 'Sprayed'}: ${d.name ?? words(d.product)}`,
      d.target ? `against ${d.target.toLowerCase()}` : '',
    ]),
  event: (d) => capital(words(d.what)),
  picking: (d, f) =>
    together([
      `Picked ${together([d.count != null ? String(d.count) : '', d.grams != null ? f.grams(d.grams) : ''])}`.trim(),
      d.state === 'sound' ? '' : words(d.state),
      d.ripeness && d.ripeness !== 'ripe' ? (d.ripeness === 'blush' ? 'at first blush' : 'green') : '',
      PICKED_FOR[d.use],
      d.taste ? `taste: ${d.taste}` : '',
      d.brix != null ? `${d.brix} °Brix` : '',
    ]),
  'pot-weight': (d, f) => `Pot weighs ${f.kilograms(d.kg)}${d.state === 'unknown' ? '' : `, ${d.state}`}`,
  'rain-gauge': (d, f) => `Rain gauge: ${f.rain(d.rainMm)}`,
  'truss-count': (d) =>
    `Truss ${d.truss}: ${d.flowers} flowers, ${d.fruit} fruit set${d.flowers + d.fruit > 0 ? ` (${Math.round((100 * d.fruit) / (d.flowers + d.fruit))} %)` : ''}`,
  growth: (d, f) =>
    together([
      d.stage ? `Stage: ${d.stage}${d.orLater ? ' or later' : d.soon ? ', the next one near' : ''}` : '',
      d.heightM != null ? `${d.rough ? 'about ' : ''}${f.centimetres(d.heightM * 100)} tall` : '',
    ]),
  companion: (d) => `${capital(words(d.what))} ${words(d.did)}`,
  covering: (d, f) => {
    if (d.did === 'off') return `${COVERING_NAMES[d.what]} taken off`;
    const deep = d.depthCm != null ? `${f.centimetres(d.depthCm)} of ` : '';
    if (d.what === 'mulch') return `Mulched: ${deep}${d.material && d.material !== 'other' ? d.material : 'mulch'}`;
    return together([
      `${COVERING_NAMES[d.what]} put on`,
      d.blockPct != null ? `${d.blockPct} %` : '',
      d.side && d.side !== 'over' ? `on the ${d.side} side` : '',
    ]);
  },
  support: (d) => SUPPORT_NAMES[d.what],
  timer: (d, f) => {
    if (d.off) return 'Timer switched off';
    const often = d.everyDays === 1 ? 'every day' : `every ${d.everyDays ?? '?'} days`;
    return together([
      `Timer: ${often}`,
      d.minutes != null ? `${d.minutes} minutes` : '',
      d.litres != null ? `${f.litres(d.litres)} per plant` : '',
      d.startHour != null ? `at ${d.startHour}:00` : '',
      d.skipsRain ? 'off when it rains' : '',
    ]);
  },
  inspection: (d) => {
    if (d.signs.length === 0) return 'All clear';
    const named = (present: boolean): string =>
      d.signs
        .filter((s) => s.present === present)
        .map((s) => `${signRow(s.sign).label.toLowerCase()}${counted(s)}`)
        .join(', ');
    const seen = named(true);
    const not = named(false);
    return together([seen && `Seen: ${seen}`, not && `not seen: ${not}`], '; ');
  },
};

/** Returns a record in one line, for lists and screen readers. */
export const describeRecord = (kind: RecordType, data: RecordData, f: Formatter): string =>
  (DESCRIBE[kind] as (data: RecordData, f: Formatter) => string)(data, f);
