// The commands that README and docs name, and how each is tried in a fresh clone.
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const PORT = '3917';
const AT = `http://127.0.0.1:${PORT}/api/ready`;

/**
 * How a command is tried: `as`: in a shorter form; `after`: others first, in the same clone; `answersAt`: it is at work once
 * this answers; `not`: why it isn't run.
 */
export const HOW = {
  'npm start': { answersAt: AT, env: { PORT } },
  'npm test': { not: 'each change is tested by it in a clean checkout' },
  'npm run advice': {},
  'npm run api-answers': {},
  'npm run backup': { after: ['npm start'] },
  'npm run bench': {},
  'npm run build': {},
  'npm run --silent case': {
    as: 'npm run --silent case -- core/cases/fabric-bag-tomato-black-ends.case.json',
    after: ['npm run build'],
  },
  'npm run cases': {},
  'npm run cluster': { env: { CLUSTER_MS: '2000' } },
  'npm run commands': { not: 'this is it' },
  'npm run coverage': { as: 'npm run coverage -- --testPathPatterns core/test/units' },
  'npm run dev': {
    as: 'APP_URL=http://127.0.0.1:1 npm run dev --workspace web -- --port 3918 --host 127.0.0.1',
    answersAt: 'http://127.0.0.1:3918/',
  },
  'npm run endure': { as: 'npm run endure -- 1' },
  'npm run fuzz': { env: { FUZZ_RUNS: '20' } },
  'npm run fuzz-files': { env: { FUZZ_RUNS: '5' } },
  'npm run lint': {},
  'npm run measures': {},
  'npm run mutate': { as: 'npm run mutate -- --mutate core/src/units/lists.ts' },
  'npm run restore': {
    as: 'npm run restore -- "$(ls .data/backups/*.sql.gz)"',
    after: ['npm start', 'npm run backup'],
  },
  'npm run risks': {},
  'npm run rooms': {},
  'npm run routes': {},
  'npm run seasons': { as: 'npm run seasons -- -t "says it in one line"' },
  'npm run --silent service': {},
  'npm run --silent backup': { after: ['npm start'] },
  'npm run typecheck': {},
  'npm run words': {},
};

/** Returns every command of the documents, once each. Settings before it and words after it are not part of its name. */
export function commandsIn(root) {
  const documents = spawnSync('git', ['ls-files', '*.md'], { cwd: root, encoding: 'utf8' }).stdout.trim().split('\n');
  const named = documents
    .filter((d) => !d.includes('CHANGELOG'))
    .flatMap((d) => readFileSync(join(root, d), 'utf8').match(/npm (?:run (?:--silent )?[\w-]+|start|test)\b/g) ?? []);
  return [...new Set(named)].sort();
}
