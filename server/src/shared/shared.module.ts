import { Global, Module, type DynamicModule } from '@nestjs/common';
import { CONFIG, type Config } from '../config.js';
import { Clock } from './clock.js';

/** What every room may ask for: the configuration and the time. */
@Global()
@Module({})
export class SharedModule {
  static with(config: Config): DynamicModule {
    return {
      module: SharedModule,
      providers: [Clock, { provide: CONFIG, useValue: config }],
      exports: [Clock, CONFIG],
    };
  }
}
