import { loadDemo } from './load.js';

const { APP_URL: url, TIMER_URL: timerUrl } = process.env;
if (!url) throw new Error('APP_URL is not set: the address of the running application');
await loadDemo(url, timerUrl ? { timerUrl } : {});
