export * from './dates.js';
export * from './layout.js';
export * from './needs.js';
export * from './planting.js';
export * from './rotation.js';
export * from './wording.js';
