import opentype from 'opentype.js';
import svgpath from 'svgpath';
import {
  flattenPath,
  inscribedCircle,
  lengthsOf,
  placeOn,
  unite,
  type FlatRun,
  type Polyline,
} from '../../geometry/index.ts';
import { failure, success, type Outcome } from '../../measure/index.ts';
import { readXmlTree, type SvgElement } from '../svg/xmlTree.ts';
import type { HelperPart } from './helper.ts';
import * as say from '../words.ts';

/** Letters to stitch: outlines to fill, or single lines to follow. Units are heights of a capital; y points down, 0 is the base line. */
export interface LetterFont {
  readonly kind: 'area' | 'line';
  /** The path of a letter and how far it moves on; null where the font has none. A blank has an empty path. */
  letter(character: string): { readonly path: string; readonly advance: number } | null;
  kerning(left: string, right: string): number;
}

/** A font of outlines (TrueType, OpenType or WOFF). */
export function outlineFont(bytes: ArrayBuffer): Outcome<LetterFont> {
  let font: opentype.Font;
  try {
    font = opentype.parse(bytes);
  } catch (error) {
    return failure(say.fontFault(error instanceof Error ? error.message : String(error)));
  }
  const capital = capitalOf(font) / font.unitsPerEm;
  const perUnit = 1 / (capital * font.unitsPerEm);
  return success({
    kind: 'area',
    letter(character) {
      const glyph = font.charToGlyph(character);
      if (glyph.index === 0) return null;
      const path = glyph.getPath(0, 0, 1 / capital).toPathData(5);
      return { path, advance: (glyph.advanceWidth ?? 0) * perUnit };
    },
    kerning: (left, right) => font.getKerningValue(font.charToGlyph(left), font.charToGlyph(right)) * perUnit,
  });
}

function capitalOf(font: opentype.Font): number {
  const box = font.charToGlyph('H').getBoundingBox();
  return box.y2 > 0 ? box.y2 : font.unitsPerEm * 0.7;
}

/** A font of single lines, from an SVG font file. */
export function lineFont(source: string): Outcome<LetterFont> {
  const tree = readXmlTree(source);
  if (!tree.ok) return tree;
  const glyphs = new Map<string, { d: string; advance: number }>();
  let usual = 500;
  const visit = (element: SvgElement): void => {
    if (element.name === 'font') usual = Number(element.attributes['horiz-adv-x'] ?? usual);
    const character = element.attributes['unicode'];
    if (element.name === 'glyph' && character) {
      glyphs.set(character, {
        d: element.attributes['d'] ?? '',
        advance: Number(element.attributes['horiz-adv-x'] ?? usual),
      });
    }
    element.children.forEach(visit);
  };
  visit(tree.value);
  const highest = (d: string): number =>
    Math.max(0, ...flattenPath(d, 5).flatMap((run) => [...run.points].filter((_, i) => i % 2)));
  const letterH = glyphs.get('H');
  const capital = letterH ? highest(letterH.d) : 0;
  if (capital <= 0) return failure('This file is not a line font: it has no letter H.');
  return success({
    kind: 'line',
    letter(character) {
      const glyph = glyphs.get(character);
      if (!glyph) return null;
      const path =
        glyph.d === ''
          ? ''
          : svgpath(glyph.d)
              .scale(1 / capital, -1 / capital)
              .round(5)
              .toString();
      return { path, advance: glyph.advance / capital };
    },
    kerning: () => 0,
  });
}

/** How letters are laid out. */
export interface LetterLayout {
  /** Height of a capital, mm. */
  readonly heightMm: number;
  /** Extra room between letters, mm. */
  readonly spacingMm: number;
  /** The line that they stand on; null: straight and level, about the middle. */
  readonly along: Polyline | null;
  /** An arc to stand on where no line is given: its radius in mm, letters on top of it (or, negative, hanging round below); 0: straight. */
  readonly arcMm: number;
}

const MOST_LETTERS = 120;

/** A text as parts, a letter each, worked alike. What the font lacks is said, with nothing left out in silence. */
export function layOutLetters(font: LetterFont, text: string, layout: LetterLayout): Outcome<HelperPart[]> {
  const characters = [...text.trim()].slice(0, MOST_LETTERS + 1);
  if (characters.length === 0) return failure('Type the text to stitch.');
  if (characters.length > MOST_LETTERS) return failure(say.mostLetters(MOST_LETTERS));
  const lacking = [...new Set(characters.filter((character) => font.letter(character) === null))];
  if (lacking.length > 0) {
    return failure(say.noLetters(lacking));
  }
  const { heightMm, spacingMm } = layout;
  let along = 0;
  const placed = characters.map((character, i) => {
    const { path, advance } = font.letter(character)!;
    const kerning = i > 0 ? font.kerning(characters[i - 1]!, character) : 0;
    const at = along + kerning * heightMm;
    along = at + advance * heightMm + spacingMm;
    return { character, path, at, widthMm: advance * heightMm };
  });
  const wholeMm = along - spacingMm;
  const base = baseLine(layout, wholeMm);
  const parts = placed
    .filter(({ path }) => path !== '')
    .map(({ character, path, at, widthMm }): HelperPart => {
      const { x, y, angle } = base(at + widthMm / 2 - wholeMm / 2);
      const laid = svgpath(path)
        .scale(heightMm)
        .translate(-widthMm / 2, 0)
        .rotate((angle * 180) / Math.PI)
        .translate(x, y)
        .round(4)
        .toString();
      return { name: say.letterName(character), kind: font.kind, path: laid, alike: 'letters', strokeMm: 0.6 };
    });
  return success(parts);
}

