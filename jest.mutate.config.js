import all from './jest.config.js';

/** What mutation runs: one room's fast tests in one project; the long ones (told cases, calibration) judge the tables. */
const ROOM = process.env.MUTATE_ROOM ?? 'core';
const FAST = {
  core: ['water', 'assessment', 'season', 'units']
    .map((room) => `<rootDir>/test/${room}/*.test.ts`)
    .concat('<rootDir>/test/diagnosis/{remedies,doses}.test.ts'),
  server: ['<rootDir>/test/today.test.ts'],
};
const project = all.projects.find((p) => p.displayName === ROOM);

export default { ...project, rootDir: `./${ROOM}`, testMatch: FAST[ROOM], testTimeout: all.testTimeout };
