import type { PipeTransform } from '@nestjs/common';
import { badRequest } from './http-errors.js';

/** The years a garden can be asked about. */
const YEARS = { from: 1990, to: 2100 } as const;

/** Reads a year of an address: null if there is none. Refuses what is no year of a garden. */
export const YearPipe: PipeTransform<string | undefined, number | null> = {
  transform: (value) => {
    if (value === undefined || value === '') return null;
    const year = Number(value);
    if (!/^\d{4}$/.test(value) || year < YEARS.from || year > YEARS.to)
      throw badRequest([{ path: 'year', reason: `must be a year from ${YEARS.from} to ${YEARS.to}` }]);
    return year;
  },
};
