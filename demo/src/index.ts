export { DEMO_ACCOUNT, DEMO_DAY } from './account.js';
export { GARDEN, PLACES, PLANTS } from './garden.js';
export { idOf } from './ids.js';
export { loadDemo } from './load.js';
export { RECORDS } from './season.js';
