const swc = (react) => ({
  '^.+\\.[mc]?[jt]sx?$': [
    '@swc/jest',
    {
      jsc: {
        target: 'es2022',
        parser: { syntax: 'typescript', decorators: true, tsx: react },
        transform: {
          legacyDecorator: true,
          decoratorMetadata: true,
          useDefineForClassFields: false,
          ...(react ? { react: { runtime: 'automatic' } } : {}),
        },
        keepClassNames: true,
      },
      module: { type: 'commonjs' },
    },
  ],
});
const ESM_ONLY = [
  '@nestjs',
  'typeorm',
  'date-fns',
  'fast-check',
  'pure-rand',
  'load-esm',
  'file-type',
  '@borewit',
  '@seriousme',
  'strtok3',
  'token-types',
  'uint8array-extras',
  '@tokenizer',
  'uuid',
  'lucide-react',
  'react-router',
  'dedent',
  'sql-highlight',
  'ansis',
  'ical.js',
  'ical-generator',
  '@tus',
  'srvx',
  'aedes',
  'nanoid',
];

const project = (name, extra = {}, react = false) => ({
  displayName: name,
  rootDir: `./${name}`,
  testMatch: ['<rootDir>/test/**/*.test.ts', '<rootDir>/test/**/*.test.tsx'],
  testEnvironment: 'node',
  setupFiles: ['reflect-metadata'],
  transform: swc(react),
  transformIgnorePatterns: [`/node_modules/(?!(${ESM_ONLY.join('|')})/)`],
  moduleNameMapper: {
    '^(\\.{1,2}/.*)\\.js$': ['$1.js', '$1'],
    '^fast-check$': '<rootDir>/../scripts/lib/seeded-properties.mjs',
    '^@candid-leaf/core/(.*)$': '<rootDir>/../core/src/$1/index.ts',
    '^@candid-leaf/(contract|demo|standins)$': '<rootDir>/../$1/src/index.ts',
  },
  ...extra,
});

/** A project in so many parts, each of which loads what it tests once for all its files; a file by itself runs as ever. */
const inParts = (name, all) =>
  process.env.TESTS_TOGETHER
    ? [
        ...Array.from({ length: all }, (_, of) =>
          project(name, {
            displayName: `${name} ${of + 1}/${all}`,
            testMatch: ['<rootDir>/test/together.ts'],
            globals: { PART: { of, all } },
          }),
        ),
        project(name, { displayName: `${name} alone`, testMatch: ['<rootDir>/test/alone/*.test.ts'] }),
      ]
    : [project(name)];

export default {
  // nothing here waits for time to pass; on a busy machine the database may
  testTimeout: 300_000,
  projects: [
    ...inParts('core', 5),
    project('contract'),
    project('standins'),
    project('demo'),
    ...inParts('server', 4),
    project('scripts'),
    project('web', { testEnvironment: 'jsdom', setupFiles: ['reflect-metadata', '<rootDir>/test/browser.ts'] }, true),
  ],
};
