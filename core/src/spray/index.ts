export * from './copper.js';
export * from './gates.js';
export * from './limits.js';
export * from './remark.js';
export * from './rules.js';
export * from './strength.js';
export * from './trial.js';
