import { USUAL_FACTORS } from '../work/index.ts';
import { countLoads } from '../thread/index.ts';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { inHoop, Planner, tryHoop, type Workings } from './index.ts';
import { withSatin } from '../testing/paths.ts';
import type { MoveSink } from '../stitches/index.ts';
import { seededRandom } from '../measure/index.ts';
import {
  applyEdit,
  plainHoop,
  plainPass,
  readPiece,
  setPasses,
  setUse,
  type Edit,
  type Hoop,
  type Piece,
} from '../piece/index.ts';

function kite(): Piece {
  const read = readPiece(readFileSync(new URL('../piece/fixtures/version-1.junctura.json', import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.problem);
  return read.value;
}

describe('planning', () => {
  it('again after any edits gives what planning afresh gives, and works again only what changed', () => {
    const planner = new Planner();
    let piece = kite();
    let before = planner.plan(piece, USUAL_FACTORS).plan;
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
      const again = planner.plan(piece, USUAL_FACTORS);
      expect(again).toEqual(new Planner().plan(piece, USUAL_FACTORS));
      const worked = again.plan.parts.filter(({ passes }, i) => passes[0] !== before.parts[i]!.passes[0]);
      if (seed % 10 !== 0) expect(worked.map((entry) => entry.part.id)).toEqual([part.id]);
      before = again.plan;
    }
  });

  it('is heard before its order is searched for: the same parts and threads, in an order that keeps every rule', () => {
    const planner = new Planner();
    const heard: Workings[] = [];
    const first = (workings: Workings): void => void heard.push(workings);
    const whole = planner.plan(kite(), USUAL_FACTORS, { first });
    const edit = setPasses(kite(), new Map([['panel-top-left', [plainPass('satin', 'stranded-cotton', 3)]]]), 'x');
    const outcome = applyEdit(kite(), edit!);
    const changed = outcome.ok ? outcome.value : kite();
    expect(changed).not.toEqual(kite());
    const again = planner.plan(changed, USUAL_FACTORS, { first });
    expect(heard).toHaveLength(2);
    for (const [i, { plan }] of [whole, again].entries()) {
      const early = heard[i]!.plan;
      early.parts.forEach(({ passes }, k) => expect(passes).toBe(plan.parts[k]!.passes));
      expect(early.order.map(({ key }) => key).sort()).toEqual(plan.order.map(({ key }) => key).sort());
      expect(early.rules.rules.length).toBe(plan.rules.rules.length);
      for (const { before, after } of early.rules.rules) expect(before).toBeLessThan(after);
      expect(early.totals.stitches).toBe(plan.totals.stitches);
    }
    expect(again).toEqual(new Planner().plan(changed, USUAL_FACTORS));
    // What changes no step needs no search.
    planner.plan({ ...changed, drawing: { ...changed.drawing } }, USUAL_FACTORS, { first });
    expect(heard).toHaveLength(2);
  });

  it.each([
    [
      'fails',
      (): never => {
        throw new Error('no middle line.');
      },
      /no middle line/,
    ],
    [
      'never ends',
      (_shape: unknown, _params: unknown, _context: unknown, to: MoveSink): void => {
        for (;;) to.up(0, 0);
      },
      /millions of stitches/,
    ],
  ] as const)('leaves a part out whose stitch %s, says so, and shows all others', (_, path, why) => {
    const whole = new Planner().plan(kite(), USUAL_FACTORS);
    const bad = whole.plan.parts.findIndex(({ passes }) => passes[0]?.stitch === 'satin');
    const others = whole.plan.parts.filter(({ passes }) => passes.every(({ stitch }) => stitch !== 'satin'));
    const planner = new Planner();
    const { plan, findings } = withSatin(path, () => planner.plan(kite(), USUAL_FACTORS));
    const { part, passes, fault } = plan.parts[bad]!;
    expect(passes).toEqual([]);
    expect(fault).toMatch(why);
    expect(findings.find(({ id, part: on }) => id === 'not-worked' && on === part.id)).toBeDefined();
    for (const other of others) expect(plan.parts.find((one) => one.part.id === other.part.id)).toEqual(other);
    expect(planner.plan(kite(), USUAL_FACTORS).plan.parts[bad]).toEqual(whole.plan.parts[bad]);
  });

  it('in another hoop, tried in whatever order, is what it is when that hoop is taken', () => {
    const piece = kite();
    const planner = new Planner();
    const sizes: Hoop[] = [
      plainHoop(230, 12),
      plainHoop(100, 12),
      { ...plainHoop(200, 12), shortMm: 130 },
      plainHoop(300, 5),
      plainHoop(125, 12),
    ];
    for (const hoop of sizes) {
      const { trial } = tryHoop(piece, hoop, planner, USUAL_FACTORS);
      const { plan, findings } = new Planner().plan(inHoop(piece, hoop), USUAL_FACTORS);
      const { stitches, threadMm, skeins90, hours } = plan.totals;
      expect(trial).toMatchObject({ stitches, threadM: threadMm / 1000, skeins: skeins90, hours });
      const about = (id: string): (string | null)[] => [
        ...new Set(findings.filter((finding) => finding.id === id).map(({ part }) => part)),
      ];
      expect(trial.tooLong).toEqual(about('span-too-long'));
      expect(trial.tooSmall).toEqual(about('part-too-small'));
      expect(trial.merging).toBe(findings.filter(({ id }) => id === 'line-too-close').length);
    }
  });

  it('again after the design was moved, turned or made larger gives what planning afresh gives', () => {
    const random = seededRandom(4);
    const planner = new Planner();
    let piece = kite();
    for (let i = 0; i < 8; i++) {
      const { placement } = piece;
      const scale = placement.scale * random.between(0.8, 1.3);
      const turnDeg = Math.round(random.between(-180, 180));
      piece = { ...piece, placement: { ...placement, scale, turnDeg, xMm: placement.xMm + random.between(-5, 5) } };
      expect(planner.plan(piece, USUAL_FACTORS)).toEqual(new Planner().plan(piece, USUAL_FACTORS));
    }
  });

  it('adds up: colours hold the thread of their parts, and of nothing else', () => {
    const { plan } = new Planner().plan(kite(), USUAL_FACTORS);
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
    expect(new Planner().plan(outcome.value, USUAL_FACTORS, { seed: 3 })).toEqual(
      new Planner().plan(outcome.value, USUAL_FACTORS, { seed: 3 }),
    );
    expect(new Planner().plan(outcome.value, USUAL_FACTORS, { seed: 3 })).not.toEqual(
      new Planner().plan(outcome.value, USUAL_FACTORS, { seed: 4 }),
    );
  });

  it('grows with slack and with what a length loses', () => {
    const piece = kite();
    const slack = (share: number): number =>
      new Planner().plan({ ...piece, worker: { ...piece.worker, slack: share } }, USUAL_FACTORS).plan.totals.threadMm;
    expect(slack(0.1) / slack(0)).toBeCloseTo(1.1, 6);
  });
});

describe('needle loads', () => {
  it('hold all the thread that is worked, and lose at least start and end of each', () => {
    const { plan } = new Planner().plan(kite(), USUAL_FACTORS);
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
    const { plan } = new Planner().plan(kite(), USUAL_FACTORS);
    for (const { loadList, cutList, threadMm } of plan.colours) {
      const worked = loadList.flatMap(({ works }) => works).reduce((sum, { usedMm }) => sum + usedMm, 0);
      expect(worked).toBeCloseTo(threadMm, 0);
      expect(cutList.flatMap(({ loads }) => loads).sort((a, b) => a - b)).toEqual(loadList.map((_, i) => i));
    }
  });
});
