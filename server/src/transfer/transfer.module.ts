import { Module } from '@nestjs/common';
import { GardensModule } from '../gardens/gardens.module.js';
import { PhotosModule } from '../photos/photos.module.js';
import { GardenFileReader } from './garden-file-reader.js';
import { GardenFileWriter } from './garden-file-writer.js';
import { ImportJobs } from './import-jobs.service.js';
import { ImportUndoService } from './import-undo.service.js';
import { SpoolSweep } from './spool-sweep.service.js';
import { TableExportService } from './table-export.service.js';
import { TableImportService } from './table-import.service.js';
import { TransferController } from './transfer.controller.js';

/** Import and export, as tables and as a whole garden. */
@Module({
  imports: [GardensModule, PhotosModule],
  controllers: [TransferController],
  providers: [
    TableImportService,
    ImportJobs,
    ImportUndoService,
    TableExportService,
    GardenFileWriter,
    GardenFileReader,
    SpoolSweep,
  ],
})
export class TransferModule {}
