import { createServer, type RequestListener, type Server } from 'node:http';

/** A request that is sent slowly or only half is not waited for longer than this, ms; so often is looked for them. */
const HEADERS_MS = 10_000;
const REQUEST_MS = 30_000;
const LOOK_EVERY_MS = 2000;
/** More connections at once than a home has. */
const MOST_CONNECTIONS = 200;

/** A server that no slow or half-sent requests keep busy. It does not listen by itself. */
export function limitedServer(
  answer: RequestListener,
  { headersMs = HEADERS_MS, requestMs = REQUEST_MS, lookEveryMs = LOOK_EVERY_MS } = {},
): Server {
  const server = createServer(
    {
      headersTimeout: headersMs,
      requestTimeout: requestMs,
      connectionsCheckingInterval: lookEveryMs,
      keepAliveTimeout: 5000,
    },
    answer,
  );
  server.maxConnections = MOST_CONNECTIONS;
  return server;
}
