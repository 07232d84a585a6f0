import { readdirSync, readFileSync } from 'node:fs';
import { join, relative, sep } from 'node:path';
import { wordsOfComponent } from './component.ts';
import { wordsOfScript } from './script.ts';

/** One sentence or label that a person reads. */
export interface Words {
  /** From the project's root, with forward slashes. */
  readonly file: string;
  readonly line: number;
  /** What is filled in stands in braces, as the code has it: `{plural(n, 'skein')} to buy`. */
  readonly text: string;
}

/** Where words for people stand. Tests, the makers of the demo and of benchmarks talk to developers. */
const ROOTS = ['core/src', 'web/src', 'server/src', 'cli/src'];
const PASSED_OVER = /\.test\.ts$|\/testing\/|\.d\.ts$/;

function filesBelow(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true })
    .flatMap((entry) => {
      const path = join(folder, entry.name);
      return entry.isDirectory() ? filesBelow(path) : /\.(ts|vue)$/.test(entry.name) ? [path] : [];
    })
    .sort();
}

/**
 * Every sentence and label of the product with its place, file by file, line by line.
 * Scripts are read by TypeScript's syntax tree, templates by Vue's own.
 * @throws when a component can't be read.
 */
export function collectWords(root: string): Words[] {
  return ROOTS.flatMap((folder) => filesBelow(join(root, folder))).flatMap((path) => {
    const file = relative(root, path).split(sep).join('/');
    if (PASSED_OVER.test(file)) return [];
    const source = readFileSync(path, 'utf8');
    const found = file.endsWith('.vue') ? wordsOfComponent(source) : wordsOfScript(source, 1, file.startsWith('cli/'));
    return found.map((words) => ({ file, ...words })).sort((a, b) => a.line - b.line);
  });
}
