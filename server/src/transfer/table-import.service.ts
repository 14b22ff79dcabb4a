import { createReadStream } from 'node:fs';
import { Readable } from 'node:stream';
import { setImmediate as breathe } from 'node:timers/promises';
import { ConflictException, HttpException, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import {
  BEGINNING_BYTES,
  type FilePreview,
  type ImportDto,
  type ImportPlan,
  type ImportReport,
} from '@candid-leaf/contract';
import { guessReading, readingFaults, readRow, type TableName } from '@candid-leaf/core/tables';
import type { DataSource } from 'typeorm';
import { GardensService } from '../gardens/gardens.service.js';
import { Clock } from '../shared/clock.js';
import { badRequest, notFound } from '../shared/http-errors.js';
import { csvRows, guessDelimiter, type CsvRow } from './csv-rows.js';
import { ImportEntity } from './import.entity.js';
import { Names } from './names.js';
import { RowMaker, type MadeRow } from './row-maker.js';
import { RowWriter } from './row-writer.js';

/** Rows written per batch. */
const TOGETHER = 40;
/** Rows read before others are answered: a few milliseconds. */
const ROWS_IN_A_ROW = 10;
/** Most errors reported. */
const MOST_FAULTS = 100;
const PREVIEW_ROWS = 12;
/** The answer to a caller that waited for an import which was cancelled. */
export const CANCELLED_STATUS = 499;
const CANCELLED = 'Cancelled. Nothing was changed.';

/** Rolled back: the report says why, or it was only a check, or cancelled. */
class TakenBack extends Error {
  constructor(readonly report: ImportReport) {
    super('undone');
  }
}

const asDto = (i: ImportEntity): ImportDto => ({
  id: i.id,
  table: i.table,
  name: i.name,
  made: i.made,
  at: i.madeAt.toISOString(),
  by: i.madeBy,
  undone: i.undoneAt !== null,
});

/** One import: whose, and its id from the sender. */
export interface ImportOf {
  gardenId: string;
  accountId: string;
  importId: string;
}
/** The uploaded file, whether it was cancelled, and how far it is, which is counted here. */
interface FileToImport {
  file: string;
  brokenOff: () => boolean;
  progress: { rows: number };
}

/** What rows pass through on their way. */
interface Pouring {
  maker: RowMaker;
  writer: RowWriter;
  brokenOff: () => boolean;
  progress: { rows: number };
}

/** Imports tables: a whole file or nothing, once. */
@Injectable()
export class TableImportService {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly gardens: GardensService,
    private readonly clock: Clock,
  ) {}

  /** Guesses what the start of a file is. */
  async preview(start: Buffer, table?: TableName): Promise<FilePreview> {
    const letters = start[0] === 0xff ? 'utf-16le' : start[0] === 0xfe && start[1] === 0xff ? 'utf-16be' : 'utf-8';
    const delimiter = guessDelimiter(new TextDecoder(letters).decode(start));
    const rows: CsvRow[] = [];
    try {
      for await (const row of csvRows(wholeLetters(start, letters), delimiter))
        if (rows.push(row) > PREVIEW_ROWS) break;
    } catch (error) {
      // the sample may end within a row; a whole file may not
      if (rows.length === 0 || start.length < BEGINNING_BYTES) throw error;
    }
    const [head, ...body] = rows.map((r) => r.cells);
    if (!head) throw badRequest([{ path: 'file', reason: 'is empty' }]);
    return { ...guessReading(head, body, table), delimiter, heads: head, rows: body };
  }

  /** Sent twice it is imported once: the second answer is the first one's. */
  async run(
    { gardenId, accountId, importId }: ImportOf,
    { file, brokenOff, progress }: FileToImport,
    plan: ImportPlan,
  ): Promise<ImportReport> {
    const wrong = readingFaults(plan.table, plan);
    if (wrong.length > 0) throw badRequest(wrong.map((f) => ({ path: `columns.${f.field}`, reason: f.reason })));
    try {
      return await this.gardens.change(gardenId, async (m, garden) => {
        // the garden's row is locked: sent three times at once, the others wait here for the first
        const there = await m.findOneBy(ImportEntity, { id: importId });
        if (there && there.gardenId !== gardenId) throw notFound('import');
        if (there?.undoneAt && !plan.dry)
          throw new ConflictException('This import was undone. Choose the file again to import it anew.');
        if (there && !plan.dry) return there.report as ImportReport;
        const names = await Names.of(m, gardenId);
        const maker = new RowMaker(plan.table, importId, this.gardens.today(garden), names);
        const writer = new RowWriter(m, gardenId, accountId, this.gardens.today(garden));
        const report = await this.pour(plan, file, { maker, writer, brokenOff, progress });
        if (plan.dry || (report.faulty > 0 && !plan.skipFaulty) || report.good === 0) throw new TakenBack(report);
        await m.insert(ImportEntity, {
          id: importId,
          gardenId,
          table: plan.table,
          name: plan.name,
          made: report.good,
          report,
          before: writer.before as never,
          madeBy: accountId,
          madeAt: this.clock.now(),
          undoneAt: null,
        });
        return report;
      });
    } catch (error) {
      if (!(error instanceof TakenBack)) throw error;
      if (brokenOff()) throw new HttpException({ message: CANCELLED }, CANCELLED_STATUS);
      if (plan.dry) return error.report;
      const message =
        error.report.faulty > 0
          ? 'Nothing was imported: some rows have errors.'
          : 'Nothing was imported: this file has nothing new.';
      throw new HttpException({ message, report: error.report }, 422);
    }
  }

  private async pour(
    plan: ImportPlan,
    file: string,
    { maker, writer, brokenOff, progress }: Pouring,
  ): Promise<ImportReport> {
    const report: ImportReport = { rows: 0, good: 0, known: 0, faulty: 0, faults: [] };
    let batch: MadeRow[] = [];
    const flush = async (): Promise<void> => {
      if (brokenOff()) throw new TakenBack(report);
      const written = await writer.write(batch);
      report.good += written;
      report.known += batch.length - written;
      batch = [];
    };
    let head = true;
    for await (const { line, cells } of csvRows(createReadStream(file), plan.delimiter)) {
      if (head) {
        head = false;
        continue;
      }
      report.rows += 1;
      progress.rows = report.rows;
      // others are answered in between
      if (report.rows % ROWS_IN_A_ROW === 0) await breathe();
      const { values, faults } = readRow(plan.table, plan, cells);
      const made = faults.length > 0 ? { faults } : maker.make(values, line);
      writer.before.lastLine = line;
      if ('row' in made) {
        batch.push(made.row);
        if (batch.length >= TOGETHER) await flush();
      } else {
        report.faulty += 1;
        for (const f of made.faults)
          if (report.faults.length < MOST_FAULTS) report.faults.push({ line, field: f.field, reason: f.reason });
      }
    }
    await flush();
    return report;
  }

  async list(gardenId: string): Promise<ImportDto[]> {
    const rows = await this.db.manager.find(ImportEntity, {
      where: { gardenId },
      order: { madeAt: 'DESC' },
      take: 100,
    });
    return rows.map(asDto);
  }
}

/** Cuts a sample back to whole characters. */
function wholeLetters(start: Buffer, letters: string): Readable {
  let end = start.length;
  if (letters !== 'utf-8') end -= end % 2;
  else {
    // a UTF-8 character never starts with a byte 10xxxxxx
    let back = end;
    while (back > 0 && end - back < 4 && (start[back - 1]! & 0xc0) === 0x80) back -= 1;
    if (back > 0 && start[back - 1]! >= 0xc0) end = back - 1;
  }
  return Readable.from([start.subarray(0, end)]);
}
