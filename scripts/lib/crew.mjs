// The programs of one start. One that ends by itself is restarted, with growing pauses and a message. They end together, the
// last first, whether the starter ends them or is killed.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { ROOT } from './build.mjs';
import { endMarked } from './processes.mjs';
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
   * Registers a program before it runs, so that whatever it has begun by then ends with the others.
   * @param mark the word in its command line by which, and only by which, it is found and ended
   */
  async expect({ name, what, mark, patienceMs }) {
    if (this.#stopping) throw new Plain('Stopped while starting.');
    this.#members.push({ name, what, mark, patienceMs, begin: null, child: null });
    await this.#tellKeeper({ mark, patienceMs });
  }

  /**
   * Starts a registered program and keeps it running.
   * @param begin () => Promise<ChildProcess>, once it answers; called again whenever it ends by itself
   */
  async begin(name, begin) {
    const member = this.#members.find((m) => m.name === name);
    member.begin = begin;
    await this.#launch(member);
  }

  /** Returns the process that runs under a name now. */
  pidOf(name) {
    return this.#members.find((m) => m.name === name)?.child?.pid;
  }

  async stop() {
    this.#stopping = true;
    for (const { mark, patienceMs } of [...this.#members].reverse()) await endMarked(mark, patienceMs);
    this.#keeper?.stdin.end();
    this.#keeper = null;
  }

  async #launch(member) {
    if (this.#stopping) throw new Plain('Stopped while starting.');
    const child = await member.begin();
    member.child = child;
    // it may have ended between answering and now
    if (child.exitCode !== null || child.signalCode !== null) throw new Plain(`${member.what} ended while starting.`);
    child.once('exit', (code, signal) => void this.#ended(member, signal ?? `code ${code}`));
    if (this.#stopping) await endMarked(member.mark, member.patienceMs);
  }

  /** Restarts at once what was up; what does not come up, after a growing pause. */
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
      this.#keeper = spawn(process.execPath, [join(ROOT, 'scripts/lib/keeper.mjs')], {
        stdio: ['pipe', 'ignore', 'ignore'],
        detached: true,
      });
      this.#keeper.stdin.on('error', () => {});
      this.#keeper.unref();
    }
    return new Promise((done) => this.#keeper.stdin.write(`${JSON.stringify(word)}\n`, () => done()));
  }
}
