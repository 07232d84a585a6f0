import { crc32, deflateSync } from 'node:zlib';

/** The colour of each pixel of a picture that is made here. */
export type ColourAt = (x: number, y: number) => readonly [number, number, number];

function pngChunk(type: string, data: Buffer): Buffer {
  const body = Buffer.concat([Buffer.from(type, 'latin1'), data]);
  const ends = Buffer.alloc(8);
  ends.writeUInt32BE(data.length, 0);
  ends.writeUInt32BE(crc32(body), 4);
  return Buffer.concat([ends.subarray(0, 4), body, ends.subarray(4)]);
}
function pixels(width: number, height: number, colourAt: ColourAt): Buffer {
  const rows = Buffer.alloc(height * (1 + width * 3));
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) rows.set(colourAt(x, y), y * (1 + width * 3) + 1 + x * 3);
  }
  return deflateSync(rows);
}
/** A PNG made here: no picture of anybody’s. With `after`, an animation that shows that second. */
export function png(width: number, height: number, colourAt: ColourAt, after?: ColourAt): Buffer {
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head.set([8, 2, 0, 0, 0], 8);
  const words = (...numbers: number[]): Buffer => {
    const out = Buffer.alloc(4 * numbers.length);
    numbers.forEach((number, i) => out.writeUInt32BE(number, 4 * i));
    return out;
  };
  const frame = (sequence: number): Buffer =>
    pngChunk('fcTL', Buffer.concat([words(sequence, width, height, 0, 0), Buffer.from([0, 1, 0, 10, 0, 0])]));
  return Buffer.concat([
    Buffer.from([137, 80, 78, 71, 13, 10, 26, 10]),
    pngChunk('IHDR', head),
    ...(after ? [pngChunk('acTL', words(2, 0)), frame(0)] : []),
    pngChunk('IDAT', pixels(width, height, colourAt)),
    ...(after ? [frame(1), pngChunk('fdAT', Buffer.concat([words(2), pixels(width, height, after)]))] : []),
    pngChunk('IEND', Buffer.alloc(0)),
  ]);
}
