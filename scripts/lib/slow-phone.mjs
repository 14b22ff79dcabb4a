// How long a slow phone on slow 4G takes until the day's work can be read, the first time and again. A debugger that listens makes the
// browser read all script once more for every error that is prepared (and React prepares some), so the browser is spoken to
// without one: only its processor and its network are slowed. For measuring only.
import { spawn } from 'node:child_process';
import { createRequire } from 'node:module';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { ROOT } from './build.mjs';
import { throwAwayFolder } from './machine.mjs';
import { say } from './say.mjs';

const line = (what, figure) => say(`${what.padEnd(58)} ${figure}`);

/** slow 4G as common tools have it: 150 ms there and back, 1.6 Mbit/s down, 0.75 up */
const SLOW_4G = {
  offline: false,
  latency: 150,
  downloadThroughput: (1.6e6 / 8) * 0.9,
  uploadThroughput: (0.75e6 / 8) * 0.9,
};
const PHONE = { width: 393, height: 727, deviceScaleFactor: 2.75, mobile: true };
/** Notes when the day's work stands on the page, and when the page is kept for the next time. */
const NOTE = `
  new MutationObserver((_, watch) => {
    if (![...document.querySelectorAll('h2')].some((h) => h.textContent === 'Today')) return;
    watch.disconnect();
    requestAnimationFrame(() => setTimeout(() => (globalThis.todayAt = performance.now())));
  }).observe(document, { childList: true, subtree: true });
  navigator.serviceWorker?.ready.then(() => (globalThis.isKept = true));`;

/** The browser's own way of being spoken to. */
async function speakTo(port) {
  const { WebSocket } = createRequire(join(ROOT, 'package.json'))('ws');
  const { webSocketDebuggerUrl } = await (await fetch(`http://127.0.0.1:${port}/json/version`)).json();
  const socket = new WebSocket(webSocketDebuggerUrl, { maxPayload: 1e8 });
  await new Promise((ready, fail) => socket.once('open', ready).once('error', fail));
  const waiting = new Map();
  let last = 0;
  socket.on('message', (text) => {
    const { id, result, error } = JSON.parse(text);
    const answer = waiting.get(id);
    waiting.delete(id);
    if (error) answer?.fail(new Error(error.message));
    else answer?.done(result);
  });
  const send = (method, params = {}, sessionId = undefined) =>
    new Promise((done, fail) => {
      waiting.set(++last, { done, fail });
      socket.send(JSON.stringify({ id: last, method, params, ...(sessionId ? { sessionId } : {}) }));
    });
  return { send, close: () => socket.close() };
}

export async function slowPhone(url, cookie) {
  const home = throwAwayFolder('phone');
  const browser = spawn(
    '/usr/bin/chromium',
    ['--headless=new', '--no-sandbox', '--remote-debugging-port=0', `--user-data-dir=${home}`, 'about:blank'],
    { stdio: ['ignore', 'ignore', 'pipe'] },
  );
  try {
    const port = await new Promise((done) => {
      browser.stderr.on('data', (text) => {
        const found = /ws:\/\/127\.0\.0\.1:(\d+)\//.exec(String(text));
        if (found) done(found[1]);
      });
    });
    const { send, close } = await speakTo(port);
    const visit = async () => {
      const { targetId } = await send('Target.createTarget', { url: 'about:blank' });
      const { sessionId } = await send('Target.attachToTarget', { targetId, flatten: true });
      const tell = (method, params) => send(method, params, sessionId);
      const ask = async (expression) => (await tell('Runtime.evaluate', { expression })).result.value;
      const [name, value] = cookie.split(/=(.*)/s);
      await tell('Network.enable');
      await tell('Network.setCookie', { url, name, value });
      await tell('Emulation.setDeviceMetricsOverride', PHONE);
      await tell('Network.emulateNetworkConditions', SLOW_4G);
      await tell('Emulation.setCPUThrottlingRate', { rate: 4 });
      await tell('Page.enable');
      await tell('Page.addScriptToEvaluateOnNewDocument', { source: NOTE });
      await tell('Page.navigate', { url });
      let at;
      for (let i = 0; at === undefined && i < 200; i++) {
        await wait(200);
        at = await ask('globalThis.todayAt');
      }
      // it stays open until it is kept for the next time
      for (let i = 0; i < 100 && !(await ask('globalThis.isKept')); i++) await wait(200);
      await wait(1500);
      await send('Target.closeTarget', { targetId });
      return at / 1000;
    };
    const first = await visit();
    const again = [];
    for (let i = 0; i < 5; i++) again.push(await visit());
    again.sort((a, b) => a - b);
    line('A phone four times as slow on slow 4G, the first time', `${first.toFixed(1)} s   aim under 4`);
    line(
      '  again, once it is kept on the device',
      `median ${again[2].toFixed(2)} s of five (${again[0].toFixed(2)} to ${again[4].toFixed(2)})   aim under 1.5`,
    );
    close();
  } finally {
    browser.kill();
    await new Promise((gone) => (browser.exitCode !== null ? gone() : browser.once('exit', gone)));
    rmSync(home, { recursive: true, force: true });
  }
}
