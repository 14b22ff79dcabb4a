import {
  CHECKED_BY,
  CUT_KINDS,
  EVENTS,
  FEED_FORMS,
  SOIL_FEELS,
  SPRAYS,
  WATERING_WAYS,
  type RecordType,
  COMPANIONS,
  COMPANION_DEEDS,
  COVERINGS,
  MULCHES,
  SHADE_SIDES,
  SUPPORTS,
  STAGES,
  TASTES,
} from '@candid-leaf/core/records';
import { SALVAGE } from '@candid-leaf/core/harvest';
import type { ProductKind } from '@candid-leaf/core/products';
import type { Quantity } from '@candid-leaf/core/units';
import {
  CalendarDays,
  CloudRain,
  Droplets,
  Eye,
  Fingerprint,
  NotebookPen,
  Ruler,
  Scale,
  Scissors,
  ShoppingBasket,
  SprayCan,
  Thermometer,
  Timer,
  Wheat,
  type LucideIcon,
  Fence,
  Flower,
  Layers,
  Sprout,
} from 'lucide-react';
import { wordsOf } from '../../lib/words';

/** One field of a record form; `name` is the record's field. */
export type Asked = AskedAs & {
  /** asked only if another field has this value */
  only?: readonly [field: string, value: string];
  /** rarely changed: folded, with the date */
  more?: true;
};
type AskedAs =
  | { name: string; label: string; as: 'number'; quantity: Quantity; start?: number }
  /** litres, minutes or how it ended */
  | { name: string; label: string; as: 'water' }
  /** grams of product per plant, said in one of several ways */
  | { name: string; label: string; as: 'feed' }
  /** how strong a spray was, said in one of several ways */
  | { name: string; label: string; as: 'mix' }
  | {
      name: string;
      label: string;
      as: 'choice';
      options: readonly (readonly [string, string])[];
      start?: string;
      hint?: (chosen: string) => string | undefined;
    }
  | { name: string; label: string; as: 'several'; options: readonly (readonly [string, string])[] }
  /** `whenRefused`: shown only after a refusal, or if it has a value */
  | { name: string; label: string; as: 'text'; long?: boolean; whenRefused?: true }
  | { name: string; label: string; as: 'flag' }
  /** fills the other fields from a label */
  | { name: string; label: string; as: 'product'; kinds: readonly ProductKind[] };

interface RecordForm {
  icon: LucideIcon;
  /** empty: it has its own page */
  asks: readonly Asked[];
}

/** A check comes before that day's watering, unless this says otherwise. */
const AFTER_WATERING: Asked = { name: 'after', label: 'After watering', as: 'flag', more: true };

/** Picked fruit and supports have their own forms; what was not done yet is asked on Today. */
const HAS_OWN_FORM: ReadonlySet<string> = new Set(['harvest', 'staked', 'not-tied-yet', 'not-cut-yet', 'tip-ended']);

