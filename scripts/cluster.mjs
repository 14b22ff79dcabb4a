// npm run cluster: tests Candid Leaf on a MariaDB Galera cluster of three nodes, with a server process on each of two. One node is killed
// and restarted during writes. Everything is in a temporary folder. CLUSTER_REPORT names a file for the figures.
import { randomBytes } from 'node:crypto';
import { rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { buildAll } from './lib/build.mjs';
import { answers, comesAbout, count, outcome, underWrites } from './lib/endure.mjs';
import { galeraNode, nodeState } from './lib/galera.mjs';
import { ensureModules, ensurePackages, throwAwayFolder } from './lib/machine.mjs';
import { freePort } from './lib/port.mjs';
import { endWith, say } from './lib/say.mjs';
import { startServer } from './lib/server.mjs';

const NODES = 3;
/** Seconds of writing before, during and after the failure. */
const WRITING_MS = Number(process.env.CLUSTER_MS ?? 6000);

let home;
const running = [];
try {
  await ensurePackages({
    mariadbd: 'mariadb-server',
    'mariadb-install-db': 'mariadb-server',
    rsync: 'rsync',
    wsrep_sst_rsync: 'mariadb-server',
    '/usr/lib/galera/libgalera_smm.so': 'galera-4',
  });
  await ensureModules();
  await buildAll(say);
  home = throwAwayFolder('cluster');
  // both servers store photos in one folder, as docs/club.md requires
  const photos = join(home, 'photos');
  const ports = await Promise.all(Array.from({ length: NODES }, freePort));
  say('Starting three nodes …');
  const nodes = [];
  for (let i = 0; i < NODES; i++) {
    const node = await galeraNode(join(home, `node-${i + 1}`), i, ports, nodes[0]);
    nodes.push(node);
    running.push(() => node.stop());
  }
  say(`  ${JSON.stringify(await nodeState(nodes[2].url))}`);

  const secret = randomBytes(32).toString('hex');
  const servers = [];
  for (const i of [0, 1]) {
    const server = await startServer({
      databaseUrl: nodes[i].url,
      secret,
      log: join(home, `server-${i + 1}.log`),
      env: { PHOTOS: photos },
    });
    servers.push(server);
    running.push(() => server.stop());
  }
  say('Two servers run, each on a node of its own. People write …');

  const row = outcome('a node of three killed while people write, and brought back');
  const writers = await underWrites(
    servers.map((s) => s.url),
    row,
    async () => {
      await wait(WRITING_MS);
      say('Killing the first node …');
      row.tried += 1;
      nodes[0].kill();
      // the second node continues with the third
      await comesAbout(row, () => answers(servers[1].url));
      await wait(WRITING_MS);
      say('Bringing it back …');
      nodes[0] = await galeraNode(join(home, 'node-1'), 0, ports, nodes[1]);
      running.push(() => nodes[0].stop());
      await comesAbout(row, async () => (await nodeState(nodes[0].url)).size === NODES);
      await comesAbout(row, () => answers(servers[0].url));
      await wait(WRITING_MS);
    },
  );
  // every node has all rows
  const each = [];
  for (const node of nodes) {
    const here = { ...row, lost: 0, doubled: 0, writes: 0 };
    await count(node.url, writers, here, photos);
    each.push(here);
  }
  for (const [i, r] of each.entries())
    say(`  node ${i + 1}: ${r.writes} acknowledged, ${r.lost} lost, ${r.doubled} doubled`);
  row.writes = each[0].writes;
  row.lost = Math.max(...each.map((r) => r.lost));
  row.doubled = Math.max(...each.map((r) => r.doubled));
  if (process.env.CLUSTER_REPORT) writeFileSync(process.env.CLUSTER_REPORT, JSON.stringify(row));
  if (row.lost + row.doubled + row.help > 0 || row.writes === 0) process.exitCode = 1;
  say(row.lost + row.doubled + row.help === 0 ? 'Nothing that was acknowledged is lost.' : JSON.stringify(row));
} catch (error) {
  endWith(error);
} finally {
  for (const stop of running.reverse()) await stop().catch(() => {});
  if (home && !process.env.KEEP) rmSync(home, { recursive: true, force: true });
}
