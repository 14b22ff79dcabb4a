import { RECORD_TYPE_CODES, RECORD_TYPES, type RecordType } from '@candid-leaf/core/records';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import '../src/data/all-writes';
import { RecordForm } from '../src/frame/acts/record-form';
import { RECORD_FORMS } from '../src/frame/acts/record-forms';
import { fakeServer, show, TODAY, gardenWith } from './page';

const target = { plantId: 'p1', placeId: null, name: 'Paste' } as never;
const form = (kind: RecordType, units = {}) => {
  let done = false;
  show(<RecordForm kind={kind} target={target} day={TODAY} record={undefined} onDone={() => (done = true)} />, {
    garden: gardenWith(units),
  });
  return {
    put: (label: RegExp, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } }),
    submit: () => fireEvent.click(screen.getByRole('button', { name: 'Save record' })),
    isDone: () => done,
  };
};

test('every record form asks for fields of its own class', () => {
  for (const kind of RECORD_TYPE_CODES.filter((k) => RECORD_TYPES[k].offeredOn.length > 0)) {
    const { asks } = RECORD_FORMS[kind];
    expect([kind, asks.length > 0]).toEqual([kind, true]);
    expect(new Set(asks.map((a) => a.name)).size).toBe(asks.length);
    expect(RECORD_TYPES[kind].label.length).toBeGreaterThan(2);
  }
});

test('the last amount counts, empty fields are not sent, units convert to metric', async () => {
  const { sent } = fakeServer((s) => ({ status: 200, body: s.body }));
  const f = form('watering', { volume: 'gal-us' });
  f.put(/Per plant/, '2');
  f.put(/Per plant/, '1');
  f.submit();
  await waitFor(() => expect(f.isDone()).toBe(true));
  const { data } = (sent[0]!.body as { data: { litres: number } }) ?? {};
  expect(data).toEqual({ date: TODAY, litres: expect.closeTo(3.785, 2) as number });
});

test('an invalid number is not sent', () => {
  const { sent } = fakeServer();
  const f = form('watering');
  f.put(/Per plant/, 'some');
  f.submit();
  expect(sent).toEqual([]);
  expect(screen.getByText(/type it, or choose “Not sure”/)).toBeTruthy();
  // the cursor is where something is wrong
  expect(document.activeElement).toBe(screen.getByLabelText(/Per plant/));
});

test('an empty amount is not taken for an unknown one', () => {
  const { sent } = fakeServer();
  form('watering').submit();
  expect(sent).toEqual([]);
});

test('each fault of the server appears at its field; others above the button; nothing is lost', async () => {
  fakeServer(() => ({
    status: 400,
    body: {
      message: 'Not kept.',
      faults: [
        { path: 'data.litres', reason: 'must be 200 or less' },
        { path: 'plantId', reason: 'is retired' },
      ],
    },
  }));
  const f = form('watering');
  f.put(/Per plant/, '900');
  f.submit();
  await screen.findByText('is retired');
  const field = screen.getByLabelText<HTMLInputElement>(/Per plant/);
  expect(field.value).toBe('900');
  expect(document.getElementById(field.getAttribute('aria-describedby')!)!.textContent).toContain(
    'must be 200 or less',
  );
  expect(f.isDone()).toBe(false);
});
