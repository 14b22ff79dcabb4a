export * from './in-flower.js';
export * from './set.js';
export * from './tap-plan.js';
