import * as casefile from '@candid-leaf/core/casefile';
import * as records from '@candid-leaf/core/records';
import { checked, RefusedInput, RULES_IN_WORDS } from '@candid-leaf/core/records';
import { getMetadataStorage } from 'class-validator';
import * as contract from '@candid-leaf/contract';

/** Every class that anything from outside is held against. */
const CLASSES = Object.values({ ...contract, ...records, ...casefile }).filter(
  (c): c is new () => object => typeof c === 'function' && fieldsOf(c).length > 0,
);
function fieldsOf(cls: unknown): string[] {
  const rules = getMetadataStorage().getTargetValidationMetadatas(cls as never, '', false, false);
  return [...new Set(rules.map((r) => r.propertyName))];
}

const JUNK = [
  undefined,
  null,
  'x',
  '',
  'y'.repeat(30_000),
  -1e9,
  1e9,
  0.123456789,
  Number.NaN,
  true,
  {},
  [],
  [1],
  ['x', 'x'],
  [{}],
  Array.from({ length: 250 }, () => 'z'),
  '2026-02-30',
];
/** As the validator puts it by itself: with the field's own name, or in a programmer's words. */
const LIBRARY =
  /\b(conforming to the specified|shorter than or equal|longer than or equal|must not be (less|greater) than|following values|must be an? (integer|string|boolean value|array|non-empty object)\b|should not|elements|nested property|each value in|ISO 8601|URL address|unknown value|property )/;

const refusals = (cls: new () => object): string[] =>
  fieldsOf(cls).flatMap((field) =>
    JUNK.flatMap((value) => {
      try {
        checked(cls, { [field]: value });
        return [];
      } catch (error) {
        return (error as RefusedInput).faults
          .filter((f) => f.path.startsWith(field))
          .map((f) => `${cls.name}.${f.path} ${f.reason}`);
      }
    }),
  );

test('every class refuses in a gardener’s words', () => {
  const all = [...new Set(CLASSES.flatMap(refusals))];
  expect(CLASSES.length).toBeGreaterThan(40);
  expect(all.length).toBeGreaterThan(500);
  expect(all.filter((r) => LIBRARY.test(r))).toEqual([]);
  // no field's name twice, and none but in the path
  expect(all.filter((r) => /\.(\w+)\S* \1 /.test(r))).toEqual([]);
});

test('a rule without its own message gets one of ours', () => {
  const bare = CLASSES.flatMap((cls) =>
    getMetadataStorage()
      .getTargetValidationMetadatas(cls as never, '', false, false)
      .filter((r) => !r.message && !['conditionalValidation', 'whitelistValidation'].includes(r.type))
      .map((r) => r.name ?? r.type),
  );
  // isCalendarDay is a rule of our own, with its words
  const ours = new Set([...RULES_IN_WORDS, 'isCalendarDay']);
  expect([...new Set(bare)].filter((rule) => !ours.has(rule))).toEqual([]);
});

test.each([
  ['an address that is none', contract.SignUp, { email: 'nobody' }, 'email', 'must be an e-mail address'],
  ['a number that is missing', contract.GardenInput, {}, 'latitude', 'is needed'],
  ['a number in words', contract.GardenInput, { latitude: 'north' }, 'latitude', 'must be a number, such as 2.5'],
  ['too far north', contract.GardenInput, { latitude: 91 }, 'latitude', 'must be 66 or less'],
] as const)('%s', (_what, cls, value, path, reason) => {
  try {
    checked<object>(cls, value);
    throw new Error('nothing was refused');
  } catch (error) {
    expect((error as RefusedInput).faults.find((f) => f.path === path)?.reason).toBe(reason);
  }
});
