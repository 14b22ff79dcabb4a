export * from './acidity.js';
export * from './drenches.js';
export * from './lead.js';
export * from './limits.js';
export * from './mulch-plan.js';
export * from './reading.js';
export * from './units.js';
export * from './volumes.js';
