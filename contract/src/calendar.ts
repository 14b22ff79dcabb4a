/** The link for calendar programs: since when there is one; null: there is none. */
export interface CalendarLinkDto {
  madeAt: string | null;
}

/** A new link, told once. */
export interface NewCalendarLink {
  madeAt: string;
  path: string;
}
