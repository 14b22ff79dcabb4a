// npm run typecheck: checks the types of the page, its service worker and all tests. `tsc -b` checks the rest.
import { buildTypes, ROOT, TSC } from './lib/build.mjs';
import { exec } from './lib/exec.mjs';
import { say } from './lib/say.mjs';

const PROJECTS = ['web', 'web/sw', 'tsconfig.tests.json', 'e2e'];

await buildTypes();
for (const project of PROJECTS) {
  const done = await exec(TSC, ['-p', project, '--noEmit'], { cwd: ROOT });
  if (done.status === 0) continue;
  say(`${project}\n${done.stdout}${done.stderr}`.trimEnd());
  process.exitCode = 1;
}
