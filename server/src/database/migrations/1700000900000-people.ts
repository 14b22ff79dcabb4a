import { SteppedMigration, table, type Step } from './stepped.js';

const OF_GARDEN = 'FOREIGN KEY (gardenId) REFERENCES garden(id) ON DELETE CASCADE';
const OF_ACCOUNT = 'FOREIGN KEY (accountId) REFERENCES account(id) ON DELETE CASCADE';

/** Several people per garden: roles, invitations, links and keys; password resets; leaving accounts. */
export class People1700000900000 extends SteppedMigration {
  readonly name = 'People1700000900000';

  protected readonly steps: readonly Step[] = [
    // existing members created their garden
    {
      name: 'membership.role',
      run: `ALTER TABLE membership ADD COLUMN IF NOT EXISTS role varchar(8) NOT NULL DEFAULT 'keep'`,
    },
    {
      name: 'membership.since',
      run: `ALTER TABLE membership ADD COLUMN IF NOT EXISTS since datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)`,
    },
    {
      name: 'account.sessionsSince',
      run: `ALTER TABLE account ADD COLUMN IF NOT EXISTS sessionsSince int NOT NULL DEFAULT 0`,
    },
    { name: 'account.leavingAt', run: `ALTER TABLE account ADD COLUMN IF NOT EXISTS leavingAt datetime(3) NULL` },
    table(
      `password_link (secretHash char(64) PRIMARY KEY, accountId uuid NOT NULL, expiresAt datetime(3) NOT NULL, ${OF_ACCOUNT})`,
    ),
    table(`invitation (id uuid PRIMARY KEY, gardenId uuid NOT NULL, name varchar(80) NOT NULL, role varchar(8) NOT NULL, secretHash char(64) NOT NULL,
      madeBy uuid NOT NULL, expiresAt datetime(3) NOT NULL, usedBy uuid NULL, UNIQUE KEY (secretHash), INDEX (gardenId), ${OF_GARDEN})`),
    table(`watering_list (id uuid PRIMARY KEY, gardenId uuid NOT NULL, name varchar(80) NOT NULL, secretHash char(64) NOT NULL, fromDay date NOT NULL,
      toDay date NOT NULL, revokedAt datetime(3) NULL, UNIQUE KEY (secretHash), INDEX (gardenId), ${OF_GARDEN})`),
    table(`access_key (id uuid PRIMARY KEY, accountId uuid NOT NULL, gardenId uuid NOT NULL, name varchar(80) NOT NULL, role varchar(8) NOT NULL,
      secretHash char(64) NOT NULL, expiresAt datetime(3) NOT NULL, usedAt datetime(3) NULL, UNIQUE KEY (secretHash), INDEX (gardenId), ${OF_ACCOUNT}, ${OF_GARDEN})`),
  ];
}
