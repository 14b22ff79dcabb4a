import { SteppedMigration, table, type Step } from './stepped.js';

/** Weather from services and from the garden's own station. */
export class WeatherSources1700002500000 extends SteppedMigration {
  readonly name = 'WeatherSources1700002500000';

  protected readonly steps: readonly Step[] = [
    {
      name: 'weather: leaves, nights, source',
      run: `ALTER TABLE weather ADD COLUMN IF NOT EXISTS wetHours double NULL, ADD COLUMN IF NOT EXISTS nightC double NULL,
        ADD COLUMN IF NOT EXISTS source varchar(20) NULL`,
    },
    {
      name: 'garden: service and climate',
      run: `ALTER TABLE garden ADD COLUMN IF NOT EXISTS weatherService varchar(20) NULL, ADD COLUMN IF NOT EXISTS climate text NULL`,
    },
    table(`kept_answer (id uuid PRIMARY KEY, source varchar(20) NOT NULL, what varchar(40) NOT NULL, latitude double NOT NULL, longitude double NOT NULL,
      elevationM double NOT NULL, since date NOT NULL, freshUntil datetime(3) NOT NULL, lastModified varchar(40) NULL, body mediumtext NOT NULL,
      INDEX (source, what, latitude))`),
    table(`weather_station (gardenId uuid PRIMARY KEY, keyHash char(64) NOT NULL UNIQUE, madeAt datetime(3) NOT NULL, heardAt datetime(3) NULL,
      lastStamp varchar(30) NULL, rainCounterMm double NULL, trouble varchar(300) NULL, troubleAt datetime(3) NULL, reading varchar(30) NULL, asks text NULL,
      FOREIGN KEY (gardenId) REFERENCES garden (id) ON DELETE CASCADE)`),
    // its parent is the station, not the garden: an upload never waits for a long write of the garden
    table(`station_hour (gardenId uuid NOT NULL, at datetime NOT NULL, temps int NOT NULL, tSum double NOT NULL, tMinC double NULL, tMaxC double NULL,
      humids int NOT NULL, rhSum double NOT NULL, winds int NOT NULL, windSum double NOT NULL, suns int NOT NULL, sunSum double NOT NULL, rainMm double NULL,
      PRIMARY KEY (gardenId, at), FOREIGN KEY (gardenId) REFERENCES weather_station (gardenId) ON DELETE CASCADE)`),
    table(`soil_channel (gardenId uuid NOT NULL, channel varchar(12) NOT NULL, lastRaw double NOT NULL, heardAt datetime(3) NOT NULL, placeId uuid NULL,
      depthCm double NULL, dryRaw double NULL, drainedRaw double NULL, calibratedOn date NULL, madeBy uuid NULL, notedOn date NULL,
      PRIMARY KEY (gardenId, channel), FOREIGN KEY (gardenId) REFERENCES weather_station (gardenId) ON DELETE CASCADE)`),
  ];
}
