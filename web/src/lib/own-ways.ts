import type { GardenInput } from '@candid-leaf/contract';
import { METRIC, type Units } from '@candid-leaf/core/units';

/** Unit sets as one choice; details are in the settings. */
export const UNIT_SETS = {
  metric: METRIC,
  us: { temperature: 'F', volume: 'gal-us', length: 'in', mass: 'oz', area: 'ft2' },
  imperial: { temperature: 'C', volume: 'gal-imp', length: 'in', mass: 'oz', area: 'ft2' },
} as const satisfies Record<string, Units>;
export type UnitSet = keyof typeof UNIT_SETS;

type Ways = Pick<GardenInput, 'dateForm' | 'weekStart'> & { units: UnitSet };

/** Countries where the week starts on Sunday or Saturday (CLDR's week data, from memory; others on Monday). */
const SUNDAY = new Set(['US', 'CA', 'MX', 'BR', 'JP', 'KR', 'IN', 'IL', 'ZA', 'PH', 'TH', 'AU', 'CO', 'PE', 'VE']);
const SATURDAY = new Set(['AE', 'EG', 'IR', 'IQ', 'JO', 'DZ', 'SA', 'QA', 'KW', 'BH', 'OM', 'SY', 'LY', 'SD']);
const US_UNITS = new Set(['US', 'LR', 'PR', 'GU']);
const YEAR_FIRST = new Set(['JP', 'KR', 'CN', 'HU', 'LT', 'SE']);

/** Guesses preferences from the device's language: "en-US", "de-CH", "pt". */
export function waysOf(language: string): Ways {
  let region: string;
  try {
    region = new Intl.Locale(language).maximize().region ?? '';
  } catch {
    region = '';
  }
  return {
    units: US_UNITS.has(region) ? 'us' : 'metric',
    weekStart: SUNDAY.has(region) ? 'sunday' : SATURDAY.has(region) ? 'saturday' : 'monday',
    dateForm: US_UNITS.has(region) ? 'MMMM d' : YEAR_FIRST.has(region) ? 'yyyy-MM-dd' : 'd MMMM',
  };
}
