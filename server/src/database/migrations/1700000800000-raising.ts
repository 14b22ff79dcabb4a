import { SteppedMigration, type Step } from './stepped.js';

const column = (table: string, name: string, type: string): Step => ({
  name: `${table}.${name}`,
  run: `ALTER TABLE ${table} ADD COLUMN IF NOT EXISTS ${name} ${type} NULL`,
});

/** Raising seedlings, plant positions, and closing a year. */
export class Raising1700000800000 extends SteppedMigration {
  readonly name = 'Raising1700000800000';

  protected readonly steps: readonly Step[] = [
    column('planting', 'aim', 'varchar(16)'),
    column('planting', 'spots', 'longtext'),
    column('planting', 'litOn', 'date'),
    column('planting', 'thinnedOn', 'date'),
    column('planting', 'trayDays', 'longtext'),
    column('planting', 'trayWetG', 'double'),
    column('planting', 'looks', 'longtext'),
    column('season_notes', 'kit', 'longtext'),
    column('season_notes', 'closedOn', 'date'),
    column('place', 'slope', 'varchar(8)'),
  ];
}
