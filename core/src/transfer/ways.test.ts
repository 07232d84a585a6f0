import { USUAL_FACTORS } from '../work/index.ts';
import { Planner } from '../advice/index.ts';
import { describe, expect, it } from 'vitest';
import { readSvg } from '../drawing/index.ts';
import { CLOTHS, MARKS, type ClothId, type ThreadId } from '../materials/index.ts';
import { plainPass, setMark, applyEdit, type Piece } from '../piece/index.ts';
import { rankWays, type WayAdvice } from './index.ts';

interface Setting {
  readonly cloth?: ClothId;
  readonly colour?: string;
  readonly thread?: ThreadId;
  readonly use?: Piece['use'];
  readonly shade?: string;
}

/** A disc and a line in one thread. */
function pieceOf({
  cloth = 'fine-linen',
  colour = '#f4efe4',
  thread = 'stranded-cotton',
  use = 'framed',
  shade = '#4a8a5a',
}: Setting): Piece {
  const read = readSvg(
    `<svg xmlns="http://www.w3.org/2000/svg" width="90mm" viewBox="0 0 90 90"><circle cx="20" cy="20" r="9" fill="${shade}"/><path d="M40 60H80" stroke="${shade}" fill="none"/></svg>`,
    'x',
    'x',
  );
  if (!read.ok) throw new Error(read.problem);
  const parts = read.value.drawing.parts.map((part) => ({
    ...part,
    passes: [plainPass(part.kind === 'area' ? 'satin' : 'stem', thread, 1)],
  }));
  return { ...read.value, use, cloth: { kind: cloth, colour }, drawing: { ...read.value.drawing, parts } };
}
function ranked(setting: Setting): WayAdvice[] {
  const piece = pieceOf(setting);
  return rankWays(piece, new Planner().plan(piece, USUAL_FACTORS).plan);
}
function way(setting: Setting, id: string): WayAdvice {
  return ranked(setting).find(({ mark }) => mark.id === id)!;
}

const SETTINGS = CLOTHS.flatMap(({ id }) =>
  ['#f4efe4', '#20242c'].flatMap((colour) =>
    (['stranded-cotton', 'stranded-silk', 'crewel-wool'] as const).map((thread): Setting => ({
      cloth: id,
      colour,
      thread,
    })),
  ),
);

describe('ways of marking', () => {
  it('a design that is partly printed on the cloth needs no other: that way comes first, and says why', () => {
    const first = (printed: boolean): WayAdvice => {
      const piece = pieceOf({});
      const parts = piece.drawing.parts.map((part, i) => ({ ...part, printed: printed && i === 0 }));
      const own = { ...piece, drawing: { ...piece.drawing, parts } };
      return rankWays(own, new Planner().plan(own, USUAL_FACTORS).plan)[0]!;
    };
    expect(first(false).mark.id).not.toBe('printed');
    expect(first(true).mark.id).toBe('printed');
    expect(first(true).reasons.join(' ')).toContain('on the cloth already');
  });

  it.each(SETTINGS)('on $cloth in $colour with $thread: all are listed, and the first raises no finding', (setting) => {
    const ways = ranked(setting);
    expect(ways.map(({ mark }) => mark.id).sort()).toEqual(MARKS.map(({ id }) => id).sort());
    ways.forEach(({ score }, i) => expect(score).toBeLessThanOrEqual(ways[i - 1]?.score ?? Infinity));
    expect(ways.every(({ cautions }) => cautions.length > 0)).toBe(true);
    const piece = pieceOf(setting);
    const edit = setMark(piece, ways[0]!.mark.id);
    const marked = edit ? applyEdit(piece, edit) : { ok: true as const, value: piece };
    if (!marked.ok) throw new Error(marked.problem);
    const found = new Planner().plan(marked.value, USUAL_FACTORS).findings.map(({ id }) => id);
    expect(found.filter((id) => ["can't-trace", 'water-spoils', 'heat-sets'].includes(id))).toEqual([]);
  });

  it('that come out in water are poor for silk, and film is for wool', () => {
    expect(way({ thread: 'stranded-silk' }, 'film').fitness).toBe('poor');
    expect(way({ thread: 'stranded-silk' }, 'water-pen').cautions.join()).toContain('stranded silk can’t take water');
    expect(way({ thread: 'crewel-wool' }, 'film').cautions.join()).toContain('crewel wool can’t take water');
    expect(way({ thread: 'crewel-wool' }, 'water-pen').cautions.join()).not.toContain('can’t take water');
  });

  it('name the colours that may run in their water, and only there', () => {
    const strong = { shade: '#7a0f1c' };
    expect(way(strong, 'film').cautions.join()).toContain('In that water these may run');
    expect(way(strong, 'pencil').cautions.join()).not.toContain('may run');
    expect(way({ shade: '#a9c4a0' }, 'film').cautions.join()).not.toContain('may run');
    expect(way(strong, 'film').score).toBeLessThan(way({ shade: '#4a8a5a' }, 'film').score);
  });

  it('that must be seen through the cloth are not offered for dark or dense cloth', () => {
    for (const setting of [{ colour: '#20242c' }, { cloth: 'denim' }] as const) {
      const [first] = ranked(setting);
      expect(first!.mark.traced).toBe(false);
      for (const { mark, fitness } of ranked(setting)) if (mark.traced) expect(fitness).not.toBe('good');
    }
  });

  it('that soil are marked down where thread is pale', () => {
    const soft = MARKS.find(({ soils }) => soils)!.id;
    expect(way({ shade: '#f6e9c8' }, soft).cautions.join()).toContain('soil the pale threads');
    expect(way({ shade: '#33506a' }, soft).cautions.join()).not.toContain('soil the pale threads of');
  });
});
