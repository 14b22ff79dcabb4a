export * from './dose.js';
export * from './product.js';
export * from './starters.js';
