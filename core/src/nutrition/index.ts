export * from './feeding.js';
export * from './limits.js';
