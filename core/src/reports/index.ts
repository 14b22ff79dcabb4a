export * from './harvest-report.js';
