import { lookUp } from '../measure/index.ts';
import type { Washing } from './cloths.ts';

/** What brings a mark out, in the words of the ways below. */
export type Remover = 'nothing' | 'heat' | 'cold-water' | 'washing' | 'warm-water' | 'tearing';

/** A way of getting the drawing onto the cloth, and the line that it leaves. */
export interface Mark {
  readonly id: MarkId;
  readonly name: string;
  /** Its name within a sentence. */
  readonly inSentence: string;
  readonly lineMm: number;
  /** The colour of that line on pale cloth and on dark, as `#rrggbb`. */
  readonly ink: string;
  readonly inkOnDark: string;
  readonly onDark: boolean;
  /** Whether it is pale itself, and is lost on pale cloth. */
  readonly isPale: boolean;
  readonly comesOutBy: Remover;
  readonly comesOut: string;
  readonly beware: string;
  /** Whether the drawing must be seen through the cloth to be traced. */
  readonly traced: boolean;
  /** Whether the pattern is turned left for right before it is laid on. */
  readonly mirrored: boolean;
  /** How many days it can be trusted to stay before it fades by itself; null: it stays. */
  readonly staysDays: number | null;
  /** Whether heat makes it stay for good. */
  readonly heatSets: boolean;
  /** Whether it can soil pale thread. */
  readonly soils: boolean;
  /** Whether it lies on the cloth and is stitched through. */
  readonly isLaidOn: boolean;
}

const BASE = {
  onDark: false,
  isPale: false,
  traced: true,
  mirrored: false,
  staysDays: null,
  heatSets: false,
  soils: false,
  isLaidOn: false,
} as const;

/** General craft figures; the maker’s instructions for a marker come first. */
const KINDS = [
  {
    ...BASE,
    id: 'pencil',
    name: 'Hard fine pencil',
    inSentence: 'hard fine pencil',
    lineMm: 0.4,
    ink: '#6d6c70',
    inkOnDark: '#8f8e93',
    comesOutBy: 'nothing',
    comesOut: 'only in part: cover it with stitches',
    beware: 'Soils pale thread when soft or heavy.',
    soils: true,
  },
  {
    ...BASE,
    id: 'heat-pen',
    name: 'Heat-erasable pen',
    inSentence: 'heat-erasable pen',
    lineMm: 0.6,
    ink: '#3d4a78',
    inkOnDark: '#3d4a78',
    comesOutBy: 'heat',
    comesOut: 'with an iron or hot air',
    beware:
      'May come back in the cold, or leave a pale line: try it on a scrap. Disappears in a hot car or strong sun.',
  },
  {
    ...BASE,
    id: 'heat-pen-white',
    name: 'Heat-erasable pen, white',
    inSentence: 'heat-erasable pen, white',
    lineMm: 0.7,
    ink: '#f4f3ee',
    inkOnDark: '#f4f3ee',
    onDark: true,
    isPale: true,
    traced: false,
    comesOutBy: 'heat',
    comesOut: 'with an iron or hot air',
    beware: 'Shows only when dry; may leave a pale line: try it on a scrap.',
  },
  {
    ...BASE,
    id: 'water-pen',
    name: 'Water-erasable pen',
    inSentence: 'water-erasable pen',
    lineMm: 0.9,
    ink: '#3b78c4',
    inkOnDark: '#3b78c4',
    comesOutBy: 'cold-water',
    comesOut: 'in cold water, completely',
    beware: 'Heat sets it: rinse it out before ironing. Can fade within days in light or damp air.',
    staysDays: 3,
    heatSets: true,
  },
  {
    ...BASE,
    id: 'cloth-pencil',
    name: 'Wash-out cloth pencil',
    inSentence: 'wash-out cloth pencil',
    lineMm: 0.8,
    ink: '#6f83a8',
    inkOnDark: '#e6e0cf',
    onDark: true,
    traced: false,
    comesOutBy: 'washing',
    comesOut: 'by washing',
    beware: 'Keep the point sharp; it rubs away slowly.',
    staysDays: 30,
  },
  {
    ...BASE,
    id: 'film',
    name: 'Water-soluble film',
    inSentence: 'film that dissolves',
    lineMm: 0.4,
    ink: '#41434d',
    inkOnDark: '#aeb2bd',
    onDark: true,
    traced: false,
    comesOutBy: 'warm-water',
    comesOut: 'in warm water, if you leave it long enough',
    beware:
      'Tack it in the middle and all round. Not for felt, silk or paper that can’t be wet; the ink must be water-safe.',
    isLaidOn: true,
  },
  {
    ...BASE,
    id: 'tissue',
    name: 'Tissue and running stitch',
    inSentence: 'tissue and running stitch',
    lineMm: 0.5,
    ink: '#8c7a5e',
    inkOnDark: '#e9e4da',
    onDark: true,
    traced: false,
    comesOutBy: 'tearing',
    comesOut: 'by tearing it away; the running stitches are covered or pulled out',
    beware: 'Slow; for velvet and dark cloth. Tear along the stitches, holding them down.',
    isLaidOn: true,
  },
  {
    ...BASE,
    id: 'transfer-ink',
    name: 'Transfer pen and iron',
    inSentence: 'transfer pen and iron',
    lineMm: 0.7,
    ink: '#8a4a63',
    inkOnDark: '#8a4a63',
    traced: false,
    mirrored: true,
    comesOutBy: 'nothing',
    comesOut: 'not at all: cover it with stitches',
    beware:
      'Drawn on paper and ironed on face down, so the pattern is mirrored. A hot iron burns: follow the maker’s sheet.',
  },
  {
    ...BASE,
    id: 'printed',
    name: 'Printed cloth',
    inSentence: 'printed cloth',
    lineMm: 0.5,
    ink: '#9d9384',
    inkOnDark: '#9d9384',
    traced: false,
    comesOutBy: 'nothing',
    comesOut: 'not at all: it must be covered',
    beware: 'Check its size before stitching: prints can be off.',
  },
] as const satisfies readonly (Omit<Mark, 'id'> & { readonly id: string })[];

export const MARKS: readonly Mark[] = KINDS;
export type MarkId = (typeof KINDS)[number]['id'];
export const MARK_IDS = KINDS.map(({ id }) => id);
/** The transfer method of an id. */
export const markOf = lookUp(MARKS);

export const DEFAULT_MARK: MarkId = 'pencil';

/** Whether a mark comes out in water of any kind. */
export function comesOutInWater({ comesOutBy }: Mark): boolean {
  return comesOutBy === 'cold-water' || comesOutBy === 'warm-water' || comesOutBy === 'washing';
}

/**
 * The first of some cloths and threads that is spoilt by the water in which a mark comes out, if any: those that take none, and for what
 * dissolves in warm water those that take only cool.
 */
export function spoiltByWater<Stuff extends { readonly wash: Washing }>(
  mark: Mark,
  stuffs: readonly Stuff[],
): Stuff | undefined {
  if (!comesOutInWater(mark)) return undefined;
  return stuffs.find(({ wash }) => wash === 'no' || (wash === 'cool' && mark.comesOutBy === 'warm-water'));
}
