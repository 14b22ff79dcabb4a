import fc from 'fast-check';
import { assessPlace, reportOn, type PlantToAssess } from '@candid-leaf/core/assessment';
import { remedyRow } from '@candid-leaf/core/diagnosis';
import type { PlantCase } from '@candid-leaf/core/records';
import { addDays, formatterFor, METRIC, METRIC_FORMAT } from '@candid-leaf/core/units';
import { litresOf, pourOf, METHOD_CODES, type PlaceRules } from '@candid-leaf/core/water';
import { aCase, ASOF, everyNDays, seen } from '../helpers.js';

/** What the page shows of one plant comes from one decision: these hold for whatever was recorded. */
const pot: Partial<PlantCase['place']> = { kind: 'container', texture: 'potting-mix', volumeL: 14 };
const anyCase = fc
  .record({
    place: fc.constantFrom<Partial<PlantCase['place']>>(pot, { kind: 'ground', texture: 'loam', areaM2: 0.3 }),
    every: fc.integer({ min: 1, max: 9 }),
    litres: fc.integer({ min: 1, max: 12 }),
    observations: fc.subarray(
      [seen('leaf-wilt'), seen('soil-dry-deep'), seen('fruit-blossom-end-dark'), seen('leaf-yellow-slow-few')],
      { maxLength: 3 },
    ),
    wet: fc.boolean(),
  })
  .map(({ place, every, litres, observations, wet }) =>
    aCase({
      place,
      records: { watering: everyNDays(every, litres) },
      // what was felt is one thing or the other
      observations: wet ? [seen('leaf-wilt'), seen('soil-wet-deep')] : observations,
    }),
  );
const anyRules = fc.record({
  method: fc.constantFrom(...METHOD_CODES),
  allowedDays: fc.subarray([0, 1, 2, 3, 4, 5, 6], { minLength: 1 }),
  irrigation: fc.constantFrom<PlaceRules['irrigation']>('can', 'drip', 'soaker'),
});
const plants = (cases: readonly PlantCase[]): PlantToAssess[] => cases.map((c, i) => ({ id: `p${i}`, case: c }));

test('a report’s next watering, its watering remedies and today’s amount agree on day and litres', () => {
  fc.assert(
    fc.property(fc.array(anyCase, { minLength: 1, maxLength: 3 }), anyRules, (cases, rules) => {
      const place = cases[0]!.place; // all of one place
      const list = plants(cases.map((c) => ({ ...c, place })));
      const { plan, plants: assessed } = assessPlace('place', rules, list, [], METRIC_FORMAT);
      for (const { id } of list) {
        const { report } = assessed.get(id)!;
        const own = pourOf(plan, id)!.plan;
        const { nextWatering: next } = report.water;
        expect(next && { date: next.date, litres: next.litres }).toEqual(
          own?.next ? { date: own.next.date, litres: own.next.litres } : null,
        );
        for (const r of report.remedies.filter((x) => remedyRow(x.remedy).acts === 'watering')) {
          expect(r.when).toBe(next!.date);
          expect(r.dose).toMatchObject({ litres: next!.litres });
        }
        if (next) expect(rules.allowedDays.includes(new Date(next.date).getUTCDay())).toBe(true);
      }
    }),
    { numRuns: 40 },
  );
});

test('a plant held back from water gets none today with any method; the others in its bed still do', () => {
  const bed = { kind: 'raised-bed', texture: 'clay-loam', areaM2: 0.2, drainageMmPerH: 12 } as const;
  const soaked = aCase({
    place: bed,
    records: { watering: everyNDays(1, 4) },
    observations: [seen('leaf-wilt'), seen('soil-wet-deep')],
  });
  const dry = aCase({ place: bed, records: { watering: everyNDays(9, 3) } });
  for (const method of METHOD_CODES) {
    const alone = assessPlace('bed', { method }, plants([soaked]), [], METRIC_FORMAT);
    expect(alone.plants.get('p0')!.report.remedies.map((r) => r.remedy)).toContain('water-less');
    expect([method, litresOf(alone.plan.pours[0]!, ASOF)]).toEqual([method, 0]);
    const both = assessPlace('bed', { method }, plants([soaked, dry]), [], METRIC_FORMAT);
    expect(both.plan.pours[0]).toMatchObject({ plantIds: ['p1'], leftOutIds: ['p0'], speakerId: 'p1' });
  }
  const need = assessPlace('bed', { method: 'by-need' }, plants([soaked, dry]), [], METRIC_FORMAT);
  expect(litresOf(need.plan.pours[0]!, ASOF)).toBeGreaterThan(1);
});

