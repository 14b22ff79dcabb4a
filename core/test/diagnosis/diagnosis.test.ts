import { reportOn } from '@candid-leaf/core/assessment';
import { CHECKS, DRIVER_CODES, REMEDIES, DISORDERS } from '@candid-leaf/core/diagnosis';
import { DISORDER_CODES, type PlantCase, SIGNS } from '@candid-leaf/core/records';
import { addDays } from '@candid-leaf/core/units';
import { DRIVER_RULES } from '../../src/diagnosis/drivers/index.js';
import { aCase, ASOF, everyNDays, notSeen, seen } from '../helpers.js';

describe('the tables', () => {
  const linked = new Set(DISORDERS.flatMap((d) => d.signs.map(([sign]) => sign as string)));
  test('every disorder of the vocabulary has one row, can be reached by a sign, and has a remedy', () => {
    expect(DISORDERS.map((d) => d.code).sort()).toEqual([...DISORDER_CODES].sort());
    for (const d of DISORDERS) {
      expect(d.signs.length).toBeGreaterThan(0);
      expect(d.remedies.length).toBeGreaterThan(0);
      expect(d.signs.every(([, chance, why]) => chance > 0 && chance < 1 && why.length > 0)).toBe(true);
      expect(new Set(d.signs.map(([s]) => s)).size).toBe(d.signs.length);
    }
  });
  test('every sign supports a problem, or is marked as setting or salvage', () => {
    expect(SIGNS.filter((s) => s.kind === 'sign' && !linked.has(s.code)).map((s) => s.code)).toEqual([]);
  });
  test('a creature that is seen supports only that creature', () => {
    const strangers = DISORDERS.filter((d) => d.group !== 'creatures').flatMap((d) =>
      d.signs.filter(([s]) => s.startsWith('pest-')).map(([s]) => `${d.code} ${s}`),
    );
    expect(strangers).toEqual([]);
  });
  test('every driver has a rule and affects a problem', () => {
    const used = new Set(DISORDERS.flatMap((d) => d.drivers.map((l) => l.driver)));
    expect(DRIVER_CODES.filter((c) => !DRIVER_RULES[c] || !used.has(c))).toEqual([]);
  });
  test('every remedy belongs to a problem, and a remedy bound to a driver to a problem with that driver', () => {
    const offered = new Set(DISORDERS.flatMap((d) => d.remedies.map((r) => r.remedy as string)));
    expect(REMEDIES.map((r) => r.code as string).filter((c) => !offered.has(c))).toEqual([]);
    for (const d of DISORDERS)
      for (const r of d.remedies)
        for (const driver of r.drivers ?? [])
          expect([d.code, d.drivers.some((l) => l.driver === driver) || driver]).toEqual([d.code, true]);
  });
  test('every check has answers with known signs, or asks for a record', () => {
    const codes = new Set<string>(SIGNS.map((s) => s.code));
    for (const c of CHECKS) for (const a of c.answers) for (const s of a.present) expect(codes.has(s)).toBe(true);
  });
});

const pot = { kind: 'container', texture: 'potting-mix', volumeL: 14, potMaterial: 'terracotta' } as const;
const lead = (c: PlantCase) => {
  const r = reportOn(c);
  return {
    r,
    first: r.diagnosis[0],
    remedies: r.remedies.map((x) => x.remedy),
    drivers: r.diagnosis[0]?.drivers.map((d) => d.driver) ?? [],
  };
};

