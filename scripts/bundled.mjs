// Bundles what is run from its sources, as the product is shipped: one file starts several times faster than its sources one by one.
import { build } from 'esbuild';

/** @param {import('esbuild').BuildOptions} options where from and where to; `external` packages are loaded as they are installed */
export async function bundled(options) {
  await build({
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    logLevel: 'error',
    ...options,
  });
}

/** What the server and its tools are made with: loaded from where it is installed. */
export const INSTALLED = [
  '@playwright/test',
  'esbuild',
  'express',
  'express-static-gzip',
  'express-rate-limit',
  'compression',
  'helmet',
  '@napi-rs/canvas',
];
