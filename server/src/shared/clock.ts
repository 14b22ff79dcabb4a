import { Injectable } from '@nestjs/common';

/** The only place that knows what time it is; tests put another in its stead. */
@Injectable()
export class Clock {
  now(): Date {
    return new Date();
  }
}

/** The calendar day of an instant in a time zone. */
export const dayIn = (timeZone: string, instant: Date): string =>
  new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(instant);
