import type { Cloth, Mark } from '../materials/index.ts';
import { plural } from '../measure/index.ts';

type PlainCode =
  | 'not-through'
  | 'not-seen'
  | 'by-window'
  | 'by-light-box'
  | 'nothing-to-trace'
  | 'line-covered'
  | 'line-stays-in-view'
  | 'line-must-come-out'
  | 'detail-lost'
  | 'soils'
  | 'stays'
  | 'stays-long-enough'
  | 'washed-anyway'
  | 'heat-spoils'
  | 'uncovered-stays'
  | 'sewn-twice'
  | 'tacked'
  | 'comes-printed'
  | 'one-try';

/** Why a way of marking fits a piece, or does not: a code with what its sentence tells. */
export type WayReason =
  | { readonly code: PlainCode; readonly mark: Mark; readonly cloth: Cloth }
  | { readonly code: 'fades'; readonly parts: number }
  | { readonly code: 'water-spoils'; readonly spoilt: string }
  | { readonly code: 'may-run'; readonly colours: readonly string[] };

const WORDS: Readonly<Record<PlainCode, (mark: Mark, cloth: Cloth) => string>> = {
  'not-through': (_, cloth) => `The drawing does not show through ${cloth.name.toLowerCase()} in this colour.`,
  'not-seen': (_, cloth) => `It does not show on ${cloth.name.toLowerCase()} in this colour.`,
  'by-window': (_, cloth) => `${cloth.name} is pale and light enough to trace through at a window.`,
  'by-light-box': () => 'A light box shows the drawing through; a window does not.',
  'nothing-to-trace': () => 'Nothing has to show through the cloth.',
  'line-covered': ({ lineMm }) => `The narrowest line stitch covers its ${lineMm} mm line.`,
  'line-stays-in-view': ({ lineMm }) =>
    `Its ${lineMm} mm line shows beside the narrowest stitch and does not come out.`,
  'line-must-come-out': ({ lineMm }) =>
    `Its ${lineMm} mm line is wider than the narrowest stitch, so it must come out.`,
  'detail-lost': ({ lineMm }) => `Fine detail is lost in a ${lineMm} mm line.`,
  soils: () => 'It can soil the pale threads of this piece.',
  stays: () => 'It stays until it is taken out.',
  'stays-long-enough': () => 'It stays for as long as this piece takes.',
  'washed-anyway': () => 'It comes out in a wash that the piece gets anyway.',
  'heat-spoils': (_, cloth) => `It comes out by heat, which ${cloth.name.toLowerCase()} does not take.`,
  'uncovered-stays': () => 'What is not covered stays.',
  'sewn-twice': () => 'Slow: every line is sewn twice.',
  tacked: () => 'It must be tacked down, and is stitched through.',
  'comes-printed': () => 'Only for cloth that comes printed.',
  'one-try': () => 'Only one try: ironed over it stays.',
};

/** So many colours are named. */
const MOST_NAMED = 3;

/** The sentence of a reason. */
export function sayWay(reason: WayReason): string {
  switch (reason.code) {
    case 'fades':
      return `${plural(reason.parts, 'part is', 'parts are')} reached after it may have faded: draw anew as you go.`;
    case 'water-spoils':
      return `It comes out in water that ${reason.spoilt.toLowerCase()} does not take.`;
    case 'may-run': {
      const named = reason.colours.slice(0, MOST_NAMED).join(', ');
      const others = reason.colours.length > MOST_NAMED ? ' and others' : '';
      return `${named}${others} may run in that water: try a thread of each first.`;
    }
    default:
      return WORDS[reason.code](reason.mark, reason.cloth);
  }
}
