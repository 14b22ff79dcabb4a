export * from './blush.js';
export * from './late.js';
export * from './plausible.js';
export * from './putting-up.js';
export * from './ripening.js';
export * from './salvage.js';
