// npm run commands [-- NAME …]: runs every command that README and docs name, each in a fresh clone of what is committed. The npm packages
// are linked from here, as installing them once for each would take an hour; nothing else is there yet. Long commands run short.
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { ROOT } from './lib/build.mjs';
import { commandsIn, HOW } from './lib/commands.mjs';
import { ensureModules, throwAwayFolder } from './lib/machine.mjs';
import { endMarked } from './lib/processes.mjs';
import { endWith, say } from './lib/say.mjs';

const MOST_MS = 15 * 60_000;

/** A clone as a newcomer has it, with the npm packages. Its name is a number: tests are chosen by words in their paths. */
function freshClone(home, name) {
  const folder = join(home, name);
  const sh = (program, ...args) => {
    const done = spawnSync(program, args, { encoding: 'utf8' });
    if (done.status !== 0) throw new Error(`${program} ${args.join(' ')}: ${done.stderr}`);
  };
  sh('git', 'clone', '--quiet', ROOT, folder);
  sh('cp', '-al', join(ROOT, 'node_modules'), join(folder, 'node_modules'));
  for (const room of readdirSync(folder))
    if (spawnSync('test', ['-d', join(ROOT, room, 'node_modules')]).status === 0 && room !== 'node_modules')
      sh('cp', '-a', join(ROOT, room, 'node_modules'), join(folder, room, 'node_modules'));
  return folder;
}

/** Runs a command to its end, or until its page answers. */
async function run(command, folder, { answersAt, env = {} }) {
  const child = spawn('sh', ['-c', command], {
    cwd: folder,
    detached: true,
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, ...env },
  });
  let said = '';
  child.stdout.on('data', (part) => (said += part));
  child.stderr.on('data', (part) => (said += part));
  const ended = new Promise((done) => child.once('close', (code) => done(code ?? 1)));
  const late = wait(MOST_MS, 'late', { ref: false });
  const answers = async () => {
    for (;;) {
      await wait(500);
      if (
        await fetch(answersAt).then(
          (r) => r.ok,
          () => false,
        )
      )
        return 0;
    }
  };
  const code = await Promise.race([ended, late, ...(answersAt ? [answers()] : [])]);
  if (code === 'late' || answersAt) {
    process.kill(-Number(child.pid), 'SIGTERM');
    await Promise.race([ended, wait(20_000)]);
    await endMarked(folder, 5000);
  }
  return { code, said };
}

let home;
try {
  await ensureModules();
  const only = process.argv.slice(2);
  let clones = 0;
  home = throwAwayFolder('commands');
  mkdirSync(home, { recursive: true });
  const failed = [];
  for (const command of commandsIn(ROOT)) {
    const how = HOW[command];
    if (only.length > 0 && !only.some((o) => command.includes(o))) continue;
    if (how.not) {
      say(`  not run  ${command}: ${how.not}`);
      continue;
    }
    const from = Date.now();
    const folder = freshClone(home, String((clones += 1)));
    let result = { code: 0, said: '' };
    for (const step of [...(how.after ?? []).map((c) => [c, HOW[c]]), [how.as ?? command, how]])
      if (result.code === 0) result = await run(step[1].as ?? step[0], folder, step[1]);
    const seconds = Math.round((Date.now() - from) / 1000);
    say(`  ${result.code === 0 ? 'runs   ' : 'FAILED '}  ${command} (${seconds} s)`);
    if (result.code !== 0) {
      failed.push(command);
      say(result.said.slice(-1500));
    }
    rmSync(folder, { recursive: true, force: true });
  }
  if (failed.length > 0) process.exitCode = 1;
} catch (error) {
  endWith(error);
} finally {
  if (home) rmSync(home, { recursive: true, force: true });
}
