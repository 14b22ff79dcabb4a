export * from './assess.js';
export * from './report.js';
