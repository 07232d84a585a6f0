import { lineFont, readSvg, type LetterFont } from '@junctura/core/drawing';
import { colourWords } from '@junctura/core/colour';
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import { button, Session, textOf } from '../../testing/session.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import { COMMON_COLOURS } from './colours.ts';
import { FRAMES, MOTIFS, motifsFor } from './motifs.ts';
import { insideOf, nameDrawing } from './nameDrawing.ts';
import YourBox from './YourBox.vue';

describe('ready-made designs', () => {
  it('are forty or more, each a drawing that can be read with named parts, and with a picture', () => {
    expect(MOTIFS.length).toBeGreaterThanOrEqual(40);
    for (const { id, name, drawing, picture } of MOTIFS) {
      const read = readSvg(drawing, id, name);
      expect(read.ok, id).toBe(true);
      if (read.ok)
        for (const part of read.value.drawing.parts) expect(part.name, id).toMatch(/^[A-Z][a-z]+ (area|line)/);
      expect(picture, id).not.toBe('');
    }
  });

  it('are found by their names, kinds and words, whatever their case; by several words those that have all of them', () => {
    expect(motifsFor('')).toEqual(MOTIFS);
    expect(motifsFor('MUSHROOM').map(({ id }) => id)).toEqual(['mushroom']);
    const sea = motifsFor('sea');
    expect(sea.length).toBeGreaterThan(3);
    const both = motifsFor('sea  boat');
    expect(both.map(({ id }) => id)).toContain('boat');
    for (const motif of both) expect(sea).toContain(motif);
    expect(motifsFor('no such thing')).toEqual([]);
    expect(FRAMES.every(({ kind }) => kind === 'Frames')).toBe(true);
  });
});

describe('a name', () => {
  const source = readFileSync('web/src/features/drawing/lettering/EMSReadability.svg', 'utf8');
  const read = lineFont(source);
  const font: LetterFont = (() => {
    if (!read.ok) throw new Error(read.problem);
    return read.value;
  })();
  const layout = { text: 'Ada', way: 'line', frame: null, colour: '#27406b' } as const;
  const partsIn = (svg: string): number => {
    const piece = readSvg(svg, 'x', 'x');
    if (!piece.ok) throw new Error(piece.problem);
    return piece.value.drawing.parts.length;
  };

  it('is a drawing with a part for each letter at least, larger alone than within a frame', () => {
    const alone = nameDrawing(font, layout);
    const framed = nameDrawing(font, { ...layout, frame: insideOf(FRAMES[0]!.drawing) });
    if (!alone.ok || !framed.ok) throw new Error('not drawn');
    expect(partsIn(alone.value.svg)).toBeGreaterThanOrEqual(3);
    expect(partsIn(framed.value.svg)).toBeGreaterThan(partsIn(alone.value.svg) + 10);
    expect(alone.value.letterShare).toBeGreaterThan(framed.value.letterShare);
  });

  it('comes out lower the longer it is', () => {
    const shares = ['Al', 'Alma', 'Almanzora'].map((text) => {
      const drawn = nameDrawing(font, { ...layout, text });
      return drawn.ok ? drawn.value.letterShare : 0;
    });
    expect(shares[0]!).toBeGreaterThan(shares[1]!);
    expect(shares[1]!).toBeGreaterThan(shares[2]!);
    expect(shares[2]!).toBeGreaterThan(0);
  });

  it('can stand in an arc; of nothing but spaces there is no drawing', () => {
    const straight = nameDrawing(font, layout);
    const arc = nameDrawing(font, { ...layout, way: 'arc' });
    expect(arc.ok && straight.ok && arc.value.svg !== straight.value.svg).toBe(true);
    expect(nameDrawing(font, { ...layout, text: '  ' }).ok).toBe(false);
  });
});

describe('what is in the box', () => {
  let session: Session;
  beforeEach(async () => {
    session = new Session();
    await session.open('demo-kite');
  });

  it('takes a hoop by a tick and a thread by a tap, each taken back by another', async () => {
    const shown = session.show(YourBox);
    const threads = useThreadBox(session.pinia);
    await button(shown, '12.5 cm hoop').trigger('click');
    expect(threads.box.basket).toMatchObject([{ kind: 'hoop', nominalMm: 125 }]);
    // The kite's own hoop is not among them: it goes into the one that is there.
    expect(session.opened.piece.hoop!.nominalMm).toBe(125);
    await button(shown, 'Red').trigger('click');
    expect(threads.box.entries).toMatchObject([{ shade: { name: 'Red' }, whole: 1 }]);
    await button(shown, 'Red').trigger('click');
    await button(shown, '12.5 cm hoop').trigger('click');
    expect(threads.box.entries).toEqual([]);
    expect(threads.box.basket).toEqual([]);
  });

  it('colours the piece with what is there, and says how far the farthest is', async () => {
    const shown = session.show(YourBox);
    await button(shown, 'Red').trigger('click');
    await button(shown, 'Navy').trigger('click');
    await shown.find('[data-test=use-own]').trigger('click');
    const shades = new Set(session.opened.piece.palette.map(({ shade }) => shade?.name));
    expect([...shades].sort()).toEqual(['Navy', 'Red']);
    expect(textOf(shown)).toContain('The farthest from the drawing is');
    session.opened.undo();
    expect(session.opened.piece.palette.every(({ shade }) => shade?.range !== 'no-label')).toBe(true);
  });

  it('has the colours that people name, each called what it is', () => {
    for (const [name, hex] of COMMON_COLOURS) {
      const plain = name.toLowerCase().split(' ').at(-1)!;
      const called = colourWords(hex);
      const alike: Readonly<Record<string, string[]>> = {
        cream: ['yellow', 'white'],
        gold: ['yellow'],
        coral: ['red', 'orange', 'pink'],
        lilac: ['purple', 'blue'],
        navy: ['blue'],
        mint: ['green'],
        olive: ['green', 'yellow', 'brown'],
        tan: ['brown', 'orange', 'yellow'],
      };
      expect(
        [plain, ...(alike[plain] ?? [])].some((word) => called.includes(word)),
        name,
      ).toBe(true);
    }
  });
});
