export * from './climate-of-place.js';
export * from './gaps.js';
export * from './limits.js';
export * from './radiation.js';
export * from './random.js';
export * from './reference-evapotranspiration.js';
export * from './weather-generator.js';
export * from './weather-in-place.js';
