// Runs the planner from one bundled file, which starts several times faster than its sources one by one. The bundle is
// made anew whenever a source is newer than it.
import { existsSync, mkdirSync, readdirSync, renameSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const bundle = join(root, 'node_modules/.cache/junctura/plan.mjs');

function newest(path) {
  const stat = statSync(path);
  if (!stat.isDirectory()) return stat.mtimeMs;
  return Math.max(stat.mtimeMs, ...readdirSync(path).map((name) => newest(join(path, name))));
}

async function makeBundle() {
  const { bundled } = await import('../scripts/bundled.mjs');
  mkdirSync(dirname(bundle), { recursive: true });
  const unfinished = `${bundle}.${process.pid}`;
  await bundled({ entryPoints: [join(root, 'cli/src/main.ts')], outfile: unfinished, external: ['@napi-rs/canvas'] });
  renameSync(unfinished, bundle);
}

const sources = ['core/src', 'cli/src', 'web/src/picture', 'package-lock.json'].map((path) => newest(join(root, path)));
if (!existsSync(bundle) || statSync(bundle).mtimeMs < Math.max(...sources)) await makeBundle();
await import(pathToFileURL(bundle).href);
