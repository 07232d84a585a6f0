import 'fake-indexeddb/auto';
import { Planner } from '@junctura/core/advice';
import { emptyPiece, newPart, type Piece } from '@junctura/core/piece';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { effectScope, type EffectScope } from 'vue';
import { useOpenedPiece } from '../session/openedPiece.ts';
import { useSelection, type Pen } from '../session/selection.ts';
import { useWorkings } from '../session/workings.ts';
import { FakeWorker } from '../testing/fakeWorker.ts';
import { MemoryStorage, openPage } from '../testing/page.ts';
import { NewsWriter } from '../workers/planNews.ts';
import { usePen } from './usePen.ts';

let isHeld = false;
let scope: EffectScope;

beforeEach(() => {
  isHeld = false;
  scope = effectScope();
  vi.stubGlobal('localStorage', new MemoryStorage());
  openPage();
  vi.stubGlobal(
    'Worker',
    class extends FakeWorker {
      constructor() {
        const [planner, writer] = [new Planner(), new NewsWriter()];
        super({
          handlers: { plan: ({ piece, factors }) => writer.write(planner.plan(piece, factors)) },
          fate: () => (isHeld ? 'stalls' : 'answers'),
        });
      }
    },
  );
});
afterEach(() => {
  scope.stop();
  vi.unstubAllGlobals();
});

function onePart(): Piece {
  const piece = emptyPiece('p', 'One part');
  const part = newPart({ id: 'a', name: 'a', kind: 'area', path: 'M-20 -10H20V10H-20Z', colour: 'c1' });
  const palette = [{ id: 'c1', role: '', hex: '#aa3333', shade: null, second: null, lot: null }];
  return { ...piece, palette, drawing: { ...piece.drawing, parts: [part] } };
}

/** A pen on the part, which is planned; from then on no plan comes any more. */
async function penOn(draws: Pen['draws']): Promise<ReturnType<typeof usePen>> {
  const [opened, workings, selection] = [useOpenedPiece(), useWorkings(), useSelection()];
  opened.take(onePart());
  await vi.waitFor(() => expect(workings.plannedOf('a')).not.toBeNull());
  isHeld = true;
  selection.pick(['a']);
  selection.pen = { draws, part: 'a', pass: 0 };
  return scope.run(() => usePen(() => 4))!;
}

function draw(pen: ReturnType<typeof usePen>, x: number): void {
  pen.start(x, -8);
  for (let y = -6; y <= 8; y += 2) pen.move(x, y);
  pen.end();
}

describe('strokes that come faster than plans', () => {
  it.each(['guides', 'borders'] as const)('are all kept: %s', async (draws) => {
    const pen = await penOn(draws);
    for (const x of [-12, 0, 12]) draw(pen, x);
    expect(useOpenedPiece().partOf('a')![draws]).toHaveLength(3);
  });

  it('so are highlights', async () => {
    const pen = await penOn('points');
    for (const x of [-12, 0, 12]) draw(pen, x);
    expect(useOpenedPiece().partOf('a')!.passes![0]!.points).toEqual([
      [-12, 8],
      [0, 8],
      [12, 8],
    ]);
  });
});
