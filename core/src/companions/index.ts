export * from './table.js';
export * from './weeds.js';
export * from './rules.js';
