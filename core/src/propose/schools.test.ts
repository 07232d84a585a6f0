import { describe, expect, it } from 'vitest';
import { ShapePlacer } from '../drawing/index.ts';
import type { Piece } from '../piece/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import { proposalInWords, proposalsFor, type Offer } from './index.ts';

function offers(body: string, worker: Partial<Piece['worker']> = {}): readonly Offer[] {
  const piece = svgPiece(body);
  const by = { ...piece, worker: { ...piece.worker, ...worker } };
  const shapes = new ShapePlacer().place(by);
  const all = by.drawing.parts.map((part, i) => ({ part, placed: shapes[i]! }));
  return proposalsFor(by, all, [by.drawing.parts[0]!.id])[0]!;
}

const PETAL = '<path d="M0 0C-7 8 -7 20 0 20C7 20 7 8 0 0Z" fill="#a33"/>';
const LINE = '<path d="M0 0H40" fill="none" stroke="#333" stroke-width="0.6"/>';
const SPOT = '<circle r="0.8" fill="#a33"/>';

describe('what another school would do', () => {
  it('is said in words that its own settings would bear out', () => {
    const theirs: Readonly<Record<string, Partial<Piece['worker']>>> = {
      'If you work plainly': { layers: 'plain' },
      'If you like rich work': { layers: 'rich' },
      'If you like fine work': { strands: 'fine' },
      'If you like bold work': { strands: 'bold' },
      'If you prefer colonial knots': { knots: 'colonial' },
      'If you prefer French knots': { knots: 'french' },
    };
    let said = 0;
    for (const body of [PETAL, LINE, SPOT]) {
      for (const worker of [
        {},
        { layers: 'rich' },
        { layers: 'plain', strands: 'fine' },
        { knots: 'colonial' },
      ] as const) {
        for (const { otherSchool } of offers(body, worker)) {
          if (otherSchool === null) continue;
          said++;
          const [school, view] = otherSchool.replace(/\.$/, '').split(': ') as [string, string];
          const words = offers(body, { ...worker, ...theirs[school] }).map(proposalInWords);
          expect(theirs[school], school).toBeDefined();
          expect(words).toContain(view);
        }
      }
    }
    expect(said).toBeGreaterThan(10);
  });

  it('is never what she does herself', () => {
    for (const body of [PETAL, LINE, SPOT]) {
      for (const offer of offers(body)) {
        expect(offer.otherSchool ?? '').not.toContain(`: ${proposalInWords(offer)}.`);
      }
    }
  });

  it('offers the other knot for a spot, and padding for a petal', () => {
    expect(offers(SPOT)[0]!.otherSchool).toMatch(/^If you prefer colonial knots: colonial knot/);
    expect(offers(PETAL).some(({ otherSchool }) => otherSchool?.includes('padding'))).toBe(true);
  });
});
