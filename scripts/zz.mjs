import { quickOnAPhone } from './lib/quick.mjs';
import { readFileSync } from 'node:fs';
const base = /BASE_URL=(\S+)/.exec(readFileSync('/tmp/stack.env','utf8'))[1];
await quickOnAPhone(base, { email:'ann@halt.example', password:'beside the old line' });
