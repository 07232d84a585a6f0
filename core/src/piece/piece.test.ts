import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../measure/index.ts';
import {
  applyEdit,
  dropColourway,
  type Edit,
  editOf,
  editProblem,
  groupMembers,
  inColourway,
  invertEdit,
  keepColourway,
  mergeEdits,
  type Piece,
  PIECE_VERSION,
  pieceSchema,
  plainPass,
  readPiece,
  readPieceFile,
  type RecordEntry,
  setCloth,
  setColour,
  setGuides,
  setPasses,
  setShade,
  takeColourway,
  setHoop,
  END_OF_USE,
  endOf,
  setUse,
  plainHoop,
  writePiece,
} from './index.ts';
import { COMMANDS } from '../testing/commands.ts';
import { refOf, shadeOf } from '../materials/index.ts';
import { MIGRATIONS } from './migrations.ts';

const text = readFileSync(new URL('./fixtures/version-1.junctura.json', import.meta.url), 'utf8');

function kite(): Piece {
  const read = readPiece(text);
  if (!read.ok) throw new Error(read.problem);
  return read.value;
}
function applied(piece: Piece, edit: Edit): Piece {
  const outcome = applyEdit(piece, edit);
  if (!outcome.ok) throw new Error(outcome.problem);
  return outcome.value;
}
function changed(change: (data: Record<string, never>) => void): string {
  const data = JSON.parse(text) as Record<string, never>;
  change(data);
  const read = readPiece(JSON.stringify(data));
  return read.ok ? 'it was read' : `${read.problem} ${read.detail ?? ''}`;
}

