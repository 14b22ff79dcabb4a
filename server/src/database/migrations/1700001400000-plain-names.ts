import { SteppedMigration, type Step } from './stepped.js';

const column = (table: string, old: string, now: string, definition: string): Step => ({
  name: `${table}.${now}`,
  run: `ALTER TABLE ${table} CHANGE COLUMN IF EXISTS ${old} ${now} ${definition}`,
});

/** Renames keys in a column that holds JSON; the keys occur nowhere as values. */
const keys = (table: string, json: string, names: readonly (readonly [old: string, now: string])[]): Step => ({
  name: `keys of ${table}.${json}`,
  run: `UPDATE ${table} SET ${json} = ${names.reduce(
    (text, [old, now]) => `REPLACE(${text}, '"${old}":', '"${now}":')`,
    json,
  )} WHERE ${json} IS NOT NULL`,
});

const WATERING = [
  ['school', 'method'],
  ['lean', 'moisture'],
  ['drierFinish', 'drierRipening'],
] as const;

/** Renames what is stored to the words of the glossary: variety, watering method, estimated minutes. */
export class PlainNames1700001400000 extends SteppedMigration {
  readonly name = 'PlainNames1700001400000';

  protected readonly steps: readonly Step[] = [
    { name: 'table variety', run: 'RENAME TABLE IF EXISTS cultivar TO variety' },
    column('plant', 'cultivarId', 'varietyId', 'uuid NULL'),
    column('plant', 'kindUnsure', 'varietyUnsure', 'tinyint NULL'),
    column('planting', 'cultivarId', 'varietyId', 'uuid NULL'),
    column('task_pace', 'reckoned', 'estimatedMinutes', 'double NOT NULL'),
    keys('place', 'watering', WATERING),
  ];
}
