import { withCurrentNames } from '../../src/records/index.js';

test('old field names become today’s at any depth; a value without any stays the very same object', () => {
  expect(withCurrentNames({ watering: { school: 'deep', lean: 'dry' }, plants: [{ kindUnsure: true }] })).toEqual({
    watering: { method: 'deep', moisture: 'dry' },
    plants: [{ varietyUnsure: true }],
  });
  const today = { method: 'deep', list: [1, { a: null }] };
  expect(withCurrentNames(today)).toBe(today);
});

test('if both names are there the new one counts, in any order', () => {
  expect(withCurrentNames({ cultivarId: 'old', varietyId: null })).toEqual({ varietyId: null });
  expect(withCurrentNames({ varietyId: 'new', cultivarId: 'old' })).toEqual({ varietyId: 'new' });
});

test('names of every object stay untouched', () => {
  const odd = JSON.parse('{"constructor":1,"toString":2,"hasOwnProperty":3}') as object;
  expect(withCurrentNames(odd)).toBe(odd);
  const sly = withCurrentNames(JSON.parse('{"school":1,"__proto__":{"x":2}}') as object);
  expect(Object.keys(sly)).toEqual(['method', '__proto__']);
});

test('a record type of the version before becomes today’s; the same word elsewhere stays', () => {
  expect(withCurrentNames([{ type: 'neighbour', note: 'neighbour' }])).toEqual([
    { type: 'companion', note: 'neighbour' },
  ]);
});
