import { format, isToday } from 'date-fns';

/** Returns a moment as people say it: the time, and the day if it was not today. */
export const whenAt = (at: number): string => format(at, isToday(at) ? 'HH:mm' : 'd MMMM, HH:mm');
