// Ports of the loopback address.
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { Plain, say } from './say.mjs';

const USUAL_PORT = 3210;

/** A port that nobody listens on. */
export const freePort = () =>
  new Promise((done, fail) => {
    const probe = createServer();
    probe.once('error', fail);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => done(port));
    });
  });

const portIsFree = (port) =>
  new Promise((done) => {
    const probe = createServer();
    probe.once('error', () => done(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => done(true)));
  });

/** The port that a program of `home` had before, where it is free; else a new one. What others wrote down of it stays true. */
export async function ownPort(home, name) {
  const file = join(home, `${name}.port`);
  const before = existsSync(file) ? Number(readFileSync(file, 'utf8')) : 0;
  if (before > 0 && (await portIsFree(before))) return before;
  const port = await freePort();
  writeFileSync(file, String(port));
  return port;
}

/** The port that was asked for, else the usual one, else any. */
export async function choosePort(asked) {
  if (asked) {
    const port = Number(asked);
    if (!Number.isInteger(port) || port < 1 || port > 65535)
      throw new Plain(`PORT is "${asked}", which is not a port number.`);
    if (!(await portIsFree(port)))
      throw new Plain(`Port ${port} is taken by another program. Choose another: PORT=${port + 1} npm start`);
    return port;
  }
  if (await portIsFree(USUAL_PORT)) return USUAL_PORT;
  const port = await freePort();
  say(`Port ${USUAL_PORT} is taken; using ${port}.`);
  return port;
}
