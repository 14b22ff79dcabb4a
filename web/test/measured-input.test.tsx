import type { Quantity, Units } from '@candid-leaf/core/units';
import { fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { MeasuredInput } from '../src/ui/measured-input';
import { gardenWith, show } from './page';

interface Given {
  quantity?: Quantity;
  start?: number | null;
  min?: number;
  max?: number;
  units?: Partial<Units>;
}
/** A field in a form of its own; `kept` is what the form holds, metric. */
function field({ quantity = 'litres', start = null, units = {}, ...limits }: Given = {}) {
  const kept: { value: number | null } = { value: start };
  let put: (v: number | null) => void = () => undefined;
  function Form() {
    const [value, setValue] = useState<number | null>(start);
    kept.value = value;
    put = setValue;
    return <MeasuredInput label="Amount" quantity={quantity} value={value} onChange={setValue} {...limits} />;
  }
  show(<Form />, { garden: gardenWith(units) });
  const input = () => screen.getByRole<HTMLInputElement>('textbox');
  return {
    kept,
    input,
    type: (text: string) => fireEvent.change(input(), { target: { value: text } }),
    put: (v: number | null) => put(v),
    fault: () => screen.queryByRole('alert')?.textContent ?? null,
  };
}

test('2.5 and 2,5 are two and a half, never twenty-five', () => {
  const f = field();
  for (const typed of ['2', '2.', '2.5']) {
    f.type(typed);
    expect(f.input().value).toBe(typed); // what is typed stands as it was typed
  }
  expect(f.kept.value).toBe(2.5);
  f.type('2,5');
  expect([f.kept.value, f.input().value, f.fault()]).toEqual([2.5, '2,5', null]);
});

test('empty means unknown; an invalid number is reported and differs from empty', () => {
  const f = field({ start: 3 });
  f.type('');
  expect([f.kept.value, f.fault()]).toEqual([null, null]);
  f.type('a few');
  expect(f.kept.value).toBeNaN();
  expect(f.fault()).toBe('Amount (L) must be a number, such as 2.5 or 2,5');
  expect(f.input().getAttribute('aria-invalid')).toBe('true');
  expect(f.input().value).toBe('a few');
});

test('shown in the gardener’s unit, saved in metric', () => {
  const gallons = field({ start: 3.785411784, units: { volume: 'gal-us' } });
  expect(gallons.input().value).toBe('1');
  expect(screen.getByLabelText('Amount (US gal)')).toBe(gallons.input());
  gallons.type('2');
  expect(gallons.kept.value).toBeCloseTo(7.5708, 3);
});

test('degrees Fahrenheit go through the freezing point', () => {
  const f = field({ quantity: 'celsius', units: { temperature: 'F' } });
  f.type('32');
  expect(f.kept.value).toBeCloseTo(0, 9);
  f.type('-40');
  expect(f.kept.value).toBeCloseTo(-40, 9);
});

test('limits are metric, and shown in the chosen unit', () => {
  const f = field({ min: 0.5, max: 100, units: { volume: 'gal-us' } });
  f.type('0.1');
  expect(f.fault()).toMatch(/must be 0\.132 or more/);
  f.type('50');
  expect(f.fault()).toMatch(/must be 26(\.\d+)? or less/);
  f.type('5');
  expect(f.fault()).toBeNull();
});

test('a new value from outside replaces the text; its own does not come back rounded', () => {
  const f = field();
  f.type('2.50');
  expect(f.input().value).toBe('2.50');
  fireEvent.blur(f.input());
  expect(f.input().value).toBe('2.50');
});
