export * from './set.js';
export * from './tap-plan.js';
