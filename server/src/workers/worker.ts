import 'reflect-metadata';
import { parentPort, workerData } from 'node:worker_threads';
import { NestFactory } from '@nestjs/core';
import { AppModule } from '../app.module.js';
import type { Config } from '../config.js';
import { Workers } from '../shared/workers.js';
import { failureOf } from './failure.js';
import type { Job, Said } from './messages.js';

/** A worker thread: the same modules, without the HTTP server and without scheduled work. */
const BEAT_MS = 500;

const say = (said: Said): void => parentPort?.postMessage(said);
const config = workerData as Config;
const app = await NestFactory.createApplicationContext(
  // one process listens to the broker, not each of its threads
  AppModule.with(
    { ...config, weather: { ...config.weather, mqttUrl: null }, workers: 0, webRoot: null, backups: null },
    { background: false },
  ),
  { logger: ['warn', 'error'], abortOnError: false },
);
const workers = app.get(Workers, { strict: false });

parentPort?.on('message', ({ id, name, args }: Job) => {
  workers.run(name, args).then(
    (json) => say({ id, json }),
    (error: unknown) => say({ id, failure: failureOf(error) }),
  );
});
// silence means something here is blocked
setInterval(() => say({ beat: true }), BEAT_MS);
say({ ready: true });
