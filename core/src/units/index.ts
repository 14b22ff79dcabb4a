export * from './day.js';
export * from './units.js';
export * from './kitchen.js';
export { LITRES_PER, MEASURES, measureOf, parseDecimal, type Measure, type Quantity } from './measures.js';
export { formatterFor, METRIC_FORMAT, type Formatter, type Told } from './formatter.js';
export { roundTo, toPourable, toTenth } from './rounding.js';
export * from './lists.js';
export * from './text.js';
export * from './zone.js';
