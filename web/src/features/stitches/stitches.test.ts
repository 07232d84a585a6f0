import { stitchKind } from '@junctura/core/stitches';
import { formatNumber } from '@junctura/core/measure';
import { setPasses } from '@junctura/core/piece';
import { passesAsWorked, type PlannedPart, type PlannedPass } from '@junctura/core/work';
import { beforeEach, describe, expect, it } from 'vitest';
import { useSelection } from '../../session/selection.ts';
import { button, choose, field, Session, textOf, type } from '../../testing/session.ts';
import AllParts from './AllParts.vue';
import PartCard from './PartCard.vue';
import PartsList from './PartsList.vue';
import PassList from './PassList.vue';
import { inCommon, layerIndex, sharedLayers } from './sharedLayers.ts';

let session: Session;
beforeEach(async () => {
  session = new Session();
  await session.open('demo-kite');
});
const planned = (name: string): PlannedPart =>
  session.workings.current!.plan.parts.find(({ part }) => part.name === name)!;
const passesOf = (id: string): readonly PlannedPass[] => session.workings.plannedOf(id)!.passes;

/** The card of a part that is picked, shown as it is planned by and by. */
async function card(name: string, forAll = false): Promise<ReturnType<Session['show']>> {
  const { part } = planned(name);
  useSelection(session.pinia).pick([part.id]);
  return session.show(PartCard, { planned: session.workings.plannedOf(part.id)!, forAll });
}
/** Waits for the plan, and shows the card as it is planned now. */
async function settle(shown: ReturnType<Session['show']>, id: string): Promise<void> {
  await session.planned();
  await shown.setProps({ planned: session.workings.plannedOf(id)! });
}

describe('the list of parts', () => {
  it('has each part with the stitch that it is worked in, front to back', () => {
    const rows = session.show(PartsList).findAll('li').map(textOf);
    const parts = [...session.workings.current!.plan.parts].reverse();
    expect(rows).toHaveLength(parts.length);
    parts.forEach(({ part, passes }, i) => {
      expect(rows[i]).toContain(part.name);
      for (const { stitch } of passes) expect(rows[i]).toContain(stitchKind(stitch).name);
    });
  });

  it('is picked from as lists are: one, a stretch, one more or less, all', async () => {
    const shown = session.show(PartsList);
    const selection = useSelection(session.pinia);
    const rows = shown.findAll('button');
    const ids = [...session.workings.current!.plan.parts].reverse().map(({ part }) => part.id);
    await rows[2]!.trigger('click');
    expect(selection.picked).toEqual([ids[2]]);
    await rows[5]!.trigger('click', { shiftKey: true });
    expect(selection.picked).toEqual(ids.slice(2, 6));
    await rows[3]!.trigger('click', { ctrlKey: true });
    expect(selection.picked).toEqual([ids[2], ids[4], ids[5]]);
    await shown.find('ol').trigger('keydown', { key: 'a', ctrlKey: true });
    expect(selection.picked).toEqual(ids);
    expect(shown.findAll('[aria-pressed=true]')).toHaveLength(ids.length);
  });

  it('works the whole piece in another thread by one edit', async () => {
    const shown = session.show(AllParts);
    const before = session.opened.piece;
    await choose(shown, 'Thread for the whole piece', 'Pearl cotton 8');
    await session.planned();
    expect(session.workings.kinds).toHaveLength(1);
    expect(textOf(shown)).not.toContain('Of several kinds');
    session.opened.undo();
    expect(session.opened.piece).toEqual(before);
  });
});

describe('the layers of a part', () => {
  it('lie uppermost first, are opened, moved and removed by their place', async () => {
    const { part } = planned('Top right panel');
    const { passes } = session.workings.plannedOf(part.id)!;
    const two = { ...planned('Top right panel'), passes: [passes[0]!, passes[0]!] };
    const shown = session.show(PassList, { parts: [two], layers: sharedLayers([two]), open: 0, isOneKind: true });
    expect(shown.findAll('li')).toHaveLength(2);
    const [upper, lower] = shown.findAll('li');
    await upper!.find('button').trigger('click');
    await upper!.find('[aria-label="Work this layer earlier"]').trigger('click');
    await lower!.find('[aria-label="Remove this layer"]').trigger('click');
    expect(shown.emitted()).toMatchObject({ open: [[1]], move: [[1, -1]], remove: [[0]] });
    expect(upper!.find('[aria-label="Work this layer later"]').attributes('disabled')).toBeDefined();
    expect(lower!.find('[aria-label="Work this layer earlier"]').attributes('disabled')).toBeDefined();
  });
});

