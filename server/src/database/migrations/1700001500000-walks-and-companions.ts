import { SteppedMigration, type Step } from './stepped.js';

/** Renames stored codes to the words of the glossary: a round is a walk, a neighbour is a companion plant. */
export class WalksAndCompanions1700001500000 extends SteppedMigration {
  readonly name = 'WalksAndCompanions1700001500000';

  protected readonly steps: readonly Step[] = [
    // a pace that is there under the new code already is the newer one
    { name: 'pace of walks', run: "UPDATE IGNORE task_pace SET source = 'walk' WHERE source = 'round'" },
    {
      name: 'postponed walks',
      run: "UPDATE IGNORE postponement SET taskKey = REPLACE(taskKey, 'round:', 'walk:') WHERE taskKey LIKE 'round:%'",
    },
    { name: 'companion records', run: "UPDATE record SET type = 'companion' WHERE type = 'neighbour'" },
  ];
}
