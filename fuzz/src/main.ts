import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { inputOf, KINDS, type Input, type Kind } from './inputs.ts';
import { InputsRun, type Found } from './inputsRun.ts';
import { SessionsRun } from './sessionsRun.ts';

/** Of so many inputs one session is killed. */
const INPUTS_A_SESSION = 120;
const FIXTURES = 'fuzz/fixtures';
const FOUND = 'fuzz/found';

const { values } = parseArgs({
  options: {
    minutes: { type: 'string' },
    seed: { type: 'string', default: '1' },
    inputs: { type: 'string' },
    sessions: { type: 'string' },
    trier: { type: 'string' },
  },
});
const number = (text: string | undefined, name: string): number | null => {
  if (text === undefined) return null;
  const value = Number(text);
  if (Number.isFinite(value) && value >= 0) return value;
  process.stderr.write(`--${name} must be a number, got '${text}'.\n`);
  process.exit(1);
};
const until = Date.now() + (number(values.minutes, 'minutes') ?? 1) * 60_000;
const seed = number(values.seed, 'seed')!;
/** With counts given, just so many are tried, however long it takes; else as many as the minutes allow. */
const mostInputs = number(values.inputs, 'inputs');
const mostSessions = number(values.sessions, 'sessions');
const isCounted = mostInputs !== null || mostSessions !== null;

/** What was found before, and mended: each file is of the kind that its name begins with. */
function fixtures(): Input[] {
  return readdirSync(FIXTURES).map((name) => {
    const kind = KINDS.find((known) => name.startsWith(`${known}-`));
    if (!kind) throw new Error(`${FIXTURES}/${name} is of no known kind`);
    return { kind, seed: 0, text: readFileSync(join(FIXTURES, name), 'utf8') };
  });
}

const tried: Record<Kind | 'sessions' | 'fixtures', number> = {
  svg: 0,
  piece: 0,
  csv: 0,
  gpl: 0,
  remedies: 0,
  sessions: 0,
  fixtures: 0,
};
const faults: string[] = [];

function tell({ input: { kind, seed: at, text }, fault }: Found): void {
  mkdirSync(FOUND, { recursive: true });
  const file = join(FOUND, `${kind}-${at}`);
  writeFileSync(file, text);
  faults.push(`${kind} ${at} (${file}): ${fault}`);
  process.stdout.write(`${faults.at(-1)}\n`);
}

const inputs = new InputsRun(values.trier!);
for (const input of fixtures()) {
  const found = await inputs.try(input);
  tried.fixtures++;
  if (found) tell(found);
}
const sessions = new SessionsRun();
const isMore = (count: number, most: number | null): boolean => (isCounted ? count < (most ?? 0) : Date.now() < until);
let [triedInputs, next] = [0, seed * 1_000_000];
while (isMore(triedInputs, mostInputs) || isMore(tried.sessions, mostSessions)) {
  for (let i = 0; i < INPUTS_A_SESSION && isMore(triedInputs, mostInputs); i++) {
    const kind = KINDS[next % KINDS.length]!;
    const found = await inputs.try(inputOf(kind, next++));
    tried[kind]++;
    triedInputs++;
    if (found) tell(found);
  }
  if (isMore(tried.sessions, mostSessions)) {
    const lost = await sessions.kill(seed + tried.sessions++);
    if (lost === null) continue;
    faults.push(lost);
    process.stdout.write(`${lost}\n`);
  }
}
inputs.close();
await sessions.close();
const counts = Object.entries(tried).map(([what, count]) => `${count} ${what}`);
process.stdout.write(`Tried: ${counts.join(', ')}. Found: ${faults.length}.\n`);
process.exit(faults.length === 0 ? 0 : 1);
