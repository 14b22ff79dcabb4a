import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** The unit that starts it with the machine. */
const ROOT = join(__dirname, '../..');
const folder = mkdtempSync(join(tmpdir(), 'candid-leaf-'));
afterAll(() => rmSync(folder, { recursive: true }));

const print = (env: Record<string, string> = {}) =>
  spawnSync(process.execPath, ['scripts/service.mjs'], {
    cwd: ROOT,
    encoding: 'utf8',
    env: { ...process.env, SERVICE_USER: 'daemon', ...env },
  });

test('systemd takes the unit without a word, and finds little that it could do to the machine', () => {
  const { stdout, status } = print();
  expect(status).toBe(0);
  expect(stdout).toContain(`ExecStart=${process.execPath} ${ROOT}/scripts/start.mjs`);
  // without these Node.js ends at once: tried on a booted system, as no check of the file alone finds it
  expect(stdout).toContain('SystemCallFilter=@system-service @pkey\nSystemCallErrorNumber=EPERM\n');
  const file = join(folder, 'candid-leaf.service');
  writeFileSync(file, stdout);
  const there = spawnSync('systemd-analyze', ['--version']);
  if (there.error) return; // a machine without systemd has nothing to say to it
  const verified = spawnSync('systemd-analyze', ['verify', '--man=no', file], { encoding: 'utf8' });
  expect([verified.status, verified.stderr]).toEqual([0, '']);
  const exposure = spawnSync('systemd-analyze', ['security', '--offline=true', '--no-pager', file], {
    encoding: 'utf8',
  });
  expect(Number(/Overall exposure level[^:]*: ([\d.]+)/.exec(exposure.stdout)?.[1] ?? 10)).toBeLessThan(3);
});

test('a name that is none, root, and a folder that systemd would misread are refused with a sentence', () => {
  for (const [user, says] of [
    ['root', 'does not run as root'],
    ['two words', 'which is no name of an account'],
  ] as const) {
    const { status, stdout, stderr } = print({ SERVICE_USER: user });
    expect([status, stdout]).toEqual([1, '']);
    expect(stderr).toContain(says);
  }
});
