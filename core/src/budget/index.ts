export * from './fill.js';
export * from './pace.js';
