import { readPiece } from '@junctura/core/piece';
import { readFileSync } from 'node:fs';
import { benchPainting } from './painting.ts';
import { benchPlanning } from './planning.ts';

/** Prints one line for each ratio; each is the quotient of two medians taken in this run. */
const read = readPiece(readFileSync(new URL('../../demo/pieces/kite.junctura.json', import.meta.url), 'utf8'));
if (!read.ok) throw new Error(read.problem);
for (const line of benchPlanning(read.value)) process.stdout.write(`${line}\n`);
for (const line of await benchPainting(read.value)) process.stdout.write(`${line}\n`);
