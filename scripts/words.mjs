// npm run words: prints every text that can reach a person, with its place, and fails on what docs/words.md rules out.
// With --screens it counts the words on each screen instead.
import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { messagesOf } from './words/messages.mjs';
import { faultsOf } from './words/rules.mjs';

if (process.argv.includes('--screens')) {
  const { screens } = await import('./words/screens.mjs');
  process.exit((await screens()) > 0 ? 1 : 0);
}

const ROOT = join(import.meta.dirname, '..');
const FOLDERS = ['core/src', 'contract/src', 'server/src', 'web/src', 'web/sw'];

const files = execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard', ...FOLDERS], { cwd: ROOT })
  .toString()
  .split('\n')
  .filter((f) => /\.tsx?$/.test(f) && !f.includes('/migrations/'));

process.chdir(ROOT);
const messages = files.flatMap((file) => messagesOf(file));
const quiet = process.argv.includes('--faults');
if (!quiet) for (const m of messages) console.log(`${m.file}:${m.line}\t${m.text}`);

const faults = faultsOf(messages);
for (const f of faults) console.error(`${f.file}:${f.line}: ${f.why}\n    ${f.text}`);
console.error(`${messages.length} texts, ${faults.length} to rewrite`);
if (faults.length > 0) process.exitCode = 1;
