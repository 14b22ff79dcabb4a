import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';

/** The programs of a start: watched, started again, and ended together, however the starter ends. */
const ROOT = join(__dirname, '../..');
let folder: string;
let starter: ChildProcess | null = null;
beforeEach(() => {
  mkdirSync(join(ROOT, '.data'), { recursive: true });
  folder = mkdtempSync(join(ROOT, '.data', 'crew-'));
});
afterEach(() => {
  starter?.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
});

/** Two programs, the second of which does not care about being asked to end. */
const CREW = `import { Crew } from './scripts/lib/crew.mjs';
  import { spawn } from 'node:child_process';
  import { appendFileSync, existsSync } from 'node:fs';
  const folder = process.argv.at(-1);
  const crew = new Crew((words) => appendFileSync(folder + '/said', words + '\\n'));
  const program = (name, code) => async () => {
    if (existsSync(folder + '/broken')) throw new Error('it does not come up');
    const child = spawn(process.execPath, ['-e', code + "require('fs').appendFileSync(process.argv[1] + '/ready', process.pid + ' '); setInterval(() => {}, 1000)", folder, '--mark=' + folder + name], { stdio: 'ignore', detached: true });
    appendFileSync(folder + '/' + name, child.pid + '\\n');
    return child;
  };
  const note = (name) => "process.on('SIGTERM', () => { require('fs').appendFileSync(process.argv[1] + '/ended', '" + name + " '); process.exit(0); });";
  await crew.expect({ name: 'first', what: 'The first', mark: '--mark=' + folder + 'first', patienceMs: 2000 });
  await crew.begin('first', program('first', note('first')));
  await crew.expect({ name: 'second', what: 'The second', mark: '--mark=' + folder + 'second', patienceMs: 2000 });
  await crew.begin('second', program('second', note('second')));
  await crew.expect({ name: 'deaf', what: 'The deaf one', mark: '--mark=' + folder + 'deaf', patienceMs: 300 });
  await crew.begin('deaf', program('deaf', "process.on('SIGTERM', () => {});"));
  process.on('SIGTERM', () => void crew.stop().then(() => process.exit(0)));
  appendFileSync(folder + '/said', 'up\\n');
  setInterval(() => {}, 1000);`;

const read = (name: string): string => (existsSync(join(folder, name)) ? readFileSync(join(folder, name), 'utf8') : '');
const pids = (name: string): number[] => read(name).trim().split('\n').map(Number);
const runs = (pid: number): boolean =>
  existsSync(`/proc/${pid}/cmdline`) && readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(folder);
async function until(what: () => boolean): Promise<void> {
  for (let i = 0; !what(); i++) {
    if (i > 400) throw new Error('it did not come about within ten seconds');
    await wait(25);
  }
}
async function begin(): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['--input-type=module', '-e', CREW, folder], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  starter = child;
  await until(() => read('said').includes('up'));
  // they are told apart by their folder once they have begun
  await until(() => ['first', 'second', 'deaf'].every((name) => runs(pids(name).at(-1)!)));
  // and have said that they want to be asked
  await until(() =>
    ['first', 'second', 'deaf'].every((name) =>
      read('ready')
        .split(' ')
        .includes(String(pids(name).at(-1))),
    ),
  );
  return child;
}
const nobody = (): boolean => ['first', 'second', 'deaf'].every((name) => pids(name).every((pid) => !runs(pid)));

test('a process that ends by itself is restarted and reported; one that does not come up is tried again', async () => {
  await begin();
  process.kill(pids('first')[0]!, 'SIGKILL');
  await until(() => read('said').includes('The first is back.'));
  expect(read('said')).toContain('The first ended by itself (SIGKILL). It is started again');
  expect(pids('first')).toHaveLength(2);
  mkdirSync(join(folder, 'broken'));
  process.kill(pids('second')[0]!, 'SIGKILL');
  await until(() => read('said').includes('The second ended by itself (it does not come up)'));
  rmSync(join(folder, 'broken'), { recursive: true });
  await until(() => read('said').includes('The second is back.'));
});

test.each(['SIGTERM', 'SIGKILL'] as const)(
  'a starter ended by %s ends its processes, the last first, and those that ignore the signal too',
  async (how) => {
    const child = await begin();
    child.kill(how);
    await until(nobody);
    expect(read('ended').trim()).toBe('second first');
  },
);
