// npm run build: builds everything `npm start` serves, after installing what that needs.
import { buildAll } from './lib/build.mjs';
import { ensureModules } from './lib/machine.mjs';
import { endWith, say } from './lib/say.mjs';

try {
  await ensureModules();
  await buildAll(say);
} catch (error) {
  endWith(error);
}
