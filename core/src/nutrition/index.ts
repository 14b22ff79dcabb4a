export * from './feed-plan.js';
export * from './feeding.js';
export * from './ledger-days.js';
export * from './limits.js';
export * from './over-dose.js';
export * from './release.js';
export * from './uptake.js';
export * from './wording.js';
