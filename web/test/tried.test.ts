import { parseCase } from '@candid-leaf/core/casefile';
import { assessPlace } from '@candid-leaf/core/assessment';
import { METRIC_FORMAT } from '@candid-leaf/core/units';
import { caseOfTried, inputsOf, noteTried, TRIED_PLACES, TRIED_RHYTHMS, triedHere, type Tried } from '../src/lib/tried';

const TRIED: Tried = {
  crop: 'tomato',
  place: 'small-pot',
  rhythm: 'weekly',
  day: '2026-07-18',
  signs: [{ sign: 'fruit-blossom-end-dark', present: true }],
};
const caseOf = (more: Partial<Tried> = {}, zone = 'Europe/Rome') => parseCase(caseOfTried({ ...TRIED, ...more }, zone));

test('every answer a visitor can give makes a case that is read; waterings follow the rhythm, with unknown amounts', () => {
  for (const place of Object.keys(TRIED_PLACES) as Tried['place'][])
    for (const rhythm of Object.keys(TRIED_RHYTHMS) as Tried['rhythm'][])
      for (const crop of ['tomato', 'pepper'] as const)
        expect(caseOf({ place, rhythm, crop }).observations).toHaveLength(1);
  const days = (rhythm: Tried['rhythm']) => caseOf({ rhythm }).records.watering.map((w) => w.date);
  expect(days('weekly')).toEqual(['2026-07-10', '2026-07-17']);
  expect(days('daily')).toHaveLength(14);
  // not sure is not "never"
  expect(days('unsure')).toEqual([]);
  expect(caseOf().records.watering.some((w) => w.litres !== undefined)).toBe(false);
});

test('the half of the earth follows the time zone', () => {
  expect([caseOf().garden.latitude, caseOf({}, 'Australia/Perth').garden.latitude]).toEqual([45, -45]);
});

test('a black end in a small pot is blossom end rot, as in a garden', () => {
  const plantCase = caseOf();
  const { plants } = assessPlace('p', { method: 'by-need' }, [{ id: 'p', case: plantCase }], [], METRIC_FORMAT);
  expect(plants.get('p')!.report.diagnosis[0]!.disorder).toBe('blossom-end-rot');
});

test('it stays in the tab until it is forgotten, and becomes a bed, a plant and a look', () => {
  noteTried(TRIED);
  expect(triedHere()).toEqual(TRIED);
  noteTried(null);
  expect(triedHere()).toBeNull();
  const made = inputsOf(TRIED, { place: 'a', plant: 'b', look: 'c' });
  expect(made).toMatchObject({
    place: { id: 'a', kind: 'container', volumeL: 7 },
    plant: { id: 'b', placeId: 'a', crop: 'tomato' },
    look: { id: 'c', plantId: 'b', data: { signs: TRIED.signs, allClear: false } },
  });
});
