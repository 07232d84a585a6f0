import { colourWords } from '@junctura/core/colour';
import { metresOf, newEntry, RANGES, refOf, threadKind, type BoxEntry } from '@junctura/core/materials';
import { seededRandom } from '@junctura/core/measure';
import { beforeEach, describe, expect, it } from 'vitest';
import { computed, shallowRef } from 'vue';
import { useThreadBox } from '../../session/threadBox.ts';
import { button, choose, field, numberIn, Session, textOf, type } from '../../testing/session.ts';
import BoxBulkCard from './BoxBulkCard.vue';
import BoxEntryCard from './BoxEntryCard.vue';
import { COLUMNS, SHOWS, useBoxSearch } from './useBoxSearch.ts';
import { usePicking } from './usePicking.ts';
import WorkBasket from './WorkBasket.vue';

let session: Session;
let box: ReturnType<typeof useThreadBox>;
beforeEach(async () => {
  session = new Session();
  box = useThreadBox(session.pinia);
  await box.load();
});

/** Entries as a person has them: of all cards, some begun, some reserved. */
function someEntries(count: number, seed: number): BoxEntry[] {
  const random = seededRandom(seed);
  const pick = <T>(all: readonly T[]): T => all[Math.floor(random.next() * all.length)]!;
  return Array.from({ length: count }, (_, i) => {
    const range = pick(RANGES);
    const entry = { id: `e${i}`, shade: refOf(pick(range.shades)), thread: range.thread };
    return newEntry({
      ...entry,
      whole: Math.floor(random.next() * 4),
      partM: Math.round(random.next() * 700) / 100,
      lot: pick(['', '7B', '12A']),
      place: pick(['', 'tin', 'blue tin', 'drawer']),
      reserved: random.next() < 0.2 ? [{ piece: 'p', name: 'Owl', metres: 9 }] : [],
    });
  });
}

describe('finding in the box', () => {
  it('finds exactly what has every word somewhere, however words are written (against each entry, read as text)', () => {
    box.addEntries('Fill', someEntries(300, 4));
    const { search, found, rangeName } = useBoxSearch();
    for (const words of [
      'tin',
      'blue tin',
      '7b',
      'slate',
      'TIN  12a',
      'cotton drawer',
      'red tin',
      'nothing is called that',
    ]) {
      search.value = words;
      const wanted = box.box.entries.filter((entry) => {
        const { shade, lot, place, thread } = entry;
        const text = `${shade.name} ${shade.code} ${rangeName.value.get(shade.range)} ${lot} ${place} ${threadKind(thread).name} ${colourWords(shade.hex).join(' ')}`;
        return words
          .toLowerCase()
          .split(' ')
          .every((word) => text.toLowerCase().includes(word));
      });
      expect(new Set(found.value), words).toEqual(new Set(wanted));
    }
    search.value = '';
    expect(found.value).toHaveLength(300);
  });

  it.each(COLUMNS)('sorts by $label both ways: the same entries, turned round but for ties', ({ id }) => {
    box.addEntries('Fill', someEntries(80, 6));
    const { sort, found, isRising, sortBy } = useBoxSearch();
    if (sortBy.value !== id) sort(id);
    const up = [...found.value];
    sort(id);
    expect(isRising.value).toBe(false);
    expect(new Set(found.value)).toEqual(new Set(up));
    if (id === 'amount') {
      const metres = up.map(metresOf);
      expect(metres).toEqual([...metres].sort((a, b) => a - b));
      expect(found.value.map(metresOf)).toEqual(metres.reverse());
    }
  });

  it.each(SHOWS)('shows no more than there is: $label', ({ value }) => {
    box.addEntries('Fill', someEntries(120, 9));
    const { show, found } = useBoxSearch();
    show.value = value;
    expect(found.value.length).toBeLessThanOrEqual(120);
    if (value === 'reserved') expect(found.value.every(({ reserved }) => reserved.length > 0)).toBe(true);
    if (value !== 'all') expect(found.value.length).toBeLessThan(120);
  });
});

describe('picking in the box', () => {
  const press = (keys: Partial<MouseEvent> = {}): MouseEvent => keys as MouseEvent;

  it('is as in lists everywhere: one, one more with Ctrl, a stretch with Shift, all and none', () => {
    const entries = someEntries(10, 2);
    const picking = usePicking(computed(() => entries));
    picking.pick(entries[3]!, press());
    picking.pick(entries[6]!, press({ shiftKey: true }));
    expect([...picking.picked.value]).toEqual(['e3', 'e4', 'e5', 'e6']);
    picking.pick(entries[1]!, press({ shiftKey: true }));
    expect([...picking.picked.value]).toEqual(['e1', 'e2', 'e3']);
    picking.pick(entries[2]!, press({ ctrlKey: true }));
    expect([...picking.picked.value]).toEqual(['e1', 'e3']);
    picking.pickAll();
    expect(picking.areAllPicked.value).toBe(true);
    picking.pickAll();
    expect(picking.picked.value.size).toBe(0);
  });

  it('with Shift picks the one that is pressed where the stretch began with one that is no longer shown', () => {
    const entries = someEntries(10, 2);
    const shown = shallowRef(entries);
    const picking = usePicking(computed(() => shown.value));
    picking.pick(entries[0]!, press());
    shown.value = entries.slice(4);
    picking.pick(entries[6]!, press({ shiftKey: true }));
    expect([...picking.picked.value]).toEqual(['e6']);
  });
});

