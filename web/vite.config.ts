import vue from '@vitejs/plugin-vue';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { offline } from './offlinePlugin.ts';

/** Packages that do nothing by being loaded, though they do not say so: what of them is not used is left out. */
const QUIET = /node_modules\/(clipper2-ts|delaunator|robust-predicates|svgpath|flatqueue|tinyqueue|polylabel)\//;
/** What only cuts and unites shapes: the page needs it when something is drawn, the planner at once. */
const SHAPES =
  /node_modules\/(clipper2-ts|d3-delaunay|delaunator|robust-predicates)\/|core\/src\/geometry\/(clip|simplify|middleLine)\.ts/;

/**
 * All that every page needs comes in one file: it packs better, and is asked for once. The service worker is apart, and so are tools that cut
 * shapes, which lie behind the same index but are needed later.
 */
const OF_PAGES = /^(?!.*(serviceWorker|drawing\/(partTools|shapePlacer)\.))/;

const build = {
  treeshake: { moduleSideEffects: (id: string): boolean => !QUIET.test(id) },
  output: {
    codeSplitting: {
      groups: [
        { name: 'shapes', test: SHAPES, includeDependenciesRecursively: false, priority: 2 },
        {
          name: 'first',
          test: OF_PAGES,
          tags: ['$initial' as const],
          includeDependenciesRecursively: false,
          priority: 1,
        },
      ],
    },
  },
};

export default defineConfig({
  // Packed once, as small as can be; the server hands that out.
  plugins: [
    vue(),
    offline(fileURLToPath(new URL('./src/offline/serviceWorker.ts', import.meta.url))),
    compression({
      algorithms: [defineAlgorithm('brotliCompress')],
      include: /\.(js|css|json|svg|html)$/,
      exclude: /^sw\.js$/,
    }),
  ],
  worker: { format: 'es', rolldownOptions: build },
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    target: 'es2022',
    chunkSizeWarningLimit: 700,
    // Nothing is put into a script as a data address: the content policy lets none be fetched.
    assetsInlineLimit: 0,
    rolldownOptions: build,
  },
  server: { port: 5173, fs: { allow: ['..'] } },
});
