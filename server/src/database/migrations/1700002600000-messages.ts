import { SteppedMigration, table, type Step } from './stepped.js';

/** Morning lists and warnings by mail and on devices. */
export class Messages1700002600000 extends SteppedMigration {
  readonly name = 'Messages1700002600000';

  protected readonly steps: readonly Step[] = [
    table(`message_choice (accountId uuid NOT NULL, gardenId uuid NOT NULL, morning boolean NOT NULL, warnings boolean NOT NULL,
      byMail boolean NOT NULL, byPush boolean NOT NULL, quietFrom tinyint NOT NULL, quietUntil tinyint NOT NULL,
      PRIMARY KEY (accountId, gardenId), FOREIGN KEY (accountId, gardenId) REFERENCES membership (accountId, gardenId) ON DELETE CASCADE)`),
    table(`push_device (id char(64) PRIMARY KEY, accountId uuid NOT NULL, endpoint varchar(700) NOT NULL, p256dh varchar(90) NOT NULL,
      auth varchar(26) NOT NULL, madeAt datetime(3) NOT NULL, INDEX (accountId),
      FOREIGN KEY (accountId) REFERENCES account (id) ON DELETE CASCADE)`),
    // it ends with the choice: who leaves the garden, or turns messages off, gets no more
    table(`message (id uuid PRIMARY KEY, accountId uuid NOT NULL, gardenId uuid NOT NULL, event varchar(12) NOT NULL, day date NOT NULL,
      channel varchar(4) NOT NULL, state varchar(8) NOT NULL, at datetime(3) NOT NULL, tries tinyint NOT NULL, words text NULL,
      UNIQUE KEY once (accountId, gardenId, event, day, channel), INDEX (state, at),
      FOREIGN KEY (accountId, gardenId) REFERENCES message_choice (accountId, gardenId) ON DELETE CASCADE)`),
    table(
      `server_key (name varchar(20) PRIMARY KEY, publicKey varchar(120) NOT NULL, privateKey varchar(120) NOT NULL)`,
    ),
  ];
}
