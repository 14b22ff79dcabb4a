import type { GardenView, NewCalendarLink } from '@candid-leaf/contract';
import ICAL from 'ical.js';
import { v7 as uuid } from 'uuid';
import { asCalendar } from '../src/calendar/as-calendar.js';
import { withoutSecrets } from '../src/shared/log.js';
import { gardener, useApp } from './app.js';
import { gardenOf } from './gardening.js';

const app = useApp();
const TODAY = '2026-07-18';

/** As another program reads it: an independent parser. */
const eventsOf = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map((v) => {
    const e = new ICAL.Event(v);
    const alarm = v.getFirstSubcomponent('valarm')?.getFirstPropertyValue('trigger');
    return {
      uid: e.uid,
      from: e.startDate.toString(),
      to: e.endDate.toString(),
      allDay: e.startDate.isDate,
      title: e.summary,
      text: e.description,
      alarm: alarm ? String(alarm) : null,
    };
  });

const link = async (g: Awaited<ReturnType<typeof gardenOf>>): Promise<string> =>
  ((await g.agent.post(g.url('/calendar')).expect(200)).body as NewCalendarLink).path;

test('tasks due and dates of the season, read by an independent parser without a session', async () => {
  const g = await gardenOf(app);
  const plant = await g.plant(await g.place({ name: 'Bed' }), { name: 'Red, "one"; two', stage: 'ripening' });
  await g.record('inspection', { plantId: plant }, { date: TODAY, allClear: true, signs: [] });
  const path = await link(g);
  const answer = await app.http().get(path).expect(200);
  expect(answer.headers['content-type']).toMatch(/^text\/calendar/);
  expect(answer.headers['cache-control']).toContain('no-store');
  const events = eventsOf(answer.text);
  const pick = events.find((e) => e.title.startsWith('Check for ripe fruit'))!;
  expect(pick).toMatchObject({ from: TODAY, to: '2026-07-19', allDay: true });
  expect(pick.text).toContain('Red, "one"; two');
  // it rings at seven on its morning; a date of the season does not
  expect(pick.alarm).toBe('PT7H');
  expect(events.find((e) => e.title.startsWith('Top the plant'))).toMatchObject({
    from: '2026-09-16',
    to: '2026-10-01',
    alarm: null,
  });
  // read again, nothing is doubled: each keeps its name
  const again = eventsOf((await app.http().get(path).expect(200)).text);
  expect(again.map((e) => e.uid)).toEqual(events.map((e) => e.uid));
  expect(new Set(events.map((e) => e.uid)).size).toBe(events.length);
});

test('a name of several lines is refused everywhere, and one saved before writes no line of its own', async () => {
  const g = await gardenOf(app);
  const { today: _t, ...garden } = (await g.agent.get(g.url('')).expect(200)).body as GardenView['garden'];
  const name = 'Bed\r\nEND:VCALENDAR\r\nX-EVIL:1';
  await g.agent
    .put('/api/gardens')
    .send({ ...garden, name })
    .expect(400);
  await g.agent.put(g.url('/places')).send({ id: uuid(), name, kind: 'ground', texture: 'loam' }).expect(400);
  const db = await app.connect();
  await db.query('UPDATE garden SET name = ? WHERE id = ?', [name, g.garden]);
  await db.end();
  const { text } = await app
    .http()
    .get(await link(g))
    .expect(200);
  expect(text.split('\r\n').filter((line) => /^(END:VCALENDAR|X-EVIL)/.test(line))).toEqual(['END:VCALENDAR']);
  expect(eventsOf(text)).toEqual(expect.any(Array));
});

test('a link is shown once, and stops working when renewed or revoked; a guess opens nothing', async () => {
  const g = await gardenOf(app);
  const state = async () => (await g.agent.get(g.url('/calendar')).expect(200)).body as { madeAt: string | null };
  expect(await state()).toEqual({ madeAt: null });
  const first = await link(g);
  expect(Object.keys(await state())).toEqual(['madeAt']);
  const second = await link(g);
  await app.http().get(first).expect(404);
  await app.http().get(second).expect(200);
  await g.agent.delete(g.url('/calendar')).expect(204);
  await g.agent.delete(g.url('/calendar')).expect(204);
  await app.http().get(second).expect(404);
  await app.http().get('/api/calendars/guessed/garden.ics').expect(404);
  const db = await app.connect();
  await link(g);
  const [rows] = await db.query('SELECT secretHash FROM calendar_link WHERE gardenId = ?', [g.garden]);
  await db.end();
  expect((rows as { secretHash: string }[])[0]!.secretHash).not.toBe(second.split('/')[3]);
  const stranger = await gardener(app);
  await stranger.agent.post(g.url('/calendar')).expect(404);
});

test('days are whole days, also over New Year and a leap day; the secret of the address is not logged', () => {
  const text = asCalendar(
    'Garden',
    [
      { id: 'a', from: '2027-12-31', to: '2028-01-01', title: 'Over New Year', text: '' },
      { id: 'b', from: '2028-02-29', to: '2028-02-29', title: 'Leap', text: 'one\ntwo' },
    ],
    new Date('2027-12-01T12:00:00Z'),
  );
  expect(eventsOf(text)).toMatchObject([
    { from: '2027-12-31', to: '2028-01-02', allDay: true },
    { from: '2028-02-29', to: '2028-03-01', allDay: true, text: 'one\ntwo' },
  ]);
  expect(withoutSecrets('/api/calendars/abcDEF/garden.ics')).toBe('/api/calendars/…/garden.ics');
  expect(withoutSecrets('/api/messages/done/abc.DEF')).toBe('/api/messages/done/…');
  expect(withoutSecrets('/api/gardens/x/view')).toBe('/api/gardens/x/view');
});

test('tasks on hold are not in the calendar: nothing can be done on that day', async () => {
  const g = await gardenOf(app);
  const plant = await g.plant(await g.place({ name: 'Bed' }), { name: 'Red one', stage: 'ripening' });
  await g.record('spray', { plantId: plant }, { date: TODAY, product: 'copper', name: 'Blue powder', harvestDays: 7 });
  const held = (await g.view()).today.filter((t) => t.held);
  expect(held.map((t) => t.title)).toContain('Do not pick: Red one');
  const titles = eventsOf(
    (
      await app
        .http()
        .get(await link(g))
        .expect(200)
    ).text,
  ).map((e) => e.title);
  expect(titles.length).toBeGreaterThan(0);
  for (const t of held) expect(titles.some((title) => title.startsWith(t.title))).toBe(false);
});
