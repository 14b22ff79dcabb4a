export * from './closing.js';
export * from './harvest-report.js';
export * from './closing-plants.js';
export * from './planting-dates.js';
export * from './over-years.js';
export * from './around.js';
