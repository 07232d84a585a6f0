import { judgePairs } from '@junctura/core/advice';
import { deltaE, labOf } from '@junctura/core/colour';
import { newColour, setShade, workInShade } from '@junctura/core/piece';
import { usesColour } from '@junctura/core/work';
import { beforeEach, describe, expect, it } from 'vitest';
import { nextTick } from 'vue';
import { useSelection } from '../../session/selection.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import { button, numberIn, Session, textOf, type } from '../../testing/session.ts';
import ColoursStep from './ColoursStep.vue';
import LotByParts from './LotByParts.vue';
import ShadeLadder from './ShadeLadder.vue';
import ShadePicker from './ShadePicker.vue';
import ToldApart from './ToldApart.vue';

let session: Session;
beforeEach(async () => {
  session = new Session();
  await session.open('demo-kite');
});

describe('the colours of a piece', () => {
  it('are told with what they colour; opened, they pick their parts, and closed they let go', async () => {
    const shown = session.show(ColoursStep);
    const selection = useSelection(session.pinia);
    const rows = shown.findAll('.colour');
    expect(rows).toHaveLength(session.opened.piece.palette.length);
    for (const [i, { id }] of session.opened.piece.palette.entries()) {
      const parts = session.workings.current!.plan.parts.filter((planned) => usesColour(planned, id));
      expect(textOf(rows[i])).toContain(`${parts.length} part`);
      await rows[i]!.trigger('click');
      expect(new Set(selection.picked)).toEqual(new Set(parts.map(({ part }) => part.id)));
      expect(selection.colourPicked).toBe(id);
    }
    await rows.at(-1)!.trigger('click');
    expect(selection.picked).toEqual([]);
    expect(session.warnings).toEqual([]);
  });

  it('say how far a shade lies from what was drawn, and go back', async () => {
    const [colour] = session.opened.piece.palette;
    const far = { ...colour!.shade!, hex: '#2fbf2f', code: 'own-1', name: 'Loud green' };
    session.opened.edit(setShade(session.opened.piece, colour!.id, far));
    const shown = session.show(ColoursStep);
    expect(textOf(shown.find('.colour'))).toContain('Compared with the drawing');
    session.opened.undo();
    await expect.poll(() => textOf(shown.find('.colour'))).not.toContain('Loud green');
  });

  it('take the nearest shades where none is chosen, all by one edit', async () => {
    for (const { id } of session.opened.piece.palette) session.opened.edit(setShade(session.opened.piece, id, null));
    const before = session.opened.piece;
    const shown = session.show(ColoursStep);
    await button(shown, /^Use the nearest shade/).trigger('click');
    for (const { hex, shade } of session.opened.piece.palette) {
      expect(shade).not.toBeNull();
      // No shade of its own card is nearer.
      const { ranges } = useThreadBox(session.pinia);
      const card = ranges.find(({ id }) => id === shade!.range)!;
      const nearest = Math.min(...card.shades.map(({ lab }) => deltaE(labOf(hex), lab)));
      expect(deltaE(labOf(hex), labOf(shade!.hex))).toBeCloseTo(nearest, 6);
    }
    session.opened.undo();
    expect(session.opened.piece).toEqual(before);
  });

  it('that come to one shade are one row, and it is said; kept apart they have two', async () => {
    const [one, two] = session.opened.piece.palette;
    const shown = session.show(ColoursStep);
    await shown.findAll('.colour')[1]!.trigger('click');
    shown.findComponent(ShadePicker).vm.$emit('choose', one!.shade!, null);
    await session.planned();
    expect(session.opened.piece.palette.map(({ id }) => id)).not.toContain(two!.id);
    expect(textOf(shown.find('[data-test="joined"]'))).toContain(one!.shade!.name);
    await button(shown, 'Keep them apart').trigger('click');
    await session.planned();
    expect(session.opened.piece.palette.map(({ id }) => id)).toContain(two!.id);
    const shades = session.opened.piece.palette.map(({ shade }) => shade?.code);
    expect(new Set(shades).size).toBe(shades.length);
    expect(shown.find('[data-test="joined"]').exists()).toBe(false);
  });

  it('words of theirs are typed as one edit', async () => {
    const shown = session.show(ColoursStep);
    await shown.find('.colour').trigger('click');
    const before = session.opened.piece;
    for (const text of ['s', 'sa', 'sail']) await shown.find('.opened input').setValue(text);
    expect(session.opened.piece.palette[0]!.role).toBe('sail');
    session.opened.undo();
    expect(session.opened.piece).toEqual(before);
  });
});

