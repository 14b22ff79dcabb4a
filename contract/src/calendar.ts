/** The calendar link: since when it exists; null: there is none. */
export interface CalendarLinkDto {
  madeAt: string | null;
}

/** A new link, shown only once. */
export interface NewCalendarLink {
  madeAt: string;
  path: string;
}
