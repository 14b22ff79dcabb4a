// The programs of one start. They are watched: what ends by itself is begun again, with growing pauses, and it is said. They end together, the
// last first, whether the starter ends them or is killed.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { ROOT } from './build.mjs';
import { commandOf, endProcess } from './processes.mjs';
import { Plain } from './say.mjs';

const LONGEST_PAUSE_MS = 30_000;
const SHORTEST_PAUSE_MS = 200;

export class Crew {
  #members = [];
  #keeper = null;
  #stopping = false;
  #tell;

  constructor(tell) {
    this.#tell = tell;
  }

  get stopping() {
    return this.#stopping;
  }

  /**
   * Begins a program and keeps it running.
   * @param begin (took) => Promise<ChildProcess>, once it answers; called again whenever it has ended by itself. It gives its process to
   *   `took` as soon as there is one
   */
  async add({ name, what, patienceMs, begin }) {
    const member = { name, what, patienceMs, begin, child: null };
    this.#members.push(member);
    await this.#launch(member);
  }

  /** The process that runs under a name now. */
  pidOf(name) {
    return this.#members.find((m) => m.name === name)?.child?.pid;
  }

  /** Tells the keeper of a process at the moment it is there, so that one killed before it answers is ended too. */
  took(child, patienceMs) {
    this.#tellKeeper({ pid: child.pid, command: commandOf(child.pid), patienceMs });
    child.once('exit', () => this.#tellKeeper({ pid: child.pid, gone: true }));
    if (this.#stopping) child.kill('SIGTERM');
  }

  async stop() {
    this.#stopping = true;
    for (const { child, patienceMs } of [...this.#members].reverse())
      if (child && child.exitCode === null && child.signalCode === null)
        await endProcess({ pid: child.pid, command: commandOf(child.pid) }, patienceMs);
    this.#keeper?.stdin.end();
    this.#keeper = null;
  }

  async #launch(member) {
    if (this.#stopping) throw new Plain('Stopped while starting.');
    const child = await member.begin((c) => {
      member.child = c;
      this.took(c, member.patienceMs);
    });
    // it may have ended between answering and now
    if (child.exitCode !== null || child.signalCode !== null) throw new Plain(`${member.what} ended while starting.`);
    child.once('exit', (code, signal) => void this.#ended(member, signal ?? `code ${code}`));
  }

  /** One that was up is begun again at once; one that does not come up, after a pause that grows. */
  async #ended(member, how) {
    for (let pause = SHORTEST_PAUSE_MS; !this.#stopping; pause = Math.min(LONGEST_PAUSE_MS, pause * 2)) {
      this.#tell(`${member.what} ended by itself (${how}). It is started again …`);
      await wait(pause);
      if (this.#stopping) return;
      try {
        await this.#launch(member);
        return this.#tell(`${member.what} is back.`);
      } catch (error) {
        how = error.message.split('\n')[0];
      }
    }
  }

  #tellKeeper(word) {
    if (!this.#keeper) {
      if (this.#stopping) return;
      this.#keeper = spawn(process.execPath, [join(ROOT, 'scripts/lib/keeper.mjs')], {
        stdio: ['pipe', 'ignore', 'ignore'],
        detached: true,
      });
      this.#keeper.stdin.on('error', () => {});
      this.#keeper.unref();
    }
    this.#keeper.stdin.write(`${JSON.stringify(word)}\n`);
  }
}
