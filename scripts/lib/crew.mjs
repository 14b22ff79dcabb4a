// The programs of one start. They are watched: what ends by itself is begun again, with growing pauses, and it is said. They end together, the
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
   * Makes a program known before there is anything of it, so that whatever it has begun by then is ended with the others.
   * @param mark the word that its command line carries: by it, and by nothing else, it is found again and ended
   */
  async expect({ name, what, mark, patienceMs }) {
    if (this.#stopping) throw new Plain('Stopped while starting.');
    this.#members.push({ name, what, mark, patienceMs, begin: null, child: null });
    await this.#tellKeeper({ mark, patienceMs });
  }

  /**
   * Begins a program that is expected, and keeps it running.
   * @param begin () => Promise<ChildProcess>, once it answers; called again whenever it was archived by itself
   */
  async begin(name, begin) {
    const member = this.#members.find((m) => m.name === name);
    member.begin = begin;
    await this.#launch(member);
  }

  /** The process that runs under a name now. */
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