describe('the same sign, separated by records', () => {
  test('blossom end rot in a pot that swings from wet to dry: water, not lime, with litres, a day and a follow-up', () => {
    const { r, first, remedies, drivers } = lead(
      aCase({
        place: pot,
        records: { watering: everyNDays(5, 9) },
        observations: [seen('fruit-blossom-end-dark', { affected: 5, of: 12 }), seen('pest-none-found')],
      }),
    );
    expect(first).toMatchObject({ disorder: 'blossom-end-rot' });
    expect(drivers).toEqual(expect.arrayContaining(['uneven-watering', 'small-container']));
    expect(remedies).toContain('even-watering');
    expect(remedies).not.toContain('lime-drench');
    const even = r.remedies.find((x) => x.remedy === 'even-watering')!;
    // about 5.3 mm ETc over 0.35 m², a fifth more through the wall, a tenth to drain
    expect(even.dose!.litres! / even.dose!.everyDays!).toBeGreaterThan(1.5);
    expect(even.dose!.litres! / even.dose!.everyDays!).toBeLessThan(3.5);
    expect(even.followUpOn).toBe(addDays(ASOF, 14));
    expect(first!.drivers.every((d) => d.because.every((b) => b.date <= ASOF && b.text.length > 0))).toBe(true);
  });
  test('blossom end rot in an evenly watered bed with a low test: lime, not litres', () => {
    const soilTest = { date: '2026-04-01', pH: 5.2, calcium: 'low' as const };
    const { remedies, drivers } = lead(
      aCase({
        place: { ...pot, volumeL: 40, soilTest },
        records: { watering: everyNDays(1, 3) },
        observations: [seen('fruit-blossom-end-dark')],
      }),
    );
    expect(drivers).toContain('low-calcium');
    expect(remedies).toContain('lime-drench');
    expect(remedies).not.toContain('even-watering');
  });
  test('a drooping plant: dry soil needs water, wet soil forbids it, damp soil in heat needs shade', () => {
    const hot = aCase().records.weather.map((w) => ({ ...w, tMaxC: 35, tMinC: 20 }));
    const dry = lead(
      aCase({
        place: pot,
        records: { watering: [{ date: addDays(ASOF, -5), litres: 3 }] },
        observations: [seen('leaf-wilt'), seen('soil-dry-deep')],
      }),
    );
    expect([dry.first!.disorder, dry.remedies[0]]).toEqual(['dry-wilt', 'water-now']);
    const wet = lead(
      aCase({
        place: { kind: 'raised-bed', texture: 'clay-loam', areaM2: 0.2, drainageMmPerH: 12 },
        records: { watering: everyNDays(1, 4) },
        observations: [seen('leaf-wilt'), seen('soil-wet-deep')],
      }),
    );
    expect([wet.first!.disorder, wet.remedies.includes('water-now')]).toEqual(['waterlogging', false]);
    const heat = lead(
      aCase({
        records: { weather: hot, watering: everyNDays(2, 5) },
        observations: [seen('leaf-wilt'), seen('leaf-wilt-midday-only'), seen('soil-damp-deep')],
      }),
    );
    expect([heat.first!.disorder, heat.remedies.includes('water-now'), heat.remedies.includes('shade-cloth')]).toEqual([
      'heat-wilt',
      false,
      true,
    ]);
  });
  test('two old yellow leaves on a vigorous plant are normal; a pale pot not fed for long needs nitrogen', () => {
    const old = lead(
      aCase({
        records: {
          watering: everyNDays(3, 7),
          feeding: [{ date: addDays(ASOF, -20), n: 4, p2o5: 4, k2o: 8, grams: 20 }],
        },
        observations: [
          seen('leaf-yellow-slow-few', { affected: 2 }),
          seen('where-lower-leaves'),
          seen('pest-none-found'),
        ],
      }),
    );
    expect([old.first!.disorder, old.r.harmless, old.remedies[0]]).toEqual(['leaf-ageing', true, 'watch-only']);
    const hungry = lead(
      aCase({ place: pot, records: { watering: everyNDays(1, 2) }, observations: [seen('leaf-yellow-whole-old')] }),
    );
    expect([hungry.first!.disorder, hungry.drivers[0]]).toEqual(['nitrogen-shortage', 'underfeeding']);
  });
  test('dropped flowers: heat, too much feed, or simply many flowers', () => {
    const hot = aCase().records.weather.map((w) => ({ ...w, tMaxC: 36, tMinC: 22 }));
    const heat = lead(
      aCase({ records: { weather: hot, watering: everyNDays(2, 6) }, observations: [seen('flower-drop')] }),
    );
    expect([heat.first!.disorder, heat.drivers[0]]).toEqual(['blossom-drop', 'hot-days']);
    const fed = lead(
      aCase({
        records: {
          watering: everyNDays(3, 7),
          feeding: [{ date: addDays(ASOF, -8), n: 20, p2o5: 5, k2o: 5, grams: 40 }],
        },
        observations: [seen('leaf-dark-lush'), seen('flower-few'), seen('flower-drop')],
      }),
    );
    expect([fed.first!.disorder, fed.drivers[0], fed.remedies[0]]).toEqual([
      'nitrogen-excess',
      'excess-nitrogen',
      'pause-feeding',
    ]);
    const many = lead(
      aCase({ records: { watering: everyNDays(3, 7) }, observations: [seen('flower-drop'), seen('flower-many-open')] }),
    );
    expect([many.first!.disorder, many.r.harmless]).toEqual(['natural-flower-shedding', true]);
  });
});

test('two problems at once are both found, each explaining its own signs', () => {
  const { r } = lead(
    aCase({
      place: pot,
      records: { watering: everyNDays(5, 9) },
      observations: [seen('fruit-blossom-end-dark'), seen('pest-aphids'), seen('leaf-sticky')],
    }),
  );
  const sure = r.diagnosis.filter((d) => d.probability > 0.5);
  expect(sure.map((d) => d.disorder).sort()).toEqual(['aphids', 'blossom-end-rot']);
  expect(sure.find((d) => d.disorder === 'aphids')!.explains).toEqual(
    expect.arrayContaining(['pest-aphids', 'leaf-sticky']),
  );
});