interface Stand {
  readonly x: number;
  readonly y: number;
  readonly angle: number;
}

/** Where a letter stands whose middle is so far from the middle of the text. */
function baseLine({ along, arcMm, heightMm }: LetterLayout, wholeMm: number): (fromMiddle: number) => Stand {
  if (along && along.points.length >= 4) {
    const { points } = along;
    const lengths = lengthsOf(points);
    const whole = lengths.at(-1)!;
    // What is longer than its line begins where the line begins and goes straight on at its end.
    const start = Math.max(0, (whole - wholeMm) / 2) + wholeMm / 2;
    return (fromMiddle) => {
      const wanted = start + fromMiddle;
      const s = Math.min(whole, Math.max(0, wanted));
      const here = placeOn(points, lengths, s);
      const [p, q] = [
        placeOn(points, lengths, Math.max(0, s - heightMm / 2)),
        placeOn(points, lengths, Math.min(whole, s + heightMm / 2)),
      ];
      const angle = Math.atan2(q[1] - p[1], q[0] - p[0]);
      const past = wanted - s;
      return { x: here[0] + past * Math.cos(angle), y: here[1] + past * Math.sin(angle), angle };
    };
  }
  if (arcMm === 0) return (fromMiddle) => ({ x: fromMiddle, y: heightMm / 2, angle: 0 });
  const r = Math.max(heightMm, Math.abs(arcMm));
  const side = Math.sign(arcMm);
  return (fromMiddle) => {
    const turn = fromMiddle / r;
    return { x: r * Math.sin(turn), y: -side * r * Math.cos(turn), angle: side * turn };
  };
}

/** Distance along a stroke beyond which two places of it are not simply neighbours, in heights. */
const APART = 0.25;
const SAMPLE = 0.03;

/**
 * The smallest height of capitals at which a thread can draw a text: filled letters must be one and a half laid widths wide at
 * their widest place; the lines of single-line letters must come no nearer to each other than a laid width.
 */
export function leastHeightMm(font: LetterFont, text: string, laidMm: number): number {
  const letters = [...new Set(text.replace(/\s/g, ''))].flatMap((character) => font.letter(character) ?? []);
  const finest = letters.map(({ path }) => (font.kind === 'area' ? widestOf(path) : narrowestGap(path)));
  const least = Math.min(...finest.filter((size) => size > 0));
  if (!Number.isFinite(least)) return laidMm * 4;
  return Math.ceil(((font.kind === 'area' ? 1.5 : 1) * laidMm * 10) / least) / 10;
}

function widestOf(path: string): number {
  if (path === '') return 0;
  const region = unite(
    flattenPath(path, 0.005).map(({ points }) => points.map((value) => value * 100)),
    'nonzero',
  );
  return ((inscribedCircle(region)?.r ?? 0) * 2) / 100;
}

/** The narrowest room between two strokes of a letter that do not simply run into each other, in heights. */
function narrowestGap(path: string): number {
  if (path === '') return 0;
  const places: { x: number; y: number; run: number; s: number }[] = [];
  flattenPath(path, 0.005).forEach((run: FlatRun, k) => {
    const lengths = lengthsOf(run.points);
    const whole = lengths.at(-1) ?? 0;
    for (let s = 0; s <= whole; s += SAMPLE) {
      const [x, y] = placeOn(run.points, lengths, s);
      places.push({ x, y, run: k, s });
    }
  });
  // A gap is where strokes come near without meeting: nearest places that are local minima above the touch.
  let least = Infinity;
  for (const p of places) {
    for (const q of places) {
      const isNear = p.run === q.run && Math.abs(p.s - q.s) < APART;
      if (isNear) continue;
      const apart = Math.hypot(p.x - q.x, p.y - q.y);
      if (apart > TOUCH && apart < least && runsBeside(p, q, places)) least = apart;
    }
  }
  return Number.isFinite(least) ? least : APART;
}

/** Strokes nearer than this touch on purpose, in heights. */
const TOUCH = 0.08;

/** Whether two places are the nearest of their neighbourhoods: the strokes pass each other there rather than run together. */
function runsBeside(
  p: { x: number; y: number; run: number; s: number },
  q: { x: number; y: number; run: number; s: number },
  places: readonly { x: number; y: number; run: number; s: number }[],
): boolean {
  const apart = Math.hypot(p.x - q.x, p.y - q.y);
  return places.every(
    (other) =>
      other.run !== q.run ||
      Math.abs(other.s - q.s) > 2 * SAMPLE ||
      Math.hypot(other.x - p.x, other.y - p.y) >= apart - 1e-9,
  );
}
