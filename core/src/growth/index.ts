export * from './course.js';
export * from './growth.js';
export * from './notes.js';
export * from './ask.js';
export * from './outgrown.js';
