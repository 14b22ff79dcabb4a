export * from './cells.js';
export * from './guess.js';
export * from './quantities.js';
export * from './read-row.js';
export * from './tables.js';
export * from './write-row.js';
