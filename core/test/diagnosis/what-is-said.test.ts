import { reportOn } from '@candid-leaf/core/assessment';
import { DISORDERS, disorderRow, remedyRow, REMEDIES } from '@candid-leaf/core/diagnosis';
import { addDays } from '@candid-leaf/core/units';
import { frostFromC } from '../../src/diagnosis/readings.js';
import { aCase as bareCase, ASOF, everyNDays, seen } from '../helpers.js';

/** What a report tells a gardener to do, and not to do, in the settings in which a wrong word does harm. */
type Change = NonNullable<Parameters<typeof bareCase>[0]>;
const said = (change: Change) => {
  const report = reportOn(bareCase({ ...change, records: { watering: everyNDays(3, 8), ...change.records } }));
  const codes = report.remedies.map((r) => r.remedy as string);
  return { report, codes, held: report.withheld.map((w) => w.remedy as string), leader: report.diagnosis[0]! };
};
const pot = { kind: 'container', texture: 'potting-mix', volumeL: 14 } as const;
const rainOf = (n: number, tMinC: number, tMaxC: number) =>
  Array.from({ length: 40 }, (_, i) => ({
    date: addDays(ASOF, i - 39),
    tMinC,
    tMaxC,
    rainMm: i >= 40 - n ? 6 : 0,
    ...(i >= 40 - n ? { rhMeanPct: 90 } : {}),
  }));

describe('fruit', () => {
  test('soft, sour or mouldy: nothing is used, ripened or picked early', () => {
    for (const sign of ['fruit-soft-sour', 'fruit-patch-mould']) {
      const { codes } = said({ observations: [seen('fruit-radial-cracks'), seen(sign), seen('plant-grey-fur')] });
      expect([sign, codes.filter((c) => ['eat-or-trim', 'ripen-indoors', 'harvest-early'].includes(c))]).toEqual([
        sign,
        [],
      ]);
    }
    expect(said({ observations: [seen('fruit-radial-cracks')] }).codes).toContain('harvest-early');
  });
  test('gnawed, with droppings: all of it into the bin, and wash your hands', () => {
    const { report, codes } = said({ observations: [seen('fruit-gnawed-or-gone'), seen('fruit-droppings-on-bites')] });
    expect(codes).not.toContain('eat-or-trim');
    const words = report.remedies.flatMap((r) => r.cautions).join(' ');
    expect(words).toMatch(/Bin all of any fruit that is gnawed .*wash your hands/);
  });
  test('a green pepper is not sent indoors to ripen; what works is said', () => {
    for (const d of DISORDERS.filter((x) => x.remedies.some((l) => l.remedy === 'ripen-indoors')))
      expect(d.code).toBeTruthy();
    const [, because] = remedyRow('ripen-indoors').notWhile.find(([fact]) => fact === 'pepper')!;
    expect(because).toMatch(/begun to turn/);
  });
  test('hot peppers: gloves and eyes wherever fruit or shoots are handled, and never for sweet ones', () => {
    const of = (type: 'hot' | 'sweet') =>
      said({
        plant: { crop: 'pepper', type },
        place: { shade: [] },
        observations: [seen('fruit-blossom-end-dark')],
      }).report.remedies;
    const handled = of('hot').filter((r) => remedyRow(r.remedy).fruit || remedyRow(r.remedy).cuts);
    expect(handled.length).toBeGreaterThan(0);
    for (const r of handled) expect(r.cautions.join()).toMatch(/gloves, keep them away from eyes/);
    expect(
      of('sweet')
        .flatMap((r) => r.cautions)
        .join(),
    ).not.toMatch(/from eyes/);
  });
});

