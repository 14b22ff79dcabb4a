// npm test: installs what is missing, then runs every check on a temporary database. The last line counts.
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildAll, ROOT } from './lib/build.mjs';
import { checkDisk, checkNode, ensureAll, preferPackage, throwAwayFolder } from './lib/machine.mjs';
import { exec, stopTools } from './lib/exec.mjs';
import { endWith, say } from './lib/say.mjs';
import { loadDemo, startStack } from './lib/stack.mjs';

/** Folders whose imports are checked against the list of rooms. */
const ROOMS = ['core/src', 'contract/src', 'server/src', 'web/src', 'standins/src', 'demo/src', 'e2e/tests'];

const counts = { passed: 0, failed: 0 };
const started = Date.now();
/** How long the run has taken so far: what is slow is seen at once. */
const soFar = () =>
  `${Math.floor((Date.now() - started) / 60_000)} min ${Math.floor((Date.now() - started) / 1000) % 60} s`;
const bin = (name) => (name.includes('/') ? name : join(ROOT, 'node_modules', '.bin', name));

/** Runs a tool and prints its output when it is done; its exit code is one check. */
async function check(what, name, args) {
  const done = await exec(bin(name), args, { cwd: ROOT });
  say(`\n— ${what} (done after ${soFar()})\n${done.stdout}${done.stderr}`.trimEnd());
  counts[done.status === 0 ? 'passed' : 'failed'] += 1;
}

/** Runs a test runner and adds up what it reports. A run that ends without a report is a failure. */
async function tests(what, name, args, env, report, read) {
  say(`\n— ${what} (from ${soFar()})`);
  const done = await exec(bin(name), args, {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  const found = existsSync(report) ? read(JSON.parse(readFileSync(report, 'utf8'))) : { passed: 0, failed: 1 };
  counts.passed += found.passed;
  counts.failed += found.failed;
  if (done.status !== 0 && found.failed === 0) counts.failed += 1;
}

/** Runs beside the checks and Jest, as it mostly waits for its own processes. */
async function endured() {
  const report = join(home, 'endure.json');
  const done = await exec(process.execPath, [join(ROOT, 'scripts/endure.mjs'), '2'], {
    cwd: ROOT,
    env: { ...process.env, ENDURE_REPORT: report },
  });
  say(
    `\n— Kills, a frozen and a full database, starts that are ended, two rounds (done after ${soFar()})\n${done.stdout}${done.stderr}`.trimEnd(),
  );
  const rows = existsSync(report) ? JSON.parse(readFileSync(report, 'utf8')) : [];
  const failed = rows.filter((r) => r.tried === 0 || r.lost + r.doubled + r.help > 0).length;
  counts.passed += rows.length - failed;
  counts.failed += failed;
  if (rows.length === 0 || (done.status !== 0 && failed === 0)) counts.failed += 1;
}

let stop = async () => {};
let home;
try {
  checkNode();
  checkDisk();
  await ensureAll({
    mariadbd: 'mariadb-server',
    'mariadb-install-db': 'mariadb-server',
    chromium: 'chromium',
    curl: 'curl',
  });
  // Debian's Chromium without its own window: the same engine, a third faster
  await preferPackage('chromium-headless-shell', 'chromium-headless-shell');
  await buildAll(say);
  home = throwAwayFolder('test', 'memory');
  delete process.env.DATABASE_URL; // tests never touch a database that somebody uses
  process.once('SIGINT', () => {
    stopTools();
    void stop().finally(() => {
      rmSync(home, { recursive: true, force: true });
      process.exit(130);
    });
  });
  // one after the other: each uses both cores, and the database is started beside them
  const checked = (async () => {
    await check('Lint', 'oxlint', []);
    await check('Types of the page and the tests', process.execPath, [join(ROOT, 'scripts/types.mjs')]);
    await check('Words', process.execPath, [join(ROOT, 'scripts/words.mjs'), '--faults']);
    await check('Rooms', 'depcruise', [...ROOMS, '--config', '.dependency-cruiser.mjs']);
    await check('Format', 'oxfmt', ['--check']);
  })();
  const stack = await startStack({ home, tell: say, env: { SIGN_UPS_PER_HOUR: '10000' }, weatherStandIns: true });
  stop = stack.stop;
  const enduring = endured();
  say('Loading the demo garden …');
  await loadDemo(stack, home);
  await checked;
  const jestReport = join(home, 'jest.json');
  await tests(
    'Core, contract, server and page (Jest)',
    'jest',
    ['--maxWorkers=2', '--json', `--outputFile=${jestReport}`],
    { TEST_DATABASE_URL: stack.databaseUrl, TEST_HOME: home, TESTS_TOGETHER: '1' },
    jestReport,
    (r) => ({
      passed: r.numPassedTests,
      failed: r.numFailedTests + r.numRuntimeErrorTestSuites,
    }),
  );
  const browserReport = join(home, 'browser.json');
  await enduring;
  await tests(
    'The real page (Playwright)',
    'playwright',
    ['test', '--config', 'e2e/playwright.config.ts'],
    {
      BASE_URL: stack.url,
      STATION_URL: stack.stationUrl,
      TIMER_URL: stack.timerUrl,
      MAIL_URL: stack.mailUrl,
      OPEN_METEO_URL: stack.openMeteoUrl,
      MET_NORWAY_URL: stack.metNorwayUrl,
      PLAYWRIGHT_JSON_OUTPUT_NAME: browserReport,
    },
    browserReport,
    (r) => ({ passed: r.stats.expected, failed: r.stats.unexpected + r.stats.flaky }),
  );
} catch (error) {
  stopTools();
  endWith(error);
  counts.failed += 1;
} finally {
  await stop();
  if (home) rmSync(home, { recursive: true, force: true });
}
if (counts.failed > 0) process.exitCode = 1;
say(`\nThe whole run took ${soFar()}.`);
say(`${counts.passed} passed, ${counts.failed} failed`);