describe('some parts from another lot', () => {
  const colour = newColour({ id: 'c', hex: '#335577', lot: '7B' });
  const parts = ['a', 'b', 'c'].map((id) => ({ id, name: `Part ${id}` }));

  it('needs parts, a lot that is another, and one part that stays', async () => {
    const shown = session.show(LotByParts, { colour, parts });
    await button(shown, 'Use another dye lot for some parts').trigger('click');
    const take = (): string | undefined => button(shown, /^Use this dye lot/).attributes('disabled');
    expect(take()).toBeDefined();
    const boxes = shown.findAll('[role=checkbox]');
    await boxes[0]!.trigger('click');
    const lot = shown.find('input[aria-label="The other dye lot"]');
    await lot.setValue(' 7B ');
    expect(textOf(shown.find('[role=alert]'))).toBe('That is the dye lot it has now.');
    await lot.setValue('9A');
    expect(shown.find('[role=alert]').exists()).toBe(false);
    expect(take()).toBeUndefined();
    await boxes[1]!.trigger('click');
    await boxes[2]!.trigger('click');
    expect(textOf(shown.find('[role=alert]'))).toContain('Leave a part in this dye lot');
    await boxes[2]!.trigger('click');
    expect(textOf(button(shown, /^Use this dye lot/))).toBe('Use this dye lot for 2 parts');
  });

  it('makes a row of its own for them, which can be undone', async () => {
    const [own] = session.opened.piece.palette;
    const uses = session.opened.piece.drawing.parts.filter((part) => part.colour === own!.id);
    const shown = session.show(LotByParts, { colour: own!, parts: uses });
    const before = session.opened.piece;
    await button(shown, 'Use another dye lot for some parts').trigger('click');
    await shown.find('[role=checkbox]').trigger('click');
    await shown.find('input[aria-label="The other dye lot"]').setValue('9A');
    await button(shown, 'Use this dye lot for 1 part').trigger('click');
    const added = session.opened.piece.palette.find(({ lot }) => lot === '9A')!;
    expect(session.opened.partOf(uses[0]!.id)!.colour).toBe(added.id);
    expect(added.shade).toEqual(own!.shade);
    session.opened.undo();
    expect(session.opened.piece).toEqual(before);
  });
});

describe('a ladder of shades', () => {
  it.each([2, 3, 5, 8])('goes from dark to light in %i steps through the shade it was asked for', async (count) => {
    const [colour] = session.opened.piece.palette;
    const shown = session.show(ShadeLadder, { colourId: colour!.id, shade: colour!.shade! });
    await type(shown, 'Shades, dark to light', String(count));
    const rungs = shown.findAll('ol li');
    const hexes = rungs.map((rung) => {
      const [r, g, b] = (rung.find('.rung').element as HTMLElement).style.background.match(/\d+/g) ?? [];
      const { background } = (rung.find('.rung').element as HTMLElement).style;
      return background.startsWith('#')
        ? background
        : `#${[r, g, b].map((v) => Number(v).toString(16).padStart(2, '0')).join('')}`;
    });
    const light = hexes.map((hex) => labOf(hex).l);
    expect(light).toEqual([...light].sort((a, b) => a - b));
    expect(hexes).toContain(colour!.shade!.hex.toLowerCase());
    if (rungs.length < count) expect(textOf(shown)).toContain(`There are only ${rungs.length}`);
    else expect(rungs).toHaveLength(count);
    for (const [i, rung] of rungs.entries()) {
      if (i === 0) continue;
      expect(numberIn(/difference (\d+)/.exec(textOf(rung))![1]!)).toBe(
        Math.round(deltaE(labOf(hexes[i - 1]!), labOf(hexes[i]!))),
      );
    }
  });

  it('from what is owned alone has no other shades than those', async () => {
    const [colour] = session.opened.piece.palette;
    const shown = session.show(ShadeLadder, { colourId: colour!.id, shade: colour!.shade! });
    await shown.find('[role=checkbox]').trigger('click');
    expect(shown.findAll('ol li')).toHaveLength(1);
    expect(textOf(shown)).toContain('There is only one shade');
  });
});

