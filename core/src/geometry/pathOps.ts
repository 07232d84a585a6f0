import svgpath from 'svgpath';
import { IDENTITY, type Matrix } from './matrix.ts';

/** The commands of a path that are left when all are absolute and all curves cubic. */
export const Op = { move: 0, line: 1, cubic: 2, close: 3 } as const;
/** How many numbers follow each of them. */
export const ARGUMENTS = [2, 2, 6, 0] as const;

/**
 * A path as commands with their numbers: `move x y`, `line x y`, `cubic x1 y1 x2 y2 x y`, `close`. Not to be written into.
 * @throws Error where the text is not path data
 */
export function readPath(data: string): Float64Array {
  return readAsWritten(data) ?? parsePath(data);
}

function opOf(letter: number): (typeof Op)[keyof typeof Op] | null {
  if (letter === 77) return Op.move;
  if (letter === 76) return Op.line;
  if (letter === 67) return Op.cubic;
  return letter === 90 ? Op.close : null;
}

const [MINUS, DOT, ZERO, NINE, SPACE] = [45, 46, 48, 57, 32];
/** Below this whole numbers and, up to this many decimals, powers of ten are exact: their quotient is the nearest number there is. */
const MOST_EXACT = 2 ** 53;
const MOST_DECIMALS = 22;

/**
 * A path as {@link movedPath} writes it, commands with one space between their numbers, read in a tenth of the time that a parser of all path
 * data takes; null where it is anything else. Numbers are read as in W. D. Clinger, How to read floating point numbers accurately (1990).
 */
function readAsWritten(data: string): Float64Array | null {
  const { length } = data;
  // Each command and each number takes at least a character.
  const out = new Float64Array(length);
  let count = 0;
  for (let at = 0; at < length;) {
    const op = opOf(data.charCodeAt(at++));
    if (op === null || (count === 0 && op !== Op.move)) return null;
    out[count++] = op;
    for (let k = 0; k < ARGUMENTS[op]; k++) {
      if (k > 0 && data.charCodeAt(at++) !== SPACE) return null;
      const isNegative = data.charCodeAt(at) === MINUS;
      if (isNegative) at++;
      let [digits, dotAt, value] = [0, -1, 0];
      for (; at < length; at++) {
        const code = data.charCodeAt(at);
        if (code === DOT && dotAt < 0) dotAt = digits;
        else if (code >= ZERO && code <= NINE) {
          value = 10 * value + code - ZERO;
          digits++;
        } else break;
      }
      const decimals = dotAt < 0 ? 0 : digits - dotAt;
      if (digits === 0 || value >= MOST_EXACT || decimals > MOST_DECIMALS) return null;
      const size = decimals === 0 ? value : value / 10 ** decimals;
      out[count++] = isNegative ? -size : size;
    }
  }
  return count === 0 ? null : out.slice(0, count);
}

function parsePath(data: string): Float64Array {
  const path = svgpath(data);
  const fault = (path as unknown as { err: string }).err;
  if (fault) throw new Error(fault);
  path.abs();
  if (/[st]/i.test(data)) path.unshort();
  if (/a/i.test(data)) path.unarc();
  const out: number[] = [];
  path.iterate((segment, _index, x, y) => {
    const [command, a, b, c, d, e, f] = segment as unknown as [string, number, number, number, number, number, number];
    if (command === 'M') out.push(Op.move, a, b);
    else if (command === 'L') out.push(Op.line, a, b);
    else if (command === 'H') out.push(Op.line, a, y);
    else if (command === 'V') out.push(Op.line, x, a);
    else if (command === 'C') out.push(Op.cubic, a, b, c, d, e, f);
    else if (command === 'Q') out.push(Op.cubic, ...quadraticAsCubic(x, y, [a, b, c, d]));
    else if (command === 'Z') out.push(Op.close);
  });
  return Float64Array.from(out);
}

/** The greatest number among the coordinates of a path, control points too; NaN where one is no number. */
export function farthestCoordinate(data: string): number {
  const path = readPath(data);
  let most = 0;
  for (let i = 0; i < path.length; i += 1 + ARGUMENTS[path[i]!]!) {
    for (let k = 1; k <= ARGUMENTS[path[i]!]!; k++) most = Math.max(most, Math.abs(path[i + k]!));
  }
  return most;
}

/** Where path data begins; it must not be empty. */
export function pathStart(data: string): readonly [x: number, y: number] {
  const path = readPath(data);
  return [path[1]!, path[2]!];
}

