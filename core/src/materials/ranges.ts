import type { ThreadId } from './threads.ts';
import { colourWords, labOf, nearestColours, type Lab, type Match } from '../colour/index.ts';
import eiderlight from './data/eiderlight.json' with { type: 'json' };
import hurdlefold from './data/hurdlefold.json' with { type: 'json' };
import thrumwick from './data/thrumwick.json' with { type: 'json' };

/** A shade as it is kept with a piece or in a thread box: enough to show and to buy it, wherever the file is opened. */
export interface ShadeRef {
  /** The id of its range, or of the person's own card. */
  readonly range: string;
  /** The letters of its family and its lightness, `sl-34`; on other cards whatever they call it. */
  readonly code: string;
  readonly name: string;
  readonly hex: string;
}

/** One shade of a range of thread. */
export interface Shade extends ShadeRef {
  readonly lab: Lab;
}

export interface ThreadRange {
  readonly id: string;
  readonly name: string;
  /** The kind of thread that it is shown in, and others that are dyed in the same shades. */
  readonly thread: ThreadId;
  readonly also: readonly ThreadId[];
  readonly shades: readonly Shade[];
}

/** A range of which every entry is a code, a name and a colour. */
export function rangeOf(
  id: string,
  name: string,
  thread: ThreadId,
  rows: readonly (readonly string[])[],
  also: readonly ThreadId[] = [],
): ThreadRange {
  const shades = rows.map(([code, shade, hex]) => ({
    range: id,
    code: code!,
    name: shade!,
    hex: hex!,
    lab: labOf(hex!),
  }));
  return { id, name, thread, also, shades };
}

/** Whether a range is dyed in any of some kinds of thread; of no kind at all, every range is. */
export function comesIn({ thread, also }: Pick<ThreadRange, 'thread' | 'also'>, kinds: readonly string[]): boolean {
  return kinds.length === 0 || [thread, ...also].some((kind) => kinds.includes(kind));
}

/** The invented range that ships with Junctura: even steps of hue, chroma and lightness. Its other cottons are dyed in the same shades. */
export const THRUMWICK: ThreadRange = rangeOf('thrumwick', 'Thrumwick', 'stranded-cotton', thrumwick, [
  'pearl-12',
  'pearl-8',
  'pearl-5',
  'pearl-3',
  'matt-cotton',
]);
/** An invented range of silk: clearer, fewer, with a finer step in the lights. */
export const EIDERLIGHT: ThreadRange = rangeOf('eiderlight', 'Eiderlight', 'stranded-silk', eiderlight);
/** An invented range of wool: softer, never as dark or as light. */
export const HURDLEFOLD: ThreadRange = rangeOf('hurdlefold', 'Hurdlefold', 'crewel-wool', hurdlefold, [
  'tapestry-wool',
]);
/** One matt white for whitework, heavy and fine. */
export const SCOURWHITE: ThreadRange = rangeOf(
  'scourwhite',
  'Scourwhite',
  'whitework-cotton',
  [['sw-97', 'Scoured white', '#f7f6f1']],
  ['matt-cotton'],
);

/** The ranges that ship with Junctura; all are invented. */
export const RANGES: readonly ThreadRange[] = [THRUMWICK, EIDERLIGHT, HURDLEFOLD, SCOURWHITE];

/** The shade card of an id; null: none that is shipped, such as a person’s own. */
export function shippedRange(id: string | undefined): ThreadRange | null {
  return RANGES.find((range) => range.id === id) ?? null;
}

const byCode = new Map(RANGES.flatMap((range) => range.shades.map((shade) => [`${range.id} ${shade.code}`, shade])));

/** The shade of a code, or undefined where the range has none. */
export function shadeOf(code: string, range = THRUMWICK.id): Shade | undefined {
  return byCode.get(`${range} ${code}`);
}

/** A shade by what is kept of it. */
export function refOf({ range, code, name, hex }: ShadeRef): ShadeRef {
  return { range, code, name, hex };
}

export function isSameShade(a: ShadeRef | null, b: ShadeRef | null): boolean {
  return a === b || (a !== null && b !== null && a.range === b.range && a.code === b.code);
}

/** What a shade is found by in a search, in small letters: its name, its code and what people call its colour. */
export function shadeText({ name, code, hex }: Pick<ShadeRef, 'name' | 'code' | 'hex'>): string {
  return [name, code, ...colourWords(hex)].join(' ').toLowerCase();
}

/** The shades nearest to a colour, nearest first. */
export function nearestShades(hex: string, count: number): Match<Shade>[] {
  return nearestColours(labOf(hex), THRUMWICK.shades, count);
}

/** The one nearest shade. */
export function nearestShade(hex: string): Match<Shade> {
  return nearestShades(hex, 1)[0]!;
}