describe('piece files', () => {
  it('come back as they were written', () => {
    expect(readPiece(writePiece(kite()))).toEqual({ ok: true, value: kite() });
  });

  it('of every earlier version are still read: one is kept of each', () => {
    for (let version = 1; version <= PIECE_VERSION; version++) {
      const kept = readFileSync(new URL(`./fixtures/version-${version}.junctura.json`, import.meta.url), 'utf8');
      expect(readPiece(kept).ok).toBe(true);
      if (version > 1) expect(MIGRATIONS[version]).toBeDefined();
    }
  });

  it.each(Object.entries(MIGRATIONS))(
    'are brought forward to version %s by what it says, and by nothing else',
    (to, { up }) => {
      const name = Number(to) === 5 ? 'version-4-worked' : `version-${Number(to) - 1}`;
      const data = JSON.parse(readFileSync(new URL(`./fixtures/${name}.junctura.json`, import.meta.url), 'utf8'));
      const before = structuredClone(data);
      const after = up(data);
      expect(data).toEqual(before);
      expect(after).not.toEqual(before);
      expect(up(structuredClone(before))).toEqual(after);
    },
  );

  it('of version 4 have their record brought forward as entries: what was used, and what is done without a use', () => {
    const text4 = readFileSync(new URL('./fixtures/version-4-worked.junctura.json', import.meta.url), 'utf8');
    const { done, uses } = (JSON.parse(text4) as { record: { done: string[]; uses: { id: string }[] } }).record;
    const read = readPieceFile(text4);
    if (!read.ok) throw new Error(read.problem);
    const { record } = read.value;
    const used = record.filter((entry) => entry.type === 'thread-used');
    expect(used.map(({ type: _type, ...use }) => use)).toEqual(uses);
    const parts = new Set(record.flatMap((entry) => ('part' in entry ? [entry.part] : [])));
    expect([...parts].sort()).toEqual([...done].sort());
    expect(new Set(record.map(({ id }) => id)).size).toBe(record.length);
  });

  it('come back with their record, which is refused with its place where it is wrong', () => {
    const entry: RecordEntry = { type: 'part-done', id: 'e1', at: '2026-05-01T19:00:00.000Z', part: 'tail' };
    expect(readPieceFile(writePiece(kite(), [entry]))).toEqual({ ok: true, value: { piece: kite(), record: [entry] } });
    const wrong = readPieceFile(writePiece(kite(), [{ ...entry, at: 'yesterday' }]));
    expect(wrong.ok ? '' : wrong.problem).toContain('entry 1 of its record');
    expect(wrong.ok ? '' : wrong.detail).toMatch(/record\[0\]\.at/);
  });

  it.each([
    ['nothing', '', /empty/],
    ['half of one', text.slice(0, text.length / 2), /cut short: it stops at line \d+/],
    ['no JSON', '{"format": oops}', /line 1 is not valid JSON/],
    ['something else', '[1, 2]', /not a Junctura piece/],
    ['another format', '{"format": "x"}', /not a Junctura piece/],
    ['a format that has no text', '{"format": {"toString": 1}}', /not a Junctura piece/],
    ['a version that has no text', '{"format": "junctura-piece", "version": {"toString": 1}}', /which version/],
    ['brackets without end', '['.repeat(20_000_000), /damaged/],
  ])('that are %s are refused', (_name, bad, expected) => {
    const read = readPiece(bad);
    expect(read.ok ? '' : read.problem).toMatch(expected);
  });

  it.each<[string, (data: Record<string, never>) => void, RegExp]>([
    [
      'a later version',
      (d: Record<string, unknown>) => (d['version'] = PIECE_VERSION + 1),
      new RegExp(`later version of Junctura \\(file version ${PIECE_VERSION + 1}`),
    ],
    [
      'a wrong type',
      (d) => ((d as unknown as Piece).placement.scale = 'big' as never),
      /its place in the hoop.*placement\.scale/,
    ],
    ['an unknown field', (d: Record<string, unknown>) => (d['extra'] = 1), /top level.*extra/],
    [
      'an unknown stitch',
      (d) => ((d as unknown as Piece).drawing.parts[0]!.passes![0]!.stitch = 'x' as never),
      /part 1 of its drawing.*parts\[0\]\.passes\[0\]\.stitch/,
    ],
    [
      'a parameter out of range',
      (d) => ((d as unknown as Piece).drawing.parts[0]!.passes![0]!.params = { stitchMm: 99 }),
      /params\.stitchMm/,
    ],
    ['too many strands', (d) => ((d as unknown as Piece).drawing.parts[0]!.passes![0]!.strands = 7), /strands.*7/],
    [
      'a colour that is not there',
      (d) => ((d as unknown as Piece).drawing.parts[0]!.colour = 'c99'),
      /parts\[0\]\.colour.*c99/,
    ],
    [
      'an id twice',
      (d) => ((d as unknown as Piece).drawing.parts[1]!.id = (d as unknown as Piece).drawing.parts[0]!.id),
      /parts\[1\]\.id.*twice/,
    ],
    ['path data that is none', (d) => ((d as unknown as Piece).drawing.parts[0]!.path = 'M0 0 Lx'), /parts\[0\]\.path/],
    ['NaN in a path', (d) => ((d as unknown as Piece).drawing.parts[0]!.path = 'M0 0L NaN 3'), /not a number/],
  ])('with %s are refused with the place of the fault, in words and for developers', (_name, change, expected) => {
    expect(changed(change)).toMatch(expected);
  });
});

describe('colourways', () => {
  it('bring back the shades and the cloth that they were kept with, and leave what they do not name', () => {
    const [first] = kite().palette;
    const kept = applied(kite(), keepColourway(kite(), 'w1', 'As drawn')!);
    const other = applied(kept, setShade(kept, first!.id, refOf(shadeOf('sl-61')!))!);
    const dark = applied(other, setCloth(other, { colour: '#202838' })!);
    const back = applied(dark, takeColourway(dark, 'w1')!);
    expect(back.palette).toEqual(kite().palette);
    expect(back.cloth).toEqual(kite().cloth);
    expect(inColourway(dark, kept.colourways[0]!).palette).toEqual(kite().palette);
    expect(applied(back, dropColourway(back, 'w1')!).colourways).toEqual([]);
    expect(takeColourway(dark, 'none')).toBeNull();
  });

  it('are no more than a person would compare', () => {
    let piece = kite();
    for (let i = 0; i < 20; i++) {
      const edit = keepColourway(piece, `w${i}`, `Way ${i}`);
      if (edit) piece = applied(piece, edit);
    }
    expect(piece.colourways.length).toBe(12);
    expect(readPiece(writePiece(piece))).toEqual({ ok: true, value: piece });
  });
});

