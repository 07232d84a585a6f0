import { plainPass } from '@junctura/core/piece';
import { STITCHES, stitchKind } from '@junctura/core/stitches';
import { practiceTargets } from '@junctura/core/paper';
import { beforeEach, describe, expect, it } from 'vitest';
import { useSelection } from '../../session/selection.ts';
import { useSettings } from '../../session/settings.ts';
import { button, choose, numberIn, Session, textOf } from '../../testing/session.ts';
import BookPage from './BookPage.vue';
import { compareOn, SHIPPED_SHAPES } from './compare.ts';
import ComparePage from './ComparePage.vue';
import KnotsPage from './KnotsPage.vue';
import PracticePage from './PracticePage.vue';

let session: Session;
beforeEach(() => void (session = new Session()));

describe('the stitch book', () => {
  it('finds every stitch by each of its names, however written', async () => {
    const shown = session.show(BookPage, { id: 'chain' });
    const search = shown.find('input[aria-label="Search the stitches"]');
    const found = (): string[] => shown.findAll('nav li a').map(textOf);
    expect(new Set(found())).toEqual(new Set(STITCHES.map(({ name }) => name)));
    for (const { name, otherNames } of STITCHES.filter((_, i) => i % 6 === 0)) {
      for (const called of [name, ...otherNames]) {
        await search.setValue(` ${called.toUpperCase().replaceAll('-', ' ')}`);
        expect(found(), called).toContain(name);
      }
    }
    await search.setValue('there is no such stitch');
    expect(textOf(shown)).toContain('No stitch has that name');
  });

  it('finds by words in any order: what it is called and what it is for', async () => {
    const shown = session.show(BookPage, { id: 'chain' });
    const search = shown.find('input[aria-label="Search the stitches"]');
    await search.setValue('leaf satin');
    expect(shown.findAll('nav li a').map(textOf)).toContain('Satin leaf');
  });

  it.each(['chain', 'satin', 'bullion', 'pekingese'])(
    'shows a stitch in as many strands as its thread gives: %s',
    async (id) => {
      const shown = session.show(BookPage, { id });
      expect(textOf(shown.find('h2.title'))).toBe(stitchKind(id as 'chain').name);
      const widths = shown.findAll('.strands li').map((row) => numberIn(/, ([\d.]+) mm wide/.exec(textOf(row))![1]!));
      expect(widths).toEqual([...widths].sort((a, b) => a - b));
      expect(widths.length).toBe(6);
      expect(textOf(shown)).not.toMatch(/\bNaN\b|undefined|\bnull\b/);
      await choose(shown, 'Thread', 'Pearl cotton 8');
      expect(shown.findAll('.strands li')).toHaveLength(1);
      expect(session.warnings).toEqual([]);
    },
  );

  it('takes more thread and time in more strands no less', async () => {
    const shown = session.show(BookPage, { id: 'stem' });
    const told: string[] = [];
    for (const strands of ['1', '3', '6']) {
      await choose(shown, 'Strands', strands);
      told.push(textOf(shown.find('dl dd')));
    }
    expect(told.every((text) => /\d/.test(text))).toBe(true);
    expect(shown.findAll('.faults dt').length).toBe(stitchKind('stem').faults.length);
  });
});

describe('knots side by side', () => {
  it('are larger with each strand and with each wrap', () => {
    const rows = session.show(KnotsPage).findAll('tbody tr');
    const sizes = rows.map((row) => row.findAll('.cell > .figure').map((size) => numberIn(textOf(size))));
    expect(sizes).toHaveLength(6);
    for (const [i, row] of sizes.entries()) {
      expect(row).toHaveLength(4);
      expect(row[0]!).toBeLessThan(row[1]!);
      expect(row[1]!).toBeLessThan(row[2]!);
      if (i > 0) row.forEach((size, k) => expect(size).toBeGreaterThan(sizes[i - 1]![k]!));
    }
  });
});

