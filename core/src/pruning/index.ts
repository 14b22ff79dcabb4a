export * from './leaf-loss.js';
