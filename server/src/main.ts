import 'reflect-metadata';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { pinoHttp } from 'pino-http';
import { AppModule } from './app.module.js';
import { configFrom } from './config.js';
import { installMiddleware } from './shared/middleware.js';

const config = configFrom(process.env);
const app = await NestFactory.create<NestExpressApplication>(AppModule.with(config), {
  logger: ['warn', 'error', 'fatal'],
  bodyParser: false,
});
app.use(
  pinoHttp({ level: process.env.LOG_LEVEL ?? 'warn', redact: ['req.headers.cookie', 'res.headers["set-cookie"]'] }),
);
const { close } = installMiddleware(app, config);
await app.listen(config.port, '127.0.0.1');
process.stdout.write(`listening on ${config.port}\n`);

for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.once(signal, () => {
    void app
      .close()
      .then(close)
      .finally(() => process.exit(0));
  });
