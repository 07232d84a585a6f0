import { createHash } from 'node:crypto';
import type { Plugin } from 'vite';

/** Builds the service worker, and tells it all files of the build. */
export function offline(entry: string): Plugin {
  return {
    name: 'offline',
    apply: 'build',
    buildStart() {
      this.emitFile({ type: 'chunk', id: entry, fileName: 'sw.js' });
    },
    generateBundle: {
      order: 'post',
      handler(_options, bundle) {
        const worker = bundle['sw.js'];
        if (worker?.type !== 'chunk') this.error('The service worker was not built.');
        const names = Object.keys(bundle).filter((name) => name !== 'sw.js' && !name.endsWith('.br'));
        const files = [
          ...names.map((name) => `/${name}`),
          '/icon.svg',
          '/icon-192.png',
          '/icon-512.png',
          '/manifest.webmanifest',
        ].sort();
        const hash = createHash('sha256').update(files.join('\n')).update(worker.code);
        const page = bundle['index.html'];
        if (page?.type === 'asset') hash.update(page.source);
        worker.code = worker.code
          .replaceAll('__FILES__', JSON.stringify(files))
          .replaceAll('__BUILD__', JSON.stringify(hash.digest('hex').slice(0, 12)));
      },
    },
  };
}
