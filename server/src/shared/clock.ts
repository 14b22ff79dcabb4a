import { wallClock } from '@candid-leaf/core/units';
import { Injectable } from '@nestjs/common';

/** The only source of the current time; tests replace it. */
@Injectable()
export class Clock {
  now(): Date {
    return new Date();
  }
}

/** Returns the calendar day of an instant in a time zone. */
export const dayIn = (timeZone: string, instant: Date): string => wallClock(timeZone, instant.getTime()).slice(0, 10);