describe('picking by taps alone', () => {
  it('adds and lets go of parts one by one while it is switched on, and picks one at a time else', async () => {
    const shown = session.show(AllParts);
    const selection = useSelection(session.pinia);
    const names = ['Spar', 'Tail', 'Crossbar'];
    const tap = (name: string): Promise<void> =>
      shown
        .findAll('.part')
        .find((row) => textOf(row).startsWith(name))!
        .trigger('click');
    await shown.find('[data-test=picks-several] input, [data-test=picks-several]').trigger('click');
    expect(selection.picksSeveral).toBe(true);
    for (const name of names) await tap(name);
    expect(selection.picked.map((id) => session.opened.nameOf(id))).toEqual(names);
    // The list stays open for the next one.
    expect(selection.isListing).toBe(true);
    await tap('Tail');
    expect(selection.picked).toHaveLength(2);
    selection.picksSeveral = false;
    await tap('Tail');
    expect(selection.picked.map((id) => session.opened.nameOf(id))).toEqual(['Tail']);
  });
});

describe('the card of several parts', () => {
  it('shows what they have in common and sums, and says what is mixed: never the figures of one', async () => {
    const [a, b] = ['Top right panel', 'Top left panel'].map(planned) as [PlannedPart, PlannedPart];
    useSelection(session.pinia).pick([a.part.id, b.part.id]);
    const shown = session.show(PartCard, { planned: a, forAll: false });
    await choose(shown, 'Stitch', 'Satin stitch');
    await settle(shown, a.part.id);
    const now = [a, b].map(({ part }) => session.workings.plannedOf(part.id)!);
    expect(now.map(({ passes }) => passes.some(({ stitch }) => stitch === 'satin'))).toEqual([true, true]);
    const fillings = now.map(({ passes }) => passes.find(({ role }) => role === 'filling')!);
    const stitches = fillings.reduce((sum, { quantities }) => sum + quantities.stitches, 0);
    expect(textOf(shown)).toContain('2 parts');
    expect(textOf(shown)).toContain(`${formatNumber(stitches)} stitches`);
    // One of them in other strands: the field says so, and a choice there is for both.
    session.opened.edit(
      setPasses(
        session.opened.piece,
        new Map([[b.part.id, passesAsWorked(now[1]!).map((pass) => ({ ...pass, strands: 5 }))]]),
        'Use 5 strands',
      ),
    );
    await shown.vm.$nextTick();
    await settle(shown, a.part.id);
    const strands = (): HTMLSelectElement => field(shown, 'Strands').element as unknown as HTMLSelectElement;
    expect(strands().selectedOptions[0]!.text).toBe('mixed');
    await choose(shown, 'Strands', '2');
    await settle(shown, a.part.id);
    expect(
      passesOf(a.part.id)
        .concat(passesOf(b.part.id))
        .every(({ strands }) => strands === 2),
    ).toBe(true);
    expect(strands().value).toBe('2');
  });

  it('takes like parts in other colours with it, so that what both sets share is set once; each keeps its own colour', async () => {
    const [a, b] = ['Top right panel', 'Top left panel'].map(planned) as [PlannedPart, PlannedPart];
    expect(a.part.colour).not.toBe(b.part.colour);
    const selection = useSelection(session.pinia);
    selection.pick([a.part.id]);
    const shown = session.show(PartCard, { planned: a, forAll: false });
    await shown.find('[data-test="like-ones"]').trigger('click');
    expect(selection.picked).toContain(b.part.id);
    await choose(shown, 'Stitch', 'Brick stitch');
    await settle(shown, a.part.id);
    const now = [a, b].map(({ part }) => session.workings.plannedOf(part.id)!);
    expect(now.map(({ passes }) => passes.some(({ stitch }) => stitch === 'brick'))).toEqual([true, true]);
    expect(now.map(({ part }) => part.colour)).toEqual([a.part.colour, b.part.colour]);
  });

  it('says how many a choice is for, with the groups of all that are picked, and can be for those alone', async () => {
    const [bow, spar] = ['Bow 1 left', 'Spar'].map(planned) as [PlannedPart, PlannedPart];
    useSelection(session.pinia).pick([bow.part.id, spar.part.id]);
    const group = session.workings.current!.plan.parts.filter(({ part }) => part.group === bow.part.group);
    const shown = session.show(PartCard, { planned: bow, forAll: true });
    expect(textOf(shown.find('[data-test="for-all"]'))).toBe(`All ${group.length + 1} in the group`);
    await shown.setProps({ forAll: false });
    expect(textOf(shown.find('[data-test="for-all"]'))).toBe(`Only these 2 of ${group.length + 1} in their groups`);
  });

  it('share the layers that all have, told by role and which of it', () => {
    const layer = (role: string, strands = 2): PlannedPass => ({ role, strands }) as PlannedPass;
    const parts = [
      { passes: [layer('padding'), layer('padding', 1), layer('filling')] },
      { passes: [layer('padding', 3), layer('edge'), layer('filling', 1)] },
    ];
    const shared = sharedLayers(parts);
    expect(shared.map(({ role, nth }) => [role, nth])).toEqual([
      ['padding', 0],
      ['filling', 0],
    ]);
    expect(shared.map(({ passes }) => inCommon(passes.map(({ strands }) => strands)))).toEqual([null, null]);
    expect(layerIndex(parts[0]!.passes, 'padding', 1)).toBe(1);
    expect(layerIndex(parts[1]!.passes, 'padding', 1)).toBe(-1);
  });
});

