import express from 'express';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { createApp } from '../server/src/app.ts';

/** The application as it was built; everything is run in the project's own folder. */
export const BUILT = resolve('web/dist');

export interface OwnServer {
  readonly address: string;
  stop(): Promise<void>;
}

/**
 * A server of one's own at a free port, that can be stopped.
 * @param before what is asked before the application is, such as a file that is to be another
 */
export async function startServer(
  options: { readonly handsOver?: boolean } = {},
  before: express.RequestHandler = (_request, _response, next) => next(),
): Promise<OwnServer> {
  const app = express();
  app.use(before, createApp({ dist: BUILT, ...options }));
  const server = await new Promise<Server>((resolve) => {
    const listening = app.listen(0, () => resolve(listening));
  });
  return {
    address: `http://localhost:${(server.address() as AddressInfo).port}`,
    async stop() {
      server.closeAllConnections();
      if (server.listening) await new Promise((resolve) => server.close(resolve));
    },
  };
}
