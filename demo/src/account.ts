/** The demo account; its password is public, and it exists only with the demo garden. */
export const DEMO_ACCOUNT = { email: 'ann@halt.example', password: 'beside the old line', name: 'Ann' };
/** The demo garden is paused on this day. */
export const DEMO_DAY = '2026-07-18';
