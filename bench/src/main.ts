import { readPiece, type Piece } from '@junctura/core/piece';
import { readFileSync } from 'node:fs';
import { benchMatching, benchOdds, benchPalette } from './colours.ts';
import { groundPiece } from './grounds.ts';
import { benchPicture, benchReading, benchTrials } from './intake.ts';
import { benchPainting } from './painting.ts';
import { benchThreadBox } from './threadBox.ts';
import { benchGrowth, benchManyParts, benchMemory, benchPlanning } from './planning.ts';

/** Prints one line for each ratio; each is the quotient of two medians taken in this run. Started in the root by `run.mjs`. */
function demo(name: string): Piece {
  const read = readPiece(readFileSync(`demo/pieces/${name}.junctura.json`, 'utf8'));
  if (!read.ok) throw new Error(read.problem);
  return read.value;
}

const print = (lines: readonly string[]): void => lines.forEach((line) => process.stdout.write(`${line}\n`));
print(benchMemory());
print(benchPlanning(demo('rock-pool')));
print(benchPlanning(demo('kite')));
print(benchGrowth());
print(benchManyParts());
print(benchReading());
print(benchTrials(demo('rock-pool')));
print(benchPicture());
print(benchMatching());
print(benchPalette());
print(benchOdds(demo('rock-pool')));
print(await benchThreadBox());
print(await benchPainting([demo('rock-pool'), groundPiece(100_000)]));
