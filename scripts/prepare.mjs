// Makes a fresh clone ready: packages, the built application and, for tests, a browser. Plain Node, as nothing is installed yet.
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const purpose = process.argv[2];
const BROWSER = '/usr/bin/chromium';

function run(command, args, env = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } });
  if (done.status !== 0) {
    process.stderr.write(`\n“${command} ${args.join(' ')}” did not succeed; see above.\n`);
    process.exit(1);
  }
}

function hashOf(paths) {
  const hash = createHash('sha256').update(process.version);
  const add = (path) => {
    if (!existsSync(path)) return;
    if (statSync(path).isDirectory()) {
      for (const name of readdirSync(path).sort())
        if (name !== 'dist' && name !== 'node_modules') add(join(path, name));
    } else hash.update(path.slice(root.length)).update(readFileSync(path));
  };
  for (const path of paths) add(join(root, path));
  return hash.digest('hex');
}

function isStamped(file, hash) {
  const path = join(root, file);
  return existsSync(path) && readFileSync(path, 'utf8') === hash;
}

function stamp(file, hash) {
  const path = join(root, file);
  mkdirSync(dirname(path), { recursive: true });
  writeFileSync(path, hash);
}

function installPackages() {
  const hash = hashOf(['package-lock.json', 'package.json']);
  if (isStamped('node_modules/.junctura-stamp', hash)) return;
  process.stdout.write('Installing packages…\n');
  run('npm', ['ci', '--include=dev', '--prefer-offline', '--no-audit', '--no-fund'], {
    PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1',
  });
  stamp('node_modules/.junctura-stamp', hash);
}

function build() {
  const hash = hashOf(['core', 'web', 'demo', 'package-lock.json']);
  if (isStamped('web/dist/.junctura-stamp', hash)) return;
  process.stdout.write('Building the application…\n');
  run('npm', ['run', '--silent', 'build']);
  stamp('web/dist/.junctura-stamp', hash);
}

function findBrowser() {
  if (existsSync(BROWSER)) return;
  const isRoot = process.getuid?.() === 0;
  const hasApt = spawnSync('apt-get', ['--version']).status === 0;
  if (!isRoot || !hasApt) {
    process.stderr.write(
      `The end-to-end tests need Chromium at ${BROWSER}. Install it, on Debian with: sudo apt-get install chromium\n`,
    );
    process.exit(1);
  }
  process.stdout.write('Installing Chromium…\n');
  execFileSync('apt-get', ['update', '-qq'], { stdio: 'inherit' });
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], {
    DEBIAN_FRONTEND: 'noninteractive',
  });
}

installPackages();
build();
if (purpose === 'test') findBrowser();
