export * from './exact-test.js';
export * from './here.js';
export * from './rates.js';
