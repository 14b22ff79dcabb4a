import { SteppedMigration, table } from './stepped.js';

const OWNED = `gardenId uuid NOT NULL, version int NOT NULL DEFAULT 1, deletedAt datetime(3) NULL, createdAt datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)`;
const OF_GARDEN = `FOREIGN KEY (gardenId) REFERENCES garden(id) ON DELETE CASCADE`;

/** The first tables. */
export class Initial1700000000000 extends SteppedMigration {
  readonly name = 'Initial1700000000000';

  protected readonly steps = [
    table(`account (id uuid PRIMARY KEY, email varchar(200) NOT NULL UNIQUE, passwordHash varchar(255) NOT NULL, name varchar(80) NOT NULL,
        createdAt datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3))`),
    // the shape the session store expects
    table(
      `session (session_id varchar(128) COLLATE utf8mb4_bin PRIMARY KEY, expires int unsigned NOT NULL, data mediumtext)`,
    ),
    // the shape the rate limiter expects
    table(
      `login_attempt (\`key\` varchar(255) PRIMARY KEY, points int NOT NULL DEFAULT 0, expire bigint unsigned NULL)`,
    ),
    table(`garden (id uuid PRIMARY KEY, name varchar(80) NOT NULL, latitude double NOT NULL, longitude double NOT NULL, elevationM double NOT NULL,
        lastFrost char(5) NULL, firstFrost char(5) NULL, timeZone varchar(60) NOT NULL, units longtext NOT NULL, weekStart varchar(10) NOT NULL,
        dateForm varchar(20) NOT NULL, pinnedDate date NULL, version int NOT NULL DEFAULT 1, revision bigint NOT NULL DEFAULT 1,
        weatherPulledAt datetime(3) NULL, weatherTrouble varchar(300) NULL, createdAt datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3))`),
    table(`membership (accountId uuid NOT NULL, gardenId uuid NOT NULL, PRIMARY KEY (accountId, gardenId),
        FOREIGN KEY (accountId) REFERENCES account(id) ON DELETE CASCADE, ${OF_GARDEN})`),
    table(`place (id uuid PRIMARY KEY, ${OWNED}, name varchar(80) NOT NULL, kind varchar(20) NOT NULL, texture varchar(20) NOT NULL, volumeL double NULL,
        potMaterial varchar(20) NULL, lengthM double NULL, widthM double NULL, mulch longtext NOT NULL, shade longtext NOT NULL,
        irrigation varchar(20) NULL, flowLPerH double NULL, drainageMmPerH double NULL, soilTest longtext NULL, history longtext NOT NULL,
        position int NOT NULL DEFAULT 0, retiredOn date NULL, INDEX (gardenId, position), ${OF_GARDEN})`),
    table(`plant (id uuid PRIMARY KEY, ${OWNED}, placeId uuid NOT NULL, name varchar(80) NOT NULL, crop varchar(10) NOT NULL, habit varchar(20) NULL,
        type varchar(20) NULL, stage varchar(20) NULL, transplantedOn date NULL, heightM double NULL, spacingM double NULL, resistantTo longtext NOT NULL,
        position int NOT NULL DEFAULT 0, retiredOn date NULL, INDEX (gardenId, placeId, position), ${OF_GARDEN},
        FOREIGN KEY (placeId) REFERENCES place(id))`),
    table(`record (id uuid PRIMARY KEY, ${OWNED}, type varchar(20) NOT NULL, plantId uuid NULL, placeId uuid NULL, day date NOT NULL, data longtext NOT NULL,
        createdBy uuid NOT NULL, INDEX (gardenId, day), INDEX (plantId), INDEX (placeId), ${OF_GARDEN},
        FOREIGN KEY (plantId) REFERENCES plant(id), FOREIGN KEY (placeId) REFERENCES place(id),
        CONSTRAINT one_subject CHECK ((plantId IS NULL) <> (placeId IS NULL)))`),
    table(`weather (gardenId uuid NOT NULL, day date NOT NULL, kind varchar(10) NOT NULL, tMinC double NOT NULL, tMaxC double NOT NULL, rainMm double NOT NULL,
        rainChancePct double NULL, rhMeanPct double NULL, windMs double NULL, solarMj double NULL, gaugeMm double NULL, PRIMARY KEY (gardenId, day), ${OF_GARDEN})`),
    table(`trouble (id uuid PRIMARY KEY, gardenId uuid NOT NULL, plantId uuid NOT NULL, disorder varchar(40) NOT NULL, openedOn date NOT NULL, followUpOn date NOT NULL,
        successIs varchar(300) NOT NULL, report longtext NOT NULL, closedOn date NULL, outcome varchar(20) NULL,
        createdAt datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3), INDEX (gardenId, closedOn), ${OF_GARDEN}, FOREIGN KEY (plantId) REFERENCES plant(id))`),
    table(`task (id uuid PRIMARY KEY, gardenId uuid NOT NULL, plantId uuid NOT NULL, troubleId uuid NOT NULL, remedy varchar(40) NOT NULL, dueOn date NOT NULL,
        lastOn date NOT NULL, everyDays int NULL, dose longtext NULL, cautions longtext NOT NULL, why varchar(400) NOT NULL, doneOn date NULL, laterUntil date NULL,
        INDEX (gardenId, dueOn), ${OF_GARDEN}, FOREIGN KEY (plantId) REFERENCES plant(id), FOREIGN KEY (troubleId) REFERENCES trouble(id) ON DELETE CASCADE)`),
    table(
      `dismissal (gardenId uuid NOT NULL, taskKey varchar(80) NOT NULL, day date NOT NULL, PRIMARY KEY (gardenId, taskKey, day), ${OF_GARDEN})`,
    ),
  ];
}
