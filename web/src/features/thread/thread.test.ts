import { newEntry, threadKind } from '@junctura/core/materials';
import { removeParts, setColour } from '@junctura/core/piece';
import type { ColourNeed } from '@junctura/core/thread';
import { beforeEach, describe, expect, it } from 'vitest';
import { useRecord } from '../../session/record.ts';
import { useSettings } from '../../session/settings.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import { button, choose, numberIn, Session, textOf, type } from '../../testing/session.ts';
import OddsChart from './OddsChart.vue';
import ThreadBar from './ThreadBar.vue';
import ThreadNeeds from './ThreadNeeds.vue';
import ThreadReach from './ThreadReach.vue';
import WorkHabits from './WorkHabits.vue';

let session: Session;
beforeEach(async () => {
  session = new Session();
  await session.open('demo-kite');
});
const needs = (): readonly ColourNeed[] => session.workings.current!.plan.colours;

describe('what each colour takes', () => {
  it('is told once for each colour, with the skeins that are enough and what it is worked with', () => {
    const rows = session.show(ThreadNeeds).findAll('.need').map(textOf);
    expect(rows).toHaveLength(needs().length);
    needs().forEach(({ name, thread, skeins }, i) => {
      expect(rows[i]).toContain(name);
      expect(rows[i]).toContain(threadKind(thread).name);
      expect(rows[i]).toMatch(new RegExp(`${skeins.p90} skeins? ?Enough nine times out of ten`));
    });
  });

  it('unfolds into cuts that hold every load: their number and lengths come to what is cut off the skein', async () => {
    const shown = session.show(ThreadNeeds);
    for (const [i, need] of needs().entries()) {
      await shown.findAll('.need .name')[i]!.trigger('click');
      const cuts = shown.findAll('[data-test=cutting-list] > li').map(textOf);
      const loads = cuts.flatMap((cut) => [...cut.matchAll(/(\d+) needlefuls? of \d+ strands? for/g)]);
      expect(cuts).toHaveLength(need.cuts);
      expect(loads.reduce((sum, [, count]) => sum + Number(count ?? 1), 0)).toBe(need.loads);
      expect((cuts.length * numberIn(/(\d+) cm/.exec(cuts[0]!)![0])) / 100).toBeCloseTo(need.wholeM, 1);
    }
  });

  it('names the lot of a colour that has one, and nothing else as one', () => {
    const [first] = session.opened.piece.palette;
    session.opened.edit(setColour(session.opened.piece, first!.id, { lot: '7B' }));
    const rows = session.show(ThreadNeeds).findAll('.need').map(textOf);
    expect(rows.filter((row) => row.includes('dye lot 7B'))).toHaveLength(1);
    expect(rows.filter((row) => row.includes(', dye lot'))).toHaveLength(1);
  });

  it('says in how many cases all colours reach at once: seldomer than the one that reaches most seldom', async () => {
    const shown = session.show(ThreadNeeds);
    await expect.poll(() => shown.find('[data-test=all-reach]').exists()).toBe(true);
    const all = numberIn(textOf(shown.find('[data-test=all-reach]')));
    expect(all).toBeGreaterThanOrEqual(80);
    expect(all).toBeLessThanOrEqual(100);
  });
});

describe('a length of thread, divided', () => {
  const SHARES = { frontMm: 900, backMm: 600, wrapMm: 250, throughMm: 100, slackMm: 50, lostMm: 100 };

  it('is divided as the lengths are, and what is too little to be told is left out of the whole', () => {
    const shown = session.show(ThreadBar, { ...SHARES, wrapMm: 4 });
    const widths = shown.findAll('.bar span').map((share) => parseFloat((share.element as HTMLElement).style.width));
    expect(widths).toHaveLength(5);
    expect(widths.reduce((sum, width) => sum + width, 0)).toBeCloseTo(100, 6);
    expect(widths[0]! / widths[1]!).toBeCloseTo(900 / 600, 6);
    expect(textOf(shown)).not.toContain('wraps');
  });

  it('is told in the units that are set', async () => {
    const shown = session.show(ThreadBar, SHARES);
    expect(textOf(shown)).toContain('90 cm on the front');
    useSettings(session.pinia).units = 'inch';
    await expect.poll(() => textOf(shown)).toMatch(/35(\.4|½| 1\/2)? ?in/);
  });
});

describe('the odds of skeins', () => {
  it.each([
    [12, 5],
    [40, 21],
    [200, 90],
  ])('rise with each skein, to nearly all: %i loads, %i m', (loads, wholeM) => {
    const skeins = { p50: Math.ceil(wholeM / 8), p90: Math.ceil(wholeM / 8) + 1, p95: Math.ceil(wholeM / 8) + 2 };
    const shown = session.show(OddsChart, { need: { ...needs()[0]!, loads, wholeM, skeins } });
    const told = shown.findAll('text').map((text) => /^(\d+): (\d+) in 100$/.exec(textOf(text))!.slice(1).map(Number));
    expect(told.length).toBeGreaterThan(1);
    for (const [i, [count, percent]] of told.entries()) {
      expect(count).toBe(told[0]![0]! + i);
      if (i > 0) expect(percent).toBeGreaterThanOrEqual(told[i - 1]![1]!);
    }
    expect(told.at(-1)![1]).toBeGreaterThan(90);
    expect(shown.find('svg').attributes('aria-label')).toContain(`${told[0]![1]} times out of 100`);
  });
});

