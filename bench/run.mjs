// Runs the benchmarks as the product is shipped: bundled, not file by file. `npm run bench -- reading` runs one group.
import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { bundled, INSTALLED } from '../scripts/bundled.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));
const bundle = join(root, 'node_modules/.cache/junctura/bench.mjs');
process.chdir(root);
await bundled({ entryPoints: [join(root, 'bench/src/main.ts')], outfile: bundle, external: INSTALLED });
const run = (...args) =>
  execFileSync(process.execPath, ['--expose-gc', bundle, ...args], {
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
  });
const wanted = process.argv.slice(2);
const groups = wanted.length > 0 ? wanted : run().trim().split('\n');
for (const group of groups) process.stdout.write(run(group));
