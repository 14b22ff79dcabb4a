export * from './frost-days.js';
export * from './frost-free.js';
export * from './evening-warnings.js';
export * from './hard-weather.js';
export * from './wording.js';
export * from './last-flower.js';
export * from './season-start.js';
export * from './growing-year.js';
