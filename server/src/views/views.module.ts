import { Module } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { GardensModule } from '../gardens/gardens.module.js';
import { ProductsModule } from '../products/products.module.js';
import { TodayModule } from '../today/today.module.js';
import { TreatmentsModule } from '../treatments/treatments.module.js';
import { WeatherModule } from '../weather/weather.module.js';
import { ViewsController } from './views.controller.js';
import { ViewsService } from './views.service.js';

/** What the garden page and the plant page show. */
@Module({
  imports: [GardensModule, WeatherModule, AssessmentModule, TodayModule, TreatmentsModule, ProductsModule],
  controllers: [ViewsController],
  providers: [ViewsService],
})
export class ViewsModule {}
