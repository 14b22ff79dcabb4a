export * from './closing.js';
export * from './harvest-report.js';