describe('one entry', () => {
  it('is put in by its shade, found by name or code', async () => {
    const shown = session.show(BoxEntryCard, { entry: null });
    const [first] = box.ranges;
    const shade = first!.shades[7]!;
    for (const word of [shade.code, shade.name.toUpperCase()]) {
      await shown.find('input[aria-label="Search the shade cards"]').setValue(word);
      expect(shown.findAll('.shades button').some((one) => textOf(one).includes(shade.name))).toBe(true);
    }
    await shown.find('.shades button').trigger('click');
    expect(box.box.entries[0]).toMatchObject({ shade: refOf(shade), whole: 1, thread: first!.thread });
    // It stays open for the next one, until one says that one is done.
    expect(shown.emitted('done')).toBeUndefined();
    await shown.find('input[aria-label="Search the shade cards"]').setValue('no such shade');
    expect(textOf(shown)).toContain('No shade on any card is called that');
    await shown
      .findAll('button')
      .find((one) => textOf(one) === 'Done')!
      .trigger('click');
    expect(shown.emitted('done')).toHaveLength(1);
  });

  it('eight threads are put in by ten actions: a word, eight presses, done; “red” finds the reds of all cards', async () => {
    const shown = session.show(BoxEntryCard, { entry: null });
    await shown.find('input[aria-label="Search the shade cards"]').setValue('red');
    const offered = shown.findAll('.shades button');
    expect(offered.length).toBeGreaterThanOrEqual(8);
    for (const one of offered.slice(0, 8)) await one.trigger('click');
    expect(box.box.entries).toHaveLength(8);
    expect(textOf(shown.find('[data-test=added]'))).toContain('8 threads added');
    for (const { shade } of box.box.entries)
      expect([shade.name.toLowerCase(), ...colourWords(shade.hex)].join(' ')).toContain('red');
    const cards = new Set(
      box.ranges.filter(({ shades }) => shades.some(({ hex }) => colourWords(hex).includes('red'))),
    );
    expect(cards.size).toBeGreaterThan(1);
  });

  it('is changed field by field, each an edit that can be undone', async () => {
    box.addEntries('Fill', someEntries(1, 3));
    const before = box.box;
    const shown = session.show(BoxEntryCard, { entry: before.entries[0]! });
    const { putUp } = threadKind(before.entries[0]!.thread);
    const fields = [
      [`Whole ${putUp}s`, '8', { whole: 8 }],
      ['Left of the opened one', '2.5', { partM: 2.5, plusMinusM: 0 }],
      ['Price of one', '1.2', { price: 1.2 }],
    ] as const;
    for (const [label, text, change] of fields) {
      const as = box.box.entries[0]!;
      await type(shown, label, text);
      expect(box.box.entries[0]).toEqual({ ...as, ...change });
      await shown.setProps({ entry: box.box.entries[0]! });
    }
    await shown.find('[role=checkbox]').trigger('click');
    expect(box.box.entries[0]!.handDyed).toBe(!before.entries[0]!.handDyed);
    for (let i = 0; i < 4; i++) box.undo();
    expect(box.box).toEqual(before);
  });

  it('is typed into as one edit, and another field is another edit', async () => {
    box.addEntries('Fill', someEntries(1, 3));
    const before = box.box;
    const shown = session.show(BoxEntryCard, { entry: before.entries[0]! });
    const [lot, place] = shown.findAll('label.field input');
    for (const text of ['d', 'dr', 'drawer']) {
      await place!.setValue(text);
      await shown.setProps({ entry: box.box.entries[0]! });
    }
    await lot!.setValue('12');
    expect(box.box.entries[0]).toMatchObject({ place: 'drawer', lot: '12' });
    box.undo();
    expect(box.box.entries[0]).toEqual({ ...before.entries[0]!, place: 'drawer' });
    box.undo();
    expect(box.box).toEqual(before);
    box.redo();
    expect(box.box.entries[0]!.place).toBe('drawer');
  });

  it('keeps what was typed apart from what is weighed right after it', async () => {
    box.addEntries('Fill', someEntries(1, 3));
    const shown = session.show(BoxEntryCard, { entry: box.box.entries[0]! });
    await type(shown, 'Left of the opened one', '2');
    await button(shown, 'Save as what is left').trigger('click');
    expect(box.box.entries[0]!.partM).not.toBe(2);
    box.undo();
    expect(box.box.entries[0]!.partM).toBe(2);
  });

  it('is weighed: twice the grams are twice the metres, the bobbin off, and a coarser scale knows less', async () => {
    box.addEntries('Fill', someEntries(1, 3));
    const shown = session.show(BoxEntryCard, { entry: box.box.entries[0]! });
    const told = async (grams: string, bobbin: string): Promise<[number, number]> => {
      await type(shown, 'Weight with bobbin', grams);
      await type(shown, 'Bobbin alone', bobbin);
      await button(shown, 'Save as what is left').trigger('click');
      return [box.box.entries[0]!.partM, box.box.entries[0]!.plusMinusM];
    };
    const [one, fine] = await told('2', '0');
    const [two] = await told('4', '0');
    const [less] = await told('4', '2');
    expect(two).toBeCloseTo(one * 2, 1);
    expect(less).toBeCloseTo(one, 1);
    await choose(shown, 'Scale reads in steps of', '1 g');
    const [, coarse] = await told('2', '0');
    expect(coarse).toBeGreaterThan(fine);
    await type(shown, 'Bobbin alone', '9');
    expect(shown.find('[role=alert]').exists()).toBe(true);
    expect(button(shown, 'Save as what is left').attributes('disabled')).toBeDefined();
  });

  it('says where a simulated scale is silent, and takes what it shows where it answers', async () => {
    box.addEntries('Fill', someEntries(1, 3));
    const shown = session.show(BoxEntryCard, { entry: box.box.entries[0]! });
    await button(shown, 'Simulated scale').trigger('click');
    await expect.poll(() => textOf(shown), { timeout: 9000 }).toContain('doesn’t answer');
    session.answers = { scale: { simulated: true, name: 'A stand-in', grams: 3.4, stepGrams: 0.1 } };
    await button(shown, 'Simulated scale').trigger('click');
    await expect.poll(() => textOf(shown)).toContain('A stand-in: 3.4 g');
    expect(numberIn((field(shown, 'Weight with bobbin').element as HTMLInputElement).value)).toBe(3.4);
    session.answers = { scale: { simulated: true, name: 'A stand-in', grams: 'much' } };
    await button(shown, 'Simulated scale').trigger('click');
    await expect.poll(() => textOf(shown)).toContain('can’t be read');
  });
});

