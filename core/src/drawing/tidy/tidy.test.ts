import { describe, expect, it } from 'vitest';
import { polylineLength, regionArea } from '../../geometry/index.ts';
import { checkPiece, applyEdit, invertEdit, type Edit, type Piece } from '../../piece/index.ts';
import { svgPiece } from '../../testing/pieces.ts';
import { regionOfPart, runsOfPart } from './drawn.ts';
import { tidyEdit } from './edit.ts';
import { tidy, TIDY_RULES, type TidyRule } from './index.ts';

const counts = (piece: Piece): Partial<Record<TidyRule, number>> =>
  Object.fromEntries(
    tidy(piece)
      .tidied.filter(({ isDone }) => isDone)
      .map(({ rule, count }) => [rule, count]),
  );
const partsOf = (body: string): Piece['drawing']['parts'] => tidy(svgPiece(body)).piece.drawing.parts;
const areaOf = (part: Piece['drawing']['parts'][number]): number => regionArea(regionOfPart(part));

describe('a drawing that comes in', () => {
  it('has a stroke of its own colour in its area: 50 × 50 mm with a pen of 4 mm are 54 × 54 with round corners', () => {
    const body = '<path d="M0 0H50V50H0Z" fill="#a33" stroke="#a33" stroke-width="4"/>';
    const [part, ...others] = partsOf(body);
    expect(others).toEqual([]);
    // Four corners lose (4 − π) · 2² / 4 each.
    expect(areaOf(part!)).toBeCloseTo(54 * 54 - (4 - Math.PI) * 4, 0);
    // A stroke in another colour is an outline, and stays.
    expect(partsOf(body.replace('stroke="#a33"', 'stroke="#33a"'))).toHaveLength(2);
  });

  it('drops a line drawn twice, where 60% of it lies on another: the shorter one, of two equally long the one behind; lines that cross stay', () => {
    const line = (id: string, d: string): string =>
      `<path id="${id}" d="${d}" fill="none" stroke="#a33" stroke-width="1"/>`;
    const names = (body: string): string[] => partsOf(body).map(({ name }) => name);
    expect(names(line('a', 'M0 0H50') + line('b', 'M0 0H50'))).toEqual(['b']);
    expect(names(line('long', 'M0 0H50') + line('short', 'M10 0H40'))).toEqual(['long']);
    expect(names(line('on', 'M0 0H30V15') + line('long', 'M-9 0H60'))).toEqual(['long']);
    expect(names(line('a', 'M0 0H50') + line('across', 'M25 -25V25'))).toEqual(['a', 'across']);
    expect(names(line('a', 'M0 0H50') + line('half', 'M0 0H20V30'))).toEqual(['a', 'half']);
    // A pale line along the middle of a broad road is no line drawn twice.
    expect(names(line('road', 'M0 0H50').replace('width="1"', 'width="6"') + line('dash', 'M0 0H50'))).toHaveLength(2);
  });

  it('outlines a border that two lines share once, in the darker colour: of two squares of 40 mm the paler keeps 120 mm of its outline', () => {
    const square = (id: string, x: number, stroke: string): string =>
      `<path id="${id}" d="M${x} 0H${x + 40}V40H${x}Z" fill="none" stroke="${stroke}" stroke-width="1"/>`;
    const lengths = (body: string): number[] =>
      partsOf(body).map((part) => Math.round(runsOfPart(part).reduce((mm, run) => mm + polylineLength(run), 0)));
    const paler = (body: string): number => lengths(body)[0]!;
    // The ends lie on the darker line, within a step of looking.
    expect(paler(square('pale', 0, '#dd9988') + square('dark', 40, '#552211'))).toBeGreaterThan(119);
    expect(paler(square('pale', 0, '#dd9988') + square('dark', 40, '#552211'))).toBeLessThan(123);
    expect(lengths(square('pale', 0, '#dd9988') + square('dark', 40, '#552211'))[1]).toBe(160);
    // Lines that only cross share nothing; nor do squares that lie apart.
    const crossing = '<path d="M20 -20H60V20H20Z" fill="none" stroke="#552211" stroke-width="1"/>';
    expect(lengths(square('pale', 0, '#dd9988') + crossing)).toEqual([160, 160]);
    expect(lengths(square('pale', 0, '#dd9988') + square('dark', 45, '#552211'))).toEqual([160, 160]);
  });

  it('has islands of one path as parts of their own, holes with them, alike in one group', () => {
    const two = partsOf('<path d="M0 0H10V10H0Z M20 0H30V10H20Z" fill="#a33"/>');
    expect(two.map(areaOf).map(Math.round)).toEqual([100, 100]);
    expect(two[0]!.group).not.toBeNull();
    expect(two[0]!.group).toBe(two[1]!.group);
    const ring = partsOf('<path d="M0 0H20V20H0Z M5 5V15H15V5Z M30 0H40V10H30Z" fill="#a33" fill-rule="evenodd"/>');
    expect(ring.map(areaOf).map(Math.round)).toEqual([300, 100]);
  });

  it('takes strokes in one width as lines of a pen, and a stroke round an area, but not one broad band', () => {
    const pens = (body: string): boolean[] =>
      partsOf(body)
        .filter(({ kind }) => kind === 'line')
        .map(({ pen }) => pen);
    const line = (y: number, width = 3): string =>
      `<path d="M0 ${y}H40" fill="none" stroke="#222" stroke-width="${width}"/>`;
    expect(pens(line(0) + line(10) + line(20))).toEqual([true, true, true]);
    expect(pens(line(0))).toEqual([false]);
    expect(pens(line(0, 1) + line(10, 3) + line(20, 6))).toEqual([false, false, false]);
    expect(pens('<path d="M0 0H30V30H0Z" fill="#a33" stroke="#222" stroke-width="3"/>')).toEqual([true]);
  });

  it('leaves to the cloth what has its colour: it hides, and takes no stitches; a glint stays', () => {
    const piece = svgPiece(
      '<circle r="20" fill="#a33"/><circle r="10" fill="#fffdf6"/><circle cx="15" r="0.9" fill="#fffdf6"/>',
    );
    const parts = tidy({ ...piece, cloth: { ...piece.cloth, colour: '#f6f1e6' } }).piece.drawing.parts;
    expect(parts.map(({ passes }) => passes)).toEqual([null, [], null]);
    expect(parts[1]!.opaque).toBe(true);
  });

  it('makes one colour of two that hardly differ: the one that covers more stays', () => {
    const piece = svgPiece(
      '<rect width="20" height="20" fill="#cc3333"/><rect x="30" width="9" height="9" fill="#cd3434"/>',
    );
    const { palette, drawing } = tidy(piece).piece;
    expect(palette.map(({ hex }) => hex)).toEqual(['#cc3333']);
    expect(new Set(drawing.parts.map(({ colour }) => colour)).size).toBe(1);
  });

  it('makes a dot of a speck that stands alone, of one of a pair and of a dark one in a light area, and drops the rest', () => {
    const kinds = (body: string): string[] => partsOf(body).map(({ name, kind }) => `${name} ${kind}`);
    const speck = (id: string, x: number, hex = '#111'): string =>
      `<rect id="${id}" x="${x}" width="1" height="1" fill="${hex}"/>`;
    const ground = (hex: string): string => `<rect id="ground" x="-20" y="-20" width="60" height="60" fill="${hex}"/>`;
    expect(kinds(speck('alone', 0) + '<rect id="far" x="30" width="9" height="9" fill="#a33"/>')).toEqual([
      'alone spot',
      'far area',
    ]);
    expect(kinds(ground('#ecd') + speck('eye', 0))).toEqual(['ground area', 'eye spot']);
    expect(kinds(ground('#a33') + speck('a', 0, '#c55') + speck('b', 9, '#c55'))).toEqual([
      'ground area',
      'a spot',
      'b spot',
    ]);
    expect(kinds(ground('#a33') + speck('lost', 0, '#c55'))).toEqual(['ground area']);
  });

  it('drops slivers under the drawn width of a line, and silently what lies wholly behind others', () => {
    const sliver = '<rect id="sliver" x="5" y="-0.6" width="20" height="1.2" fill="#a33"/>';
    const line = '<path id="line" d="M0 0H40" fill="none" stroke="#222" stroke-width="3"/>';
    expect(partsOf(sliver + line).map(({ name }) => name)).toEqual(['line']);
    expect(partsOf(line + sliver)).toHaveLength(2);
    const behind = tidy(svgPiece('<circle r="5" fill="#a33"/><circle r="9" fill="#33a"/>'));
    expect(behind.piece.drawing.parts).toHaveLength(1);
    expect(behind.tidied).toEqual([]);
  });

  it('is only asked about long thin areas and similar colours, and told what they are', () => {
    const piece = svgPiece(
      '<rect width="40" height="3" fill="#a33"/><rect y="20" width="9" height="9" fill="#b04444"/>',
    );
    const asked = tidy(piece).tidied.filter(({ isDone }) => !isDone);
    expect(asked.map(({ rule }) => rule).sort()).toEqual(['ribbons', 'similar-colours']);
    const [line] = tidy(piece, { also: new Set(['ribbons']) }).piece.drawing.parts;
    expect(line).toMatchObject({ kind: 'line' });
    expect(line!.strokeMm).toBeGreaterThan(2.4);
    expect(line!.strokeMm).toBeLessThan(3.1);
  });
});