describe('the card of a part', () => {
  it('changes stitch, thread and strands: each an edit of its own, undone one by one', async () => {
    const { part } = planned('Top right panel');
    const before = session.opened.piece;
    const shown = await card('Top right panel');
    await choose(shown, 'Stitch', 'Satin stitch');
    await settle(shown, part.id);
    expect(passesOf(part.id).map(({ stitch }) => stitch)).toContain('satin');
    await choose(shown, 'Strands', '1');
    await settle(shown, part.id);
    expect(session.workings.plannedOf(part.id)!.passes.some(({ strands }) => strands === 1)).toBe(true);
    session.opened.undo();
    session.opened.undo();
    expect(session.opened.piece).toEqual(before);
    expect(session.warnings).toEqual([]);
  });

  it('takes more thread with closer rows, by about as much', async () => {
    const { part } = planned('Top right panel');
    const shown = await card('Top right panel');
    await choose(shown, 'Stitch', 'Satin stitch');
    await settle(shown, part.id);
    const thread = (): number => session.workings.plannedOf(part.id)!.passes.at(-1)!.quantities.threadMm;
    const label = 'Spacing';
    const spacing = Number((field(shown, label).element as HTMLInputElement).value);
    const before = thread();
    await type(shown, label, (spacing * 1.5).toFixed(2));
    await settle(shown, part.id);
    expect(before / thread()).toBeGreaterThan(1.3);
    expect(before / thread()).toBeLessThan(1.7);
  });

  it('turns the stitches to an angle, whatever turn it is given as', async () => {
    const { part } = planned('Top right panel');
    const shown = await card('Top right panel');
    await choose(shown, 'Stitch', 'Satin stitch');
    await settle(shown, part.id);
    await choose(shown, 'Stitches run', 'straight, at an angle');
    await settle(shown, part.id);
    for (const [typed, angle] of [
      ['30', 30],
      ['-45', 135],
      ['200', 20],
    ] as const) {
      await type(shown, 'Angle', typed);
      await settle(shown, part.id);
      expect(session.workings.plannedOf(part.id)!.passes.at(-1)!.angleDeg).toBeCloseTo(angle, 6);
    }
  });

  it('works several shades by one press for each more, undone by one; a shade less than two is none', async () => {
    const { part } = planned('Top right panel');
    const shown = await card('Top right panel');
    await choose(shown, 'Stitch', 'Long-and-short stitch');
    await settle(shown, part.id);
    const before = session.opened.piece;
    await shown.find('[data-test=add-shade]').trigger('click');
    await settle(shown, part.id);
    expect(session.workings.plannedOf(part.id)!.passes.at(-1)!.shades).toHaveLength(2);
    session.opened.undo();
    expect(session.opened.piece).toEqual(before);
    session.opened.redo();
    await settle(shown, part.id);
    await button(shown, 'Remove shade 2').trigger('click');
    await settle(shown, part.id);
    expect(session.workings.plannedOf(part.id)!.passes.at(-1)!.shades).toEqual([]);
  });

  it('gives each shade and the first row strands of their own, and lets the needles take turns', async () => {
    const { part } = planned('Top right panel');
    const shown = await card('Top right panel');
    await choose(shown, 'Stitch', 'Long-and-short stitch');
    await settle(shown, part.id);
    await shown.find('[data-test=add-shade]').trigger('click');
    await settle(shown, part.id);
    await choose(shown, 'Strands, shade 2', '3');
    await settle(shown, part.id);
    await choose(shown, 'Strands in the first row', '1');
    await settle(shown, part.id);
    const now = (): PlannedPart['passes'][number] => session.workings.plannedOf(part.id)!.passes.at(-1)!;
    expect(now().threads.map(({ own }) => own?.strands ?? now().strands)).toEqual([1, now().strands, 3]);
    await shown.find('[data-test=in-turn] input, [data-test=in-turn]').trigger('click');
    await settle(shown, part.id);
    expect(now().inTurn).toBe(true);
    await button(shown, 'Remove shade 2').trigger('click');
    await settle(shown, part.id);
    expect(now()).toMatchObject({ shades: [], shadeStrands: [], inTurn: false, firstRowStrands: 1 });
  });

  it('keeps what was set when the stitch is changed, and says what was dropped', async () => {
    const { part } = planned('Top right panel');
    const shown = await card('Top right panel');
    await expect.poll(() => shown.findAll('.offer').length, { timeout: 20_000 }).toBeGreaterThan(1);
    await choose(shown, 'Stitch', 'Satin stitch');
    await settle(shown, part.id);
    await type(shown, 'Spacing', '0.8');
    await settle(shown, part.id);
    await choose(shown, 'Stitch', 'Romanian stitch');
    await settle(shown, part.id);
    expect(session.workings.plannedOf(part.id)!.passes.at(-1)!.params).toMatchObject({ spacingMm: 0.8 });
    expect(session.opened.undoLabel).toMatch(/“Spacing”.* kept/);
    await choose(shown, 'Stitch', 'French knot filling');
    await settle(shown, part.id);
    expect(session.opened.undoLabel).toMatch(/“Spacing”.* dropped/);
  });

  it('has a second line beside a line', async () => {
    const line = session.opened.piece.drawing.parts.find(({ kind }) => kind === 'line')!;
    const shown = await card(line.name);
    await shown.findComponent(PassList).vm.$emit('add', 'beside');
    await settle(shown, line.id);
    const [first, second] = session.workings.plannedOf(line.id)!.passes;
    expect(second!.role).toBe('beside');
    expect(Math.abs(second!.quantities.frontMm / first!.quantities.frontMm)).toBeGreaterThan(0.2);
    await type(shown, 'Distance from the line', '-3');
    await settle(shown, line.id);
    expect(session.workings.plannedOf(line.id)!.passes[1]!.insetMm).toBe(-3);
  });

  it('is for all that are alike, or for one alone, which then differs', async () => {
    const like = session.opened.piece.drawing.parts.filter(({ group }) => group !== null);
    const { name, id, group } = like[0]!;
    const members = like.filter((part) => part.group === group).map((part) => part.id);
    expect(members.length).toBeGreaterThan(1);
    const shown = await card(name, true);
    const other = [...(field(shown, 'Strands').element as unknown as HTMLSelectElement).options].map(
      ({ value }) => value,
    );
    const now = (field(shown, 'Strands').element as HTMLInputElement).value;
    await choose(
      shown,
      'Strands',
      other.find((strands) => strands !== now)!,
    );
    await settle(shown, id);
    const strandsOf = (part: string): number[] =>
      session.workings.plannedOf(part)!.passes.map(({ strands }) => strands);
    for (const member of members) expect(strandsOf(member)).toEqual(strandsOf(id));
    await shown.find('[data-test=differs]').trigger('click');
    expect(session.opened.partOf(id)!.differs).toBe(true);
    session.opened.undo();
    expect(session.opened.partOf(id)!.differs).toBe(false);
  });

  it('gives the part another colour, and back', async () => {
    const { part } = planned('Top right panel');
    const shown = await card('Top right panel');
    const other = session.opened.piece.palette.find(({ id }) => id !== part.colour)!;
    await choose(shown, 'Colour', other.id);
    expect(session.opened.partOf(part.id)!.colour).toBe(other.id);
    session.opened.undo();
    expect(session.opened.partOf(part.id)!.colour).toBe(part.colour);
  });

  it('offers ways to work it, one of them as it is; another is taken for it and undone', async () => {
    const { part } = planned('Top right panel');
    const shown = await card('Top right panel');
    const before = session.opened.piece;
    await expect.poll(() => shown.findAll('.offer').length, { timeout: 20_000 }).toBeGreaterThan(1);
    expect(shown.findAll('.offer[aria-pressed=true]').length).toBeLessThanOrEqual(1);
    await shown.find('.offer[aria-pressed=false]').trigger('click');
    await expect.poll(() => session.opened.piece === before, { timeout: 20_000 }).toBe(false);
    await settle(shown, part.id);
    session.opened.undo();
    expect(session.opened.piece).toEqual(before);
  });
});
