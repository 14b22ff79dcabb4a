// One server process by itself, on a database that is there: for trying several of them.
import { spawn } from 'node:child_process';
import { closeSync, openSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { ROOT } from './build.mjs';
import { freePort } from './port.mjs';
import { Plain } from './say.mjs';

/** @returns where it is, and how it is stopped or killed */
export async function startServer({ databaseUrl, secret, log, env = {}, port: wanted = null }) {
  const port = wanted ?? (await freePort());
  const out = openSync(log, 'a', 0o600);
  const child = spawn(process.execPath, [join(ROOT, 'server/dist/main.js')], {
    cwd: ROOT,
    env: {
      ...process.env,
      DATABASE_URL: databaseUrl,
      SESSION_SECRET: secret,
      PORT: String(port),
      SIGN_UPS_PER_HOUR: '100000',
      ...env,
    },
    stdio: ['ignore', out, out],
  });
  closeSync(out);
  const url = `http://127.0.0.1:${port}`;
  for (
    let i = 0;
    !(await fetch(`${url}/api/ready`).then(
      (r) => r.ok,
      () => false,
    ));
    i++
  ) {
    if (child.exitCode !== null || i > 600) throw new Plain(`A server did not start; its log is ${log}.`);
    await wait(100);
  }
  const end = (signal) =>
    new Promise((done) => {
      if (child.exitCode !== null || child.signalCode !== null) return done();
      child.once('exit', done);
      child.kill(signal);
    });
  return { url, port, stop: () => end('SIGTERM'), kill: () => end('SIGKILL') };
}
