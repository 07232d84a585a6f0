import compression from 'compression';
import express, { type Express } from 'express';
import expressStaticGzip from 'express-static-gzip';
import helmet from 'helmet';
import { join } from 'node:path';
import { PAGES } from '../../web/src/shell/pages.ts';
import { standIns } from './standIns.ts';

/** The addresses that a page of the application has, as the router writes it. */
function addressesOf(page: string): RegExp {
  const pattern = page.replace(/\/:\w+\?/g, '(/[^/]+)?').replace(/:\w+/g, '[^/]+');
  return new RegExp(`^${pattern}/?$`);
}

/** Fonts, scripts and demo files carry a hash in their names. */
const HASHED_MAX_AGE = '365d';

/**
 * The server of the built application: static files, every other page path answered by the application itself, and
 * health. It does not listen by itself.
 * @param dist the folder of the built application
 */
export function createApp({ dist }: { dist: string }): Express {
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
  app.get('/healthz', (_request, response) => {
    response.json({ status: 'ok' });
  });
  app.use(compression());
  app.use('/stand-ins', standIns());
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
  return app;
}
