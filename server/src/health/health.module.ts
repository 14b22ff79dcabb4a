import { Controller, Get, Module, ServiceUnavailableException } from '@nestjs/common';
import { Public } from '../accounts/session.js';
import { BackupWatch } from './backup-watch.service.js';
import { Pulse } from './pulse.service.js';

@Controller('api')
class HealthController {
  constructor(private readonly pulse: Pulse) {}

  /** Reports health: 503 while the database is away. */
  @Public()
  @Get('health')
  health(): { ok: boolean; database: 'answers' | 'away' } {
    const answers = this.pulse.databaseAnswers;
    if (answers) return { ok: true, database: 'answers' };
    throw new ServiceUnavailableException({
      ok: false,
      database: 'away',
      message: 'The database is not available.',
    });
  }

  /** Reports readiness: 503 also while starting. */
  @Public()
  @Get('ready')
  ready(): { ok: true } {
    if (!this.pulse.ready) throw new ServiceUnavailableException({ ok: false, message: 'It is not ready yet.' });
    return { ok: true };
  }
}

/** Health and readiness. */
@Module({ controllers: [HealthController], providers: [Pulse, BackupWatch] })
export class HealthModule {}
