import { contextOf } from '../../src/diagnosis/context.js';
import { SAME_TROUBLE_BEFORE } from '../../src/diagnosis/readings.js';
import { frostFaults, frostsOf, growingYear, growingYearOf, seasonYear } from '../../src/season/index.js';
import { aCase } from '../helpers.js';

test.each([
  ['2026-07-18', 45, 'warm', '2026'],
  ['2026-01-01', 45, 'warm', '2026'],
  ['2026-07-18', -37, 'warm', '2026/27'],
  ['2026-06-30', -37, 'warm', '2025/26'],
  ['2027-01-02', 26, 'mild-winter', '2026/27'],
  ['2026-07-18', -20, 'mild-winter', '2026'],
  ['2099-12-31', -37, 'warm', '2099/00'],
] as const)('%s at %d°, %s: season %s', (day, latitude, mode, label) => {
  const season = growingYearOf(day, latitude, mode);
  expect(season.label).toBe(label);
  expect(day >= season.from && day <= season.to).toBe(true);
});

test('the frosts of a season lie in it, also over New Year', () => {
  expect(frostsOf({ lastFrost: '04-18', firstFrost: '10-28' }, growingYear(2026, 45))).toEqual({
    last: '2026-04-18',
    first: '2026-10-28',
  });
  expect(frostsOf({ lastFrost: '10-05', firstFrost: '05-10' }, growingYear(2026, -37))).toEqual({
    last: '2026-10-05',
    first: '2027-05-10',
  });
  expect(frostsOf({}, growingYear(2026, 5))).toEqual({ last: null, first: null });
  expect(frostsOf({ lastFrost: '02-29', firstFrost: '11-30' }, growingYear(2027, 33)).last).toBe('2027-02-28');
});

test('frost days the wrong way round are reported, in either hemisphere; near the equator either order may be', () => {
  expect(frostFaults({ latitude: 45, lastFrost: '10-28', firstFrost: '04-18' })).toEqual([
    {
      path: 'firstFrost',
      reason: expect.stringMatching(/^no summer north of the equator lies between .*Are the two swapped/),
    },
  ]);
  expect(frostFaults({ latitude: -37, lastFrost: '04-18', firstFrost: '10-28' })).toHaveLength(1);
  expect(frostFaults({ latitude: 45, lastFrost: '04-18', firstFrost: '10-28' })).toEqual([]);
  expect(frostFaults({ latitude: -37, lastFrost: '10-05', firstFrost: '05-10' })).toEqual([]);
  expect(frostFaults({ latitude: 10, lastFrost: '10-28', firstFrost: '04-18' })).toEqual([]);
});

test('January in the south belongs to the season begun the year before; a mild winter turns that round', () => {
  const [north, south] = [{ latitude: 45 }, { latitude: -37 }];
  expect(['2026-01-20', '2026-08-01'].map((d) => seasonYear(north, d))).toEqual([2026, 2026]);
  expect(['2027-01-20', '2026-08-01', '2026-06-30'].map((d) => seasonYear(south, d))).toEqual([2026, 2026, 2025]);
  expect(seasonYear({ latitude: 25, seasonMode: 'mild-winter' }, '2027-01-20')).toBe(2026);
});

test('a wilt of this very season is not an earlier year to a diagnosis in January, south of the equator', () => {
  const at = (latitude: number, year: number) =>
    SAME_TROUBLE_BEFORE(
      contextOf(
        aCase({
          asOf: '2027-01-20',
          garden: { ...aCase().garden, latitude },
          place: { ...aCase().place, history: [{ year, family: 'nightshade', problems: ['vascular-wilt'] }] },
        }),
      ),
      'vascular-wilt',
    );
  expect([at(-37, 2026), at(-37, 2025)]).toEqual(['unknown', 'yes']);
  expect([at(45, 2026), at(45, 2027)]).toEqual(['yes', 'unknown']);
});
