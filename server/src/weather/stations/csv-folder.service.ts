import { createReadStream } from 'node:fs';
import { readdir, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { type Readable } from 'node:stream';
import { Inject, Injectable } from '@nestjs/common';
import { parse } from 'csv-parse';
import { CONFIG, type Config } from '../../config.js';
import { Clock } from '../../shared/clock.js';
import { addTo, emptyHour, rainSince } from './hours.js';
import { OwnStations } from './own-stations.service.js';
import type { StationHourEntity } from './station.entities.js';
import { METRIC, metricReading } from './upload.js';

/** Largest file, bytes: a year of readings every five minutes. */
const MOST_BYTES = 10_000_000;
/** Rows from the future are refused; a clock may be off by this, ms. */
const CLOCK_MS = 10 * 60_000;

/** What a file holds: its hours, and what was left out of it. */
interface FileHours {
  hours: StationHourEntity[];
  trouble: string | null;
}

/** CSV files with readings, in a folder for each station named by its key. A file that changed is read anew. */
@Injectable()
export class CsvFolder {
  /** when each file was last changed, as read by this process */
  private readonly read = new Map<string, number>();

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    private readonly stations: OwnStations,
    private readonly clock: Clock,
  ) {}

  /** Reads files that changed since the last time. */
  async look(): Promise<void> {
    const { folder } = this.config.weather;
    if (!folder) return;
    for (const key of await namesIn(folder)) {
      const gardenId = await this.stations.gardenBehind(key);
      if (gardenId === null) continue;
      for (const name of await namesIn(join(folder, key)))
        if (name.toLowerCase().endsWith('.csv')) await this.file(gardenId, join(folder, key, name), name);
    }
  }

  private async file(gardenId: string, path: string, name: string): Promise<void> {
    const { mtimeMs, size } = await stat(path);
    if (this.read.get(path) === mtimeMs) return;
    this.read.set(path, mtimeMs);
    if (size > MOST_BYTES)
      return this.stations.replace(gardenId, [], `${name} is larger than ${MOST_BYTES / 1_000_000} MB: split it.`);
    const { hours, trouble } = await hoursOf(createReadStream(path), gardenId, name, this.clock.now().getTime());
    await this.stations.replace(gardenId, hours, trouble);
  }
}

const namesIn = (folder: string): Promise<string[]> => readdir(folder).catch(() => []);

/**
 * Reads a file: its first row names the columns, `time` among them with its offset or in UTC. It is read in pieces, so others
 * are answered in between.
 */
export async function hoursOf(file: Readable, gardenId: string, name: string, now: number): Promise<FileHours> {
  try {
    return await readHours(file, gardenId, name, now);
  } catch {
    return { hours: [], trouble: `${name} is not a CSV file that we can read.` };
  }
}

async function readHours(file: Readable, gardenId: string, name: string, now: number): Promise<FileHours> {
  const rows = file.pipe(
    parse({ columns: true, bom: true, trim: true, skip_empty_lines: true, relax_column_count: true }),
  );
  file.once('error', (error) => rows.destroy(error));
  const hours = new Map<number, StationHourEntity>();
  const refused = new Map<string, number>();
  const refuse = (why: string): void => void refused.set(why, (refused.get(why) ?? 0) + 1);
  let counter: number | null = null;
  for await (const row of rows as AsyncIterable<Record<string, string>>) {
    if (!('time' in row) || !Object.keys(METRIC).some((column) => column in row)) {
      rows.destroy();
      return { hours: [], trouble: `${name} needs a column "time" and one of ${Object.keys(METRIC).join(', ')}.` };
    }
    const { reading, refused: what } = metricReading(row, row.time ?? null);
    for (const w of what) refuse(w);
    if (reading.at === null) refuse('a time we can’t read');
    else if (reading.at > now + CLOCK_MS) refuse('a time in the future');
    else {
      const rain = reading.rainMm ?? rainSince(counter, reading.rainCounterMm);
      counter = reading.rainCounterMm ?? counter;
      const empty = emptyHour(gardenId, reading.at);
      hours.set(empty.at.getTime(), addTo(hours.get(empty.at.getTime()) ?? empty, reading, rain));
    }
  }
  const [first] = [...refused.entries()].sort((a, b) => b[1] - a[1]);
  const rowsRefused = [...refused.values()].reduce((a, b) => a + b, 0);
  return {
    hours: [...hours.values()],
    trouble: first ? `${name}: we left out ${rowsRefused} values, such as ${first[0]}.` : null,
  };
}
