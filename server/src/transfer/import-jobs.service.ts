import { HttpException, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { ImportJobDto, ImportPlan, ImportReport } from '@candid-leaf/contract';
import { LessThan, type DataSource } from 'typeorm';
import { inBackground } from '../shared/background.js';
import { Clock } from '../shared/clock.js';
import { notFound } from '../shared/http-errors.js';
import { ImportJobEntity } from './import-job.entity.js';
import type { Spooled } from './spool.js';
import { CANCELLED_STATUS, TableImportService, type ImportOf } from './table-import.service.js';

/** How often a running import notes how far it is, ms. */
const BEAT_MS = 1000;
/** A running import that was silent for so long ended with its process, ms. */
const SILENT_MS = 30_000;
/** How long an outcome can be asked for, ms. */
const KEPT_MS = 7 * 24 * 3600 * 1000;
const STOPPED = 'The server stopped during this import. Nothing was changed; choose the file again.';

interface Running {
  rows: number;
  cancelled: boolean;
}

/** Imports as jobs: each goes on without its page, says how far it is, and can be cancelled from any process. */
@Injectable()
export class ImportJobs {
  private readonly here = new Map<string, Running>();

  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly imports: TableImportService,
    private readonly clock: Clock,
  ) {}

  /**
   * Begins an import.
   * @returns the job once it is noted, and its outcome; both reject with 404 if the id is another garden's
   */
  begin(
    of: ImportOf,
    upload: Spooled,
    plan: ImportPlan,
  ): { noted: Promise<ImportJobDto>; done: Promise<ImportReport> } {
    const noted = this.note(of, plan).then((row) => this.dto(row));
    return { noted, done: this.run(of, upload, plan, noted) };
  }

  private async run(of: ImportOf, upload: Spooled, plan: ImportPlan, noted: Promise<unknown>): Promise<ImportReport> {
    const refused = await noted.then(
      () => null,
      (error: unknown) => ({ error }),
    );
    // what cannot be noted is not begun, and its file goes
    if (refused) return upload.use(() => Promise.reject(refused.error as Error));
    const { importId } = of;
    const progress: Running = { rows: 0, cancelled: false };
    this.here.set(importId, progress);
    const beat = setInterval(() => void this.beat(importId, progress), BEAT_MS);
    const brokenOff = (): boolean => progress.cancelled;
    try {
      const report = await upload.use((file) => this.imports.run(of, { file, progress, brokenOff }, plan));
      await this.end(importId, { state: 'done', report, rows: report.rows });
      return report;
    } catch (error) {
      await this.end(importId, outcomeOf(error));
      throw error;
    } finally {
      clearInterval(beat);
      if (this.here.get(importId) === progress) this.here.delete(importId);
    }
  }

  /**
   * Returns how far an import is, or how it ended.
   * @throws 404 if it was never begun, or a week ago
   */
  async show(gardenId: string, importId: string): Promise<ImportJobDto> {
    const row = await this.db.manager.findOneBy(ImportJobEntity, { id: importId, gardenId });
    if (!row) throw notFound('import');
    return this.dto(row);
  }

  /** Cancels an import that still runs; one that has ended stays as it is. */
  async cancel(gardenId: string, importId: string): Promise<void> {
    const { affected } = await this.db.manager.update(
      ImportJobEntity,
      { id: importId, gardenId },
      { cancelAsked: true },
    );
    // whichever process runs it hears of it with its next beat
    if (affected === 0) throw notFound('import');
  }

  /** Removes outcomes that nobody asks for any more. */
  async tidy(): Promise<void> {
    const before = new Date(this.clock.now().getTime() - KEPT_MS);
    await this.db.manager.delete(ImportJobEntity, { beatAt: LessThan(before) });
  }

  private async note({ gardenId, accountId, importId }: ImportOf, plan: ImportPlan): Promise<ImportJobEntity> {
    const there = await this.db.manager.findOneBy(ImportJobEntity, { id: importId });
    if (there && there.gardenId !== gardenId) throw notFound('import');
    const row = this.db.manager.create(ImportJobEntity, {
      id: importId,
      gardenId,
      name: plan.name,
      table: plan.table,
      dry: plan.dry === true,
      state: 'running',
      rows: 0,
      cancelAsked: false,
      report: null,
      message: null,
      startedBy: accountId,
      beatAt: this.clock.now(),
    });
    await this.db.manager.upsert(ImportJobEntity, row, ['id']);
    return row;
  }

  /** Notes how far it is, and hears whether it was cancelled at another process. */
  private beat(importId: string, progress: Running): Promise<void> {
    return inBackground('the progress of an import', async () => {
      await this.db.manager.update(
        ImportJobEntity,
        { id: importId, state: 'running' },
        { rows: progress.rows, beatAt: this.clock.now() },
      );
      const row = await this.db.manager.findOneBy(ImportJobEntity, { id: importId });
      if (row?.cancelAsked) progress.cancelled = true;
    });
  }

  private async end(importId: string, outcome: Partial<ImportJobEntity>): Promise<void> {
    await inBackground('the outcome of an import', async () => {
      await this.db.manager.update(ImportJobEntity, { id: importId }, { ...outcome, beatAt: this.clock.now() });
    });
  }

  private dto({ id, name, table, dry, state, rows, report, message, beatAt }: ImportJobEntity): ImportJobDto {
    const here = this.here.get(id);
    const silent = !here && this.clock.now().getTime() - beatAt.getTime() > SILENT_MS;
    if (state === 'running' && silent)
      return { id, name, table, dry, state: 'stopped', rows, report, message: STOPPED };
    return { id, name, table, dry, state, rows: state === 'running' && here ? here.rows : rows, report, message };
  }
}

/** How an import ended that threw, in words for its gardener. */
function outcomeOf(error: unknown): Partial<ImportJobEntity> {
  if (!(error instanceof HttpException))
    return { state: 'refused', message: 'Something went wrong on our side. Nothing was changed.' };
  const said = error.getResponse() as { message?: string; report?: ImportReport };
  return {
    state: error.getStatus() === CANCELLED_STATUS ? 'cancelled' : 'refused',
    message: typeof said === 'string' ? said : (said.message ?? error.message),
    ...(said.report ? { report: said.report } : {}),
  };
}
