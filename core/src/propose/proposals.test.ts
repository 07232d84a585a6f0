import { describe, expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import { seededRandom } from '../measure/index.ts';
import { applyEdit, plainPass, setPasses, type Edit, type Piece } from '../piece/index.ts';
import { svgPiece as pieceOf } from '../testing/pieces.ts';
import { blob } from '../testing/shapes.ts';
import type { Plan } from '../thread/index.ts';
import { USUAL_FACTORS } from '../work/index.ts';
import { proposalsFor, type Proposal } from './index.ts';

const planOf = (piece: Piece): Plan => new Planner().plan(piece, USUAL_FACTORS).plan;
const found = (piece: Piece): string[] => new Planner().plan(piece, USUAL_FACTORS).findings.map(({ id }) => id);
function after(piece: Piece, edit: Edit | null): Piece {
  const outcome = applyEdit(piece, edit!);
  if (!outcome.ok) throw new Error(outcome.problem);
  return outcome.value;
}
const square = '<rect x="-20" y="-20" width="40" height="40" fill="#a33"/>';
const twins = '<rect width="8" height="20" fill="#a33"/><rect x="8" width="8" height="26" fill="#a33"/>';

/** What is proposed for the first part of a piece. */
function offersFor(piece: Piece): readonly Proposal[] {
  return proposalsFor(piece, planOf(piece).parts, ['part-1'])[0]!;
}

describe('proposals', () => {
  const first = (body: string, change: Partial<Piece> = {}): string => {
    const piece = pieceOf(body, change);
    return offersFor(piece)[0]!.pass.stitch;
  };
  it.each([
    ['a small petal in satin', '<ellipse rx="4" ry="9"/>', 'satin'],
    ['a wall of 9 cm² in level rows', '<rect width="30" height="30"/>', 'split-fill'],
    ['a wall of 16 cm² in rows that go faster', '<rect width="26" height="60"/>', 'chain-fill'],
    ['a straight band too wide for satin in rows along it', '<rect width="16" height="70"/>', 'split-fill'],
    ['a disc a little wider than satin likes padded all the same', '<circle r="6.5"/>', 'satin-padded'],
    ['a disc too wide for satin in cords round and round', '<circle r="9"/>', 'stem-fill'],
    ['a small disc flat', '<circle r="1.4"/>', 'french'],
    [
      'a straight line as wide as a band as a bar across it',
      '<path d="M0 0H60" stroke="#000" stroke-width="5"/>',
      'overcast',
    ],
    [
      'a wide, compact area in chains round and round',
      '<path d="M0 0Q30 -14 44 10Q52 30 26 40Q-14 34 0 0Z"/>',
      'chain-fill',
    ],
    ['a berry in padded satin', '<circle r="4"/>', 'satin-padded'],
    [
      'a ring in satin across',
      '<path fill-rule="evenodd" d="M-12 0A12 12 0 1 0 12 0A12 12 0 1 0 -12 0ZM-8 0A8 8 0 1 0 8 0A8 8 0 1 0 -8 0Z"/>',
      'satin',
    ],
    ['a slender leaf in closed flies', '<path d="M0 0C6 -4 14 -4 20 0C14 4 6 4 0 0Z"/>', 'fly-leaf'],
    ['a roof not as a leaf', '<path d="M0 0L14 -9L28 0Z"/>', 'satin'],
    ['a short stroke in one stitch', '<path d="M0 0L4 2" stroke="#000" stroke-width="0.6"/>', 'straight'],
    [
      'a line drawn as wide as a band in satin across it',
      '<path d="M0 0Q30 20 60 0" fill="none" stroke="#000" stroke-width="3"/>',
      'overcast',
    ],
    [
      'a cord in whipped back stitch',
      '<path d="M0 0Q20 20 40 0" fill="none" stroke="#000" stroke-width="1.3"/>',
      'whipped-back',
    ],
    ['an almond leaf in slanting halves', '<path d="M0 0C8 -9 22 -9 30 0C22 9 8 9 0 0Z"/>', 'satin-leaf'],
    ['a small round area as a knot', '<circle r="1"/>', 'french'],
    ['a dashed line in running stitch', '<path d="M0 0H40" stroke="#000" stroke-dasharray="3 2"/>', 'running'],
    ['a straight line in back stitch', '<path d="M0 0H40" stroke="#000"/>', 'back'],
    ['a smooth curve in stem stitch', '<path d="M0 0Q20 20 40 0" fill="none" stroke="#000"/>', 'stem'],
    ['a tight curl in split stitch', '<circle r="2" fill="none" stroke="#000"/>', 'split'],
    ['a bold line in chain stitch', '<path d="M0 0Q20 20 40 0" fill="none" stroke="#000" stroke-width="2"/>', 'chain'],
    ['a dot as a knot', '<path d="M1 1h0" stroke="#000" stroke-linecap="round"/>', 'french'],
  ])('%s', (_name, body, stitch) => {
    expect(first(body)).toBe(stitch);
  });

  it('are in nothing decorative, and shade nothing that is in one colour: 120 shapes, whatever they are for', () => {
    const asked = ['long-short', 'woven-fill', 'lattice-fill', 'closed-herringbone', 'herringbone', 'french-fill'];
    for (let seed = 1; seed <= 120; seed++) {
      const random = seededRandom(seed);
      const size = random.between(0.4, 3);
      const points = [...blob(seed)[0]!].map((value) => (value * size).toFixed(2));
      const body = `<path d="M${points.join(' ')}Z" fill="#a33"/>`;
      const use = random.next() < 0.5 ? 'framed' : 'worn';
      expect(asked, `${seed}`).not.toContain(first(body, { use }));
    }
  });

  it('lay satin across the narrow way', () => {
    const piece = pieceOf('<rect width="40" height="6" transform="rotate(30)"/>');
    const [proposal] = offersFor(piece);
    // The long side runs 30° clockwise as seen, so its cross direction is 60° anticlockwise.
    expect(proposal!.pass.angleDeg).toBe(60);
  });

  it('turn satin with a curved strip, and away from a touching part of the same colour', () => {
    const strip = pieceOf('<path d="M0 0A30 30 0 0 1 60 0L56 0A26 26 0 0 0 4 0Z"/>');
    expect(offersFor(strip)[0]!.pass).toMatchObject({
      stitch: 'satin',
      direction: 'across',
    });
    const plan = planOf(pieceOf(twins));
    const [one, other] = plan.parts.map(({ passes }) => passes.find(({ role }) => role === 'filling')!.angleDeg);
    expect(Math.abs(one! - other!) % 180).toBeGreaterThanOrEqual(20);
    expect(found(pieceOf(twins))).not.toContain('direction-vanishes');
  });

  it('follow the schools of the person', () => {
    const dot = '<path d="M1 1h0" stroke="#000" stroke-linecap="round"/>';
    const base = pieceOf(dot);
    const school = { ...base, worker: { ...base.worker, knots: 'colonial', strands: 'fine' } } as const;
    expect(offersFor(school)[0]!.pass).toMatchObject({
      stitch: 'colonial',
      strands: 1,
    });
  });

  it('keep within what the use allows', () => {
    expect(first('<rect width="11" height="40"/>')).toBe('satin');
    expect(first('<rect width="11" height="40"/>', { use: 'worn' })).toBe('split-fill');
    // Short satin holds on what is worn, too.
    expect(first('<rect width="6" height="40"/>', { use: 'worn' })).toBe('satin');
    expect(first('<circle r="10"/>', { use: 'worn' })).toBe('stem-fill');
    expect(first('<circle r="17"/>', { use: 'patch' })).toBe('split-fill');
  });

  it('are taken back by choosing, and come again with null', () => {
    const piece = pieceOf(square);
    const chosen = after(piece, setPasses(piece, new Map([['part-1', [plainPass('satin', 'stranded-cotton')]]]), 'x'));
    expect(planOf(chosen).parts[0]!.passes[0]!.stitch).toBe('satin');
    const again = after(chosen, setPasses(chosen, new Map([['part-1', null]]), 'x'));
    expect(planOf(again)).toEqual(planOf(piece));
  });
});
