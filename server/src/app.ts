import compression from 'compression';
import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import expressStaticGzip from 'express-static-gzip';
import helmet from 'helmet';
import { join } from 'node:path';
import { PAGES } from '../../web/src/shell/pages.ts';
import { handOver } from './handOver.ts';
import { knownHosts } from './hosts.ts';
import { standIns } from './standIns.ts';
import * as say from './words.ts';

/** The addresses that a page of the application has, as the router writes it. */
function addressesOf(page: string): RegExp {
  const pattern = page.replace(/\/:\w+\?/g, '(/[^/]+)?').replace(/:\w+/g, '[^/]+');
  return new RegExp(`^${pattern}/?$`);
}

function oneLine(text: string): string {
  return text.replace(/\s+/g, ' ').slice(0, 300);
}

/** Fonts, scripts and demo files carry a hash in their names. */
const HASHED_MAX_AGE = '365d';

export interface AppOptions {
  /** The folder of the built application. */
  readonly dist: string;
  /** Hears of every request that went wrong, in one line. */
  readonly log?: (line: string) => void;
  /** Whether pieces are handed from one device to another: only where other devices are let in. */
  readonly handsOver?: boolean;
  /** Further names under which it is asked for. */
  readonly hosts?: readonly string[];
}

/**
 * The server of the built application: static files, every other page path answered by the application itself, and
 * health. It does not listen by itself.
 */
export function createApp({ dist, log = () => undefined, handsOver = false, hosts = [] }: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: ["'self'"],
          workerSrc: ["'self'", 'blob:'],
          // The component library writes its styles at run time.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'", 'blob:'],
          manifestSrc: ["'self'"],
          baseUri: ["'none'"],
          formAction: ["'none'"],
          frameAncestors: ["'none'"],
          objectSrc: ["'none'"],
        },
      },
      // It is served on the person's own machine, without TLS.
      strictTransportSecurity: false,
      referrerPolicy: { policy: 'no-referrer' },
    }),
  );
  const isKnown = knownHosts(handsOver, hosts);
  app.use((request, response, next) => {
    decodeURIComponent(request.path);
    const host = request.headers.host ?? '';
    if (isKnown(host)) return next();
    log(`421 ${request.method} ${JSON.stringify(host.slice(0, 100))}`);
    response
      .status(421)
      .type('text')
      .send(`${say.wrongHost(oneLine(host).slice(0, 100))}\n`);
  });
  app.get('/healthz', (_request, response) => {
    response.json({ status: 'ok' });
  });
  app.use(compression());
  app.use('/stand-ins', standIns());
  app.use('/hand-over', handOver(handsOver));
  const packed = { enableBrotli: true, orderPreference: ['br' as const] };
  app.use(
    '/assets',
    expressStaticGzip(join(dist, 'assets'), { ...packed, serveStatic: { immutable: true, maxAge: HASHED_MAX_AGE } }),
  );
  app.use(expressStaticGzip(dist, { ...packed, index: false }));
  app.get(Object.values(PAGES).map(addressesOf), (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile(join(dist, 'index.html'));
  });
  app.use((_request, response) => {
    response.status(404).type('text').send('There is nothing at this address.\n');
  });
  // Told apart by its four parameters. What went wrong is for the log, in one line; the page says no more than that it did.
  app.use((error: Error & { status?: number }, request: Request, response: Response, next: NextFunction) => {
    const isUnreadable = error instanceof URIError || (error.status ?? 500) < 500;
    const status = isUnreadable ? (error.status ?? 400) : 500;
    log(`${status} ${request.method} ${JSON.stringify(request.url.slice(0, 200))}: ${oneLine(error.message)}`);
    if (response.headersSent) return next(error);
    const said = isUnreadable ? 'This address can’t be read.' : 'Something went wrong in Junctura’s server. Try again.';
    response.status(status).type('text').send(`${said}\n`);
  });
  return app;
}
