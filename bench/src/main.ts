import { readPiece, type Piece } from '@junctura/core/piece';
import { readFileSync } from 'node:fs';
import { benchBytes } from './bytes.ts';
import { benchLevels } from './levels.ts';
import { benchMatching, benchOdds, benchPalette } from './colours.ts';
import { benchEditing } from './editing.ts';
import { benchFinishing } from './finishing.ts';
import { groundPiece } from './grounds.ts';
import { benchPicture, benchReading, benchTrials } from './intake.ts';
import { benchOrder } from './order.ts';
import { benchNeedlePainting } from './needlePainting.ts';
import { benchPainting } from './painting.ts';
import { benchPictureMemory } from './pictureMemory.ts';
import { benchGrowth, benchManyParts, benchMemory, benchPlanning } from './planning.ts';
import { benchPhone } from './phone.ts';
import { benchProposing } from './proposing.ts';
import { benchRecord } from './record.ts';
import { benchSaving } from './saving.ts';
import { benchTurning } from './turning.ts';
import { benchThreadBox } from './threadBox.ts';

function demo(name: string): Piece {
  const read = readPiece(readFileSync(`demo/pieces/${name}.junctura.json`, 'utf8'));
  if (!read.ok) throw new Error(read.problem);
  return read.value;
}

const DEMOS = [
  'rock-pool',
  'kite',
  'bramble-spray',
  'night-tram',
  'market-radishes',
  'seed-head-cloth',
  'paper-boat',
  'moth-on-oak-leaf',
] as const;

/** What is measured, each in a process of its own, so that none finds the other's warm code or full memory. */
const GROUPS: Readonly<Record<string, () => string[] | Promise<string[]>>> = {
  memory: benchMemory,
  sheets: () => benchPictureMemory(demo('rock-pool')),
  pool: () => benchPlanning(demo('rock-pool')),
  kite: () => benchPlanning(demo('kite')),
  growth: benchGrowth,
  parts: benchManyParts,
  turning: benchTurning,
  proposing: benchProposing,
  levels: benchLevels,
  finishing: () => benchFinishing(demo('rock-pool')),
  order: () => benchOrder(new Map(DEMOS.map((name) => [name, demo(name)]))),
  bytes: benchBytes,
  phone: () => benchPhone(demo('rock-pool')),
  record: () => benchRecord(demo('rock-pool')),
  saving: benchSaving,
  reading: benchReading,
  trials: () => benchTrials(demo('rock-pool')),
  picture: benchPicture,
  matching: benchMatching,
  palette: benchPalette,
  odds: () => benchOdds(demo('rock-pool')),
  box: benchThreadBox,
  needle: benchNeedlePainting,
  editing: () => benchEditing([demo('rock-pool'), groundPiece(60_000, 2025)]),
  painting: () => benchPainting([demo('rock-pool'), groundPiece(100_000)]),
};

/** Prints one line for each ratio of a group; without a group, the names of all. Started in the root by `run.mjs`. */
const [wanted] = process.argv.slice(2);
const lines = wanted === undefined ? Object.keys(GROUPS) : await GROUPS[wanted]!();
lines.forEach((line) => process.stdout.write(`${line}\n`));