describe('how one works', () => {
  const CHOICES = [
    ['Length of thread', 1, { cutMm: 700 }],
    ['Thread started with', 1, { start: 'knot' }],
    ['Thread started with', 2, { start: 'tiny-stitches' }],
    ['Satin worked', 1, { satinFrom: 'edge' }],
    ['Round knots', 1, { knots: 'colonial' }],
    ['Strands to suggest', 0, { strands: 'fine' }],
    ['Strands to suggest', 2, { strands: 'bold' }],
    ['Layers to suggest', 2, { layers: 'rich' }],
    ['Your hand', 1, { hand: 'left' }],
  ] as const;

  it.each(CHOICES)('is a choice that is an edit: %s, choice %i', async (label, index, worker) => {
    const before = session.opened.piece;
    const shown = session.show(WorkHabits);
    await choose(shown, label, index);
    expect(session.opened.piece.worker).toEqual({ ...before.worker, ...worker });
    session.opened.undo();
    expect(session.opened.piece).toEqual(before);
    expect(session.warnings).toEqual([]);
  });

  it('takes slack as a share, and tells what a length loses at its two ends', async () => {
    const shown = session.show(WorkHabits);
    await type(shown, 'Slack of your stitching', '12');
    expect(session.opened.piece.worker.slack).toBeCloseTo(0.12, 9);
    expect(textOf(shown)).toMatch(
      /Each length loses \d+ mm at the start, and \d+ (mm|cm) must stay to fasten off \(\d+ (mm|cm) for knots\)/,
    );
    await type(shown, 'Slack of your stitching', '99');
    expect(session.opened.piece.worker.slack).toBeLessThanOrEqual(0.3);
  });

  it('longer lengths are fewer, and lose less', async () => {
    const before = needs().map(({ loads, lostMm }) => ({ loads, lostMm }));
    await choose(session.show(WorkHabits), 'Length of thread', 1);
    await session.planned();
    needs().forEach(({ loads, lostMm }, i) => {
      expect(loads).toBeLessThanOrEqual(before[i]!.loads);
      expect(lostMm).toBeLessThanOrEqual(before[i]!.lostMm * 1.001);
    });
  });
});

describe('whether it reaches', () => {
  /** What is owned of the first colour, in skeins and metres of one that is begun. */
  function own(whole: number, partM: number): void {
    const { palette } = session.opened.piece;
    const threads = useThreadBox(session.pinia);
    const entry = newEntry({
      id: 'e1',
      shade: palette.find(({ id }) => id === needs()[0]!.colour)!.shade!,
      thread: needs()[0]!.thread,
    });
    threads.addEntries('Own', [{ ...entry, whole, partM }]);
  }

  it('says what is to buy of what is not owned', () => {
    const rows = session.show(ThreadReach).findAll('[data-test=reach] > li').map(textOf);
    expect(rows).toHaveLength(needs().length);
    for (const row of rows) expect(row).toMatch(/You have none; \d+ skeins? to buy/);
  });

  it('reaches in every case with plenty, and offers what helps with too little', async () => {
    own(9, 0);
    const shown = session.show(ThreadReach);
    const last = (): string => textOf(shown.findAll('[data-test=reach] > li').at(-1));
    await expect.poll(last).toContain('enough every time');
    useThreadBox(session.pinia).changeEntries('Less', new Set(['e1']), (entry) => ({ ...entry, whole: 0, partM: 1 }));
    // What is begun and will not reach comes first.
    await expect.poll(() => textOf(shown.find('[data-test=reach] > li'))).toContain('more makes it nine times in ten');
    await button(shown, 'What helps').trigger('click');
    await expect
      .poll(() => textOf(shown.find('[data-test=savings]')), { timeout: 20_000 })
      .not.toContain('Looking for ways');
    expect(textOf(shown.find('[data-test=savings]'))).toMatch(/saves|Nothing saves enough|other dye lot/);
  });

  it('reserves from what is begun first, never more than there is, and it can be undone', async () => {
    own(2, 0.5);
    const threads = useThreadBox(session.pinia);
    const shown = session.show(ThreadReach);
    await button(shown, 'Reserve it for this piece').trigger('click');
    const [entry] = threads.box.entries;
    const [reserved] = entry!.reserved;
    expect(reserved!.piece).toBe('demo-kite');
    expect(reserved!.metres).toBeGreaterThan(0);
    expect(reserved!.metres).toBeLessThanOrEqual(2 * threadKind(needs()[0]!.thread).putUpM + 0.5);
    const once = threads.box;
    await button(shown, 'Reserve it for this piece').trigger('click');
    expect(threads.box.entries).toEqual(once.entries);
    threads.undo();
    threads.undo();
    expect(threads.box.entries[0]!.reserved).toEqual([]);
  });

  it('asks for less the more is worked, and for nothing in the end', async () => {
    const shown = session.show(ThreadReach);
    const record = useRecord(session.pinia);
    const parts = session.opened.piece.drawing.parts.map(({ id }) => id);
    for (const part of parts) await record.setDone(part, true);
    await expect.poll(() => textOf(shown)).toBe('Everything is stitched: no more thread is needed.');
    await record.setDone(parts[0]!, false);
    await expect.poll(() => shown.findAll('[data-test=reach] > li').length).toBe(1);
  });

  it('forgets what no part is worked in', async () => {
    const alone = session.opened.piece.drawing.parts.filter(({ colour }) => colour === needs()[1]!.colour);
    session.opened.edit(
      removeParts(
        session.opened.piece,
        alone.map(({ id }) => id),
      ),
    );
    await session.planned();
    expect(session.show(ThreadReach).findAll('[data-test=reach] > li')).toHaveLength(needs().length);
    expect(session.warnings).toEqual([]);
  });
});
