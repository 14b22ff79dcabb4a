// `npm run endure`: the power fails while people write. The disk is copied at a random instant, and the copy is started.
import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { count, outcome, underWrites } from './endure.mjs';
import { copyDisk, makeDisk, mountDisk } from './file-disk.mjs';
import { startMariadb } from './mariadb.mjs';
import { makeStack } from './stack.mjs';

/** The disk holds the database, photos and logs, MB. */
const DISK_MB = 1500;

/** What a writer had been told was saved, at this moment. */
const soFar = (w) => ({
  ...w,
  acknowledged: new Map(w.acknowledged),
  photos: [...w.photos],
});

/**
 * Cuts the power so often. All programs stand still while the disk is copied, and nothing is flushed to it.
 * @returns its row; null if this machine has no loop devices
 */
export async function powerCuts(home, rounds, env) {
  const row = outcome('power cut: the disk as it was at one instant');
  mkdirSync(home, { recursive: true });
  const [disk, at] = [join(home, 'disk'), join(home, 'on-disk')];
  const unmount = makeDisk(disk, at, DISK_MB);
  if (!unmount) return null;
  const stack = makeStack({ home: at, env, weatherStandIns: true });
  const cuts = [];
  try {
    const running = await stack.start();
    for (let i = 0; i < rounds; i++) {
      let copied = false;
      let known = [];
      await underWrites(running.url, row, async (failed, writers) => {
        await wait(1500 + Math.random() * 3000);
        if (failed()) return;
        const pids = ['server', 'database'].map((name) => running.pidOf(name));
        // first what was acknowledged, then the instant: nothing may be missing that was known before
        known = writers.map(soFar);
        for (const pid of pids) process.kill(pid, 'SIGSTOP');
        copied = copyDisk(disk, `${disk}-${i}`);
        for (const pid of [...pids].reverse()) process.kill(pid, 'SIGCONT');
      });
      if (copied) cuts.push({ copy: `${disk}-${i}`, known });
      else rmSync(`${disk}-${i}`, { force: true });
    }
  } finally {
    await stack.stop();
    unmount();
  }
  for (const { copy, known } of cuts) {
    const after = `${copy}-after`;
    const unmountCopy = mountDisk(copy, after);
    if (!unmountCopy) {
      row.help += 1;
      continue;
    }
    try {
      const db = await startMariadb(join(after, 'mariadb'));
      row.tried += 1;
      try {
        await count(db.url, known, row, join(after, 'photos'));
      } finally {
        await db.stop();
      }
    } finally {
      unmountCopy();
      rmSync(copy);
    }
  }
  return row;
}
