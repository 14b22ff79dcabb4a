// npm run build: builds everything `npm start` serves.
import { buildAll } from './lib/build.mjs';
import { say } from './lib/say.mjs';

await buildAll(say);
