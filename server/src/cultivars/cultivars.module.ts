import { Module } from '@nestjs/common';
import { GardensModule } from '../gardens/gardens.module.js';
import { CultivarsController } from './cultivars.controller.js';
import { CultivarsService } from './cultivars.service.js';

@Module({
  imports: [GardensModule],
  controllers: [CultivarsController],
  providers: [CultivarsService],
  exports: [CultivarsService],
})
export class CultivarsModule {}
