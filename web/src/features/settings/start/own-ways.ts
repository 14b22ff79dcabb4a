import type { GardenInput } from '@candid-leaf/contract';
import { METRIC, type Units } from '@candid-leaf/core/units';

/** How amounts and days are read, as one choice; the fine ones stand in the settings. */
export const UNIT_SETS = {
  metric: METRIC,
  us: { temperature: 'F', volume: 'gal-us', length: 'in', mass: 'oz', area: 'ft2' },
  imperial: { temperature: 'C', volume: 'gal-imp', length: 'in', mass: 'oz', area: 'ft2' },
} as const satisfies Record<string, Units>;
export type UnitSet = keyof typeof UNIT_SETS;

type Ways = Pick<GardenInput, 'dateForm' | 'weekStart'> & { units: UnitSet };

/** Where weeks begin on Sunday or Saturday (CLDR's week data, from memory; elsewhere on Monday). */
const SUNDAY = new Set(['US', 'CA', 'MX', 'BR', 'JP', 'KR', 'IN', 'IL', 'ZA', 'PH', 'TH', 'AU', 'CO', 'PE', 'VE']);
const SATURDAY = new Set(['AE', 'EG', 'IR', 'IQ', 'JO', 'DZ', 'SA', 'QA', 'KW', 'BH', 'OM', 'SY', 'LY', 'SD']);
const US_UNITS = new Set(['US', 'LR', 'PR', 'GU']);
const YEAR_FIRST = new Set(['JP', 'KR', 'CN', 'HU', 'LT', 'SE']);

/** What the device's language says of its owner: "en-US", "de-CH", "pt". */
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
