import { setTimeout as wait } from 'node:timers/promises';
import { performance } from 'node:perf_hooks';
import { reader, whereItIsEight } from '../endure-messages.mjs';
import { say } from '../say.mjs';

const GARDENS = 200;
/** Given up after this, ms. */
const MOST_MS = 4 * 60_000;
const PEOPLE_AT_ONCE = 4;

/** How long the morning lists of many gardens take, from the full minute to the last mail, and how the server answers meanwhile. */
export async function morningLists(stack, view) {
  const zone = whereItIsEight();
  const kept = async () => (await (await fetch(`${stack.mailUrl}/mails`)).json()).length;
  const before = await kept();
  // all are ready when the minute begins: one that is ready earlier gets its list earlier
  const choices = [];
  for (let i = 0; i < GARDENS; i += PEOPLE_AT_ONCE)
    choices.push(...(await Promise.all(Array.from({ length: PEOPLE_AT_ONCE }, () => reader(stack.url, zone)))));
  await wait(60_000 - (Date.now() % 60_000) + 2000);
  await Promise.all(choices.map((choose) => choose()));
  await wait(60_000 - (Date.now() % 60_000));
  const from = performance.now();
  const answers = [];
  while ((await kept()) - before < GARDENS && performance.now() - from < MOST_MS) {
    const asked = performance.now();
    await view();
    answers.push(performance.now() - asked);
    await wait(200);
  }
  const seconds = (performance.now() - from) / 1000;
  const sent = (await kept()) - before;
  answers.sort((a, b) => a - b);
  const late = answers[Math.floor(0.95 * answers.length)] ?? 0;
  say(
    `${`Morning lists of ${GARDENS} gardens, beside normal use`.padEnd(58)} ${sent} mails in ${seconds.toFixed(0)} s, views 95 % ${late.toFixed(0)} ms   aim under 60 s`,
  );
}
