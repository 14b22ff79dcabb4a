export * from './table.js';
export * from './rules.js';
