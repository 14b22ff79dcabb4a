import type { GardenView, PlantOnView, TaskDto } from '@candid-leaf/contract';
import { PlaceInput } from '@candid-leaf/contract';
import { checked } from '@candid-leaf/core/records';
import { inNeed, marksOf } from '../src/features/garden/marks';
import { plantedAs } from '../src/frame/acts/age';
import { placeOf, PRESET_CODES } from '../src/frame/acts/presets';
import { freeName, numbered, withoutNumber } from '../src/lib/plant-names';
import { waysOf } from '../src/lib/own-ways';

const TODAY = '2026-07-18';
const plant = (more: Partial<PlantOnView> = {}): PlantOnView =>
  ({
    plant: { id: 'p' },
    fractionAvailable: 0.8,
    finding: null,
    unclear: false,
    lastLook: null,
    ...more,
  }) as PlantOnView;
const task = (more: Partial<TaskDto>): TaskDto =>
  ({ plantId: null, placeId: 'bed', dueOn: TODAY, source: 'walk', ...more }) as TaskDto;
const finding = (harmless: boolean): PlantOnView['finding'] => ({
  disorder: 'sunscald',
  label: 'Sunscald',
  probability: 0.9,
  harmless,
});

describe('a plant’s marks', () => {
  test('the most urgent first, each by what is known', () => {
    const picks = task({ picks: true, plantIds: ['p'], source: 'pick' });
    expect(marksOf(plant({ finding: finding(false), fractionAvailable: 0.1 }), 'bed', [picks], TODAY)).toEqual([
      'sick',
      'dry',
      'ripe',
    ]);
    expect(marksOf(plant({ fractionAvailable: 1 }), 'bed', [], TODAY)).toEqual(['wet']);
    expect(marksOf(plant({ fractionAvailable: null, finding: finding(true) }), 'bed', [], TODAY)).toEqual([]);
  });

  test('a task counts for its own plants, from its day on, and not while it waits', () => {
    const walk = { walk: { why: [], undersides: false, parts: [] } };
    const marks = (t: Partial<TaskDto>) => marksOf(plant(), 'bed', [task({ ...walk, ...t })], TODAY);
    expect(marks({})).toEqual(['look']);
    expect(marks({ placeId: 'other' })).toEqual([]);
    expect(marks({ plantIds: ['q'] })).toEqual([]);
    expect(marks({ plantId: 'q' })).toEqual([]);
    expect(marks({ dueOn: '2026-07-19' })).toEqual([]);
    expect(marks({ held: { until: '2026-07-20', because: 'rain' } })).toEqual([]);
    expect(marksOf(plant({ lastLook: TODAY }), 'bed', [task(walk)], TODAY)).toEqual([]);
  });

  test('in a large garden only marks that need an act are shown; wet soil needs none', () => {
    const places = [
      {
        place: { id: 'bed' },
        plants: [plant({ fractionAvailable: 1 }), plant({ plant: { id: 'q' } as never, unclear: true })],
      },
    ];
    expect([...inNeed({ places, today: [], garden: { today: TODAY } } as unknown as GardenView)]).toEqual(['q']);
  });
});

describe('a bed and its plants in one step', () => {
  test.each(PRESET_CODES)('%s passes the checks of every place', (code) => {
    const place = placeOf(code, '0190e2a4-0000-7000-8000-000000000001', 'One', { plants: 6, apartM: 0.45 });
    expect(checked(PlaceInput, place)).toMatchObject({ name: 'One' });
    // six at 45 cm are 2.7 m of bed; what stands in pots has no length
    expect('lengthM' in place ? place.lengthM : null).toBe(['pots', 'bags', 'sill'].includes(code) ? null : 2.7);
  });

  test('the entered size of a pot stays', () => {
    const pot = (volumeL?: number) => placeOf('pots', 'p', 'One', { plants: 1, apartM: 0.5, volumeL }).volumeL;
    expect(pot()).toBe(20);
    expect(pot(8)).toBe(8);
  });

  test('names count on from the existing ones', () => {
    expect(numbered('Tomato', 2, ['Tomato 3', 'Tomato', 'Pepper 9', 'Old Tomato 7'])).toEqual(['Tomato 4', 'Tomato 5']);
    // one that stands without a number is the first of them
    expect(numbered('South cordon', 1, ['South cordon'])).toEqual(['South cordon 2']);
    expect(withoutNumber('South cordon 12')).toBe('South cordon');
    expect(freeName('Pots', ['Pots', 'Pots 2'])).toBe('Pots 3');
  });
});

test.each([
  ['en-US', 'us', 'sunday', 'MMMM d'],
  ['en', 'us', 'sunday', 'MMMM d'],
  ['de-CH', 'metric', 'monday', 'd MMMM'],
  ['en-GB', 'metric', 'monday', 'd MMMM'],
  ['ja', 'metric', 'sunday', 'yyyy-MM-dd'],
  ['not a language', 'metric', 'monday', 'd MMMM'],
] as const)('a device with the language %s', (language, units, weekStart, dateForm) => {
  expect(waysOf(language)).toEqual({ units, weekStart, dateForm });
});

test('an age as people say it becomes a planting day, marked as a guess unless it is today', () => {
  const garden = { today: TODAY, latitude: 45, lastFrost: '04-18', firstFrost: '10-28' } as GardenView['garden'];
  expect(plantedAs('today', garden, 'tomato')).toEqual({ transplantedOn: TODAY });
  expect(plantedAs('spring', garden, 'tomato')).toEqual({ transplantedOn: '2026-05-06', plantedAbout: true });
  expect(plantedAs('half', garden, 'tomato')).toEqual({ transplantedOn: '2026-06-13', plantedAbout: true });
  expect(plantedAs('bearing', garden, 'pepper')).toEqual({
    transplantedOn: '2026-05-13',
    plantedAbout: true,
    stage: 'fruiting',
  });
  // fruit takes its weeks, however late the frost was
  expect(plantedAs('bearing', { ...garden, lastFrost: '06-20' }, 'tomato').transplantedOn).toBe('2026-05-29');
});
