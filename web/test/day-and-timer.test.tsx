import type { RibbonDay } from '@candid-leaf/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { DayPanel } from '../src/features/garden/components/day-panel';
import '../src/data/all-writes';
import { HoseTimer } from '../src/features/settings/components/hose-timer';
import { fakeServer, gardenWith, show } from './page';

/** A day's own gauge, the garden's hose timer, and what is said when the server could not keep it. */
const day = (gauge: NonNullable<RibbonDay['weather']>['gauge']): RibbonDay => ({
  day: '2026-07-17',
  done: {},
  due: 0,
  weather: {
    day: '2026-07-17',
    kind: 'observed',
    tMinC: 15,
    tMaxC: 28,
    rainMm: gauge?.rainMm ?? 3,
    gauge,
    rainChancePct: null,
    rhMeanPct: null,
    windMs: null,
    solarMj: null,
    wetHours: null,
    nightC: null,
    source: 'own',
  },
});

test('a reading is a record of the garden’s day; changed, it keeps its id; emptied, it is deleted and can be restored', async () => {
  const server = fakeServer();
  const { again } = show(<DayPanel service={null} day={day(null)} />);
  const field = () => screen.getByLabelText('Your rain gauge (mm)');
  fireEvent.change(field(), { target: { value: '12' } });
  fireEvent.click(screen.getByRole('button', { name: 'Save' }));
  await screen.findByText('Your rain gauge counts for this day.');
  expect(server.sent[0]).toMatchObject({
    method: 'PUT',
    path: '/api/gardens/garden/records',
    body: { type: 'rain-gauge', data: { date: '2026-07-17', rainMm: 12 } },
  });
  again(<DayPanel service={null} key="read" day={day({ recordId: 'r1', version: 2, rainMm: 12 })} />);
  screen.getByText('12 mm in your own rain gauge');
  fireEvent.change(field(), { target: { value: '' } });
  fireEvent.change(field(), { target: { value: '9' } });
  fireEvent.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() =>
    expect(server.sent.some((s) => (s.body as { version?: number } | null)?.version === 2)).toBe(true),
  );
  fireEvent.change(field(), { target: { value: '' } });
  fireEvent.click(screen.getByRole('button', { name: 'Save' }));
  await screen.findByText('The weather service counts for this day again.');
  expect(server.sent.at(-1)).toMatchObject({ method: 'DELETE', path: '/api/gardens/garden/records/r1' });
  fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
  await waitFor(() => expect(server.sent.at(-1)!.path).toBe('/api/gardens/garden/records/r1/restore'));
});

test('a full disk is reported at the field, and what was typed stays', async () => {
  fakeServer(() => ({ status: 507, body: { message: 'This could not be kept: there is no room left on the disk.' } }));
  show(<DayPanel service={null} day={day(null)} />);
  const field = screen.getByLabelText('Your rain gauge (mm)');
  fireEvent.change(field, { target: { value: '12' } });
  fireEvent.click(screen.getByRole('button', { name: 'Save' }));
  await screen.findByText(/This could not be kept: there is no room left/);
  expect((field as HTMLInputElement).value).toBe('12');
});

describe('the hose timer', () => {
  const settings = { address: 'http://10.0.0.7:80/boxes/a', allowed: ['http://10.0.0.7:80'] };
  test('its address is shown and its secret is not; the server’s refusal appears at the field', async () => {
    const server = fakeServer(({ method }) =>
      method === 'GET'
        ? { status: 200, body: settings }
        : {
            status: 400,
            body: { message: 'no', faults: [{ path: 'address', reason: 'this server may ask timers at … only' }] },
          },
    );
    show(<HoseTimer garden={gardenWith()} />);
    const address = await screen.findByLabelText<HTMLInputElement>('Address');
    expect(address.value).toBe(settings.address);
    expect(screen.getByLabelText<HTMLInputElement>('Secret').value).toBe('');
    fireEvent.change(address, { target: { value: '' } });
    fireEvent.change(address, { target: { value: 'http://192.0.2.9/x' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save timer' }));
    await screen.findByText('Address this server may ask timers at … only');
    // an empty secret is none: the one that is kept stays
    expect(server.sent.at(-1)).toMatchObject({ method: 'PUT', body: { address: 'http://192.0.2.9/x', secret: null } });
  });

  test('where the server may call none, it says so, and nothing can be entered', async () => {
    fakeServer(() => ({ status: 200, body: { address: null, allowed: [] } }));
    show(<HoseTimer garden={gardenWith()} />);
    await screen.findByText(/This server can’t contact hose timers/);
    expect(screen.queryByLabelText('Address')).toBeNull();
  });
});
