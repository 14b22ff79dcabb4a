export * from './aim.js';
export * from './dates.js';
export * from './second-crop.js';
export * from './layout.js';
export * from './needs.js';
export * from './planting.js';
export * from './rotation.js';
export * from './wording.js';