describe('disease', () => {
  const greasy = (...more: string[]) =>
    said({
      records: { weather: rainOf(14, 11, 18) },
      observations: [seen('leaf-greasy-blotches'), ...more.map((s) => seen(s))],
    });
  test('late blight from one sign in cool rain: no plant is pulled; fuzz, stem, fruit or the bag are asked first', () => {
    const one = greasy();
    expect(one.leader.disorder).toBe('late-blight');
    expect(one.codes).not.toContain('remove-plant');
    expect(one.report.nextChecks.length).toBeGreaterThan(0);
    const shown = one.report.nextChecks[0]!;
    expect(['look-under-leaves', 'damp-bag']).toContain(shown.check);
    expect(shown.mayShow.some((o) => o.present.includes('leaf-white-fuzz-under'))).toBe(true);
    expect(greasy('leaf-white-fuzz-under', 'fruit-brown-greasy').codes).toContain('remove-plant');
  });
  test('root knots in a bearing plant: keep watering, dig the roots out at the season’s end, never pull it now', () => {
    const { codes, report } = said({ observations: [seen('root-knots'), seen('plant-stunted')] });
    expect(report.diagnosis[0]!.disorder).toBe('root-knot-nematodes');
    expect(codes).not.toContain('remove-plant');
    const dig = report.remedies.find((r) => r.remedy === 'dig-out-roots')!;
    expect(dig.when > addDays(ASOF, 30)).toBe(true);
    expect(dig.step).toBe(0);
  });
  test('tools after a mosaic: alcohol is not enough, and bleach has its caution; elsewhere alcohol is enough', () => {
    const words = (code: 'mosaic-virus' | 'bacterial-canker') => {
      const link = disorderRow(code).remedies.find((l) => l.remedy === 'sanitize-tools')!;
      return [...remedyRow('sanitize-tools').cautions, ...(link.cautions ?? [])];
    };
    expect(words('mosaic-virus')).toContain('mosaic-tools');
    expect(words('bacterial-canker')).not.toContain('mosaic-tools');
  });
  test('one spray at a time: a report names one of all that fit, and the rest after it', () => {
    const lice = said({ observations: [seen('pest-mites'), seen('leaf-stipple')] });
    expect(lice.leader.disorder).toBe('spider-mites');
    const sprays = lice.report.remedies.filter((r) => remedyRow(r.remedy).sprays);
    expect(sprays).toHaveLength(1);
    const later = lice.report.withheld.filter((w) => remedyRow(w.remedy).sprays);
    expect(later.length).toBeGreaterThan(0);
    for (const w of later) expect(w.afterMilder).toBe(true);
  });
  test('bicarbonate is only for powdery mildew, and copper never comes before the milder steps', () => {
    const homes = DISORDERS.filter((d) => d.remedies.some((l) => l.remedy === 'bicarbonate-spray')).map((d) => d.code);
    expect(homes).toEqual(['powdery-mildew']);
    const spotted = said({
      records: { weather: rainOf(14, 17, 25) },
      observations: [seen('leaf-small-dark-spots'), seen('fruit-small-raised-specks'), seen('after-rain')],
    });
    expect(spotted.leader.disorder).toBe('bacterial-leaf-spot');
    expect(spotted.leader.probability).toBeGreaterThan(0.9);
    expect(spotted.codes).not.toContain('copper-spray');
    expect(spotted.report.withheld).toContainEqual(
      expect.objectContaining({ remedy: 'copper-spray', afterMilder: true }),
    );
    expect(REMEDIES.filter((r) => r.afterMilder).every((r) => r.rung >= 4)).toBe(true);
  });
  test('weedkiller: remove the straw first, then sow beans', () => {
    const row = disorderRow('herbicide-injury').remedies.map((l) => l.remedy);
    expect(row).toEqual(expect.arrayContaining(['remove-source', 'bean-test']));
    expect(remedyRow('remove-source').rung).toBeLessThan(remedyRow('bean-test').rung);
    expect(remedyRow('remove-source').when).toBe('today');
  });
  test('newspaper goes down before the mulch that covers it', () => {
    const { codes } = said({
      records: { weather: rainOf(14, 16, 25), watering: everyNDays(4, 4) },
      observations: [seen('leaf-small-grey-spots'), seen('where-lower-leaves'), seen('pace-spreading-upward')],
    });
    if (codes.includes('mulch')) expect(codes.indexOf('splash-barrier')).toBeLessThan(codes.indexOf('mulch'));
    expect(codes).toContain('splash-barrier');
  });
});

describe('cuts and places', () => {
  test('no suckers are removed from a bush tomato or a pepper, and neither is topped', () => {
    for (const code of ['remove-suckers', 'top-plant'] as const)
      expect(remedyRow(code).notWhile.map(([fact]) => fact)).toContain('not-for-suckering');
  });
  test('remedies that cut share one budget, and sick leaves are outside it', () => {
    const { report } = said({
      place: { ...pot, volumeL: 40 },
      records: { weather: rainOf(10, 17, 26) },
      observations: [seen('leaf-olive-mould-under'), seen('leaf-yellow-patches'), seen('plant-dense')],
    });
    const cuts = report.remedies.filter((r) => remedyRow(r.remedy).cuts);
    for (const [i, r] of cuts.entries()) expect([r.remedy, r.dose?.sharedBudget ?? false]).toEqual([r.remedy, i > 0]);
    expect(remedyRow('remove-infected-leaves').cuts).toBeUndefined();
    expect(remedyRow('remove-infected-leaves').dose).toBe('third-of-leaf');
  });
  test('remedies for pots never show for a bed, nor those for beds in a pot', () => {
    const everywhere = [
      seen('fruit-blossom-end-dark'),
      seen('leaf-tip-burn'),
      seen('soil-white-crust'),
      seen('leaf-wilt'),
      seen('soil-wet-deep'),
    ];
    for (const place of [pot, { kind: 'ground', texture: 'loam', areaM2: 0.25 } as const]) {
      const { codes, held } = said({ place, observations: everywhere });
      const wrong = [...codes, ...held].filter((c) =>
        place === pot
          ? ['drain-or-mound', 'deep-soak', 'splash-barrier', 'rotate', 'lime-soil', 'leach-bed'].includes(c)
          : ['flush-pot', 'move-to-shade', 'repot-larger', 'bigger-pot', 'lime-drench'].includes(c),
      );
      expect([place.kind, wrong]).toEqual([place.kind, []]);
    }
  });
  test('ground frost is possible from 3 °C at screen height, in a hollow from 5', () => {
    expect(frostFromC({ ...pot })).toBe(3);
    expect(frostFromC({ ...pot, hollow: true })).toBe(5);
  });
});

describe('headline and first step', () => {
  test('signs that nothing explains are named, with how to record them', () => {
    const { report } = said({ observations: [seen('fruit-radial-cracks'), seen('leaf-mines')] });
    for (const d of report.diagnosis.filter((x) => x.explains.length === 0))
      expect(report.headline).not.toContain(disorderRow(d.disorder).label.toLowerCase());
  });
  test('blossom end rot without any record: feel, water evenly, mulch; and it is called general advice', () => {
    const bare = reportOn(bareCase({ records: { weather: [] }, observations: [seen('fruit-blossom-end-dark')] }));
    expect(bare.diagnosis[0]!.disorder).toBe('blossom-end-rot');
    const general = bare.remedies.filter((r) => r.general).map((r) => r.remedy);
    expect(general).toEqual(expect.arrayContaining(['even-watering', 'mulch']));
    const watering = bare.remedies.filter((r) => remedyRow(r.remedy).acts === 'watering');
    expect(watering.map((r) => r.dose?.litres)).toEqual([undefined]);
  });
});
