export * from './cultivar.js';
export * from './letters.js';
export * from './starters.js';
