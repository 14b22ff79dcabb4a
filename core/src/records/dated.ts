import 'reflect-metadata';
import { registerDecorator, type ValidationOptions } from 'class-validator';
import { type Day, isDay } from '../units/day.js';

/** The first day that anything here can be about. */
const EARLIEST: Day = '1990-01-01';
/** How far ahead of today a date may lie: plans reach into next year, and no computation runs for ever. */
const AHEAD_DAYS = 2 * 366;
/** Input is bounded by the day it is entered on: the one thing here that reads a clock. */
const latest = (): Day => new Date(Date.now() + AHEAD_DAYS * 86_400_000).toISOString().slice(0, 10);
const isUsable = (value: unknown): boolean => isDay(value) && value >= EARLIEST && value <= latest();

/** Refuses anything but an existing date, YYYY-MM-DD, from 1990 to two years ahead. */
export function IsCalendarDay(options?: ValidationOptions) {
  return (target: object, propertyName: string): void =>
    registerDecorator({
      name: 'isCalendarDay',
      target: target.constructor,
      propertyName,
      ...(options ? { options } : {}),
      validator: {
        validate: isUsable,
        defaultMessage: (args) =>
          isDay(args?.value)
            ? 'must be a date from 1990 to two years ahead'
            : 'must be a date that exists, such as 2026-07-18',
      },
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
