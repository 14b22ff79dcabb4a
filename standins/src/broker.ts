import { createServer } from 'node:net';
import { Aedes } from 'aedes';

/** A broker of the household, for sensors that publish. */
export interface Broker {
  url: string;
  close(): Promise<void>;
}

/** Starts a broker on a free loopback port. */
export async function startBroker(port = 0): Promise<Broker> {
  const broker = await Aedes.createBroker();
  const server = createServer(broker.handle);
  await new Promise<void>((done, fail) => {
    server.once('error', fail);
    server.listen(port, '127.0.0.1', done);
  });
  const address = server.address();
  const bound = typeof address === 'object' && address ? address.port : port;
  return {
    url: `mqtt://127.0.0.1:${bound}`,
    close: async () => {
      await new Promise<void>((done) => broker.close(() => done()));
      await new Promise<void>((done) => server.close(() => done()));
    },
  };
}
