// npm run service: prints a systemd unit that starts Candid Leaf with the machine. `npm run service > candid-leaf.service`
// SERVICE_USER names the account it runs as; settings stand in /etc/candid-leaf.env.
import { unitFor } from './lib/service-unit.mjs';
import { ROOT } from './lib/build.mjs';
import { endWith } from './lib/say.mjs';

try {
  process.stdout.write(unitFor({ root: ROOT, node: process.execPath, user: process.env.SERVICE_USER ?? 'leaf' }));
} catch (error) {
  endWith(error);
}
