// Prints every sentence and label of the product, one a line with its place, to be read through.
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { collectWords } from './collect.ts';

const root = join(dirname(fileURLToPath(import.meta.url)), '../..');
for (const { file, line, text } of collectWords(root)) process.stdout.write(`${file}:${line}\t${text}\n`);
