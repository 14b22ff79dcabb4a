import { startServer } from './start.js';

await startServer(process.env);
