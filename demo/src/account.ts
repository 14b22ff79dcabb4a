/** The demo account; its password is no secret and it is only made where the demo garden is. */
export const DEMO_ACCOUNT = { email: 'ann@halt.example', password: 'beside the old line', name: 'Ann' };
/** The demo garden stands still on this day. */
export const DEMO_DAY = '2026-07-18';
