export * from './feeding.js';
export * from './feed-for-place.js';
