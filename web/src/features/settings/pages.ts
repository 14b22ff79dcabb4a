import type { GardenDto, Role } from '@candid-leaf/contract';
import type { Formatter } from '@candid-leaf/core/units';
import {
  BellRing,
  CalendarClock,
  CalendarOff,
  CloudSun,
  Monitor,
  Ruler,
  Scale,
  Sprout,
  type LucideIcon,
} from 'lucide-react';

/** A page of the settings, as listed: what it is about and what stands there now. */
export interface SettingsPage {
  title: string;
  icon: LucideIcon;
  /** role needed to see it */
  needs: Role;
  says?: (garden: GardenDto, format: Formatter) => string;
}

const UNIT_WORDS = { C: '°C', F: '°F', L: 'litres', 'gal-us': 'US gallons', 'gal-imp': 'imperial gallons' };

/** All pages of the settings, in their order. The first opens at the desk. */
export const SETTINGS_PAGES = {
  garden: { title: 'The garden', icon: Sprout, needs: 'keep', says: (g) => g.name },
  units: {
    title: 'Units and dates',
    icon: Ruler,
    needs: 'keep',
    says: ({ units }) => `${UNIT_WORDS[units.temperature]}, ${UNIT_WORDS[units.volume]}`,
  },
  rules: {
    title: 'Your growing rules',
    icon: Scale,
    needs: 'keep',
    says: (g) => (g.organicOnly ? 'organic products only' : 'all products'),
  },
  away: {
    title: 'Days away',
    icon: CalendarOff,
    needs: 'keep',
    says: ({ away, today }, format) => {
      const next = (away ?? []).find((a) => a.to >= today);
      return next ? `from ${format.day(next.from)}` : 'none';
    },
  },
  weather: { title: 'Weather and hose timer', icon: CloudSun, needs: 'record' },
  messages: { title: 'Messages', icon: BellRing, needs: 'look' },
  calendar: { title: 'Calendar link', icon: CalendarClock, needs: 'keep' },
  display: { title: 'Display', icon: Monitor, needs: 'look' },
} as const satisfies Record<string, SettingsPage>;

/** Name of a settings page in its address. */
export type SettingsPageName = keyof typeof SETTINGS_PAGES;
