import { SteppedMigration, table, type Step } from './stepped.js';

/** Photos: a row for each; the pictures are files. */
export class Photos1700001000000 extends SteppedMigration {
  readonly name = 'Photos1700001000000';

  protected readonly steps: readonly Step[] = [
    table(`photo (id uuid PRIMARY KEY, gardenId uuid NOT NULL, version int NOT NULL DEFAULT 1, revision bigint NOT NULL DEFAULT 1, deletedAt datetime(3) NULL,
      createdAt datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3), plantId uuid NULL, placeId uuid NULL, sign varchar(60) NULL, day date NOT NULL,
      width int NOT NULL, height int NOT NULL, bytes int NOT NULL, createdBy uuid NOT NULL, INDEX (gardenId, plantId, day), INDEX (gardenId, placeId, day),
      FOREIGN KEY (gardenId) REFERENCES garden(id) ON DELETE CASCADE)`),
  ];
}
