import { CHECKED_BY, CUT_KINDS, EVENTS, FEED_FORMS, signRow, SOIL_FEELS, SPRAYS, WATERING_ENDS, WATERING_WAYS } from '@candid-leaf/core/records';
import { LITRES_PER, type Units } from '@candid-leaf/core/units';
import type { RecordDto, RecordType } from '@candid-leaf/contract';
import {
  CalendarDays,
  Droplets,
  Eye,
  Fingerprint,
  NotebookPen,
  Scale,
  Scissors,
  SprayCan,
  Wheat,
  type LucideIcon,
} from 'lucide-react';
import type { Measure } from './field';

/** What a form asks for each kind of record, and how such a record reads in a list. A new kind is one more row. */
export type Asked =
  | { name: string; label: string; kind: 'number'; measure?: (u: Units) => Measure; start?: number }
  | { name: string; label: string; kind: 'choice'; options: readonly (readonly [string, string])[]; start?: string }
  | { name: string; label: string; kind: 'several'; options: readonly (readonly [string, string])[] }
  | { name: string; label: string; kind: 'text'; long?: boolean };

const words = (codes: readonly string[], own: Record<string, string> = {}): [string, string][] =>
  codes.map((c) => [c, own[c] ?? c.charAt(0).toUpperCase() + c.slice(1).replaceAll('-', ' ')]);

const litres = (u: Units): Measure => ({ symbol: symbolOf(u.volume), per: LITRES_PER[u.volume] });
const cm = (u: Units): Measure => ({ symbol: symbolOf(u.length), per: CM_PER[u.length] });
const grams = (u: Units): Measure => ({ symbol: symbolOf(u.mass), per: GRAMS_PER[u.mass] });
const kilos = (u: Units): Measure => (u.mass === 'g' ? { symbol: 'kg', per: 1 } : { symbol: 'lb', per: 0.45359237 });
const pct = (): Measure => ({ symbol: '%', per: 1 });
const plain = (symbol: string) => (): Measure => ({ symbol, per: 1 });

export interface RecordKind {
  label: string;
  icon: LucideIcon;
  /** nothing here: an inspection has a page of its own */
  asks: readonly Asked[];
  /** one line for a list */
  tell: (data: never, u: Units) => string;
}

const kind = <D>(
  label: string,
  icon: LucideIcon,
  asks: readonly Asked[],
  tell: (data: D, u: Units) => string,
): RecordKind => ({ label, icon, asks, tell });

