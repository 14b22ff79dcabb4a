export * from './closing.js';
export * from './harvest-report.js';
export * from './closing-plants.js';
