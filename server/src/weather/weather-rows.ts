import type { WeatherSourceCode } from '@candid-leaf/contract';
import { checked, RefusedInput, weatherFaults, WeatherRecord } from '@candid-leaf/core/records';
import type { StationDay } from './sources/source.js';
import type { WeatherEntity } from './weather.entity.js';

/**
 * Returns the row of a day. A source is outside: its days are validated like any input.
 * @throws if a value is not possible
 */
export function rowOf(
  gardenId: string,
  kind: WeatherEntity['kind'],
  day: StationDay & { rainChancePct?: number | null; source?: string | null },
): WeatherEntity {
  const { date, tMinC, tMaxC, rainMm } = day;
  const rest = {
    rhMeanPct: day.rhMeanPct ?? null,
    windMs: day.windMs ?? null,
    solarMj: day.solarMj ?? null,
    wetHours: day.wetHours ?? null,
    nightC: day.nightC ?? null,
  };
  checked(WeatherRecord, { date, tMinC, tMaxC, rainMm, ...rest });
  const [fault] = weatherFaults(day, date);
  if (fault) throw new RefusedInput([fault]);
  return {
    gardenId,
    day: date,
    kind,
    tMinC,
    tMaxC,
    rainMm,
    ...rest,
    rainChancePct: kind === 'forecast' ? (day.rainChancePct ?? null) : null,
    source: (day.source as WeatherSourceCode | undefined) ?? null,
  };
}
