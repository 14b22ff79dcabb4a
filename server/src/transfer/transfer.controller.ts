import { Controller, Delete, Get, HttpCode, Param, Post, Put, Query, Req, Res } from '@nestjs/common';
import {
  BEGINNING_BYTES,
  EXPORTS,
  IMPORT_BYTES,
  ImportPlan,
  type ExportName,
  type FilePreview,
  type ImportDto,
  type ImportJobDto,
  type ImportReport,
  type ImportUndone,
  type ImportUndoPreview,
  UndoOf,
} from '@candid-leaf/contract';
import { checked, RefusedInput, RENAMED_TABLES } from '@candid-leaf/core/records';
import { isTable } from '@candid-leaf/core/tables';
import type { Request, Response } from 'express';
import { pipeline } from 'node:stream/promises';
import type { Readable } from 'node:stream';
import { AccountId } from '../accounts/session.js';
import { GardensService } from '../gardens/gardens.service.js';
import { badRequest, notFound } from '../shared/http-errors.js';
import { readWhole } from '../shared/read-whole.js';
import { GardenFileReader } from './garden-file-reader.js';
import { GardenFileWriter } from './garden-file-writer.js';
import { ImportJobs } from './import-jobs.service.js';
import { ImportUndoService } from './import-undo.service.js';
import { spooled } from './spool.js';
import { TableExportService } from './table-export.service.js';
import { TableImportService } from './table-import.service.js';

/** Routes of import and export. */
@Controller('api/gardens/:gardenId')
export class TransferController {
  constructor(
    private readonly imports: TableImportService,
    private readonly jobs: ImportJobs,
    private readonly undoing: ImportUndoService,
    private readonly exports: TableExportService,
    private readonly writer: GardenFileWriter,
    private readonly reader: GardenFileReader,
    private readonly gardens: GardensService,
  ) {}

  @Get('imports')
  list(@Param('gardenId') gardenId: string): Promise<ImportDto[]> {
    return this.imports.list(gardenId);
  }

  /** The body is the start of the file. */
  @Post('imports/preview')
  @HttpCode(200)
  async preview(@Query('table') table: string | undefined, @Req() request: Request): Promise<FilePreview> {
    const start = await readWhole(request, BEGINNING_BYTES, 'The start of a file');
    return this.imports.preview(start, table !== undefined && isTable(table) ? table : undefined);
  }

  /**
   * The body is the whole file; the address says how to read it, as JSON. Once the file has arrived the import goes on even
   * if the caller leaves. It answers at the end, or at once with `Prefer: respond-async` (RFC 7240).
   */
  @Put('imports/:importId')
  async run(
    @Param('gardenId') gardenId: string,
    @Param('importId') importId: string,
    @AccountId() accountId: string,
    @Query('plan') plan: string | undefined,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<ImportReport | ImportJobDto> {
    const read = planOf(plan);
    const upload = await spooled(request, IMPORT_BYTES.table);
    const { noted, done } = this.jobs.begin({ gardenId, accountId, importId }, upload, read);
    if (!/\brespond-async\b/.test(request.get('prefer') ?? '')) return done;
    // its outcome is asked for later
    done.catch(() => undefined);
    const job = await noted;
    response.status(202).set('Preference-Applied', 'respond-async');
    return job;
  }

  /** How far an import has come, or how it ended. */
  @Get('imports/:importId/job')
  job(@Param('gardenId') gardenId: string, @Param('importId') importId: string): Promise<ImportJobDto> {
    return this.jobs.show(gardenId, importId);
  }

  @Post('imports/:importId/cancel')
  @HttpCode(204)
  cancel(@Param('gardenId') gardenId: string, @Param('importId') importId: string): Promise<void> {
    return this.jobs.cancel(gardenId, importId);
  }

  /** What an undo would remove and keep. */
  @Get('imports/:importId/undo')
  undoPreview(@Param('gardenId') gardenId: string, @Param('importId') importId: string): Promise<ImportUndoPreview> {
    return this.undoing.preview(gardenId, importId);
  }

  @Delete('imports/:importId')
  undo(
    @Param('gardenId') gardenId: string,
    @Param('importId') importId: string,
    @Query() { edited }: UndoOf,
  ): Promise<ImportUndone> {
    return this.undoing.undo(gardenId, importId, edited === 'remove');
  }

  @Get('exports/:name')
  async table(
    @Param('gardenId') gardenId: string,
    @Param('name') name: string,
    @Res() response: Response,
  ): Promise<void> {
    const table = (RENAMED_TABLES[name] ?? name) as ExportName;
    if (!EXPORTS.includes(table)) throw notFound('table');
    await send(response, await this.exports.stream(gardenId, table), 'text/csv', `${table}.csv`);
  }

  /** The whole garden. */
  @Get('file')
  async garden(@Param('gardenId') gardenId: string, @Res() response: Response): Promise<void> {
    const { name } = await this.gardens.get(gardenId);
    await send(response, this.writer.stream(gardenId), 'application/zip', `${plainName(name)}.garden.zip`);
  }

  /** Into an empty garden; the body is the file. */
  @Put('file')
  async fill(
    @Param('gardenId') gardenId: string,
    @AccountId() accountId: string,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<{ rows: Record<string, number>; photos: number }> {
    const brokenOff = (): boolean => response.destroyed;
    const upload = await spooled(request, IMPORT_BYTES.garden);
    return upload.use((file) => this.reader.run(gardenId, accountId, file, brokenOff));
  }
}

const plainName = (name: string): string =>
  name
    .toLowerCase()
    .normalize('NFKD')
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-|-$/g, '') || 'garden';

async function send(response: Response, from: Readable, type: string, name: string): Promise<void> {
  response.type(type).attachment(name);
  // a cancelled download has only its beginning, and the client knows
  await pipeline(from, response).catch(() => response.destroy());
}

function planOf(text: string | undefined): ImportPlan {
  let value: unknown;
  try {
    value = JSON.parse(text ?? '');
  } catch {
    throw badRequest([{ path: 'plan', reason: 'must be JSON that says how to read the file' }]);
  }
  try {
    return checked(ImportPlan, value as object);
  } catch (error) {
    throw error instanceof RefusedInput ? badRequest(error.faults) : error;
  }
}
