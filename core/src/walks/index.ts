export * from './count-fell.js';
export * from './walk-due.js';
export * from './walk-parts.js';
export * from './trend.js';
export * from './wording.js';