test('records alone never make a finding: a bone-dry pot without drooping leaves is not diagnosed as thirst', () => {
  const { r } = lead(
    aCase({
      place: pot,
      records: { watering: [{ date: addDays(ASOF, -9), litres: 9 }] },
      observations: [seen('fruit-blossom-end-dark')],
    }),
  );
  expect(r.water.daily.at(-1)!.fractionAvailable).toBeLessThan(0.1);
  expect(r.diagnosis.find((d) => d.disorder === 'dry-wilt')?.probability ?? 0).toBeLessThan(0.5);
  expect(r.remedies.every((x) => x.forDisorder === 'blossom-end-rot')).toBe(true);
});

test('without signs there is no disease, and with too few the answer is a question first', () => {
  expect(lead(aCase()).r).toMatchObject({
    headline: 'No problems recorded.',
    diagnosis: [],
    remedies: [],
    nextChecks: [],
  });
  const unclear = lead(aCase({ records: { weather: [] }, observations: [seen('leaf-wilt')] }));
  expect(unclear.first!.probability).toBeLessThan(0.5);
  expect(unclear.r.headline).toMatch(/^Not clear yet/);
  expect(unclear.remedies).toEqual([]);
  expect(unclear.r.nextChecks.map((c) => c.check)).toContain('finger-test');
  const settled = lead(
    aCase({
      records: { weather: [] },
      observations: [seen('leaf-wilt'), seen('soil-wet-deep'), seen('leaf-no-recovery-after-water')],
    }),
  );
  expect(settled.first!).toMatchObject({ disorder: 'waterlogging' });
  expect(settled.first!.probability).toBeGreaterThan(0.5);
});

test('remedies that the setting rules out are withheld with the reason', () => {
  const { r } = lead(
    aCase({
      place: { kind: 'container', texture: 'potting-mix', volumeL: 14 },
      records: { watering: everyNDays(5, 9) },
      observations: [seen('fruit-blossom-end-dark'), seen('soil-wet-deep')],
    }),
  );
  expect(r.withheld).toContainEqual({
    remedy: 'even-watering',
    forDisorder: 'blossom-end-rot',
    because: expect.stringContaining('soil is wet'),
  });
  expect(r.remedies.map((x) => x.remedy)).not.toContain('even-watering');
});

test('no insects found makes each insect less likely by how well it hides', () => {
  const change = (disorder: string, signs: string[]) => {
    const odds = (more: never[]) => {
      const p =
        reportOn(
          aCase({ garden: { longitude: -90 }, observations: [...signs.map((x) => seen(x)), ...more] }),
        ).diagnosis.find((d) => d.disorder === disorder)?.probability ?? 0.001;
      return p / (1.0001 - p);
    };
    return odds([seen('pest-none-found')]) / odds([]);
  };
  const aphids = change('aphids', ['leaf-curl-tight-new', 'leaf-sticky']);
  const hornworm = change('hornworm', ['leaf-large-missing', 'leaf-droppings']);
  expect(aphids).toBeLessThan(0.1); // in plain sight at the tips
  expect(hornworm).toBeGreaterThan(2 * aphids); // green on green
  expect(hornworm).toBeLessThan(1);
});

test('findings do not depend on the order of records', () => {
  const file = (flip: boolean): PlantCase => {
    const c = aCase({
      place: pot,
      records: {
        watering: everyNDays(5, 9),
        soilChecks: [
          { date: addDays(ASOF, -6), feel: 'dry' },
          { date: addDays(ASOF, -3), feel: 'wet' },
        ],
      },
      observations: [seen('fruit-blossom-end-dark'), seen('where-first-fruits'), notSeen('fruit-patch-sun-side')],
    });
    const turn = <T>(list: T[]): T[] => (flip ? [...list].reverse() : list);
    return aCase({
      place: pot,
      records: {
        weather: turn(c.records.weather),
        watering: turn(c.records.watering),
        soilChecks: turn(c.records.soilChecks),
      },
      observations: turn(c.observations),
    });
  };
  expect(reportOn(file(true))).toEqual(reportOn(file(false)));
});

test('recording what another sign already implies changes nothing', () => {
  const p = (...observations: ReturnType<typeof seen>[]) =>
    reportOn(aCase({ place: pot, observations })).diagnosis.map((d) => [d.disorder, d.probability]);
  const wet = [seen('leaf-wilt'), seen('soil-wet-deep'), seen('leaf-no-recovery-after-water')];
  expect(p(...wet, notSeen('soil-dry-deep'), notSeen('leaf-recovers-after-water'))).toEqual(p(...wet));
});
