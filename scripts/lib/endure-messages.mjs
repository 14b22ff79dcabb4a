// Morning lists while the server is killed: nobody is left out, and nobody gets two.
import { randomUUID } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';
import { answers, comesAbout, outcome, writer } from './endure.mjs';

const TODAY = '2026-07-18';
const PEOPLE = 40;
/** The server looks once a minute; what a killed one had begun is taken up two minutes later. */
const ALL_SENT_MS = 5 * 60_000;
/** After the full minute, ms: while lists are made, and while they are sent. */
const MOMENTS = [500, 1500, 2500, 4000];

/** A time zone in which it is eight in the morning: the lists are due at once. */
export function whereItIsEight() {
  const ahead = ((8 - new Date().getUTCHours() + 36) % 24) - 12;
  return ahead === 0 ? 'Etc/GMT' : `Etc/GMT${ahead > 0 ? '-' : '+'}${Math.abs(ahead)}`;
}

const nextMinute = () => wait(60_000 - (Date.now() % 60_000));

/** @returns the row of the table: people, and mails lost or doubled */
export async function messagesOverKills(stack) {
  const row = outcome('kills while morning lists go out');
  const zone = whereItIsEight();
  const people = [];
  for (let i = 0; i < PEOPLE; i++) people.push(await (await reader(stack.url, zone))());
  for (const moment of MOMENTS) {
    await nextMinute();
    await wait(moment);
    const pid = stack.pidOf('server');
    process.kill(pid, 'SIGKILL');
    row.tried += 1;
    await comesAbout(row, async () => stack.pidOf('server') !== pid && (await answers(stack.url)));
  }
  const mailsTo = async (email) =>
    (await (await fetch(`${stack.mailUrl}/mails?to=${encodeURIComponent(email)}`)).json()).length;
  const until = Date.now() + ALL_SENT_MS;
  let counts = [];
  do {
    await wait(5000);
    counts = await Promise.all(people.map(mailsTo));
  } while (counts.includes(0) && Date.now() < until);
  row.writes = PEOPLE;
  row.lost = counts.filter((n) => n === 0).length;
  row.doubled = counts.filter((n) => n > 1).length;
  return row;
}

/** A person with a dry bed. Returns how they choose the morning list by mail, which returns their address. */
export async function reader(url, timeZone) {
  const w = await writer(url);
  const { GARDEN } = await import('@candid-leaf/demo');
  const { garden } = await (await w.must('GET', `${w.at}/view`)).json();
  await w.must('PUT', '/gardens', { ...GARDEN, id: w.garden, version: garden.version, timeZone });
  const dry = {
    id: randomUUID(),
    type: 'soil-check',
    plantId: w.plant,
    data: { date: TODAY, feel: 'dry', depthCm: 5 },
  };
  await w.must('PUT', `${w.at}/records`, dry);
  const choice = { morning: true, warnings: true, byMail: true, byPush: false, quietFrom: 21, quietUntil: 7 };
  return async () => (await (await w.must('PUT', `${w.at}/messages`, choice)).json()).mailTo;
}
