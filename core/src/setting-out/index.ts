export * from './gate.js';
export * from './hardening.js';
export * from './limits.js';
export * from './soil-warmth.js';
export * from './wording.js';
