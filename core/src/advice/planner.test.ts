import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { Planner } from './index.ts';
import { seededRandom } from '../measure/index.ts';
import { applyEdit, plainPass, readPiece, setPasses, setUse, type Edit, type Piece } from '../piece/index.ts';
import { countLoads } from '../plan/index.ts';

function kite(): Piece {
  const read = readPiece(readFileSync(new URL('../piece/fixtures/version-1.junctura.json', import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.problem);
  return read.value;
}

describe('planning', () => {
  it('again after any edits gives what planning afresh gives, and works again only what changed', () => {
    const planner = new Planner();
    let piece = kite();
    let before = planner.plan(piece).plan;
    for (let seed = 1; seed <= 30; seed++) {
      const random = seededRandom(seed);
      const part = piece.drawing.parts[Math.floor(random.next() * piece.drawing.parts.length)]!;
      const stitch = part.kind === 'area' ? 'split-fill' : part.kind === 'line' ? 'chain' : 'french';
      const pass = {
        ...plainPass(stitch, 'stranded-cotton', 1 + Math.floor(random.next() * 4)),
        angleDeg: 10 * seed - 150,
      };
      const edit: Edit | null =
        seed % 10 === 0
          ? setUse(piece, seed === 10 ? 'worn' : 'framed')
          : setPasses(piece, new Map([[part.id, [pass]]]), 'x');
      if (!edit) continue;
      const outcome = applyEdit(piece, edit);
      if (!outcome.ok) throw new Error(outcome.problem);
      piece = outcome.value;
      const again = planner.plan(piece);
      expect(again).toEqual(new Planner().plan(piece));
      const worked = again.plan.parts.filter(({ passes }, i) => passes[0] !== before.parts[i]!.passes[0]);
      if (seed % 10 !== 0) expect(worked.map((entry) => entry.part.id)).toEqual([part.id]);
      before = again.plan;
    }
  });

  it('adds up: colours hold the thread of their parts, and of nothing else', () => {
    const { plan } = new Planner().plan(kite());
    const ofParts = plan.parts.flatMap(({ passes }) => passes).reduce((sum, pass) => sum + pass.quantities.threadMm, 0);
    const ofColours = plan.colours.reduce((sum, colour) => sum + colour.threadMm, 0);
    expect(ofColours).toBeCloseTo(ofParts, 3);
    expect(plan.totals.threadMm).toBeCloseTo(ofParts, 3);
    for (const need of plan.colours) {
      const whole = need.frontMm + need.backMm + need.wrapMm + need.throughMm + need.slackMm;
      expect(whole).toBeCloseTo(need.threadMm, 3);
      expect(need.skeins.p50).toBeLessThanOrEqual(need.skeins.p90);
      expect(need.skeins.p90).toBeLessThanOrEqual(need.skeins.p95);
    }
  });

  it('is the same for the same seed and differs where chance decides', () => {
    const piece = kite();
    const area = piece.drawing.parts.find((part) => part.kind === 'area')!;
    const outcome = applyEdit(
      piece,
      setPasses(piece, new Map([[area.id, [plainPass('seed', 'stranded-cotton')]]]), 'x')!,
    );
    if (!outcome.ok) throw new Error(outcome.problem);
    expect(new Planner().plan(outcome.value, 3)).toEqual(new Planner().plan(outcome.value, 3));
    expect(new Planner().plan(outcome.value, 3)).not.toEqual(new Planner().plan(outcome.value, 4));
  });

  it('grows with slack and with what a length loses', () => {
    const piece = kite();
    const slack = (share: number): number =>
      new Planner().plan({ ...piece, worker: { ...piece.worker, slack: share } }).plan.totals.threadMm;
    expect(slack(0.1) / slack(0)).toBeCloseTo(1.1, 6);
  });
});

describe('needle loads', () => {
  it('hold all the thread that is worked, and lose at least start and end of each', () => {
    const { plan } = new Planner().plan(kite());
    const passes = plan.parts.flatMap((part) => part.passes).filter((pass) => pass.strands === 2);
    const runs = passes.flatMap((pass) => pass.threads.map((thread) => ({ ...thread, pass })));
    const worked = passes.reduce((sum, pass) => sum + pass.quantities.threadMm, 0);
    const { loads, lostMm } = countLoads(runs, { cutMm: 500, startMm: 80, travelMm: 10 });
    expect(lostMm + worked).toBeGreaterThan(loads * 500 - 200);
    expect(lostMm).toBeGreaterThan(loads * 100);
    const longer = countLoads(runs, { cutMm: 700, startMm: 80, travelMm: 10 });
    expect(longer.loads).toBeLessThan(loads);
  });

  it('are told apart by what they work, and every cut serves them once', () => {
    const { plan } = new Planner().plan(kite());
    for (const { loadList, cutList, threadMm } of plan.colours) {
      const worked = loadList.flatMap(({ works }) => works).reduce((sum, { usedMm }) => sum + usedMm, 0);
      expect(worked).toBeCloseTo(threadMm, 0);
      expect(cutList.flatMap(({ loads }) => loads).sort((a, b) => a - b)).toEqual(loadList.map((_, i) => i));
    }
  });
});
