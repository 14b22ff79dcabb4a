export * from './looks.js';
export * from './settling.js';
export * from './steps.js';
export * from './tray.js';
