export { startStation, type Station } from './station.js';
