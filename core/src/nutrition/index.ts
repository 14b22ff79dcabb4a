export * from './feeding.js';
export * from './limits.js';
export * from './release.js';
