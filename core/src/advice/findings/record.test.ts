import { describe, expect, it } from 'vitest';
import { emptyPiece, plainHoop, type Piece, type PieceRecord } from '../../piece/index.ts';
import { sittingRecord } from '../../testing/pieces.ts';
import { recordFindings } from './record.ts';

describe('what a record gives cause to say', () => {
  it.each([
    ['calico', 14],
    ['felt', 5],
  ] as const)('is that the hoop was left on %s after %i days, not before, and only between sittings', (kind, days) => {
    const piece: Piece = { ...emptyPiece('p', ''), hoop: plainHoop(100, 12), cloth: { kind, colour: '#ffffff' } };
    const after = (hours: number): string => new Date(Date.UTC(2026, 10, 1, 20 + hours)).toISOString();
    const ids = (of: Piece, record: PieceRecord, hours: number): string[] =>
      recordFindings(of, record, after(hours)).map(({ id }) => id);
    expect(ids(piece, sittingRecord(5, 5), days * 24)).toEqual([]);
    expect(ids(piece, sittingRecord(5, 5), days * 24 + 1)).toEqual(['hoop-left']);
    expect(ids({ ...piece, hoop: null }, sittingRecord(5, 5), days * 24 + 1)).toEqual([]);
    expect(ids(piece, sittingRecord(5, 5).slice(0, 1), days * 24 + 1)).toEqual([]);
    const takenOff: PieceRecord = [{ id: 'c', at: '2026-11-01T20:01:00.000Z', type: 'cloth-taken-off' }];
    expect(ids(piece, [...takenOff, ...sittingRecord(5, 5)], days * 24 + 1)).toEqual([]);
    const onAgain: PieceRecord = [{ id: 'd', at: '2026-11-01T20:02:00.000Z', type: 'cloth-mounted' }];
    expect(ids(piece, [...onAgain, ...takenOff, ...sittingRecord(5, 5)], days * 24 + 1)).toEqual(['hoop-left']);
    expect(ids(piece, sittingRecord(5, 3), 1)).toEqual(['needle-count']);
    expect(ids(piece, sittingRecord(null, 3), 1)).toEqual([]);
    expect(ids(piece, [], days * 24 + 1)).toEqual([]);
  });
});
