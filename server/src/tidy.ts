import 'reflect-metadata';
import { NestFactory } from '@nestjs/core';
import { AppModule } from './app.module.js';
import { configFrom } from './config.js';
import { PhotosService } from './photos/photos.service.js';
import { SpoolSweep } from './transfer/spool-sweep.service.js';

/** What is left over on the disk is removed, once; prints what was found. `npm run tidy` starts it. */
const config = configFrom(process.env);
const app = await NestFactory.createApplicationContext(
  AppModule.with(
    { ...config, weather: { ...config.weather, mqttUrl: null }, workers: 0, webRoot: null, backups: null },
    { background: false },
  ),
  { logger: ['warn', 'error'] },
);
const { files, rows } = await app.get(PhotosService, { strict: false }).tidy();
const folders = await app.get(SpoolSweep, { strict: false }).tidy();
process.stdout.write(`${JSON.stringify({ files, rows, folders })}\n`);
await app.close();
