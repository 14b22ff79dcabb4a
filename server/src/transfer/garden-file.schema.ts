import type { DataSource } from 'typeorm';
import { GARDEN_TABLES, NOT_OF_GARDEN } from './garden-tables.js';

/** Version of the file format. */
export const FORM = 2;
/** The version before, with old field names: still read. Others are refused. */
export const OLD_FORM = 1;
/** Name of the garden file format. */
export const FORMAT = 'candid-leaf-garden';

/** The fields of the garden's own row in its file. */
export const GARDEN_FIELDS = [
  'name', 'latitude', 'longitude', 'elevationM', 'lastFrost', 'firstFrost', 'timeZone', 'units', 'weekStart', 'dateForm',
  'pinnedDate', 'away', 'organicOnly', 'stock', 'seasonMode', 'starter', 'pepperFeed',
] as const; // prettier-ignore

/** Fields that an older file lacks; each may be empty. */
const NEWER_FIELDS: readonly string[] = ['pepperFeed'];

const LOCAL_ID = { type: 'string', pattern: '^#[a-z]+-[1-9][0-9]*$' };

/** Maps a database column to its type in the file. */
function typeOf(column: { type: unknown; length: string; isNullable: boolean; propertyName: string }): object {
  const { type, length, isNullable, propertyName } = column;
  const or = (t: string, more: object = {}): object => ({ type: isNullable ? [t, 'null'] : t, ...more });
  if (propertyName.endsWith('Id') || propertyName === 'id')
    return isNullable ? { anyOf: [LOCAL_ID, { type: 'null' }] } : LOCAL_ID;
  switch (type) {
    case 'date':
      return or('string', { format: 'date' });
    case 'datetime':
      return or('string', { format: 'date-time' });
    case 'int':
      return or('integer');
    case 'double':
      return or('number');
    case 'boolean':
      return or('boolean');
    case 'simple-json':
      return {};
    default:
      return or('string', length ? { maxLength: Number(length) } : {});
  }
}

/** Returns the published schema (JSON Schema 2020-12) of the files in a garden file, one definition each. */
export function gardenFileSchema(db: DataSource): Record<string, unknown> & { $defs: Record<string, object> } {
  const defs: Record<string, object> = {
    manifest: {
      type: 'object',
      properties: {
        format: { const: FORMAT },
        form: { const: FORM },
        rows: { type: 'object', additionalProperties: { type: 'integer', minimum: 0 } },
      },
      required: ['format', 'form', 'rows'],
      additionalProperties: false,
    },
    garden: {
      type: 'object',
      properties: Object.fromEntries(GARDEN_FIELDS.map((f) => [f, {}])),
      required: GARDEN_FIELDS.filter((f) => !NEWER_FIELDS.includes(f)),
      additionalProperties: false,
    },
  };
  for (const table of GARDEN_TABLES) {
    const columns = db
      .getMetadata(table.entity)
      .columns.filter((c) => !NOT_OF_GARDEN.has(c.propertyName) && (table.named || c.propertyName !== 'id'));
    defs[table.name] = {
      type: 'object',
      properties: Object.fromEntries(columns.map((c) => [c.propertyName, typeOf(c)])),
      // an older file lacks fields that are new; each of these may be empty
      required: columns.filter((c) => !c.isNullable).map((c) => c.propertyName),
      additionalProperties: false,
    };
  }
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: `candid-leaf-garden-file-${FORM}`,
    title: 'A garden of Candid Leaf as a file',
    description:
      'A zip with candid-leaf.json (manifest) and garden.json (garden). Each other definition has a file of its name, which lists its rows. Photo #photo-N is photos/photo-N.jpg.',
    $defs: defs,
  };
}
