import { Controller, Get, Module } from '@nestjs/common';
import { Public } from '../accounts/session.js';

@Controller('api')
class HealthController {
  @Public()
  @Get('health')
  health(): { ok: true } {
    return { ok: true };
  }
}

@Module({ controllers: [HealthController] })
export class HealthModule {}
