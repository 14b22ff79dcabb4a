export * from './cut-plan.js';
export * from './leaf-loss.js';
export * from './rooting.js';
export * from './rules.js';
export * from './methods.js';
export * from './wording.js';
