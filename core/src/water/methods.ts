interface MethodRow {
  label: string;
  line: string;
  for: 'all' | 'bed' | 'pot';
  /** why a watering falls due */
  why: string;
  /** the same, once it is due */
  due?: string;
}

/**
 * Watering methods among which good gardeners disagree; each can be planned by, and compared on the bench. Source:
 * common practice, from memory; the balance shows which suits a bed.
 */
export const WATERING_METHODS = {
  'by-need': {
    label: 'By need',
    line: 'Water when it will soon go short, and sooner while fruit swells.',
    for: 'all',
    why: 'it would soon go short',
    due: 'it will soon go short',
  },
  deep: {
    label: 'Deep and rare',
    line: 'A long soak every five to seven days.',
    for: 'bed',
    why: 'the week’s long soak',
  },
  'twice-a-week': {
    label: 'Half as much, twice as often',
    line: 'Half the water every three days.',
    for: 'bed',
    why: 'three days since the last watering',
  },
  'evenly-moist': {
    label: 'Evenly moist',
    line: 'A little as soon as a quarter is used, with mulch and drip.',
    for: 'all',
    why: 'it would have used a quarter',
    due: 'it has used a quarter',
  },
  daily: {
    label: 'Every morning',
    line: 'Replace what it used the day before, every morning.',
    for: 'all',
    why: 'what it used yesterday',
  },
  finger: {
    label: 'When a finger says dry',
    line: 'A full watering once the soil is dry at a finger’s depth.',
    for: 'all',
    why: 'dry at a finger’s depth',
  },
  'half-often': {
    label: 'Half a can, often',
    line: 'Half of what is missing, before a third is used, so nothing floods.',
    for: 'pot',
    why: 'it would have used a third',
    due: 'it has used a third',
  },
} as const satisfies Record<string, MethodRow>;

/** Code of a watering method. */
export type MethodCode = keyof typeof WATERING_METHODS;
/** Returns why a method waters on a morning: for what the day would use, or for what is used already. */
export function whyDue(method: MethodCode, already: boolean): string {
  const row: MethodRow = WATERING_METHODS[method];
  return already && row.due ? row.due : row.why;
}
/** Codes of all watering methods. */
export const METHOD_CODES = Object.keys(WATERING_METHODS) as MethodCode[];
/** The watering method unless the gardener chooses. */
export const DEFAULT_METHOD: MethodCode = 'by-need';

/**
 * Returns the methods that make sense here.
 * @example methodsFor(true) // ['by-need', 'evenly-moist', 'daily', 'finger', 'half-often']
 */
export const methodsFor = (isPot: boolean): MethodCode[] =>
  METHOD_CODES.filter(
    (code) => WATERING_METHODS[code].for === 'all' || WATERING_METHODS[code].for === (isPot ? 'pot' : 'bed'),
  );
