import { loadDemo } from './load.js';

const url = process.env.APP_URL;
if (!url) throw new Error('APP_URL is not set: the address of the running application');
await loadDemo(url);