describe('several entries', () => {
  it('take only what is filled in, all at once and undone at once', async () => {
    const entries = someEntries(5, 8);
    box.addEntries('Fill', entries);
    const shown = session.show(BoxBulkCard, { entries: box.box.entries });
    expect(numberIn(textOf(shown.find('p')))).toBeCloseTo(
      entries.reduce((sum, entry) => sum + metresOf(entry), 0),
      0,
    );
    expect(button(shown, 'Change all 5').attributes('disabled')).toBeDefined();
    await shown.findAll('input')[0]!.setValue('the green tin');
    await button(shown, 'Change all 5').trigger('click');
    expect(box.box.entries).toEqual(entries.map((entry) => ({ ...entry, place: 'the green tin' })));
    box.undo();
    expect(box.box.entries).toEqual(entries);
  });

  it('become one more of each, and one fewer, never less than none', async () => {
    const entries = someEntries(6, 12);
    box.addEntries('Fill', entries);
    const shown = session.show(BoxBulkCard, { entries: box.box.entries });
    await button(shown, 'One fewer of each').trigger('click');
    expect(box.box.entries.map(({ whole }) => whole)).toEqual(entries.map(({ whole }) => Math.max(0, whole - 1)));
    box.undo();
    await button(shown, 'One more of each').trigger('click');
    expect(box.box.entries.map(({ whole }) => whole)).toEqual(entries.map(({ whole }) => whole + 1));
  });
});

describe('the workbasket', () => {
  const KINDS = ['hoop', 'needle', 'mark', 'cloth', 'backing', 'tool'];

  it.each(KINDS.map((kind, i) => [kind, i] as const))(
    'takes one of each kind, and gives it back: %s',
    async (kind, i) => {
      const shown = session.show(WorkBasket);
      expect(textOf(shown)).toContain('Your workbasket is empty');
      await choose(shown, 'What it is', i);
      await shown.find('[data-test=put-in]').trigger('click');
      expect(box.box.basket.map((item) => item.kind)).toEqual([kind]);
      expect(shown.findAll('[data-test=basket] li')).toHaveLength(1);
      await shown.find('[data-test=basket] button').trigger('click');
      expect(box.box.basket).toEqual([]);
      box.undo();
      expect(box.box.basket).toHaveLength(1);
      expect(session.warnings).toEqual([]);
    },
  );

  it('tells sizes as they were typed', async () => {
    const shown = session.show(WorkBasket);
    await type(shown, 'Size', '4 1/2 in');
    await shown.find('[data-test=put-in]').trigger('click');
    const [hoop] = box.box.basket;
    expect(hoop!.kind === 'hoop' && hoop!.nominalMm).toBeCloseTo(114.3, 1);
  });

  it('and box are filled with examples, told as such, and emptied of them alone', async () => {
    box.addEntries('Mine', someEntries(2, 5));
    await box.layInExamples();
    const shown = session.show(WorkBasket);
    expect(shown.findAll('[data-test=basket] em').length).toBe(box.box.basket.length);
    box.takeOutExamples();
    expect(box.box.entries.map(({ id }) => id)).toEqual(['e0', 'e1']);
    expect(box.box.basket).toEqual([]);
  });
});
