import 'reflect-metadata';
import { registerDecorator, type ValidationOptions } from 'class-validator';
import { type Day, isDay } from '../units/day.js';

/** Refuses anything but an existing date, YYYY-MM-DD. */
export function IsCalendarDay(options?: ValidationOptions) {
  return (target: object, propertyName: string): void =>
    registerDecorator({
      name: 'isCalendarDay',
      target: target.constructor,
      propertyName,
      ...(options ? { options } : {}),
      validator: { validate: isDay, defaultMessage: () => 'must be a date that exists, such as 2026-07-18' },
    });
}

/** Something that belongs to one calendar day. */
export class Dated {
  @IsCalendarDay()
  date: Day;
}

/** Options for numbers in every class: finite. */
export const FINITE = { allowNaN: false, allowInfinity: false } as const;

/**
 * Sorts older first.
 * @example byDate({ date: '2026-07-01' }, { date: '2026-07-02' }) < 0 // true
 */
export const byDate = (a: { date: Day }, b: { date: Day }): number => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0);
