import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { apiOf, linkTo, OLD_PATHS, ROUTES, type Route } from '../src/lib/paths';

const files = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((e) =>
    e.isDirectory() ? files(join(folder, e.name)) : [join(folder, e.name)],
  );
const SOURCES = files(join(__dirname, '../src')).map((path) => ({ path, text: readFileSync(path, 'utf8') }));

test('a link fills in its ids, and leaves out empty filters', () => {
  expect(linkTo('look', { gardenId: 'g', plantId: 'p' }, { walk: '1', part: undefined })).toBe(
    '/gardens/g/plants/p/look?walk=1',
  );
  expect(linkTo('garden', { gardenId: 'g' })).toBe('/gardens/g');
  expect(linkTo('disorder', { gardenId: 'g', disorder: 'a/b' })).toBe('/gardens/g/handbook/a%2Fb');
  expect(apiOf('g', 'tasks', 'water:1/2', 'done')).toBe('/gardens/g/tasks/water%3A1%2F2/done');
});

test('an address of the version before leads to one of today’s', () => {
  const today = Object.values(ROUTES) as string[];
  for (const [from, to] of OLD_PATHS) {
    expect([to, today.includes(to.replace('/*', ''))]).toEqual([to, true]);
    expect([from, today.includes(from.replace('/*', ''))]).toEqual([from, false]);
  }
});

test('every address has a page, and no page writes an address by hand', () => {
  const routes = SOURCES.find((s) => s.path.endsWith('routes.tsx'))!.text;
  for (const route of Object.keys(ROUTES) as Route[])
    expect([route, routes.includes(`ROUTES.${route}`)]).toEqual([route, true]);
  const byHand = SOURCES.filter((s) => !s.path.endsWith('lib/paths.ts')).filter((s) => /[`'"]\/gardens\//.test(s.text));
  expect(byHand.map((s) => s.path)).toEqual([]);
});
