import { createServer, type RequestListener } from 'node:http';

/** A stand-in that listens. */
export interface Listening {
  url: string;
  close(): Promise<void>;
}

/** Listens on a free loopback port, or on the given one. */
export function listen(answer: RequestListener, port = 0): Promise<Listening> {
  const server = createServer(answer);
  return new Promise((done, fail) => {
    server.once('error', fail);
    server.listen(port, '127.0.0.1', () => {
      const address = server.address();
      const bound = typeof address === 'object' && address ? address.port : port;
      const close = (): Promise<void> =>
        new Promise((ok) => {
          server.close(() => ok());
          server.closeAllConnections();
        });
      done({ url: `http://127.0.0.1:${bound}`, close });
    });
  });
}