describe('the lot', () => {
  it('of a colour is lost when it gets another shade, and kept otherwise', () => {
    const piece = kite();
    const [colour] = piece.palette;
    const lotted = applied(piece, setColour(piece, colour!.id, { lot: 'A7' })!);
    expect(
      applied(lotted, setShade(lotted, colour!.id, colour!.shade, refOf(shadeOf('sl-61')!))!).palette[0]!.lot,
    ).toBe('A7');
    expect(applied(lotted, setShade(lotted, colour!.id, refOf(shadeOf('sl-61')!))!).palette[0]!.lot).toBeNull();
  });
});

describe('edits', () => {
  const all = COMMANDS;

  it('are tried here, every command that there is', () => {
    const commands = readFileSync(new URL('./commands.ts', import.meta.url), 'utf8');
    const tried = readFileSync(new URL('../testing/commands.ts', import.meta.url), 'utf8');
    const names = commands
      .split(/^export function /m)
      .filter((text) => text.slice(0, text.indexOf(' {\n')).includes('): Edit | null'))
      .map((text) => /^\w+/.exec(text)![0]);
    expect(names.length).toBeGreaterThan(25);
    for (const name of names) expect(tried, name).toMatch(new RegExp(`\\(p\\) =>[^]*?\\b${name}\\(p\\b`));
  });

  it.each(all.filter(([, make]) => make(kite()) !== null))(
    '%s: undone, the piece is as before; the piece it was made of is never touched',
    (_name, make) => {
      const before = kite();
      const edit = make(before)!;
      const after = applied(before, edit);
      expect(before).toEqual(kite());
      expect(after).not.toEqual(before);
      expect(pieceSchema.safeParse(after).success).toBe(true);
      expect(applied(after, invertEdit(edit))).toEqual(before);
      expect(make(after) === null || /^(Move|Remove|Bring)/.test(edit.label)).toBe(true);
    },
  );

  it('in a row are undone together, and merged ones at once', () => {
    let piece = kite();
    const done: Edit[] = [];
    for (const [, make] of all) {
      const edit = make(piece);
      if (!edit) continue;
      done.push(edit);
      piece = applied(piece, edit);
    }
    const merged = done.reduce(mergeEdits);
    expect(applied(kite(), merged)).toEqual(piece);
    expect(applied(piece, invertEdit(merged))).toEqual(kite());
  });

  it('of a drag of a thousand moves are as long as one, and undone at once', () => {
    let piece = kite();
    const moves = Array.from({ length: 1000 }, (_, i) => {
      const placement = { ...piece.placement, xMm: i + 1 };
      const edit = setHoop(piece, i === 0 ? plainHoop(200, 12) : piece.hoop, placement)!;
      piece = applied(piece, edit);
      return edit;
    });
    const merged = moves.reduce(mergeEdits);
    expect(merged.steps).toHaveLength(2);
    expect(applied(kite(), merged)).toEqual(piece);
    expect(applied(piece, invertEdit(merged))).toEqual(kite());
  });

  it('of every kind, in any sequence, merged or not, are undone one by one to what was before', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const random = seededRandom(seed);
      let piece = kite();
      const states = [piece];
      const done: Edit[] = [];
      for (let i = 0; i < 25; i++) {
        const edit = all[Math.floor(random.next() * all.length)]![1](piece);
        if (!edit) continue;
        piece = applied(piece, edit);
        if (done.length > 0 && random.next() < 0.4) {
          done.push(mergeEdits(done.pop()!, edit));
          states.pop();
        } else done.push(edit);
        states.push(piece);
      }
      let back = piece;
      for (const edit of [...done].reverse()) {
        expect(back).toEqual(states.pop());
        back = applied(back, invertEdit(edit));
      }
      expect(back).toEqual(kite());
      expect(done.reduce((now, edit) => applied(now, edit), kite())).toEqual(piece);
    }
  });

  it('are found wrong where the whole piece would be refused, and nowhere else', () => {
    const bad = [NaN, -1, 0, 1e9, '', 'x'.repeat(400), null, [], {}, 'none', 0.00001, '#12', 'M0 0L1', true];
    const paths = [
      ['name'],
      ['use'],
      ['worker', 'hand'],
      ['worker', 'slack'],
      ['cloth', 'kind'],
      ['cloth'],
      ['hoop', 'nominalMm'],
      ['hoop'],
      ['placement', 'scale'],
      ['placement', 'xMm'],
      ['palette', 0, 'id'],
      ['palette', 1, 'hex'],
      ['drawing', 'hidden'],
      ['drawing', 'parts', 2, 'path'],
      ['drawing', 'parts', 1, 'colour'],
      ['drawing', 'parts', 0, 'id'],
      ['drawing', 'parts', 3],
      ['drawing', 'parts', 1, 'passes'],
      ['order', 'first'],
      ['calendar', 'at'],
      ['accepted'],
      ['mark'],
    ];
    const piece = kite();
    let [fine, refused] = [0, 0];
    for (const path of paths) {
      for (const value of bad) {
        const edit = editOf(piece, 'x', [[path, value]]);
        if (!edit) continue;
        const after = applied(piece, edit);
        const isRefused = !pieceSchema.safeParse(after).success;
        expect([path, value, editProblem(piece, after) !== null]).toEqual([path, value, isRefused]);
        if (isRefused) refused++;
        else fine++;
      }
    }
    expect(refused).toBeGreaterThan(200);
    expect(fine).toBeGreaterThan(10);
  });

  it('are refused on a piece that is not the one they were made for', () => {
    const edit = editOf(kite(), 'x', [[['name'], 'Other']])!;
    expect(applyEdit({ ...kite(), name: 'Changed meanwhile' }, edit).ok).toBe(false);
  });

  it('of a group reach all that are alike', () => {
    const piece = kite();
    const wing = piece.drawing.parts.find((part) => part.id === 'bow-1-left')!;
    expect(groupMembers(piece, wing)).toHaveLength(6);
  });

  it('keeps strokes, layers and highlights within what a file can hold', () => {
    const piece = kite();
    const part = piece.drawing.parts.find(({ kind }) => kind === 'area')!;
    const many = applied(
      piece,
      setGuides(
        piece,
        [part.id],
        Array.from({ length: 90 }, (_, i) => `M0 ${i}L5 ${i}`),
        'x',
      )!,
    );
    const points = Array.from({ length: 900 }, (_, i): [number, number] => [i, 0]);
    const layers = Array.from({ length: 50 }, () => ({ ...plainPass('satin', 'stranded-cotton'), points }));
    const full = applied(many, setPasses(many, new Map([[part.id, layers]]), 'x')!);
    expect(readPiece(writePiece(full))).toEqual({ ok: true, value: full });
    expect(full.drawing.parts.find(({ id }) => id === part.id)!.guides.at(-1)).toBe('M0 89L5 89');
  });
});

describe('what a piece is for', () => {
  it('changes what is advised, never the finish by itself', () => {
    const piece = { ...kite(), finish: { ...kite().finish, end: null }, use: 'framed' as const };
    for (const use of Object.keys(END_OF_USE) as Piece['use'][]) {
      const edit = setUse(piece, use);
      if (use === piece.use) {
        expect(edit).toBeNull();
        continue;
      }
      const after = applyEdit(piece, edit!);
      if (!after.ok) throw new Error(after.problem);
      expect(after.value.use).toBe(use);
      expect(endOf(after.value)).toBe(endOf(piece));
    }
    // Where nothing was chosen, it is as is usual.
    expect(endOf({ ...piece, use: 'patch' })).toBe('patch');
  });
});