const MUCH = `<path d="M0 0H50V50H0Z" fill="#a33" stroke="#a33" stroke-width="2"/>
  <path d="M60 0H70V10H60Z M80 0H90V10H80Z" fill="#33a"/><circle cx="75" cy="30" r="6" fill="#f6f1e6"/>
  ${[60, 64, 64, 70].map((y) => `<path d="M0 ${y}H50" fill="none" stroke="#222" stroke-width="2"/>`).join('')}`;

function editFor(piece: Piece): Edit | null {
  const { palette, drawing } = tidy(piece).piece;
  return tidyEdit(piece, { palette, parts: drawing.parts });
}

describe('tidying', () => {
  it('is one edit that is undone by one, and makes a piece that can be kept', () => {
    const piece = svgPiece(MUCH);
    const edit = editFor(piece)!;
    const after = applyEdit(piece, edit);
    if (!after.ok) throw new Error(after.problem);
    expect(checkPiece(after.value).ok).toBe(true);
    expect(applyEdit(after.value, invertEdit(edit))).toEqual({ ok: true, value: piece });
  });

  it('leaves out any one rule by itself, and finds no more in what it tidied', () => {
    const piece = svgPiece(MUCH);
    const all = counts(piece);
    expect(Object.keys(all).sort()).toEqual(['doubled-lines', 'islands', 'left-to-cloth', 'own-strokes', 'pen-lines']);
    for (const rule of TIDY_RULES.filter((one) => one in all)) {
      const { tidied } = tidy(piece, { except: new Set([rule]) });
      expect(tidied.find((one) => one.rule === rule)!.isDone).toBe(false);
      // What one rule leaves is there for those after it.
      for (const one of tidied.filter((other) => other.rule !== rule && other.isDone)) {
        expect(one.count).toBeGreaterThanOrEqual(all[one.rule]!);
      }
    }
    expect(counts(tidy(piece).piece)).toEqual({});
    expect(editFor(tidy(piece).piece)).toBeNull();
  });

  it('never takes all of a drawing', () => {
    expect(tidy(svgPiece('<rect width="1" height="0.5" fill="#c55"/>')).piece.drawing.parts).toHaveLength(1);
  });
});
