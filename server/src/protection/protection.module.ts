import { Module, type OnModuleInit } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { TodayModule } from '../today/today.module.js';
import { TodayService } from '../today/today.service.js';
import { HardWeatherSource } from './hard-weather.source.js';

/** Heat and frost as a source of tasks. */
@Module({ imports: [AssessmentModule, TodayModule], providers: [HardWeatherSource] })
export class ProtectionModule implements OnModuleInit {
  constructor(
    private readonly today: TodayService,
    private readonly source: HardWeatherSource,
  ) {}

  onModuleInit(): void {
    this.today.register(this.source);
  }
}
