import { degreeDays, degreeDaySum } from '../../src/climate/degree-days.js';

const F = (f: number): number => ((f - 32) * 5) / 9;
const day = (tMinC: number, tMaxC: number) => ({ tMinC, tMaxC });

test('the averaging method without cut-offs: 80 and 60 °F over 50 °F are 20 degree days (extension worked example, from memory)', () => {
  expect((degreeDays(day(F(60), F(80)), { base: F(50) }) * 9) / 5).toBeCloseTo(20, 9);
  // a day whose mean is under the base counts as none, method 1
  expect(degreeDays(day(2, 14), { base: 10 })).toBe(0);
  expect(degreeDays(day(4, 20), { base: 10 })).toBe(2);
});

test('with cut-offs at 50 and 86 °F: 45 to 95 °F counts as 50 to 86, 18 degree days (the corn growers’ "86/50" example, from memory)', () => {
  expect((degreeDays(day(F(45), F(95)), { base: F(50), ceiling: F(86), raiseNights: true }) * 9) / 5).toBeCloseTo(
    18,
    9,
  );
  // method 2 of McMaster & Wilhelm (1997): a cold night counts as the base, so that a warm day after it counts more than by method 1
  expect(degreeDays(day(4, 20), { base: 10, raiseNights: true })).toBe(5);
  expect(degreeDays(day(25, 41))).toBeCloseTo((30 + 25) / 2 - 6, 9);
});

test('a sum over days, New Year and a leap day; missing days count as the mean of the others; no days, no sum', () => {
  const w = [
    { date: '2027-12-31', ...day(15, 25) },
    { date: '2028-01-01', ...day(15, 25) },
    { date: '2028-01-03', ...day(20, 30) },
  ];
  expect(degreeDaySum(w, '2027-12-31', '2028-01-01')).toBe(28);
  expect(degreeDaySum(w, '2027-12-31', '2028-01-03')).toBeCloseTo(47 + 47 / 3, 9);
  const leap = [{ date: '2028-02-29', ...day(15, 25) }];
  expect(degreeDaySum(leap, '2028-02-28', '2028-03-01')).toBe(42);
  expect(degreeDaySum(w, '2029-01-01', '2029-02-01')).toBeNull();
});
