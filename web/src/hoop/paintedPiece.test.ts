import { Planner, type Workings } from '@junctura/core/advice';
import {
  applyEdit,
  emptyPiece,
  newColour,
  newPart,
  plainPass,
  renamePiece,
  setPasses,
  type Edit,
  type Piece,
} from '@junctura/core/piece';
import { USUAL_FACTORS } from '@junctura/core/work';
import { expect, it } from 'vitest';
import { shallowReactive } from 'vue';
import { paintedPiece } from './paintedPiece.ts';

const begun: Piece = {
  ...emptyPiece('p', 'Before'),
  palette: [newColour({ id: 'c1', hex: '#aa3333' })],
};
const drawn: Piece = {
  ...begun,
  drawing: {
    ...begun.drawing,
    parts: [newPart({ id: 'a', name: 'A', kind: 'area', path: 'M0 0H20V20H0Z', colour: 'c1' })],
  },
};
const done = (piece: Piece, edit: Edit | null): Piece => {
  const outcome = applyEdit(piece, edit!);
  if (!outcome.ok) throw new Error(outcome.problem);
  return outcome.value;
};
const planned = (piece: Piece): Workings => new Planner().plan(piece, USUAL_FACTORS);

it('changes with the plan, the colours and the cloth, not with what waits for its plan or has none', () => {
  const opened = shallowReactive({ piece: drawn });
  const workings = shallowReactive<{ current: Workings }>({ current: planned(drawn) });
  const painted = paintedPiece(opened, workings);
  expect(painted.value).toBe(drawn);
  opened.piece = done(opened.piece, renamePiece(opened.piece, 'After'));
  expect(painted.value).toBe(drawn);
  opened.piece = done(
    opened.piece,
    setPasses(opened.piece, new Map([['a', [plainPass('seed', 'stranded-cotton', 1)]]]), 'x'),
  );
  expect(painted.value).toBe(drawn);
  workings.current = planned(opened.piece);
  expect(painted.value).toBe(opened.piece);
  const recoloured = { ...opened.piece, palette: [newColour({ id: 'c1', hex: '#3333aa' })] };
  opened.piece = recoloured;
  expect(painted.value).toBe(recoloured);
  opened.piece = { ...recoloured, cloth: { ...recoloured.cloth, colour: '#222222' } };
  expect(painted.value.cloth.colour).toBe('#222222');
  const before = painted.value;
  opened.piece = { ...opened.piece, palette: [newColour({ id: 'c2', hex: '#33aa33' })] };
  expect(painted.value).toBe(before);
  opened.piece = { ...opened.piece, id: 'other' };
  expect(painted.value.id).toBe('other');
});
