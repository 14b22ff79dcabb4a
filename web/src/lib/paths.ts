import { generatePath } from 'react-router';

/** Every address of the page, once. `linkTo` fills them in; the router matches them. */
export const ROUTES = {
  home: '/',
  signIn: '/sign-in',
  newPassword: '/new-password',
  join: '/join',
  watering: '/watering',
  tryIt: '/try',
  message: '/messages/:what',
  account: '/account',
  newGarden: '/gardens/new',
  garden: '/gardens/:gardenId',
  settings: '/gardens/:gardenId/settings',
  settingsPage: '/gardens/:gardenId/settings/:page',
  people: '/gardens/:gardenId/people',
  files: '/gardens/:gardenId/files',
  labels: '/gardens/:gardenId/labels',
  label: '/l/:code',
  whileAway: '/gardens/:gardenId/away',
  lookOver: '/gardens/:gardenId/look',
  season: '/gardens/:gardenId/season',
  harvest: '/gardens/:gardenId/season/harvest',
  compare: '/gardens/:gardenId/season/compare',
  closeYear: '/gardens/:gardenId/season/close',
  shed: '/gardens/:gardenId/shed',
  stock: '/gardens/:gardenId/shed/stock',
  trials: '/gardens/:gardenId/shed/trials',
  soils: '/gardens/:gardenId/shed/soil',
  placeSoil: '/gardens/:gardenId/places/:placeId/soil',
  sprayLog: '/gardens/:gardenId/shed/sprays',
  varieties: '/gardens/:gardenId/shed/varieties',
  newVariety: '/gardens/:gardenId/shed/varieties/new',
  variety: '/gardens/:gardenId/shed/varieties/:varietyId',
  newProduct: '/gardens/:gardenId/shed/products/new',
  product: '/gardens/:gardenId/shed/products/:productId',
  bench: '/gardens/:gardenId/bench',
  otherGarden: '/gardens/:gardenId/other-garden',
  handbook: '/gardens/:gardenId/handbook',
  signs: '/gardens/:gardenId/handbook/signs',
  claims: '/gardens/:gardenId/handbook/claims',
  practice: '/gardens/:gardenId/handbook/practice',
  practicePlant: '/gardens/:gardenId/handbook/practice/:theme/:seed',
  disorder: '/gardens/:gardenId/handbook/:disorder',
  newPlace: '/gardens/:gardenId/places/new',
  place: '/gardens/:gardenId/places/:placeId',
  placePlan: '/gardens/:gardenId/places/:placeId/plan',
  placeWalk: '/gardens/:gardenId/places/:placeId/walk',
  newPlant: '/gardens/:gardenId/places/:placeId/plants/new',
  plant: '/gardens/:gardenId/plants/:plantId',
  plantEdit: '/gardens/:gardenId/plants/:plantId/edit',
  plantSheet: '/gardens/:gardenId/plants/:plantId/sheet',
  look: '/gardens/:gardenId/plants/:plantId/look',
} as const;
/** Addresses before 0.20, which bookmarks still have, with those that replaced them. */
export const OLD_PATHS: readonly (readonly [from: string, to: string])[] = [
  ['/gardens/:gardenId/shed/kinds/*', '/gardens/:gardenId/shed/varieties/*'],
  ['/gardens/:gardenId/neighbour', ROUTES.otherGarden],
  ['/gardens/:gardenId/season/report', ROUTES.harvest],
];
export type Route = keyof typeof ROUTES;

/** Parameter names in a path. */
type NamesIn<P extends string> = P extends `${string}:${infer Name}/${infer Rest}`
  ? Name | NamesIn<`/${Rest}`>
  : P extends `${string}:${infer Name}`
    ? Name
    : never;
export type RouteParams<R extends Route> = Record<NamesIn<(typeof ROUTES)[R]>, string>;
export type Query = Readonly<Record<string, string | undefined>>;

/** Returns the address of a page; undefined query values are left out. */
export function linkTo<R extends Route>(route: R, params: RouteParams<R>, query: Query = {}): string {
  const path = generatePath<string>(ROUTES[route], params);
  const asked = new URLSearchParams(Object.entries(query).flatMap(([k, v]) => (v === undefined ? [] : [[k, v]])));
  return asked.size > 0 ? `${path}?${asked}` : path;
}

/** Returns the API path of a garden's things: `apiOf(id, 'plan')`. */
export const apiOf = (gardenId: string, ...path: readonly string[]): string =>
  `/gardens/${[gardenId, ...path].map(encodeURIComponent).join('/')}`;
