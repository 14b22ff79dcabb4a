// Nodes of a MariaDB Galera cluster on loopback, each with its own folder and ports.
import { mkdirSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';
import { freePort } from './port.mjs';
import { startMariadb } from './mariadb.mjs';
import { Plain } from './say.mjs';

const PROVIDER = '/usr/lib/galera/libgalera_smm.so';

/**
 * Starts one node. The first founds the cluster; the others, and the first after a restart, copy what the others hold.
 * @param ports of all nodes, for their traffic
 * @param other a running node; without one, this node founds the cluster
 */
export async function galeraNode(home, i, ports, other) {
  mkdirSync(home, { recursive: true });
  const [ist, sst] = [await freePort(), await freePort()];
  const db = await startMariadb(home, [
    '--binlog-format=ROW',
    '--default-storage-engine=InnoDB',
    '--innodb-autoinc-lock-mode=2',
    '--innodb-buffer-pool-size=64M',
    '--wsrep-on=ON',
    `--wsrep-provider=${PROVIDER}`,
    '--wsrep-cluster-name=candid-leaf',
    `--wsrep-cluster-address=gcomm://${ports.map((p) => `127.0.0.1:${p}`).join(',')}`,
    `--wsrep-node-name=node-${i + 1}`,
    '--wsrep-node-address=127.0.0.1',
    `--wsrep-provider-options=base_port=${ports[i]};gmcast.listen_addr=tcp://127.0.0.1:${ports[i]};ist.recv_addr=127.0.0.1:${ist};gcache.size=32M`,
    '--wsrep-sst-method=rsync',
    `--wsrep-sst-receive-address=127.0.0.1:${sst}`,
    // a server must read what was acknowledged, on whichever node
    '--wsrep-sync-wait=1',
    ...(other ? [] : ['--wsrep-new-cluster']),
  ]);
  // a joining node takes over what the others hold, including passwords
  const url = other ? Object.assign(new URL(other.url), { port: new URL(db.url).port }).toString() : db.url;
  for (let tries = 0; (await nodeState(url).catch(() => null))?.state !== 'Synced'; tries++) {
    if (tries > 600) throw new Plain(`Node ${i + 1} did not join within a minute.`);
    await wait(100);
  }
  return { url, stop: db.stop, kill: () => db.child.kill('SIGKILL') };
}

/** Returns how many nodes it sees, and whether it is up to date. */
export async function nodeState(url) {
  const { createConnection } = await import('mysql2/promise');
  const db = await createConnection({ uri: url, connectTimeout: 2000 });
  try {
    const [rows] = await db.query(
      `SHOW STATUS WHERE Variable_name IN ('wsrep_cluster_size', 'wsrep_local_state_comment', 'wsrep_cluster_status')`,
    );
    const of = (name) => rows.find((r) => r.Variable_name === name)?.Value;
    return {
      size: Number(of('wsrep_cluster_size')),
      state: of('wsrep_local_state_comment'),
      status: of('wsrep_cluster_status'),
    };
  } finally {
    db.destroy();
  }
}