describe('colours that touch', () => {
  it('are told with what they are short of, all of them when asked; their distance is what it is by day', async () => {
    const pairs = judgePairs(session.workings.piece, session.workings.current!.plan);
    const short = pairs.filter((pair) => pair.short.length > 0);
    const shown = session.show(ToldApart);
    expect(shown.findAll('li')).toHaveLength(short.length);
    if (pairs.length > short.length) await button(shown, /^Show (the pair|all \d+ pairs)$/).trigger('click');
    expect(shown.findAll('.both').map((row) => numberIn(/difference (\d+)/.exec(textOf(row))![1]!))).toEqual(
      pairs.map((pair) => Math.round(pair.separation.daylight)),
    );
  });

  it('that are one colour are mended by one shade, after which the pair is no more short', async () => {
    const [one, two] = session.opened.piece.palette;
    session.opened.edit(setShade(session.opened.piece, two!.id, one!.shade));
    await session.planned();
    const before = judgePairs(session.workings.piece, session.workings.current!.plan);
    expect(before.some((pair) => pair.short.includes('colour'))).toBe(true);
    const shown = session.show(ToldApart);
    const row = shown.findAll('.both').find((pair) => textOf(pair).includes('one colour'))!;
    await row.trigger('click');
    const piece = session.opened.piece;
    await button(shown, /one shade|Mend|Tell/i).trigger('click');
    await expect.poll(() => session.opened.piece === piece, { timeout: 20_000 }).toBe(false);
    await session.planned();
    const after = judgePairs(session.workings.piece, session.workings.current!.plan);
    expect(after.filter((pair) => pair.short.includes('colour')).length).toBeLessThan(
      before.filter((pair) => pair.short.includes('colour')).length,
    );
  });
});

describe('a pair that is unfolded', () => {
  it('is shown through an undo that takes one of its colours away, while the plan is still that of before', async () => {
    const { piece } = session.opened;
    const [one, two] = piece.palette;
    const gone = { ...one!.shade!, code: 'own-2', name: 'Gone shade', hex: '#dddddd' };
    const touched = judgePairs(piece, session.workings.current!.plan)[0]!.where[0]![0];
    session.opened.edit(workInShade(piece, [touched], gone));
    await session.planned();
    const shown = session.show(ToldApart);
    const pairs = judgePairs(session.workings.piece, session.workings.current!.plan);
    const added = session.opened.piece.palette.find(({ shade }) => shade?.name === 'Gone shade')!;
    if (pairs.some(({ short }) => short.length === 0))
      await button(shown, /^Show (the pair|all \d+ pairs)$/).trigger('click');
    const row = pairs.findIndex(({ a, b }) => [a, b].includes(added.id));
    await shown.findAll('.both')[row]!.trigger('click');
    expect(textOf(shown.find('.detail'))).toContain('Gone shade');
    session.opened.undo();
    await nextTick();
    expect(textOf(shown.find('.detail'))).toContain('Gone shade');
    await session.planned();
    await expect.poll(() => shown.find('.detail').exists()).toBe(false);
    expect(session.opened.piece.palette).toEqual([one, two]);
    expect(session.warnings).toEqual([]);
  });
});
