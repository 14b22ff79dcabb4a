import { runTogether } from '../../scripts/test/run-together.js';

runTogether(__dirname);
