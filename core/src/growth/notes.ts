import type { Fault } from '../records/faults.js';
import type { RecordData, RecordType } from '../records/record-types.js';
import type { Stage } from '../records/plant.js';
import { isOf } from '../records/vocabulary/sign-groups.js';
import type { SignCode } from '../records/vocabulary/signs.js';
import type { Day } from '../units/day.js';

/** What was seen of a plant's growth on a day. */
export interface GrowthNote {
  date: Day;
  /** the stage that was seen */
  stage?: Stage;
  /** with the stage: whether the next one was near (buds, full-sized green fruit) */
  soon?: boolean;
  /** a stage it had reached: fruit on it, a truss in flower */
  atLeast?: Stage;
  /** measured or estimated height, m */
  heightM?: number;
  /** the height was a word ("hip high"), not a measure */
  rough?: boolean;
  /** its top was cut off: it grows no taller */
  topped?: boolean;
}

/** Refuses a note that says nothing. */
export const growthFaults = (g: Pick<RecordData<'growth'>, 'stage' | 'heightM'>, path: string): Fault[] =>
  g.stage || g.heightM != null
    ? []
    : [{ path: `${path}stage`, reason: 'is missing: choose a stage, or give a height' }];

type AnyRecord = { [K in RecordType]: { type: K; data: RecordData<K> } }[RecordType];

/** Signs of ripe fruit: only these say more than "it bears fruit". */
const RIPE_SIGNS: ReadonlySet<SignCode> = new Set<SignCode>([
  'fruit-pecked',
  'fruit-watery-bland',
  'fruit-green-shoulders',
]);
/** Signs that need an open flower. */
const FLOWER_SIGNS: ReadonlySet<SignCode> = new Set<SignCode>([
  'flower-drop',
  'flower-dry',
  'flower-many-open',
  'fruitlet-drop',
]);

function stageOfSign(sign: SignCode): Stage | null {
  if (RIPE_SIGNS.has(sign)) return 'ripening';
  if (isOf(sign, 'fruit') || sign === 'where-first-fruits') return 'fruiting';
  return FLOWER_SIGNS.has(sign) ? 'flowering' : null;
}

/**
 * Returns what a record says of the growth of its plant; null if nothing. A look, a count of a truss and a picking
 * show a stage without anybody naming it.
 * @example growthNote({ type: 'truss-count', data: { date: '2026-07-01', truss: 1, flowers: 5, fruit: 0 } }).atLeast // 'flowering'
 */
export function growthNote(r: AnyRecord): GrowthNote | null {
  switch (r.type) {
    case 'growth': {
      const { date, stage, heightM, rough, orLater, soon } = r.data;
      return {
        date,
        ...(stage ? (orLater ? { atLeast: stage } : { stage, ...(soon === undefined ? {} : { soon }) }) : {}),
        ...(heightM != null ? { heightM, ...(rough ? { rough } : {}) } : {}),
      };
    }
    case 'truss-count':
      return r.data.fruit + r.data.flowers === 0
        ? null
        : { date: r.data.date, atLeast: r.data.fruit > 0 ? 'fruiting' : 'flowering' };
    case 'pruning':
      return r.data.what?.includes('top') ? { date: r.data.date, topped: true } : null;
    case 'picking':
      return { date: r.data.date, atLeast: r.data.ripeness === 'green' ? 'fruiting' : 'ripening' };
    case 'inspection': {
      const reached = r.data.signs.filter((s) => s.present).map((s) => stageOfSign(s.sign));
      const atLeast = (['ripening', 'fruiting', 'flowering'] as const).find((stage) => reached.includes(stage));
      return atLeast ? { date: r.data.date, atLeast } : null;
    }
    default:
      return null;
  }
}
