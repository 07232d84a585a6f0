import { HELPERS } from '@junctura/core/drawing';
import { beforeEach, describe, expect, it } from 'vitest';
import { useSelection } from '../../session/selection.ts';
import { button, choose, numberIn, Session, textOf, type } from '../../testing/session.ts';
import DrawingParts from './DrawingParts.vue';
import DrawingStep from './DrawingStep.vue';
import HelperPanel from './HelperPanel.vue';

let session: Session;
beforeEach(async () => {
  session = new Session();
  await session.open('demo-kite');
});
const ids = (): string[] => session.opened.piece.drawing.parts.map(({ id }) => id);

describe('the parts of a drawing', () => {
  it('stand front to back, with their size and what hides them', () => {
    const rows = session.show(DrawingParts).findAll('li').map(textOf);
    const parts = [...session.workings.current!.plan.parts].reverse();
    expect(rows).toHaveLength(parts.length);
    parts.forEach(({ part, placed }, i) => {
      expect(rows[i]).toContain(part.name);
      expect(rows[i]!.includes('partly behind')).toBe(placed.behind.length > 0);
    });
  });

  it('go before or behind the next by Alt and an arrow, and back; at the end nothing happens', async () => {
    const shown = session.show(DrawingParts);
    const before = ids();
    const front = shown.find('li button.part');
    await front.trigger('keydown', { key: 'ArrowUp', altKey: true });
    expect(ids()).toEqual(before);
    await front.trigger('keydown', { key: 'ArrowDown' });
    expect(ids()).toEqual(before);
    await front.trigger('keydown', { key: 'ArrowDown', altKey: true });
    const n = before.length;
    expect(ids()).toEqual([...before.slice(0, n - 2), before[n - 1], before[n - 2]]);
    session.opened.undo();
    expect(ids()).toEqual(before);
  });

  it('are left out, locked, removed, moved and made areas, each by one edit', async () => {
    const part = session.opened.piece.drawing.parts.at(-1)!;
    useSelection(session.pinia).pick([part.id]);
    const shown = session.show(DrawingStep);
    const before = session.opened.piece;
    for (const name of ['Leave out', 'Lock', 'Remove', 'Send back', 'Turn into an area', '←', '→', '↑', '↓']) {
      await button(shown, name).trigger('click');
      expect(session.opened.piece, name).not.toEqual(before);
      session.opened.undo();
      expect(session.opened.piece, name).toEqual(before);
      useSelection(session.pinia).pick([part.id]);
      await session.planned();
    }
    expect(session.warnings).toEqual([]);
  });
});

describe('drawing by rule', () => {
  it.each(HELPERS.map(({ id, name }) => [name, id] as const))(
    'adds what is shown, picked and undone: %s',
    async (name, id) => {
      const shown = session.show(HelperPanel);
      await choose(shown, 'Shape', id);
      const add = shown.findAll('button').at(-1)!;
      const count = numberIn(textOf(add));
      expect(shown.findAll('.preview g path')).toHaveLength(count);
      if (count === 0) {
        expect(textOf(shown)).toContain('There is no room for anything');
        return;
      }
      const before = session.opened.piece;
      await add.trigger('click');
      expect(ids()).toHaveLength(before.drawing.parts.length + count);
      expect(useSelection(session.pinia).picked).toHaveLength(count);
      expect(session.opened.undoLabel).toContain(name);
      session.opened.undo();
      expect(session.opened.piece).toEqual(before);
      expect(session.warnings).toEqual([]);
    },
  );

  it('draws where it is told to', async () => {
    const shown = session.show(HelperPanel);
    await type(shown, 'From centre, right', '12 mm');
    await type(shown, 'From centre, down', '-8 mm');
    expect(shown.find('.preview g').attributes('transform')).toBe('translate(12 -8)');
  });
});
