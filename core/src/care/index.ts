export * from './feeding.js';
export * from './feed-for-place.js';
export * from './spray-plan.js';
export * from './mulch-of-place.js';
export * from './cuts.js';
export * from './deal-cloth.js';
export * from './tending.js';
export * from './stands.js';
