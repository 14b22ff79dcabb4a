import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Config } from '../src/config.js';
import { BackupWatch } from '../src/health/backup-watch.service.js';

/** Whoever runs it is reminded when there is no copy, or an old one. */
const folder = mkdtempSync(join(tmpdir(), 'watch-'));
afterAll(() => rmSync(folder, { recursive: true }));

test('none, an old one and a recent one', () => {
  let now = new Date('2026-07-18T08:00:00Z');
  const watch = new BackupWatch({ backups: folder } as Config, { now: () => now });
  expect(watch.reminder()).toMatch(/This database has no backup yet/);
  writeFileSync(join(folder, 'last.json'), JSON.stringify({ madeAt: '2026-07-17T08:00:00Z' }));
  expect(watch.reminder()).toBeNull();
  now = new Date('2026-07-24T07:59:00Z');
  expect(watch.reminder()).toBeNull();
  now = new Date('2026-07-24T08:00:00Z');
  expect(watch.reminder()).toMatch(/7 days old/);
});
