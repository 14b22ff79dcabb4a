import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { Response } from 'express';
import { codeOf, databaseTrouble, type DatabaseTrouble } from '../shared/database-faults.js';
import { inFewWords } from '../shared/in-few-words.js';

interface Answer {
  status: number;
  message: string;
  retryAfterS?: number;
}

const OF_DATABASE: Record<DatabaseTrouble, Answer> = {
  away: {
    status: 503,
    message: 'We can’t reach the records right now. Nothing was changed; try again in a moment.',
    retryAfterS: 5,
  },
  full: {
    status: 507,
    message: 'Could not save: the disk is full. Nothing was changed. Free some space, then send it again.',
    retryAfterS: 60,
  },
  duplicate: { status: 409, message: 'It already exists.' },
  collision: { status: 409, message: 'Someone is saving the same thing right now. Send it again.' },
  refused: { status: 400, message: 'Part of this can’t be saved as it is.' },
};

/**
 * The one place where a failure becomes an answer. Our refusals are shown as written; database errors only by type,
 * never quoted in the answer or the log, because a failed statement contains what people wrote.
 */
@Catch()
export class FailuresFilter implements ExceptionFilter {
  private readonly log = new Logger('Failures');

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    if (response.headersSent) return void response.end();
    if (error instanceof HttpException) {
      const said = error.getResponse();
      const retry = typeof said === 'object' && 'retryAfterS' in said ? Number(said.retryAfterS) : null;
      if (retry !== null) response.set('Retry-After', String(retry));
      else if (error.getStatus() === 503) response.set('Retry-After', '5');
      return void response.status(error.getStatus()).json(typeof said === 'string' ? { message: said } : said);
    }
    const { status, message, retryAfterS } = this.answerTo(error);
    if (retryAfterS) response.set('Retry-After', String(retryAfterS));
    response.status(status).json({ message });
  }

  private answerTo(error: unknown): Answer {
    const trouble = databaseTrouble(error);
    if (trouble) {
      if (trouble !== 'duplicate') this.log.warn(`the database: ${trouble} (${codeOf(error as object)})`);
      return OF_DATABASE[trouble];
    }
    const { status } = error as { status?: number };
    if (status && status >= 400 && status < 500) return { status, message: 'This could not be read.' };
    this.log.error(inFewWords(error));
    return { status: 500, message: 'Something went wrong on our side. Nothing was changed.' };
  }
}
