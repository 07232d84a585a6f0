// Runs every check and ends with one line: how many passed and how many failed.
import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const folder = mkdtempSync(join(tmpdir(), 'junctura-test-'));
let [passed, failed] = [0, 0];

function npmRun(script, args = [], env = {}) {
  process.stdout.write(`\n— ${script}\n`);
  const command = ['run', '--silent', script, ...(args.length > 0 ? ['--', ...args] : [])];
  return spawnSync('npm', command, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } }).status === 0;
}

function count(isGood, tally) {
  try {
    const [good, bad] = tally();
    passed += good;
    // A runner that failed without a failed test still failed.
    failed += bad === 0 && !isGood ? 1 : bad;
  } catch {
    failed++;
  }
}

/** A check that says no more than whether it passed counts as one. */
function countWhole(isGood) {
  count(isGood, () => (isGood ? [1, 0] : [0, 1]));
}

/** Runs scripts beside each other, two at a time, and prints what each says when it has ended. */
async function npmRunAll(scripts) {
  const waiting = [...scripts];
  const runNext = async () => {
    for (let script = waiting.shift(); script; script = waiting.shift()) {
      const child = spawn('npm', ['run', '--silent', script], { cwd: root });
      let said = '';
      for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => (said += data));
      const [code] = await once(child, 'close');
      process.stdout.write(`\n— ${script}\n${said}`);
      countWhole(code === 0);
    }
  };
  await Promise.all([runNext(), runNext()]);
}

await npmRunAll(['types:web', 'lint', 'types:core', 'types:node']);

const unitFile = join(folder, 'unit.json');
// Figures are written by the locale of the machine; the tests read them as in this one.
const unitsGood = npmRun('unit', ['--reporter=default', '--reporter=json', `--outputFile.json=${unitFile}`], {
  LC_ALL: 'en_US.UTF-8',
});
count(unitsGood, () => {
  const { numPassedTests, numTotalTests } = JSON.parse(readFileSync(unitFile, 'utf8'));
  return [numPassedTests, numTotalTests - numPassedTests];
});

const e2eFile = join(folder, 'e2e.json');
const e2eGood = npmRun('e2e', ['--reporter=list,json'], { PLAYWRIGHT_JSON_OUTPUT_NAME: e2eFile });
count(e2eGood, () => {
  const { stats } = JSON.parse(readFileSync(e2eFile, 'utf8'));
  return [stats.expected, stats.unexpected + stats.flaky + stats.skipped];
});

const fuzzGood = npmRun('fuzz', ['--inputs', '200', '--sessions', '5', '--seed', '7']);
countWhole(fuzzGood);

process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exit(failed === 0 ? 0 : 1);
