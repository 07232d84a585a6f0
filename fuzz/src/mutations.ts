// Changes single tokens of the core at random places and says which of the changes no test notices: `npm run mutate -- --n 60 --seed 1`.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import {
  cpSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { cpus, tmpdir } from 'node:os';
import { dirname, join, relative } from 'node:path';
import { parseArgs } from 'node:util';
import { seededRandom, type Random } from '@junctura/core/measure';
import ts from 'typescript';

const { values } = parseArgs({
  options: { n: { type: 'string', default: '60' }, seed: { type: 'string', default: '1' } },
});
const [COUNT, SEED] = [Number(values.n), Number(values.seed)];
/** A run that takes longer hangs: the change was noticed, ms. */
const LONGEST_MS = 300_000;

/** One token of a file put in place of another. */
interface Mutation {
  readonly file: string;
  readonly from: number;
  readonly to: number;
  readonly text: string;
}

const OPERATORS: Readonly<Record<string, string>> = {
  '+': '-',
  '-': '+',
  '*': '/',
  '/': '*',
  '<': '<=',
  '<=': '<',
  '>': '>=',
  '>=': '>',
  '===': '!==',
  '!==': '===',
  '&&': '||',
  '||': '&&',
};
const METHODS: Readonly<Record<string, string>> = {
  min: 'max',
  max: 'min',
  floor: 'ceil',
  ceil: 'floor',
  some: 'every',
  every: 'some',
};

/** Every change of one token of a source that is likely to change what it does. */
function mutationsOf(file: string, source: string): Mutation[] {
  const tree = ts.createSourceFile(file, source, ts.ScriptTarget.ES2023, true);
  const found: Mutation[] = [];
  const put = (node: ts.Node, text: string): void =>
    void found.push({ file, from: node.getStart(tree), to: node.end, text });
  const visit = (node: ts.Node): void => {
    // Types say nothing at run time, and what is said to people is looked after by its own test.
    if (
      ts.isTypeNode(node) ||
      ts.isInterfaceDeclaration(node) ||
      ts.isImportDeclaration(node) ||
      ts.isThrowStatement(node)
    )
      return;
    if (ts.isBinaryExpression(node)) {
      const other = OPERATORS[node.operatorToken.getText(tree)];
      if (other) put(node.operatorToken, other);
      // A term or a condition that is left out.
      if (/^(\+|-|&&|\|\|)$/.test(node.operatorToken.getText(tree))) put(node, node.left.getText(tree));
    } else if (ts.isNumericLiteral(node)) put(node, Number(node.text) === 0 ? '1' : String(Number(node.text) * 1.1));
    else if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
      put(node, node.operand.getText(tree));
    else if (ts.isPropertyAccessExpression(node) && ts.isCallExpression(node.parent) && METHODS[node.name.text])
      put(node.name, METHODS[node.name.text]!);
    else if (ts.isConditionalExpression(node)) put(node, `(${node.whenTrue.getText(tree)})`);
    else if (node.kind === ts.SyntaxKind.TrueKeyword) put(node, 'false');
    else if (node.kind === ts.SyntaxKind.FalseKeyword) put(node, 'true');
    ts.forEachChild(node, visit);
  };
  visit(tree);
  return found;
}

function chosen(random: Random, root: string): Mutation[] {
  const files = readdirSync(join(root, 'core/src'), { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts') && !/\.test\.ts$|^testing\/|words\.ts$|index\.ts$/.test(file))
    .map((file) => join('core/src', file));
  const all = files.sort().flatMap((file) => mutationsOf(file, readFileSync(join(root, file), 'utf8')));
  return Array.from({ length: COUNT }, () => all[Math.floor(random.next() * all.length)]!);
}

/** A copy of all that the tests of the core read, so that what is changed is changed in nobody's work. */
function copyOf(root: string): string {
  const copy = mkdtempSync(join(tmpdir(), 'junctura-mutate-'));
  for (const part of ['core', 'demo', 'package.json', 'vitest.config.ts', 'tsconfig.base.json']) {
    cpSync(join(root, part), join(copy, part), { recursive: true, filter: (path) => !path.includes('node_modules') });
  }
  for (const packages of ['node_modules', 'core/node_modules', 'demo/node_modules']) {
    if (existsSync(join(root, packages))) symlinkSync(join(root, packages), join(copy, packages));
  }
  return copy;
}

/** Runs tests of a copy, until one fails. @returns whether one did */
async function fails(copy: string, args: readonly string[]): Promise<boolean> {
  const child = spawn(
    'npx',
    ['vitest', ...args, '--run', '--bail=1', '--project=units', '--maxWorkers=1', '--reporter=dot'],
    {
      cwd: copy,
      stdio: 'ignore',
      env: { ...process.env, LC_ALL: 'en_US.UTF-8' },
      detached: true,
    },
  );
  const timer = setTimeout(() => process.kill(-child.pid!, 'SIGKILL'), LONGEST_MS);
  const [code] = await once(child, 'close');
  clearTimeout(timer);
  return code !== 0;
}

/** Runs the tests that a file bears on, those beside it first. @returns whether one fails */
async function isNoticed(copy: string, file: string): Promise<boolean> {
  const folder = dirname(file);
  const beside = readdirSync(join(copy, folder))
    .filter((name) => name.endsWith('.test.ts'))
    .map((name) => join(folder, name));
  return (beside.length > 0 && (await fails(copy, beside))) || fails(copy, ['related', file]);
}

const root = process.cwd();
const waiting = chosen(seededRandom(SEED), root).entries();
const survivors: string[] = [];
let tried = 0;

async function work(): Promise<void> {
  const copy = copyOf(root);
  try {
    if (await fails(copy, [])) throw new Error('a test fails before anything is changed');
    for (const [, { file, from, to, text }] of waiting) {
      const source = readFileSync(join(root, file), 'utf8');
      writeFileSync(join(copy, file), source.slice(0, from) + text + source.slice(to));
      const isCaught = await isNoticed(copy, file);
      writeFileSync(join(copy, file), source);
      tried++;
      const line = source.slice(0, from).split('\n').length;
      const what = `${relative('core/src', file)}:${line}  ${source.slice(from, to).slice(0, 60)}  →  ${text.slice(0, 60)}`;
      process.stdout.write(`${isCaught ? 'noticed ' : 'SURVIVED'} ${what.replaceAll('\n', ' ')}\n`);
      if (!isCaught) survivors.push(what);
    }
  } finally {
    rmSync(copy, { recursive: true });
  }
}

await Promise.all(Array.from({ length: Math.max(1, Math.min(2, cpus().length)) }, work));
process.stdout.write(
  `\n${tried - survivors.length} of ${tried} noticed (${Math.round((100 * (tried - survivors.length)) / tried)} %), seed ${SEED}\n`,
);
