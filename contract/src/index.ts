import 'reflect-metadata';
export * from './accounts.js';
export * from './gardens.js';
export * from './places.js';
export * from './plants.js';
export * from './records.js';
export * from './weather.js';
export * from './troubles.js';
export * from './views.js';