/** Form fields and icon of each record type. Its name and text are in the core's registry. */
export const RECORD_FORMS: Record<RecordType, RecordForm> = {
  watering: {
    icon: Droplets,
    asks: [
      { name: 'litres', label: 'How much', as: 'water' },
      {
        name: 'how',
        label: 'Method',
        as: 'choice',
        more: true,
        start: '',
        options: [
          ['', 'as usual'],
          ...wordsOf(WATERING_WAYS, { base: 'At the base', overhead: 'Over the leaves', bottom: 'From below' }),
        ],
      },
    ],
  },
  'soil-check': {
    icon: Fingerprint,
    asks: [
      { name: 'feel', label: 'Result', as: 'choice', start: 'damp', options: wordsOf(SOIL_FEELS) },
      { name: 'depthCm', label: 'Depth', as: 'number', quantity: 'centimetres', start: 5, more: true },
      {
        name: 'by',
        label: 'Checked with',
        as: 'choice',
        more: true,
        start: 'finger',
        options: wordsOf(CHECKED_BY, { finger: 'A finger', probe: 'A moisture probe (less reliable)' }),
      },
      AFTER_WATERING,
    ],
  },
  feeding: {
    icon: Wheat,
    asks: [
      { name: 'product', label: 'Product', as: 'product', kinds: ['feed', 'amendment'] },
      { name: 'n', label: 'N', as: 'number', quantity: 'percent' },
      { name: 'p2o5', label: 'P₂O₅', as: 'number', quantity: 'percent' },
      { name: 'k2o', label: 'K₂O', as: 'number', quantity: 'percent' },
      { name: 'grams', label: 'How much', as: 'feed' },
      { name: 'form', label: 'Form', as: 'choice', start: 'granular', options: wordsOf(FEED_FORMS) },
      { name: 'because', label: 'Why more than usual', as: 'text', whenRefused: true },
    ],
  },
  pruning: {
    icon: Scissors,
    asks: [
      { name: 'cuts', label: 'Cuts', as: 'number', quantity: 'count' },
      { name: 'leafSharePct', label: 'Share of the leaves', as: 'number', quantity: 'percent' },
      { name: 'what', label: 'What was cut', as: 'several', options: wordsOf(CUT_KINDS) },
      { name: 'because', label: 'Why so many', as: 'text', whenRefused: true },
    ],
  },
  note: { icon: NotebookPen, asks: [{ name: 'text', label: 'Note', as: 'text', long: true }] },
  spray: {
    icon: SprayCan,
    asks: [
      { name: 'name', label: 'Product', as: 'product', kinds: ['spray'] },
      { name: 'product', label: 'Type of spray', as: 'choice', start: 'soap', options: wordsOf(SPRAYS, { bt: 'BT' }) },
      { name: 'batchL', label: 'Total mixed', as: 'number', quantity: 'litres' },
      { name: 'perLitre', label: 'Strength', as: 'mix' },
      { name: 'target', label: 'Against', as: 'text' },
      { name: 'trial', label: 'On one leaf only, as a test', as: 'flag' },
      { name: 'harvestDays', label: 'Days until harvest, by the label', as: 'number', quantity: 'count' },
      { name: 'because', label: 'Why anyway', as: 'text', whenRefused: true },
    ],
  },
  event: {
    icon: CalendarDays,
    asks: [
      {
        name: 'what',
        label: 'What happened',
        as: 'choice',
        start: 'tied',
        options: wordsOf(EVENTS.filter((e) => !HAS_OWN_FORM.has(e))),
      },
      { name: 'because', label: 'Why anyway', as: 'text', whenRefused: true },
    ],
  },
  picking: {
    icon: ShoppingBasket,
    asks: [
      { name: 'count', label: 'How many', as: 'number', quantity: 'count' },
      { name: 'grams', label: 'Total weight', as: 'number', quantity: 'grams' },
      {
        name: 'state',
        label: 'Condition',
        as: 'choice',
        start: 'sound',
        options: SALVAGE.map((r) => [r.state, r.label] as const),
        // how to use such fruit stands where it is picked
        hint: (state) => (state === 'sound' ? undefined : SALVAGE.find((r) => r.state === state)?.advice),
      },
      {
        name: 'use',
        label: 'Use',
        as: 'choice',
        start: 'eaten',
        options: [
          ['eaten', 'to eat'],
          ['sauce', 'to cook'],
          ['kept', 'to preserve: dried, frozen, canned'],
          ['given', 'given away'],
          ['shelf', 'set aside to ripen'],
          ['binned', 'binned'],
        ],
      },
      {
        name: 'ripeness',
        label: 'Colour',
        as: 'choice',
        start: 'ripe',
        options: [
          ['ripe', 'ripe'],
          ['blush', 'first blush'],
          ['green', 'green'],
        ],
      },
      {
        name: 'taste',
        label: 'Taste',
        as: 'choice',
        more: true,
        start: '',
        options: [['', 'not noted'], ...wordsOf(TASTES)],
      },
      { name: 'brix', label: 'Sugar, °Brix', as: 'number', quantity: 'count', more: true },
      { name: 'because', label: 'Why anyway', as: 'text', whenRefused: true },
    ],
  },
  'soil-warmth': {
    icon: Thermometer,
    asks: [{ name: 'celsius', label: 'Soil at finger depth, in the morning', as: 'number', quantity: 'celsius' }],
  },
  'pot-weight': {
    icon: Scale,
    asks: [
      { name: 'kg', label: 'Weight', as: 'number', quantity: 'kilograms' },
      {
        name: 'state',
        label: 'The pot is',
        as: 'choice',
        start: 'unknown',
        options: [
          ['unknown', 'in between'],
          ['drained', 'soaked and drained'],
          ['dry', 'just starting to droop'],
        ],
      },
      AFTER_WATERING,
    ],
  },
  'truss-count': {
    icon: Flower,
    asks: [
      { name: 'truss', label: 'Truss number, from below', as: 'number', quantity: 'count', start: 1 },
      { name: 'flowers', label: 'Flowers, open or faded', as: 'number', quantity: 'count' },
      { name: 'fruit', label: 'Fruit set', as: 'number', quantity: 'count' },
    ],
  },
  growth: {
    icon: Ruler,
    asks: [
      { name: 'stage', label: 'Stage', as: 'choice', start: '', options: [['', 'not noted'], ...wordsOf(STAGES)] },
      { name: 'heightM', label: 'Height', as: 'number', quantity: 'heightMetres' },
    ],
  },
  companion: {
    icon: Sprout,
    asks: [
      { name: 'what', label: 'Plant or weed', as: 'choice', start: 'weeds', options: wordsOf(COMPANIONS) },
      { name: 'did', label: 'Action', as: 'choice', start: 'cleared', options: wordsOf(COMPANION_DEEDS) },
    ],
  },
  covering: {
    icon: Layers,
    asks: [
      {
        name: 'what',
        label: 'What',
        as: 'choice',
        start: 'mulch',
        options: wordsOf(COVERINGS, { mulch: 'Mulch', shade: 'Shade cloth', roof: 'Rain cover', net: 'Net' }),
      },
      {
        name: 'did',
        label: 'Put on or taken off',
        as: 'choice',
        start: 'on',
        options: [
          ['on', 'put on'],
          ['off', 'taken off'],
        ],
      },
      {
        name: 'material',
        label: 'Material',
        as: 'choice',
        start: 'straw',
        options: wordsOf(MULCHES),
        only: ['what', 'mulch'],
      },
      { name: 'depthCm', label: 'Depth now', as: 'number', quantity: 'centimetres', start: 5, only: ['what', 'mulch'] },
      {
        name: 'blockPct',
        label: 'Light it keeps away',
        as: 'number',
        quantity: 'percent',
        start: 30,
        only: ['what', 'shade'],
      },
      {
        name: 'side',
        label: 'Where it hangs',
        as: 'choice',
        start: 'over',
        options: wordsOf(SHADE_SIDES, {
          over: 'Over the plants',
          afternoon: 'Afternoon side',
          morning: 'Morning side',
        }),
        only: ['what', 'shade'],
      },
    ],
  },
  support: {
    icon: Fence,
    asks: [
      {
        name: 'what',
        label: 'What',
        as: 'choice',
        start: 'stake',
        options: wordsOf(SUPPORTS, {
          weave: 'String woven between stakes',
          panel: 'Mesh panel',
          cylinder: 'Mesh cylinder',
        }),
      },
    ],
  },
  timer: {
    icon: Timer,
    asks: [
      { name: 'everyDays', label: 'Every how many days', as: 'number', quantity: 'count', start: 2 },
      { name: 'minutes', label: 'Runs for', as: 'number', quantity: 'minutes', start: 20 },
      { name: 'startHour', label: 'Starts at (hour)', as: 'number', quantity: 'count' },
      { name: 'skipsRain', label: 'Off when it rains', as: 'flag' },
      { name: 'off', label: 'Switched off', as: 'flag' },
    ],
  },
  'rain-gauge': { icon: CloudRain, asks: [] },
  inspection: { icon: Eye, asks: [] },
};
