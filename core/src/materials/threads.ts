import { lookUp } from '../measure/index.ts';
import type { Washing } from './cloths.ts';
import * as say from './words.ts';

export type ThreadTwist = 'floss' | 'plied' | 'wool';

/** A kind of thread: what it is made of and how it is sold. */
export interface ThreadKind {
  readonly id: ThreadId;
  readonly name: string;
  /** Its name within a sentence. */
  readonly inSentence: string;
  /** Strands that can be drawn apart; 1 where it is used as it comes. */
  readonly strands: number;
  /** Grams per kilometre of one strand. */
  readonly tex: number;
  /** Fibre density in kg/m³. */
  readonly density: number;
  /** The share of a laid strand that is fibre: 0.25 soft, 0.5 hard twist. */
  readonly packing: number;
  /** Metres of the whole thread in one skein or ball. */
  readonly putUpM: number;
  readonly putUp: 'skein' | 'ball';
  /** How its fibres lie: strands hardly twisted, two plies twisted hard, soft wool. */
  readonly twist: ThreadTwist;
  /** How it shines: 1 as stranded cotton does, 0 not at all. */
  readonly lustre: number;
  /** What water does to it: fast dyes take all, wool felts when it is warm, silk loses its colour and its shine. */
  readonly wash: Washing;
}

/** Sold by weight: metres = grams / tex × 1000. */
const metresOf = (grams: number, tex: number): number => Math.floor((grams / tex) * 1000);

const COTTON = { density: 1520, wash: 'hot' } as const;
const WOOL = { density: 1310, packing: 0.2, wash: 'cool', twist: 'wool', lustre: 0.25 } as const;

/** General craft figures, rounded; each can be replaced by the person's own measurement. */
const KINDS = [
  {
    id: 'stranded-cotton',
    name: 'Stranded cotton',
    inSentence: 'stranded cotton',
    strands: 6,
    tex: 30,
    ...COTTON,
    packing: 0.25,
    putUpM: 8,
    twist: 'floss',
    lustre: 1,
    putUp: 'skein',
  },
  {
    id: 'pearl-12',
    name: 'Pearl cotton 12',
    inSentence: 'pearl cotton 12',
    strands: 1,
    tex: 83,
    ...COTTON,
    packing: 0.5,
    putUpM: metresOf(10, 83),
    twist: 'plied',
    lustre: 1.25,
    putUp: 'ball',
  },
  {
    id: 'pearl-8',
    name: 'Pearl cotton 8',
    inSentence: 'pearl cotton 8',
    strands: 1,
    tex: 125,
    ...COTTON,
    packing: 0.5,
    putUpM: metresOf(10, 125),
    twist: 'plied',
    lustre: 1.25,
    putUp: 'ball',
  },
  {
    id: 'pearl-5',
    name: 'Pearl cotton 5',
    inSentence: 'pearl cotton 5',
    strands: 1,
    tex: 200,
    ...COTTON,
    packing: 0.5,
    putUpM: metresOf(5, 200),
    twist: 'plied',
    lustre: 1.25,
    putUp: 'skein',
  },
  {
    id: 'pearl-3',
    name: 'Pearl cotton 3',
    inSentence: 'pearl cotton 3',
    strands: 1,
    tex: 333,
    ...COTTON,
    packing: 0.5,
    putUpM: metresOf(5, 333),
    twist: 'plied',
    lustre: 1.25,
    putUp: 'skein',
  },
  {
    id: 'matt-cotton',
    name: 'Fine matt cotton',
    inSentence: 'fine matt cotton',
    strands: 1,
    tex: 60,
    ...COTTON,
    packing: 0.4,
    putUpM: 25,
    twist: 'plied',
    lustre: 0.5,
    putUp: 'skein',
  },
  {
    id: 'whitework-cotton',
    name: 'Heavy matt whitework cotton',
    inSentence: 'heavy matt whitework cotton',
    strands: 1,
    tex: 400,
    ...COTTON,
    packing: 0.35,
    putUpM: 10,
    twist: 'plied',
    lustre: 0.2,
    putUp: 'skein',
  },
  {
    id: 'stranded-silk',
    name: 'Stranded silk',
    inSentence: 'stranded silk',
    strands: 6,
    tex: 20,
    density: 1340,
    packing: 0.3,
    putUpM: 5,
    twist: 'floss',
    lustre: 1.6,
    putUp: 'skein',
    wash: 'no',
  },
  {
    id: 'crewel-wool',
    name: 'Crewel wool',
    inSentence: 'crewel wool',
    strands: 3,
    tex: 75,
    ...WOOL,
    putUpM: 25,
    putUp: 'skein',
  },
  {
    id: 'tapestry-wool',
    name: 'Tapestry wool',
    inSentence: 'tapestry wool',
    strands: 1,
    tex: 300,
    ...WOOL,
    putUpM: 8,
    putUp: 'skein',
  },
] as const satisfies readonly (Omit<ThreadKind, 'id'> & { readonly id: string })[];

export const THREAD_KINDS: readonly ThreadKind[] = KINDS;
export type ThreadId = (typeof KINDS)[number]['id'];
export const THREAD_IDS = KINDS.map(({ id }) => id);
/** The kind of thread of an id. */
export const threadKind = lookUp(THREAD_KINDS);

/** What is worked in unless something else is said. */
export const DEFAULT_THREAD: ThreadId = 'stranded-cotton';

/** Twelve strands are six, folded through the needle. */
export const FOLDED_STRANDS = 12;

/** The strand counts that can go through a needle together. */
export function strandChoices(kind: ThreadKind): number[] {
  const counts = Array.from({ length: kind.strands }, (_, i) => i + 1);
  return kind.strands === 6 ? [...counts, FOLDED_STRANDS] : counts;
}

/** What is wrong with a number of strands of a thread, in a sentence; null: it can be worked so. */
export function strandFault(kind: ThreadKind, strands: number): string | null {
  const choices = strandChoices(kind);
  return choices.includes(strands) ? null : say.strandsOf(kind.name, choices, strands);
}

/**
 * The width of one strand as it lies on the cloth, from its mass: w₁ = √(4·tex·10⁻⁶ / (π·ρ·φ)) metres.
 * Example: stranded cotton (30 tex, 1520 kg/m³, packing 0.25) lies 0.32 mm wide.
 */
export function strandWidthMm(kind: ThreadKind): number {
  return Math.sqrt((4 * kind.tex * 1e-6) / (Math.PI * kind.density * kind.packing)) * 1000;
}

/** The width of n strands laid side by side on the cloth: w₁ · n^(2/3). */
export function laidWidthMm(kind: ThreadKind, strands: number): number {
  return strandWidthMm(kind) * strands ** (2 / 3);
}

/** The diameter of n strands as a round bundle, as wraps and knots see it: w₁ · √n. */
export function bundleDiameterMm(kind: ThreadKind, strands: number): number {
  return strandWidthMm(kind) * Math.sqrt(strands);
}

/** As many strands of another thread as lie about as wide as these: the fewest, where several come as near. */
export function strandsLike(strands: number, of: ThreadKind, to: ThreadKind): number {
  const wanted = laidWidthMm(of, strands);
  const off = (count: number): number => Math.abs(Math.log(laidWidthMm(to, count) / wanted));
  return strandChoices(to).reduce((best, count) => (off(count) < off(best) - 1e-9 ? count : best));
}
