import fc from 'fast-check';
import { parseCase } from '@candid-leaf/core/casefile';
import { BODY_CAPS as MOST, RefusedInput, shapeFaults } from '@candid-leaf/core/records';
import { aCase } from '../helpers.js';

/** What a body may look like before any class sees it. */
const nested = (depth: number): unknown => (depth === 0 ? 1 : { a: nested(depth - 1) });
const refused = (body: unknown): string[] => shapeFaults(body).map((f) => f.path);

test('requests from the page pass; each cap holds at its number and names where it was exceeded', () => {
  const keys = (n: number) => Object.fromEntries(Array.from({ length: n }, (_, i) => [`k${i}`, i]));
  expect(refused({ a: keys(MOST.keys) })).toEqual([]);
  expect(refused({ a: keys(MOST.keys + 1) })).toEqual(['a']);
  expect(refused({ ids: Array.from({ length: MOST.items }, () => 1) })).toEqual([]);
  expect(refused({ ids: Array.from({ length: MOST.items + 1 }, () => 1) })).toEqual(['ids']);
  expect(refused(nested(MOST.depth))).toEqual([]);
  expect(refused(nested(MOST.depth + 1))).toEqual([`a${'.a'.repeat(MOST.depth - 1)}`]);
  const wide = { a: Array.from({ length: 1500 }, () => Array.from({ length: 20 }, () => 0)) };
  expect(shapeFaults(wide)[0]!.reason).toContain('values in total');
});

test('half a character, NUL, and names special to the language are refused with their path', () => {
  expect(refused({ name: 'caf\ud83c' })).toEqual(['name']);
  expect(refused({ data: { signs: [{ note: 'a\0b' }] } })).toEqual(['data.signs[0].note']);
  for (const name of ['__proto__', 'constructor', 'prototype'])
    expect([name, refused(JSON.parse(`{"data":{"${name}":{"admin":true}}}`))]).toEqual([name, [`data.${name}`]]);
  expect(refused({ name: '🍅 Große Tomate' })).toEqual([]);
});

test('anything that is not an object is refused whole', () => {
  for (const body of [[], [[]], 'text', 3, null, true]) expect([body, refused(body)]).toEqual([body, ['(whole)']]);
});

test('whatever is sent, checking its shape ends and changes nothing', () => {
  fc.assert(
    fc.property(fc.json({ maxDepth: 14 }), (text) => {
      const body: unknown = JSON.parse(text);
      expect(shapeFaults(body).length).toBeLessThanOrEqual(1);
      expect(JSON.stringify(body)).toBe(JSON.stringify(JSON.parse(text)));
    }),
    { seed: 9, numRuns: 300 },
  );
});

test('a case file is checked in the same way: what would be dropped silently is refused', () => {
  const file = JSON.stringify({ format: 'candid-leaf-case', version: 1, ...aCase({}) });
  const refusedIn = (text: string): string[] => {
    try {
      parseCase(JSON.parse(text));
      return [];
    } catch (error) {
      if (error instanceof RefusedInput) return error.faults.map((f) => f.path);
      throw error;
    }
  };
  expect(refusedIn(file)).toEqual([]);
  expect(refusedIn(`${file.slice(0, -1)},"__proto__":{"asOf":"2026-01-01"}}`)).toEqual(['__proto__']);
  expect(refusedIn(file.replace('"plant":{', '"plant":{"constructor":1,'))).toEqual(['plant.constructor']);
  expect(refusedIn(file.replace('"plant":{', '"plant":{"name":"\\ud800",'))).toEqual(['plant.name']);
});
