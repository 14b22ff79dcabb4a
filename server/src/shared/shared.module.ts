import { Global, Module, type DynamicModule } from '@nestjs/common';
import { CONFIG, type Config } from '../config.js';
import { Clock } from './clock.js';
import { Reckoner } from './reckoner.js';

/** Providers available to every module: config, clock, reckoner. */
@Global()
@Module({})
export class SharedModule {
  static with(config: Config, reckoner: Reckoner): DynamicModule {
    return {
      module: SharedModule,
      providers: [Clock, { provide: CONFIG, useValue: config }, { provide: Reckoner, useValue: reckoner }],
      exports: [Clock, CONFIG, Reckoner],
    };
  }
}