/** The points of path data as `x, y` flat, those too that only pull at its curves: all of the path lies within their hull. */
export function pathPoints(data: string): Float64Array {
  const path = readPath(data);
  const points: number[] = [];
  for (let i = 0; i < path.length; i += 1 + ARGUMENTS[path[i]!]!) {
    for (let k = 1; k < ARGUMENTS[path[i]!]!; k += 2) points.push(path[i + k]!, path[i + k + 1]!);
  }
  return Float64Array.from(points);
}

/**
 * Path data under a map, all commands absolute and all curves cubic, rounded to a number of decimals. What needs neither stays
 * to the letter.
 * @throws Error where the text is not path data
 */
export function movedPath(data: string, matrix: Matrix, decimals: number): string {
  const path = readPath(data);
  const [a, b, c, d, e, f] = matrix;
  const stays = matrix.every((value, i) => value === IDENTITY[i]);
  if (stays && !/[a-df-z]/.test(data) && !new RegExp(`\\.\\d{${decimals + 1}}`).test(data)) return data;
  const factor = 10 ** decimals;
  let out = '';
  for (let i = 0; i < path.length; i += 1 + ARGUMENTS[path[i]!]!) {
    const op = path[i]!;
    out += LETTERS[op];
    for (let k = 1; k <= ARGUMENTS[op]!; k += 2) {
      const x = path[i + k]!;
      const y = path[i + k + 1]!;
      // Adding nought makes a nought of a negative one.
      const nx = Math.round((a * x + c * y + e) * factor) / factor + 0;
      const ny = Math.round((b * x + d * y + f) * factor) / factor + 0;
      out += k > 1 ? ` ${nx} ${ny}` : `${nx} ${ny}`;
    }
  }
  return out;
}
const LETTERS = ['M', 'L', 'C', 'Z'] as const;

function quadraticAsCubic(x: number, y: number, [cx, cy, ex, ey]: number[]): number[] {
  const third = (from: number, to: number): number => from + (2 / 3) * (to - from);
  return [third(x, cx!), third(y, cy!), third(ex!, cx!), third(ey!, cy!), ex!, ey!];
}

/** How far the coordinates of a path lie apart, across or up and down, whichever is more; control points too. */
export function pathReach(data: string): number {
  const path = readPath(data);
  const least: [number, number] = [Infinity, Infinity];
  const most: [number, number] = [-Infinity, -Infinity];
  for (let i = 0; i < path.length; i += 1 + ARGUMENTS[path[i]!]!) {
    for (let k = 0; k < ARGUMENTS[path[i]!]!; k++) {
      const axis = (k % 2) as 0 | 1;
      least[axis] = Math.min(least[axis], path[i + 1 + k]!);
      most[axis] = Math.max(most[axis], path[i + 1 + k]!);
    }
  }
  return Math.max(0, most[0] - least[0], most[1] - least[1]);
}

/**
 * The same path walked the other way, run by run; closed runs stay closed and begin where they began.
 * @throws Error where the text is not path data
 */
export function reversedPath(data: string): string {
  const ops = readPath(data);
  const runs: { steps: number[][]; closed: boolean }[] = [];
  for (let i = 0; i < ops.length;) {
    const op = ops[i]!;
    const count = ARGUMENTS[op]!;
    const numbers = [...ops.subarray(i + 1, i + 1 + count)];
    if (op === Op.move) runs.push({ steps: [numbers], closed: false });
    // What goes on after a run was closed goes on from where that began.
    else if (op !== Op.close && runs.at(-1)!.closed)
      runs.push({ steps: [runs.at(-1)!.steps[0]!, numbers], closed: false });
    else if (op === Op.close) runs.at(-1)!.closed = true;
    else runs.at(-1)!.steps.push(numbers);
    i += 1 + count;
  }
  return runs.map(({ steps, closed }) => reversedRun(steps, closed)).join('');
}

/** @param steps each with the numbers that lead to its end: two for a line, six for a curve */
function reversedRun(steps: readonly (readonly number[])[], closed: boolean): string {
  const endOf = (step: readonly number[]): string => step.slice(-2).join(' ');
  const [first] = steps;
  const last = steps.at(-1)!;
  // What closes by a straight stretch begins with that, so that it still begins where it began.
  const closes = closed && endOf(last) !== endOf(first!);
  let path = closes ? `M${endOf(first!)}L${endOf(last)}` : `M${endOf(last)}`;
  for (let i = steps.length - 1; i > 0; i--) {
    const step = steps[i]!;
    const to = endOf(steps[i - 1]!);
    path += step.length === 2 ? `L${to}` : `C${step[2]} ${step[3]} ${step[0]} ${step[1]} ${to}`;
  }
  return closed ? `${path}Z` : path;
}
