/**
 * The rooms of the project and what each may import. Runs in `npm test`, or alone with `npm run rooms`.
 * Each list is in order: a room may import those after it, never one before it.
 */
import { readdirSync } from 'node:fs';
import { join } from 'node:path';

const CORE = [
  'tables',
  'practice',
  'claims',
  'care',
  'assessment',
  'prevented',
  'risk',
  'walks',
  'so-far',
  'reports',
  'setting-out',
  'harvest',
  'planning',
  'raising',
  'diagnosis',
  'growth',
  'season',
  'pruning',
  'pollination',
  'companions',
  'support',
  'spray',
  'nutrition',
  'soil',
  'products',
  'varieties',
  'water',
  'climate',
  'records',
  'budget',
  'helped',
  'units',
];
const SERVER = [
  'api-docs',
  'workers',
  'views',
  'transfer',
  'photos',
  'people',
  'watering-list',
  'calendar',
  'messages',
  'practice',
  'gazetteer',
  'reports',
  'season',
  'walks',
  'so-far',
  'feeding',
  'tending',
  'pruning',
  'spraying',
  'soil',
  'trials',
  'protection',
  'treatments',
  'water',
  'today',
  'assessment',
  'weather',
  'records',
  'plants',
  'varieties',
  'places',
  'products',
  'gardens',
  'health',
  'accounts',
  'mail',
  'gate',
  'shared',
];
/** Layers of the page, top to bottom. */
const WEB = ['features', 'frame', 'data', 'ui', 'signs', 'workers', 'offline', 'lib'];
const PACKAGES = ['scripts', 'e2e', 'demo', 'web', 'server', 'standins', 'contract', 'core'];

/** Throws if a folder is in no list: a new room must say what it may import. */
function allListed(folder, ...lists) {
  const listed = new Set(lists.flat());
  const found = readdirSync(join(import.meta.dirname, folder), { withFileTypes: true }).filter((entry) =>
    entry.isDirectory(),
  );
  const missing = found.map((entry) => entry.name).filter((name) => !listed.has(name));
  if (missing.length > 0)
    throw new Error(`${folder} has rooms that no list in .dependency-cruiser.mjs names: ${missing.join(', ')}`);
}
allListed('core/src', CORE, ['casefile']);
allListed('server/src', SERVER, ['database']);
allListed('web/src', WEB);

/** A room of the list imports none before it. */
const downwards = (list, folder) =>
  list.slice(1).map((room, i) => ({
    name: `${folder.replace(/\W+/g, '-')}${room}-looks-up`,
    severity: 'error',
    comment: `${room} is below ${list.slice(0, i + 1).join(', ')} and must not import them`,
    from: { path: `^${folder}${room}/` },
    to: { path: `^${folder}(${list.slice(0, i + 1).join('|')})/` },
  }));

/** What each package may import of the others, besides the order. */
const MAY_USE = {
  core: [],
  contract: ['core'],
  standins: ['core'],
  server: ['contract', 'core'],
  web: ['contract', 'core'],
  demo: ['contract', 'core'],
  e2e: ['demo', 'contract', 'core'],
};

export default {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    ...Object.entries(MAY_USE).map(([room, may]) => ({
      name: `${room}-uses-only-its-own`,
      severity: 'error',
      from: { path: `^${room}/(src|tests)/` },
      to: { path: `^(${PACKAGES.filter((p) => p !== room && !may.includes(p)).join('|')})/` },
    })),
    ...downwards(CORE, 'core/src/'),
    {
      name: 'core-casefile-is-only-the-format',
      severity: 'error',
      from: { path: '^core/src/(?!casefile/)' },
      to: { path: '^core/src/casefile/' },
    },
    {
      name: 'core-casefile-knows-records-only',
      severity: 'error',
      from: { path: '^core/src/casefile/' },
      to: { path: '^core/src/', pathNot: '^core/src/(casefile|records|units)/' },
    },
    {
      name: 'core-is-pure',
      severity: 'error',
      comment: 'no clock, no input or output, no interface, no database',
      from: { path: '^core/src/' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-does-not-go-round-by-its-own-name',
      severity: 'error',
      from: { path: '^core/src/' },
      to: { path: '^core/dist/' },
    },
    {
      name: 'core-uses-few-packages',
      severity: 'error',
      from: { path: '^core/src/' },
      to: {
        path: 'node_modules/',
        pathNot: 'node_modules/(class-validator|class-transformer|reflect-metadata|date-fns)/',
      },
    },
    ...downwards(SERVER, 'server/src/'),
    {
      name: 'server-database-is-for-the-app-only',
      severity: 'error',
      from: { path: '^server/src/', pathNot: '^server/src/(database/|app\\.module|main)' },
      to: { path: '^server/src/database/' },
    },
    ...downwards(WEB, 'web/src/'),
    {
      name: 'web-features-import-no-other-feature',
      severity: 'error',
      comment: 'what two screens share belongs in frame, data, ui or signs',
      from: { path: '^web/src/features/([^/]+)/' },
      to: { path: '^web/src/features/', pathNot: '^web/src/features/$1/' },
    },
    {
      name: 'web-screens-are-opened-by-the-router-only',
      severity: 'error',
      from: { path: '^web/src/', pathNot: '^web/src/routes\\.tsx$' },
      to: { path: '^web/src/features/[^/]+/screens/' },
    },
    {
      name: 'no-unknown-imports',
      severity: 'error',
      from: { path: '^(core|contract|server|web|standins|demo)/src/' },
      to: { couldNotResolve: true },
    },
  ],
  options: {
    doNotFollow: { path: ['node_modules', '/dist/'] },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['types', 'import', 'default'],
      extensions: ['.ts', '.tsx', '.d.ts', '.js', '.mjs', '.json'],
    },
  },
};
