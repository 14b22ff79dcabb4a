import { connect, createServer, type Socket } from 'node:net';

/** A line to the database that can be cut, or go silent, while the application stands. */
export async function flakyLink(databaseUrl: string) {
  const to = new URL(databaseUrl);
  const sockets = new Set<Socket>();
  let state: 'up' | 'cut' | 'silent' = 'up';
  const server = createServer((near) => {
    if (state === 'cut') return void near.destroy();
    const far = connect(Number(to.port), to.hostname);
    for (const s of [near, far]) {
      sockets.add(s);
      s.on('error', () => undefined);
      s.on('close', () => {
        sockets.delete(s);
        near.destroy();
        far.destroy();
      });
    }
    near.pipe(far);
    far.pipe(near);
    if (state === 'silent') for (const s of [near, far]) s.pause();
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const url = new URL(databaseUrl);
  url.port = String((server.address() as { port: number }).port);
  return {
    url: url.toString(),
    cut: () => {
      state = 'cut';
      for (const s of sockets) s.destroy();
    },
    hush: () => {
      state = 'silent';
      for (const s of sockets) s.pause();
    },
    mend: () => {
      state = 'up';
      for (const s of sockets) s.resume();
    },
    close: async () => {
      for (const s of sockets) s.destroy();
      await new Promise((done) => server.close(done));
    },
  };
}
