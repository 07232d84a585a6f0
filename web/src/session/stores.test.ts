import { USUAL_FACTORS } from '@junctura/core/work';
import { Planner } from '@junctura/core/advice';
import { readPiece, renamePiece, setUse, type Piece, type Edit } from '@junctura/core/piece';
import { readFileSync } from 'node:fs';
import { createPinia, setActivePinia } from 'pinia';
import { describe, expect, it, vi } from 'vitest';
import { panned, viewOf, zoomed } from '../picture/view.ts';
import { NewsReader, NewsWriter } from '../workers/planNews.ts';
import { History } from './history.ts';
import { useOpenedPiece } from './openedPiece.ts';
import { differences, tallyOf } from './tally.ts';

function kite(): Piece {
  const read = readPiece(readFileSync(new URL('../../../demo/pieces/kite.junctura.json', import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.problem);
  return read.value;
}

describe('History', () => {
  it('undoes and does again, and typing in a row is one step', () => {
    setActivePinia(createPinia());
    vi.useFakeTimers({ now: 0 });
    const opened = useOpenedPiece();
    const change = (edit: Edit | null, at: number): void => {
      vi.setSystemTime(at);
      opened.edit(edit);
    };
    const seen = (): unknown[] => [opened.piece.name, opened.piece.use];
    opened.take(kite());
    change(setUse(opened.piece, 'patch'), 0);
    for (const [i, name] of ['K', 'Ki', 'Kit'].entries()) change(renamePiece(opened.piece, name), 5000 + i * 200);
    opened.undo();
    expect(seen()).toEqual(['Kite', 'patch']);
    opened.undo();
    expect(opened.piece).toEqual(kite());
    opened.undo();
    expect([opened.piece, opened.undoLabel]).toEqual([kite(), null]);
    opened.redo();
    opened.redo();
    expect(seen()).toEqual(['Kit', 'patch']);
    // What is typed after doing again is a step of its own.
    change(renamePiece(opened.piece, 'Kite'), 5600);
    opened.undo();
    expect(seen()).toEqual(['Kit', 'patch']);
    opened.undo();
    change(setUse(opened.piece, 'worn'), 9000);
    expect(opened.redoLabel).toBeNull();
    vi.useRealTimers();
  });

  it('keeps the last five hundred changes', () => {
    const history = new History<{ label: string }>({ keyOf: () => null, merged: (_, later) => later });
    for (let i = 0; i < 510; i++) history.put({ label: String(i) }, i);
    const undone: string[] = [];
    for (let change = history.undo(); change; change = history.undo()) undone.push(change.label);
    expect([undone.length, undone[0], undone.at(-1)]).toEqual([500, '509', '10']);
  });

  it('refuses what could not be kept and read again, and stays as it was', () => {
    setActivePinia(createPinia());
    const opened = useOpenedPiece();
    opened.take(kite());
    opened.edit(renamePiece(kite(), 'x'.repeat(306)));
    expect(opened.refused).toMatch(/Rename the piece.*name/);
    expect([opened.piece, opened.undoLabel]).toEqual([kite(), null]);
  });
});

describe('news from the planner', () => {
  it('put together give the workings, with the same objects where nothing changed', () => {
    const [planner, writer, reader] = [new Planner(), new NewsWriter(), new NewsReader()];
    const piece = kite();
    const send = (state: Piece): ReturnType<NewsReader['read']> =>
      reader.read(state, structuredClone(writer.write(planner.plan(state, USUAL_FACTORS))));
    const first = send(piece);
    expect(first).toEqual(new Planner().plan(piece, USUAL_FACTORS));
    const parts = piece.drawing.parts.slice(1).map((part, i) => (i === 3 ? { ...part, passes: [] } : part));
    const changed = { ...piece, drawing: { ...piece.drawing, parts } };
    const second = send(changed);
    expect(second).toEqual(new Planner().plan(changed, USUAL_FACTORS));
    expect(second.plan.parts[0]!.passes[0]).toBe(first.plan.parts[1]!.passes[0]);
    expect(writer.write(planner.plan(changed, USUAL_FACTORS)).freshPasses).toEqual([]);
  });
});

describe('the tally', () => {
  it('says what a change made of it', () => {
    const piece = kite();
    const tally = tallyOf(piece, new Planner().plan(piece, USUAL_FACTORS), 3);
    const more = {
      ...tally,
      threadMm: tally.threadMm + 1400,
      skeins: tally.skeins + 1,
      findings: tally.findings + 2,
      stitches: tally.stitches - 1,
      loads: tally.loads - 3,
      cutM: tally.cutM - 1.5,
    };
    expect(differences(tally, more, 'metric')).toEqual([
      '+1.4 m',
      '−1 stitch',
      '+1 skein to buy',
      '−3 needlefuls',
      '−1.5 m to cut',
      '2 more things to check',
    ]);
    expect(differences(tally, tally, 'metric')).toEqual([]);
    // Longer cuts change nothing that is stitched, but how often one threads and what is lost by it.
    const byTheArm = { ...piece, worker: { ...piece.worker, cutMm: 700 } };
    const longer = tallyOf(byTheArm, new Planner().plan(byTheArm, USUAL_FACTORS), 3);
    expect(differences(tally, longer, 'metric').join()).toMatch(/−\d+ needlefuls/);
  });
});

describe('the view', () => {
  it('keeps the point under the pointer when it is enlarged, and comes back when moved back', () => {
    const size = { width: 800, height: 600 };
    const view = viewOf(75, size);
    const under = (v: typeof view): number => v.centreX + (200 - 400) / v.pxPerMm;
    expect(under(zoomed(view, 3, 200, 100, size))).toBeCloseTo(under(view), 9);
    expect(panned(panned(view, 30, -20), -30, 20).centreX).toBeCloseTo(view.centreX, 9);
  });
});
