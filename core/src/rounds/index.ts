export * from './round-due.js';
export * from './round-parts.js';
export * from './trend.js';
export * from './wording.js';
