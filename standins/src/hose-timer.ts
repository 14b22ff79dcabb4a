import { createServer } from 'node:http';
import { isDay } from '@candid-leaf/core/units';

/**
 * Simulated hose timers: boxes on taps that run programmes and keep a log. An unpaired box accepts the first secret
 * it is shown and from then on no other.
 *
 *   PUT  /boxes/NAME/zones/N/program   { flowLPerH, runs: [{ date, start, minutes, times, waitMinutes }] }  replaces it
 *   GET  /boxes/NAME/zones/N/program
 *   GET  /boxes/NAME/zones/N/log?from&to   what ran on those days: [{ date, minutes, litres }]
 *   POST /fault?box=NAME&clogged=true|false&offline=true|false
 *
 * All but the last with `Authorization: Bearer SECRET`. They have no clock: a day has run once someone asks about it,
 * so a paused garden can use them.
 */
interface Run {
  date: string;
  start: string;
  /** minutes of water per round */
  minutes: number;
  times: number;
  waitMinutes: number;
}

interface Program {
  flowLPerH: number;
  runs: Run[];
}

export interface Logged {
  date: string;
  minutes: number;
  litres: number;
}

/** Share of the flow through a clogged filter. */
const CLOGGED = 0.4;

export interface HoseTimer {
  url: string;
  close(): Promise<void>;
}

const isRun = (r: unknown): r is Run => {
  const run = r as Run;
  return isDay(run?.date) && run.minutes > 0 && run.minutes <= 720 && run.times >= 1 && run.waitMinutes >= 0;
};

class Box {
  private readonly programs = new Map<string, Program>();
  private readonly done = new Map<string, Map<string, Logged>>();
  private secret: string | null = null;
  readonly fault = { clogged: false, offline: false };

  /** Pairs with the first secret; later ones must match. */
  knows(secret: string | undefined): boolean {
    if (!secret) return false;
    this.secret ??= secret;
    return secret === this.secret;
  }

  program(zone: string): Program {
    return this.programs.get(zone) ?? { flowLPerH: 0, runs: [] };
  }

  load(zone: string, program: Program): void {
    this.programs.set(zone, program);
  }

  /** Runs the programmes of these days once, with the current fault. */
  log(zone: string, from: string, to: string): Logged[] {
    const done = this.done.get(zone) ?? new Map<string, Logged>();
    this.done.set(zone, done);
    const { flowLPerH, runs } = this.program(zone);
    for (const r of runs) {
      if (r.date < from || r.date > to || done.has(r.date)) continue;
      const minutes = r.minutes * r.times;
      const litres = (minutes / 60) * flowLPerH * (this.fault.clogged ? CLOGGED : 1);
      done.set(r.date, { date: r.date, minutes, litres: Math.round(litres * 10) / 10 });
    }
    return [...done.values()].filter((l) => l.date >= from && l.date <= to).sort((a, b) => (a.date < b.date ? -1 : 1));
  }
}

/** Starts the boxes on a loopback port; 0 takes any free one. */
export function startHoseTimer(port = 0): Promise<HoseTimer> {
  const boxes = new Map<string, Box>();
  const boxOf = (name: string): Box => {
    const box = boxes.get(name) ?? new Box();
    boxes.set(name, box);
    return box;
  };

  const server = createServer((request, response) => {
    const send = (status: number, body: unknown): void => {
      response.writeHead(status, { 'content-type': 'application/json' }).end(JSON.stringify(body));
    };
    const url = new URL(request.url ?? '/', 'http://timer');
    if (request.method === 'POST' && url.pathname === '/fault') {
      const { fault } = boxOf(url.searchParams.get('box') ?? '');
      for (const key of ['clogged', 'offline'] as const)
        if (url.searchParams.has(key)) fault[key] = url.searchParams.get(key) === 'true';
      return send(200, fault);
    }
    const [, name, zone, what] = /^\/boxes\/([\w-]+)\/zones\/([1-8])\/(program|log)$/.exec(url.pathname) ?? [];
    if (!name || !zone) return send(404, { message: 'boxes have zones 1 to 8, each with a program and a log' });
    const box = boxOf(name);
    if (box.fault.offline) return send(503, { message: 'the timer is offline' });
    if (!box.knows(/^Bearer (.+)$/.exec(request.headers.authorization ?? '')?.[1]))
      return send(401, { message: 'this box is paired with somebody else' });
    if (what === 'log') {
      const [from, to] = [url.searchParams.get('from'), url.searchParams.get('to')];
      if (!isDay(from) || !isDay(to)) return send(400, { message: 'from and to must be days' });
      return send(200, box.log(zone, from, to));
    }
    if (request.method !== 'PUT') return send(200, box.program(zone));
    let text = '';
    request.on('data', (part: Buffer) => (text += part.toString()));
    request.on('end', () => {
      let body: Program;
      try {
        body = JSON.parse(text) as Program;
      } catch {
        return send(400, { message: 'the program is not JSON' });
      }
      if (!(body.flowLPerH > 0) || !Array.isArray(body.runs) || !body.runs.every(isRun))
        return send(400, { message: 'a program has a flow and runs, each with a day, minutes and times' });
      box.load(zone, body);
      send(200, body);
    });
  });
  return new Promise((done, fail) => {
    server.once('error', fail);
    server.listen(port, '127.0.0.1', () => {
      const address = server.address();
      const bound = typeof address === 'object' && address ? address.port : port;
      done({ url: `http://127.0.0.1:${bound}`, close: () => new Promise((ok) => server.close(() => ok())) });
    });
  });
}
