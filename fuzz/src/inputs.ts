import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { seededRandom, type Random } from '@junctura/core/measure';
import { readPiece } from '@junctura/core/piece';
import { writeSvg } from '@junctura/core/drawing';
import { mutatedJson, mutatedText, pick } from './mutate.ts';

/** What is tried. */
export const KINDS = ['svg', 'piece', 'csv', 'gpl', 'remedies'] as const;
export type Kind = (typeof KINDS)[number];

/** Something to try, made from nothing but its kind and number. */
export interface Input {
  readonly kind: Kind;
  readonly seed: number;
  readonly text: string;
}

const folder = 'demo/pieces';
const pieces = readdirSync(folder).map((name) => readFileSync(join(folder, name), 'utf8'));

const SHAPES = [
  '<rect x="4" y="5" width="20" height="12" rx="3"/>',
  '<circle cx="30" cy="30" r="12" fill="#a33"/>',
  '<path d="M5 5C20 -5 40 30 55 8S60 50 30 55Q10 60 5 5Z" fill="#286" stroke="#123" stroke-width="1.2"/>',
  '<path d="M3.89 -59.874L-3.805 -59.873L-3.88 -59.874L-3.889 -59.874L-3.89 -59.874Z"/>',
  '<polyline points="2,2 9,14 22,3 40,40" fill="none" stroke="#c60" stroke-width="0.6" stroke-dasharray="2 1"/>',
  '<g transform="rotate(30) scale(1.5)"><ellipse cx="12" cy="4" rx="9" ry="2"/></g>',
  '<defs><path id="p" d="m0 0h9v9h-9z"/></defs><use href="#p" x="20" y="30"/>',
  '<path d="M0 0A12 7 20 1 1 30 9L30 40Z" style="fill:none;stroke:#225;stroke-width:3"/>',
];
const CSV = 'name;code;hex;skeins;metres;price;lot\nBlue;b1;#0000aa;1;2,5;1.20;L1\n"Sea, deep";b2;#115566;0;;;\n';
const GPL = 'GIMP Palette\nName: Mine\n#\n 20  40 160\tInk (i1)\n220 200 180\tLinen (l2)\n';

function drawing(random: Random): string {
  if (random.next() < 0.15) {
    const read = readPiece(pick(random, pieces));
    if (read.ok) return writeSvg(read.value);
  }
  const shapes = Array.from({ length: 1 + Math.floor(random.next() * 5) }, () => pick(random, SHAPES));
  return `<svg xmlns="http://www.w3.org/2000/svg" width="80mm" height="80mm" viewBox="0 0 80 80">${shapes.join('')}</svg>`;
}

/** The input of a kind and number: the same every time. */
export function inputOf(kind: Kind, seed: number): Input {
  const random = seededRandom(seed);
  const text = {
    svg: () => mutatedText(random, drawing(random)),
    piece: () => {
      const whole = pick(random, pieces);
      if (random.next() < 0.3) return mutatedText(random, whole);
      let value = JSON.parse(whole) as Parameters<typeof mutatedJson>[1];
      for (let left = 1 + Math.floor(random.next() * 3); left > 0; left--) value = mutatedJson(random, value);
      return JSON.stringify(value);
    },
    csv: () => mutatedText(random, CSV),
    gpl: () => mutatedText(random, GPL),
    remedies: () => pick(random, pieces),
  }[kind]();
  return { kind, seed, text };
}
