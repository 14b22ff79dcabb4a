import { Global, Module, type DynamicModule } from '@nestjs/common';
import { CONFIG, type Config } from '../config.js';
import { Clock } from './clock.js';
import { Workers } from './workers.js';

/** Providers available to every module: config, clock, workers. */
@Global()
@Module({})
export class SharedModule {
  static with(config: Config, workers: Workers): DynamicModule {
    return {
      module: SharedModule,
      providers: [Clock, { provide: CONFIG, useValue: config }, { provide: Workers, useValue: workers }],
      exports: [Clock, CONFIG, Workers],
    };
  }
}
