import { describe, expect, it } from 'vitest';
import { channelsOf, deltaE, labOf } from '../colour/index.ts';
import { nearestShade, RANGES, refOf } from '../materials/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import {
  applyEdit,
  colourName,
  colourOf,
  dropColour,
  fromAnotherLot,
  gatherShades,
  invertEdit,
  plainPass,
  shadesApart,
  shownColour,
  takeShades,
  type Edit,
  type Piece,
  type Pass,
} from './index.ts';

const shades = RANGES[0]!.shades;
const done = (piece: Piece, edit: Edit | null): Piece => {
  const outcome = applyEdit(piece, edit!);
  if (!outcome.ok) throw new Error(outcome.problem);
  return outcome.value;
};
const two = svgPiece('<rect width="9" height="9" fill="#fff"/><rect x="20" width="9" height="9" fill="#fbfbfb"/>');

describe('a palette', () => {
  it('keeps shades that no part uses yet, each once, until they are taken out', () => {
    const gathered = done(two, gatherShades(two, [refOf(shades[3]!), refOf(shades[9]!), refOf(shades[3]!)]));
    expect(gathered.palette.length).toBe(4);
    expect(gatherShades(gathered, [refOf(shades[9]!)])).toBeNull();
    const id = gathered.palette[3]!.id;
    expect(dropColour(gathered, id)).not.toBeNull();
    expect(done(gathered, dropColour(gathered, id)).palette.map((colour) => colour.id)).not.toContain(id);
    expect(dropColour(gathered, gathered.drawing.parts[0]!.colour)).toBeNull();
  });

  it('shows a colour that is gone in grey and without a name, any other as it is called', () => {
    for (const { id } of two.palette) {
      expect(shownColour(two, id)).toEqual(colourName(colourOf(two, id)));
      const without = { palette: two.palette.filter((colour) => colour.id !== id) };
      const { name, hex } = shownColour(without, id);
      const [r, g, b] = channelsOf(hex);
      expect(name).toBe('');
      expect(Math.max(r, g, b) - Math.min(r, g, b)).toBeLessThan(8);
      expect(() => colourOf(without, id)).toThrow(RangeError);
    }
  });

  it('does not let go of a colour that only a layer, a shade of one or a second thread has', () => {
    const gathered = done(two, gatherShades(two, [refOf(shades[3]!)]));
    const id = gathered.palette.at(-1)!.id;
    const pass = plainPass('long-short', 'stranded-cotton', 1);
    const ways: Pass[] = [
      { ...pass, colour: id },
      { ...pass, shades: [gathered.palette[0]!.id, id] },
      { ...pass, second: { colour: id, thread: 'stranded-cotton', strands: 1 } },
    ];
    for (const way of ways) {
      const [first, ...rest] = gathered.drawing.parts;
      const parts = [{ ...first!, passes: [way] }, ...rest];
      expect(dropColour({ ...gathered, drawing: { ...gathered.drawing, parts } }, id)).toBeNull();
    }
  });

  it('has one row for colours that were drawn a little apart and come to one shade; undo brings both back', () => {
    const chosen = new Map(two.palette.map(({ id, hex }) => [id, { shade: nearestShade(hex).item, second: null }]));
    const edit = takeShades(two, chosen, 'x')!;
    const taken = done(two, edit);
    expect(two.palette).toHaveLength(2);
    expect(taken.palette).toHaveLength(1);
    expect(new Set(taken.drawing.parts.map(({ colour }) => colour))).toEqual(new Set([taken.palette[0]!.id]));
    expect(done(taken, invertEdit(edit))).toEqual(two);
  });

  it('works some parts from another lot, each layer of theirs with them; parts already in that lot are joined', () => {
    const id = two.palette[0]!.id;
    const shaded = done(two, takeShades(two, new Map([[id, { shade: refOf(shades[3]!), second: null }]]), 'x'));
    const [first, second] = shaded.drawing.parts;
    const pass = { ...plainPass('long-short', 'stranded-cotton', 1), shades: [id, second!.colour], colour: id };
    const parts = ['a', 'b', 'c'].map((part) => ({ ...first!, id: part, passes: [pass] }));
    const piece = { ...shaded, drawing: { ...shaded.drawing, parts: [...parts, second!] } };
    const edit = fromAnotherLot(piece, id, new Set(['b']), 'K 7')!;
    const after = done(piece, edit);
    const other = after.palette.at(-1)!;
    expect(other).toEqual({ ...after.palette[0]!, id: other.id, lot: 'K 7' });
    expect(after.drawing.parts.map(({ colour }) => colour)).toEqual([id, other.id, id, second!.colour]);
    expect(after.drawing.parts[1]!.passes![0]).toEqual({
      ...pass,
      shades: [other.id, second!.colour],
      colour: other.id,
    });
    expect(after.drawing.parts[2]!.passes![0]).toEqual(pass);
    // A third part from the same lot is worked with the second: no further row.
    const joined = done(after, fromAnotherLot(after, id, new Set(['c']), 'K 7'));
    expect(joined.palette).toEqual(after.palette);
    expect(joined.drawing.parts[2]!.colour).toBe(other.id);
    expect(done(after, invertEdit(edit))).toEqual(piece);
    expect(fromAnotherLot(joined, other.id, new Set(['b']), 'K 7')).toBeNull();
    expect(fromAnotherLot(piece, id, new Set(['gone']), 'K 7')).toBeNull();
  });

  it('keeps apart what differs in shade, lot or what it means', () => {
    const named: Piece = {
      ...two,
      palette: two.palette.map((colour, i) => ({ ...colour, role: i === 0 ? 'foam' : 'cloud' })),
    };
    const same = new Map(named.palette.map(({ id }) => [id, { shade: refOf(shades[0]!), second: null }]));
    expect(done(named, takeShades(named, same, 'x')).palette).toHaveLength(2);
    const blended = new Map(
      two.palette.map(({ id }, i) => [id, { shade: refOf(shades[0]!), second: i === 0 ? null : refOf(shades[1]!) }]),
    );
    expect(done(two, takeShades(two, blended, 'x')).palette).toHaveLength(2);
  });
});

describe('colours that would come to one shade', () => {
  const nearest = new Map(
    two.palette.map(({ id, hex }) => [id, { shade: refOf(nearestShade(hex).item), second: null }]),
  );

  it('are one once they are worked in it, and two where they are kept apart', () => {
    expect(done(two, takeShades(two, nearest, 'x')).palette).toHaveLength(1);
    const apart = shadesApart(two, nearest, shades);
    const { palette } = done(two, takeShades(two, apart, 'x'));
    expect(palette).toHaveLength(2);
    // The first has what it came to; the second the nearest that is far enough from it.
    const [first, second] = palette.map(({ shade }) => shade!);
    expect(first).toEqual(nearest.get(two.palette[0]!.id)!.shade);
    const away = (hex: string): number => deltaE(labOf(hex), labOf(first!.hex));
    expect(away(second!.hex)).toBeGreaterThanOrEqual(3);
    const wanted = labOf(two.palette[1]!.hex);
    const least = Math.min(...shades.filter(({ hex }) => away(hex) >= 3).map(({ lab }) => deltaE(lab, wanted)));
    expect(deltaE(labOf(second!.hex), wanted)).toBeCloseTo(least, 9);
  });

  it('stay as they are where there is nothing to choose from', () => {
    expect(shadesApart(two, nearest, [])).toEqual(nearest);
  });
});
