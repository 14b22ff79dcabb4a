export * from './deal-out.js';
export * from './support-plan.js';
export * from './methods.js';
export * from './cost.js';
