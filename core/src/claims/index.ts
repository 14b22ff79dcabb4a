export * from './claim.js';
export * from './table.js';
