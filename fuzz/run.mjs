// Tries what nobody would do on purpose. `npm run fuzz -- --minutes 10 --seed 3`; what is found lies in fuzz/found.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { bundled, INSTALLED } from '../scripts/bundled.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));
const folder = join(root, 'node_modules/.cache/junctura');
process.chdir(root);
await bundled({
  entryPoints: { fuzz: 'fuzz/src/main.ts', trier: 'fuzz/src/trier.ts' },
  outdir: folder,
  outExtension: { '.js': '.mjs' },
  external: INSTALLED,
});
const done = spawnSync(
  process.execPath,
  [join(folder, 'fuzz.mjs'), '--trier', join(folder, 'trier.mjs'), ...process.argv.slice(2)],
  { stdio: 'inherit' },
);
process.exit(done.status ?? 1);