test('the plan hears the same finger as the diagnosis: dry today is watered today, damp is not', () => {
  const on = (feel: 'dry' | 'damp') => {
    const c = aCase({
      place: { kind: 'ground', texture: 'loam', areaM2: 0.2 },
      records: { watering: [{ date: addDays(ASOF, -1), litres: 12 }], soilChecks: [{ date: ASOF, feel }] },
    });
    const { plan } = assessPlace('bed', { method: 'finger' }, plants([c]), [], METRIC_FORMAT);
    return litresOf(plan.pours[0]!, ASOF);
  };
  expect(on('dry')).toBeGreaterThan(0);
  expect(on('damp')).toBe(0);
});

test('the same case always gives the same report, in any order of its records', () => {
  fc.assert(
    fc.property(anyCase, fc.infiniteStream(fc.nat()), (c, order) => {
      const key = new Map(c.records.watering.map((w) => [w, order.next().value as number]));
      const mixed = {
        ...c,
        observations: [...c.observations].reverse(),
        records: {
          ...c.records,
          watering: [...c.records.watering]
            .sort((a, b) => key.get(a)! - key.get(b)!)
            .sort((a, b) => (a.date < b.date ? -1 : 1)),
        },
      };
      expect(reportOn(mixed).headline).toBe(reportOn(c).headline);
      expect(reportOn(mixed).water.nextWatering).toEqual(reportOn(c).water.nextWatering);
    }),
    { numRuns: 15 },
  );
});

describe('what the records do not show', () => {
  const notKnown = (change: Parameters<typeof aCase>[0], days?: number) => reportOn(aCase(change, days)).notKnown;
  test('no watering on record does not mean none was given: it is asked for, and not called a cause', () => {
    const unwatered = reportOn(aCase({ place: pot, observations: [seen('fruit-blossom-end-dark')] }));
    expect(unwatered.notKnown).toContainEqual(
      expect.stringMatching(/^no watering is recorded, so we can’t estimate its water\. Push a finger in/),
    );
    const recorded = notKnown({ records: { watering: everyNDays(2, 3) } });
    expect(recorded.join()).not.toContain('no watering is recorded');
  });
  test('no weather: nothing is computed, and no litres are shown anywhere', () => {
    const r = reportOn(
      aCase({ place: pot, records: { weather: [] }, observations: [seen('leaf-wilt'), seen('soil-dry-deep')] }),
    );
    expect(r.notKnown[0]).toMatch(/no weather is recorded/);
    expect([r.water.nextWatering, r.water.tawMm, r.water.daily]).toEqual([null, null, []]);
    expect(r.remedies.filter((x) => remedyRow(x.remedy).acts === 'watering' && x.dose !== null)).toEqual([]);
  });
  test('days before the first weather and interpolated days are named, in the gardener’s date form', () => {
    const text = (form: 'd MMMM' | 'MMMM d') =>
      reportOn(aCase({}, 20), [], formatterFor(METRIC, form)).notKnown.map((t) => t.replaceAll('\u00a0', ' '));
    expect(text('d MMMM')).toContain('no weather records before 29 June');
    expect(text('MMMM d')).toContain('no weather records before June 29');
    const gap = aCase().records.weather.filter((w) => w.date !== addDays(ASOF, -3) && w.date !== addDays(ASOF, -4));
    expect(notKnown({ records: { weather: gap } }).join()).toContain('2 days without weather were filled in');
  });
});

test('a finding that needs nothing says so, unless there is a problem beside it', () => {
  const harmless = reportOn(
    aCase({
      records: { watering: everyNDays(3, 8) },
      plant: { stage: 'ripening' },
      observations: [seen('leaf-yellow-slow-few')],
    }),
  );
  expect(harmless.diagnosis[0]!.probability).toBeGreaterThan(0.5);
  expect(harmless.harmless).toBe(true);
  expect(reportOn(aCase()).harmless).toBe(false);
});
