import { Controller, Get, Module, ServiceUnavailableException } from '@nestjs/common';
import { Public } from '../accounts/session.js';
import { BackupWatch } from './backup-watch.service.js';
import { Pulse } from './pulse.service.js';

interface Health {
  ok: boolean;
  database: 'answers' | 'away';
}

@Controller('api')
class HealthController {
  constructor(private readonly pulse: Pulse) {}

  /** Reports health: 503 while the database is away. */
  @Public()
  @Get('health')
  health(): Health {
    const answers = this.pulse.databaseAnswers;
    const health: Health = { ok: answers, database: answers ? 'answers' : 'away' };
    if (!answers) throw new ServiceUnavailableException({ ...health, message: 'The database is not available.' });
    return health;
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
