import { mkdirSync, writeFileSync } from 'node:fs';
import { boxSchema } from '@junctura/core/materials';
import type { Step } from '@junctura/core/order';
import { pieceSchema, recordSchema, writePiece, type Piece, type PieceFile } from '@junctura/core/piece';
import { begun, boatPiece, boatSvg, bramblePiece, brambleSvg } from './finished.ts';
import { harbourCatPiece, harbourCatSvg } from './harbourCat.ts';
import { kitePiece, kiteSvg } from './kite.ts';
import { mothPiece, mothSvg } from './moth.ts';
import { MOTIFS, motifSvg } from './motifs/index.ts';
import { radishesPiece, radishesSvg } from './radishes.ts';
import { rockPoolPiece, rockPoolSvg } from './rockPool.ts';
import { seedHeadPiece, seedHeadSvg } from './seedHead.ts';
import { demoThreadBox } from './threadBox.ts';
import {
  ladybirdsPiece,
  ladybirdsSvg,
  lighthousePiece,
  lighthouseSvg,
  strawberryPiece,
  strawberrySvg,
} from './threeEnds.ts';
import { tramPiece, tramSvg } from './tram.ts';
import { writeRanges } from './makeRange.ts';

/** Writes the demo's files: `npm run demo`. They are checked in, and the same every time. */
function write(folder: string, name: string, text: string): void {
  const place = new URL(`../${folder}/`, import.meta.url);
  mkdirSync(place, { recursive: true });
  writeFileSync(new URL(name, place), text);
}

/** Of Rock Pool, the star waits until more amber is bought; the rim and what is written along it come last. */
const LATER = ['c1', 'c2', 'c12', 'c14'];
const isLeft = ({ part, colour }: Step): boolean => part.startsWith('star') || LATER.includes(colour);

const pieces: readonly [name: string, piece: Piece | PieceFile, drawing: string][] = [
  ['rock-pool', begun(rockPoolPiece(), '2026-10-03T19:30:00Z', isLeft), rockPoolSvg()],
  ['kite', kitePiece(), kiteSvg()],
  ['market-radishes', radishesPiece(), radishesSvg()],
  ['night-tram', tramPiece(), tramSvg()],
  ['harbour-cat', harbourCatPiece(), harbourCatSvg()],
  ['bramble-spray', bramblePiece(), brambleSvg()],
  ['seed-head-cloth', seedHeadPiece(), seedHeadSvg()],
  ['paper-boat', boatPiece(), boatSvg()],
  ['moth-on-oak-leaf', mothPiece(), mothSvg()],
  ['ladybirds-on-a-shirt', ladybirdsPiece(), ladybirdsSvg()],
  ['strawberry-patch', strawberryPiece(), strawberrySvg()],
  ['lighthouse', lighthousePiece(), lighthouseSvg()],
];

writeRanges();
write('box', 'thread-box.json', `${JSON.stringify(boxSchema.parse(demoThreadBox()), null, 1)}\n`);
for (const [name, piece, drawing] of pieces) {
  const file: PieceFile = 'piece' in piece ? piece : { piece, record: [] };
  write('pieces', `${name}.junctura.json`, writePiece(pieceSchema.parse(file.piece), recordSchema.parse(file.record)));
  write('drawings', `${name}.svg`, drawing);
}
for (const motif of MOTIFS) write('motifs', `${motif.id}.svg`, motifSvg(motif));
const told = MOTIFS.map(({ id, name, kind, words }) => ({ id, name, kind, words }));
write('motifs', 'motifs.json', `${JSON.stringify(told, null, 1)}\n`);
