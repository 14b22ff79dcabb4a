import type { PlacePlanDto } from '@candid-leaf/contract';
import { Watering } from '@candid-leaf/core/records';
import type { PlanDay } from '@candid-leaf/core/water';
import { disordersFor } from '../src/features/handbook/search';
import { overAll, unknownOf, weekOf, withoutRain } from '../src/features/water/week-of';
import { ApiError } from '../src/lib/api';
import { sentence, whereAndWhy, wordOf, wordsOrUnknown } from '../src/lib/words';
import { faultsIn } from '../src/ui/faults';
import { applyFaults, resolverFor } from '../src/ui/form-faults';

describe('the week of a place', () => {
  const day = (date: string, litres: number) => ({ date, litres, rainMm: 1, allowed: true }) as PlanDay;
  const pour = (plants: string[], litres: [number, number], short: { date: string; litres: number } | null) => ({
    id: plants.join(),
    plants,
    plan: {
      days: [day('2026-07-18', litres[0]), day('2026-07-19', litres[1])],
      litres: litres[0] + litres[1],
      withoutRain: short,
    },
  });
  const plan = (...pours: unknown[]) => ({ pours }) as unknown as PlacePlanDto;
  const two = plan(
    pour(['a', 'b'], [2, 0], { date: '2026-07-21', litres: 3 }),
    pour(['c'], [1, 4], { date: '2026-07-20', litres: 5 }),
    { id: 'none', plants: ['d'], plan: null },
  );
  test('adds up all waterings, each times its plants; unknown ones are left out', () => {
    expect(weekOf(two).map((d) => [d.date, d.litres, d.pours.length])).toEqual([
      ['2026-07-18', 5, 2],
      ['2026-07-19', 4, 2],
    ]);
    expect(overAll(two, (p) => p.litres)).toBe(2 * 2 + 5);
    expect(weekOf(plan({ id: 'x', plants: ['d'], plan: null }))).toEqual([]);
  });
  test('without rain the first to run short is named, with what all of that day need', () => {
    expect(withoutRain(two)).toEqual({ date: '2026-07-20', litres: 5 });
    // of plants whose water nobody recorded nothing is ordered or ruled out
    const unknown = { id: 'u', plants: ['e'], plan: null, known: false, speaker: 'Far one' };
    expect(unknownOf(plan(unknown))).toEqual(['Far one']);
    expect(unknownOf(plan({ ...unknown, known: true }, { ...unknown, plants: [] }))).toEqual([]);
    const same = plan(
      pour(['a', 'b'], [0, 0], { date: '2026-07-20', litres: 3 }),
      pour(['c'], [0, 0], { date: '2026-07-20', litres: 5 }),
    );
    expect(withoutRain(same)).toEqual({ date: '2026-07-20', litres: 11 });
    expect(withoutRain(plan(pour(['a'], [0, 0], null)))).toBeNull();
  });
});

describe('faults of a form', () => {
  const check = (values: object) =>
    resolverFor(Watering)(values as Watering, undefined, { fields: {}, shouldUseNativeValidation: false });
  test('are those of the class that the server checks with, each at its field', async () => {
    expect((await check({ date: '2026-07-18', litres: 2 })).values).toMatchObject({ litres: 2 });
    const { errors } = await check({ date: 'soon', litres: -1 });
    expect(Object.keys(errors).sort()).toEqual(['date', 'litres']);
    expect((errors as { litres: { message: string } }).litres.message.length).toBeGreaterThan(3);
  });
  test('of the server go to their fields, others above the button', () => {
    const put: [string, string][] = [];
    const setError = (path: string, { message }: { message?: string }) => put.push([path, message ?? '']);
    applyFaults(new ApiError(400, 'Not kept.', [{ path: 'name', reason: 'is empty' }]), setError as never);
    applyFaults(new ApiError(409, 'Changed meanwhile.', []), setError as never);
    applyFaults(new TypeError('fetch failed'), setError as never);
    expect(put).toEqual([
      ['name', 'is empty'],
      ['root', 'Changed meanwhile.'],
      ['root', 'We can’t reach the server. Nothing you wrote is lost.'],
    ]);
    expect(faultsIn(null)).toEqual([]);
    expect(faultsIn(new ApiError(409, 'Changed meanwhile.', []))).toEqual([{ path: '', reason: 'Changed meanwhile.' }]);
    expect(faultsIn(new TypeError('x'))[0]!.reason).toContain('Nothing you wrote is lost');
  });
});

test('words for codes and sentences', () => {
  expect(wordOf('clay-loam')).toBe('Clay loam');
  expect(wordsOrUnknown(['deep'])[0]).toEqual(['', 'not known']);
  expect(sentence('it held')).toBe('It held.');
  expect(sentence('did it?')).toBe('Did it?');
});

describe('the handbook’s search', () => {
  test('finds by name, by sign and by cause, with a typing error', () => {
    expect(disordersFor('blossom end rot')![0]).toBe('blossom-end-rot');
    expect(disordersFor('blosom end')![0]).toBe('blossom-end-rot');
    expect(disordersFor('target spots')).toContain('early-blight');
    expect(disordersFor('   ')).toBeNull();
    expect(disordersFor('qqqqqq')).toEqual([]);
  });
});

test('a task names its place once: not again in its reason if the title has it', () => {
  const task = { title: 'Heat: Tunnel', where: 'Tunnel', why: '32 °C is forecast' };
  expect(whereAndWhy(task)).toBe('32 °C is forecast.');
  expect(whereAndWhy({ ...task, title: 'Water Red one' })).toBe('Tunnel. 32 °C is forecast.');
});
