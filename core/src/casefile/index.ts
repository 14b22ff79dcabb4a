export * from './case-file.js';
export * from './parse.js';
