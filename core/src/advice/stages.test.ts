import { describe, expect, it } from 'vitest';
import { seededRandom } from '../measure/index.ts';
import { afresh, everything, usual } from '../testing/everything.ts';
import { BY_COMMAND, everyKind, OTHER_HAND, TWEAKS } from '../testing/everyKind.ts';
import { demoPiece } from '../testing/pieces.ts';
import { USUAL_FACTORS } from '../work/index.ts';
import { Planner, STAGES } from './index.ts';

describe('what planning remembers', () => {
  it.each(
    [0, 1, 2, 3].flatMap((quarter) => [
      ['of a drawing with something of everything', quarter, everyKind] as const,
      ['of Kite', quarter, () => demoPiece('kite')] as const,
    ]),
  )('%s: planned again after every command it is as planned afresh (every fourth from %i)', (_, quarter, make) => {
    const base = make();
    const planner = new Planner();
    everything(usual(base), planner);
    let changed = 0;
    const commands = [...BY_COMMAND].filter((_command, i) => i % 4 === quarter);
    for (const [name, change] of commands) {
      const piece = change(base);
      if (piece === base) continue;
      expect(everything(usual(piece), planner), name).toEqual(afresh(usual(piece)));
      changed++;
    }
    expect(changed).toBeGreaterThan(6);
  });

  it.each([1, 2])('is as planned afresh after changes in any order, one upon the other (seed %i)', (seed) => {
    const changes = [...BY_COMMAND, ...TWEAKS].filter(([name]) => name !== 'remove');
    const random = seededRandom(seed);
    const planner = new Planner();
    let piece = everyKind();
    for (let i = 0; i < 14; i++) {
      const [name, change] = changes[Math.floor(random.next() * changes.length)]!;
      piece = change(piece);
      const planned = { piece, own: random.next() < 0.2 ? OTHER_HAND : USUAL_FACTORS, seed: 1 };
      expect(everything(planned, planner), `${seed} ${i} ${name}`).toEqual(afresh(planned));
    }
  });

  it('keeps nothing of parts that are gone, and nothing that is in no list', () => {
    const base = everyKind();
    const planner = new Planner();
    everything(usual(base), planner);
    const names = new Set(STAGES.map(({ name }) => name));
    expect(names.size).toBe(STAGES.length);
    expect(planner.memory.names().filter((name) => !names.has(name))).toEqual([]);
    const before = planner.memory.size;
    const half = { ...base, drawing: { ...base.drawing, parts: base.drawing.parts.slice(0, 4) } };
    everything(usual(half), planner);
    const fresh = new Planner();
    everything(usual(half), fresh);
    expect(planner.memory.size).toBeLessThan(before / 2);
    expect(planner.memory.size).toBeLessThan(1.5 * fresh.memory.size);
  });
});
