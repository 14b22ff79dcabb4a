import 'reflect-metadata';
import { createRequire } from 'node:module';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { installApiDocs } from './api-docs/install.js';
import { AppModule } from './app.module.js';
import { BadSetting, configFrom, type Config } from './config.js';
import { databaseTrouble } from './shared/database-faults.js';
import { installGate } from './gate/install.js';
import { inFewWords } from './shared/in-few-words.js';
import { openLog } from './shared/log.js';

/** The version in package.json. */
const { version: VERSION } = createRequire(import.meta.url)('../package.json') as { version: string };

/** Longest time open requests delay the shutdown, ms. */
const LAST_ANSWERS_MS = 4000;
/** Idle time before a connection closes, ms. */
const IDLE_MS = 75_000;

/**
 * Runs the server as a process: it starts or fails with a sentence, nothing ends it in between, and it stops when
 * asked.
 */
export async function startServer(env: NodeJS.ProcessEnv): Promise<void> {
  const log = openLog(env.LOG_LEVEL);
  let config: Config;
  try {
    config = configFrom(env);
  } catch (error) {
    if (!(error instanceof BadSetting)) throw error;
    process.stderr.write(`${error.message}\n`);
    process.exit(2);
  }
  // an uncaught error is a bug: log it and keep serving
  process.on('unhandledRejection', (error) => void log.error(inFewWords(error)));
  process.on('uncaughtException', (error) => void log.error(inFewWords(error)));
  try {
    const app = await NestFactory.create<NestExpressApplication>(AppModule.with(config), {
      logger: log,
      bodyParser: false,
      abortOnError: false,
    });
    app.use(log.requests);
    const { close } = installGate(app, config);
    installApiDocs(app, VERSION);
    const http = await app.listen(config.port, '127.0.0.1');
    // longer than clients keep idle connections: no request goes into one that is just closing
    http.keepAliveTimeout = IDLE_MS;
    http.headersTimeout = IDLE_MS + 1000;
    // an upload over a slow line takes as long as it makes progress: the gate looks after that
    http.requestTimeout = 0;
    process.stdout.write(`listening on ${config.port}\n`);
    const end = async (): Promise<void> => {
      const late = setTimeout(() => process.exit(0), LAST_ANSWERS_MS);
      app.getHttpServer().closeIdleConnections();
      await app.close().then(close, close);
      clearTimeout(late);
      process.exit(0);
    };
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.once(signal, () => void end());
  } catch (error) {
    process.stderr.write(`${whyNot(error, config)}\n`);
    process.exit(1);
  }
}

function whyNot(error: unknown, config: Config): string {
  const { code } = error as { code?: string };
  if (code === 'EADDRINUSE') return `Port ${config.port} is in use by another program.`;
  if (code === 'ER_ACCESS_DENIED_ERROR' || code === 'ER_DBACCESS_DENIED_ERROR' || code === 'ER_BAD_DB_ERROR')
    return `The database refused the sign-in (${code}): check the user, password and name in DATABASE_URL.`;
  if (databaseTrouble(error) === 'away' || code === 'ENOTFOUND')
    return `The database in DATABASE_URL does not answer (${code ?? 'no connection'}).`;
  return inFewWords(error);
}