export const RECORD_KINDS: Record<RecordType, RecordKind> = {
  watering: kind(
    'Water',
    Droplets,
    [
      { name: 'litres', label: 'For each plant', kind: 'number', measure: litres },
      { name: 'minutes', label: 'or how long it ran', kind: 'number', measure: plain('minutes') },
      {
        name: 'how',
        label: 'How',
        kind: 'choice',
        start: 'base',
        options: words(WATERING_WAYS, { base: 'At the foot', overhead: 'Over the leaves', bottom: 'From below' }),
      },
      {
        name: 'end',
        label: 'Until',
        kind: 'choice',
        start: 'plain',
        options: words(WATERING_ENDS, { plain: 'That much was given', 'ran-through': 'It ran out below' }),
      },
    ],
    (d: { litres?: number; minutes?: number | null; how?: string; end?: string }, u) =>
      (d.minutes != null ? `Watered for ${d.minutes} minutes` : `Watered, ${showLitres(d.litres ?? 0, u)} a plant`) +
      (d.how === 'overhead' ? ', over the leaves' : '') +
      (d.end === 'ran-through' ? ', until it ran out below' : ''),
  ),
  'soil-check': kind(
    'Feel the soil',
    Fingerprint,
    [
      { name: 'feel', label: 'It felt', kind: 'choice', start: 'damp', options: words(SOIL_FEELS) },
      { name: 'depthCm', label: 'How deep', kind: 'number', measure: cm, start: 5 },
      {
        name: 'by',
        label: 'By',
        kind: 'choice',
        start: 'finger',
        options: words(CHECKED_BY, { finger: 'A finger', probe: 'A moisture probe (little trusted)' }),
      },
    ],
    (d: { feel: string; depthCm?: number; by?: string }, u) =>
      `${d.by === 'probe' ? 'A probe says' : 'Soil felt'} ${d.feel}${d.depthCm ? ` at ${showCm(d.depthCm, u)}` : ''}`,
  ),
  feeding: kind(
    'Feed',
    Wheat,
    [
      { name: 'product', label: 'What', kind: 'text' },
      { name: 'n', label: 'N', kind: 'number', measure: pct },
      { name: 'p2o5', label: 'P₂O₅', kind: 'number', measure: pct },
      { name: 'k2o', label: 'K₂O', kind: 'number', measure: pct },
      { name: 'grams', label: 'For each plant', kind: 'number', measure: grams },
      { name: 'form', label: 'Form', kind: 'choice', start: 'granular', options: words(FEED_FORMS) },
    ],
    (d: { product?: string; n: number; p2o5: number; k2o: number; grams: number }, u) =>
      `Fed ${showGrams(d.grams, u)} of ${d.product ?? 'feed'} (${d.n}-${d.p2o5}-${d.k2o})`,
  ),
  pruning: kind(
    'Cut',
    Scissors,
    [
      { name: 'cuts', label: 'Cuts', kind: 'number' },
      { name: 'leafSharePct', label: 'Share of the leaf', kind: 'number', measure: pct },
      { name: 'what', label: 'What', kind: 'several', options: words(CUT_KINDS) },
    ],
    (d: { cuts?: number; leafSharePct?: number; what?: string[] }) =>
      [
        `${d.cuts ?? 'Some'} cuts`,
        d.leafSharePct != null ? `${d.leafSharePct} % of the leaf` : '',
        (d.what ?? []).map((w) => w.replace('-', ' ')).join(', '),
      ]
        .filter(Boolean)
        .join(', '),
  ),
  note: kind(
    'Note',
    NotebookPen,
    [{ name: 'text', label: 'Note', kind: 'text', long: true }],
    (d: { text: string }) => d.text,
  ),
  spray: kind(
    'Spray',
    SprayCan,
    [{ name: 'product', label: 'What', kind: 'choice', start: 'soap', options: words(SPRAYS, { bt: 'BT' }) }],
    (d: { product: string }) => `Sprayed: ${d.product.replace('-', ' ')}`,
  ),
  event: kind(
    'Something happened',
    CalendarDays,
    [{ name: 'what', label: 'What', kind: 'choice', start: 'harvest', options: words(EVENTS) }],
    (d: { what: string }) => d.what.charAt(0).toUpperCase() + d.what.slice(1).replaceAll('-', ' '),
  ),
  'pot-weight': kind(
    'Weigh the pot',
    Scale,
    [
      { name: 'kg', label: 'Weight', kind: 'number', measure: kilos },
      {
        name: 'state',
        label: 'The pot is',
        kind: 'choice',
        start: 'unknown',
        options: [
          ['unknown', 'somewhere between'],
          ['drained', 'soaked and drained'],
          ['dry', 'at the first droop'],
        ],
      },
    ],
    (d: { kg: number; state: string }, u) =>
      `Pot weighs ${Number((d.kg / kilos(u).per).toFixed(1))} ${kilos(u).symbol}${d.state === 'unknown' ? '' : `, ${d.state}`}`,
  ),
  inspection: kind(
    'Look over',
    Eye,
    [],
    (d: {
      allClear: boolean;
      signs: { sign: never; present: boolean; affected?: number | null; of?: number | null }[];
    }) => {
      if (d.signs.length === 0) return 'All clear';
      const part = (present: boolean) =>
        d.signs
          .filter((s) => s.present === present)
          .map(
            (s) =>
              signRow(s.sign).label.toLowerCase() +
              (s.affected != null ? ` (${s.affected}${s.of != null ? ` of ${s.of}` : ''})` : ''),
          );
      const seen = part(true);
      const not = part(false);
      return [seen.length ? `Seen: ${seen.join(', ')}` : '', not.length ? `not seen: ${not.join(', ')}` : '']
        .filter(Boolean)
        .join('; ');
    },
  ),
};

export const tellRecord = (r: RecordDto, u: Units): string => RECORD_KINDS[r.type].tell(r.data as never, u);
