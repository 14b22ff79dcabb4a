export * from './variety.js';
export * from './letters.js';
export * from './starters.js';