describe('fillings compared', () => {
  it('are the figures of the shape as it is worked, whose front and back are in the thread', () => {
    const shown = session.show(ComparePage);
    const cards = shown.findAll('[data-test=compared]');
    expect(cards).toHaveLength(6);
    const rows = shown.findAll('[data-test=overview] tbody tr');
    for (const [i, card] of cards.entries()) {
      const stitch = (card.find('select').element as HTMLSelectElement).value as 'satin';
      const { pass } = compareOn(
        SHIPPED_SHAPES[0]!.placed,
        { ...plainPass(stitch, 'stranded-cotton', 2), angleDeg: 60 },
        useSettings(session.pinia).factors,
        'metric',
      );
      const { frontMm, backMm, threadMm, stitches } = pass.quantities;
      expect(frontMm + backMm).toBeLessThanOrEqual(threadMm);
      expect(numberIn(textOf(rows[i]!.findAll('td')[1]))).toBe(stitches);
      expect(card.findAll('[data-test=why] p').length).toBeGreaterThan(1);
    }
  });

  it('are left out and added, up to six; each is another', async () => {
    const shown = session.show(ComparePage);
    const stitches = (): string[] =>
      shown.findAll('[data-test=compared]').map((card) => (card.find('select').element as HTMLSelectElement).value);
    const all = stitches();
    await button(shown, `Remove ${stitchKind(all[1] as 'satin').inSentence}`).trigger('click');
    expect(stitches()).toEqual(all.filter((_, i) => i !== 1));
    await button(shown, 'Add a filling').trigger('click');
    expect(new Set(stitches()).size).toBe(6);
    expect(shown.findAll('.add')).toHaveLength(0);
  });

  it('on a part of one’s own begin with how it is worked, and the part is worked so by one edit', async () => {
    await session.open('demo-kite');
    const part = session.opened.piece.drawing.parts.find(({ name }) => name === 'Top right panel')!;
    useSelection(session.pinia).pick([part.id]);
    const now = session.workings.plannedOf(part.id)!.passes.find(({ role }) => role === 'filling')!;
    const shown = session.show(ComparePage);
    expect((shown.find('[data-test=compared] select').element as HTMLSelectElement).value).toBe(now.stitch);
    // The first row is the part as it is: the same figures as its own, in the needle and by the strand.
    const [first] = shown.findAll('[data-test=overview] tbody tr');
    expect(textOf(first)).toContain('as it is now');
    expect(numberIn(textOf(first!.findAll('td')[1]))).toBe(now.quantities.stitches);
    const metres = (k: number): number => {
      const [, value, unit] = /([\d.]+) (cm|m)/.exec(textOf(first!.findAll('td')[k]))!;
      return Number(value) / (unit === 'm' ? 1 : 100);
    };
    expect(metres(3) / metres(2)).toBeCloseTo(now.strands, 0);
    const before = session.opened.piece;
    const second = shown.findAll('[data-test=compared]')[1]!;
    const stitch = (second.find('select').element as HTMLSelectElement).value;
    await second.find('[data-test=work-it-so]').trigger('click');
    await session.planned();
    expect(session.workings.plannedOf(part.id)!.passes.some((pass) => pass.stitch === stitch)).toBe(true);
    await expect.poll(() => session.router.currentRoute.value.fullPath).toBe('/piece/demo-kite/stitches');
    session.opened.undo();
    expect(session.opened.piece).toEqual(before);
  });
});

describe('one’s own hand', () => {
  it('is reckoned with once it is measured, and the usual hand is taken again', async () => {
    await session.open('demo-kite');
    const usual = session.workings.current!.plan.totals.stitches;
    const shown = session.show(PracticePage);
    const targets = practiceTargets();
    const [count, width] = shown.findAll('form input');
    await width!.setValue((targets.satinMm * 1.2).toFixed(1));
    await width!.trigger('blur');
    expect(textOf(shown.find('[role=status]'))).toMatch(
      /(19|20|21)% wider than usual; your stitches are as long as usual/,
    );
    await count!.setValue(String(targets.stitches * 2));
    await count!.trigger('blur');
    expect(textOf(shown.find('[role=status]'))).toContain('50% shorter');
    await shown.find('form').trigger('submit');
    const { own } = useSettings(session.pinia);
    expect(own.width).toBeCloseTo(1.2, 1);
    expect(own.stitch).toBeCloseTo(0.5, 1);
    await session.planned();
    // Wider satin takes fewer stitches, shorter ones along a line take more: both are in the plan.
    expect(session.workings.current!.plan.totals.stitches).not.toBe(usual);
    await button(shown, 'Go back to the usual figures').trigger('click');
    await expect.poll(() => session.workings.current!.plan.totals.stitches, { timeout: 10_000 }).toBe(usual);
    expect(useSettings(session.pinia).own).toMatchObject({ width: 1, stitch: 1 });
  });
});
