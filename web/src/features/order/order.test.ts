import { stitchKind } from '@junctura/core/stitches';
import { sittingDays, sittingsOf } from '@junctura/core/thread';
import { beforeEach, describe, expect, it } from 'vitest';
import { useSelection } from '../../session/selection.ts';
import { button, choose, field, numberIn, Session, textOf, type } from '../../testing/session.ts';
import DaysCard from './DaysCard.vue';
import SittingNeeds from './SittingNeeds.vue';
import StepsCard from './StepsCard.vue';
import WaysCard from './WaysCard.vue';

let session: Session;
beforeEach(async () => {
  session = new Session();
  await session.open('demo-kite');
});
const plan = (): NonNullable<Session['workings']['current']>['plan'] => session.workings.current!.plan;
/** Minutes as they are told: `1 h 20`, `45 min`, `2 h`. */
function minutesIn(text: string): number {
  const [, hours, rest] = /(?:(\d+) h)? ?(\d+)?(?: min)?$/.exec(text)!;
  return Number(hours ?? 0) * 60 + Number(rest ?? 0);
}

describe('the steps', () => {
  it('are all there in their order, each in its sitting, with the stitch and the strands that it is worked in', () => {
    const shown = session.show(StepsCard);
    const lines = shown.findAll('li.line').map(textOf);
    let at = 0;
    lines.forEach((line, i) => {
      expect(line.startsWith(String(i + 1))).toBe(true);
      const step = plan().order[at]!;
      const alike = Number(/, (\d+) alike/.exec(line)?.[1] ?? 1);
      if (alike === 1) expect(line).toContain(session.opened.nameOf(step.part));
      expect(line).toContain(stitchKind(step.stitch).name);
      at += alike;
    });
    expect(at).toBe(plan().order.length);
    expect(shown.findAll('li.sitting')).toHaveLength(sittingsOf(session.workings.piece, plan()).length);
    expect(session.warnings).toEqual([]);
  });

  it('take together what their sittings take, but for what the hoop needs', () => {
    const shown = session.show(StepsCard);
    const steps = shown.findAll('li.line .minutes').map((cell) => minutesIn(textOf(cell)));
    const sittings = shown.findAll('li.sitting .figure').map((cell) => minutesIn(textOf(cell)));
    const sum = (all: number[]): number => all.reduce((total, one) => total + one, 0);
    // Mounting takes ten minutes; each line is told to the minute, longer ones to five.
    expect(Math.abs(sum(sittings) - sum(steps) - 10)).toBeLessThan(steps.length + 5 * sittings.length);
  });

  it('open to say why, and pick their part; closed again they leave it picked', async () => {
    const shown = session.show(StepsCard);
    const selection = useSelection(session.pinia);
    for (const line of shown.findAll('li.line').slice(0, 4)) {
      await line.find('button').trigger('click');
      expect(shown.findAll('[data-test=because]')).toHaveLength(1);
      expect(textOf(line.find('[data-test=because]')).length).toBeGreaterThan(10);
      expect(session.opened.nameOf(selection.picked[0])).not.toBe('');
    }
  });

  it('are moved by a button or by Alt and an arrow, stay where they were put, and go back', async () => {
    const shown = session.show(StepsCard);
    const keys = (): string[] => shown.findAll('li.line').map((line) => line.attributes('data-step')!);
    const before = keys();
    const fixed = session.opened.piece.order;
    const second = shown.find(`[data-step="${before[1]}"]`);
    await second.find('button').trigger('click');
    await second.find('[aria-label=Later]').trigger('click');
    await session.planned();
    await expect.poll(() => keys().indexOf(before[1]!)).toBeGreaterThan(1);
    expect(textOf(shown.find('[role=status]'))).toContain('is fixed there');
    await shown.find(`[data-step="${before[1]}"] button`).trigger('keydown', { key: 'ArrowUp', altKey: true });
    await session.planned();
    while (session.opened.undoLabel) session.opened.undo();
    await session.planned();
    expect(session.opened.piece.order).toEqual(fixed);
    await expect.poll(keys).toEqual(before);
  });

  it('without Alt an arrow moves nothing', async () => {
    const shown = session.show(StepsCard);
    await shown.find('li.line button').trigger('keydown', { key: 'ArrowDown' });
    expect(session.opened.undoLabel).toBeNull();
  });
});

describe('what a sitting needs', () => {
  it('is laid out once for each length: all sittings together take every length of the plan', () => {
    let lengths = 0;
    for (const sitting of sittingsOf(session.workings.piece, plan())) {
      const said = session.show(SittingNeeds, { sitting }).findAll('li').map(textOf);
      lengths += said.reduce((sum, line) => sum + Number(/: (\d+) lengths? of/.exec(line)?.[1] ?? 0), 0);
      expect(said.filter((line) => /^(One|\d+) needles?:/.test(line))).toHaveLength(1);
    }
    expect(lengths).toBe(plan().colours.reduce((sum, { loads }) => sum + loads, 0));
  });
});

describe('the days of sittings', () => {
  const days = (shown: ReturnType<Session['show']>): string[] =>
    shown.findAll<HTMLInputElement>('[data-test=days] input').map(({ element }) => element.value);

  it('fall on the days of the week that are chosen, one after the other, from the first day on', async () => {
    const shown = session.show(DaysCard);
    await field(shown, 'First sitting from').setValue('2026-12-07');
    await field(shown, 'First sitting from').trigger('change');
    await type(shown, 'Length of a sitting', '15');
    await session.planned();
    for (const day of ['Tue', 'Sat']) await button(shown, day).trigger('click');
    const all = days(shown);
    expect(all.length).toBeGreaterThan(4);
    expect(all[0]).toBe('2026-12-08');
    for (const [i, day] of all.entries()) {
      expect([2, 6]).toContain(new Date(`${day}T12:00`).getDay());
      if (i > 0) expect(day > all[i - 1]!).toBe(true);
    }
    await button(shown, 'Tue').trigger('click');
    expect(days(shown).every((day) => new Date(`${day}T12:00`).getDay() === 6)).toBe(true);
  });

  it('can be moved one by one and put back; the others stay', async () => {
    const shown = session.show(DaysCard);
    await type(shown, 'Length of a sitting', '30');
    await session.planned();
    const before = days(shown);
    const second = shown.findAll('[data-test=days] input')[1]!;
    await second.setValue('2027-03-14');
    await second.trigger('change');
    expect(days(shown)).toEqual([before[0], '2027-03-14', ...before.slice(2)]);
    await button(shown, 'reset').trigger('click');
    expect(days(shown)).toEqual(before);
  });

  it('are as many as the plan has sittings, and fewer where a sitting is longer', async () => {
    const shown = session.show(DaysCard);
    await type(shown, 'Length of a sitting', '15');
    await session.planned();
    const short = days(shown).length;
    expect(short).toBe(sittingsOf(session.workings.piece, plan()).length);
    await type(shown, 'Length of a sitting', '120');
    await session.planned();
    expect(days(shown).length).toBeLessThan(short);
    const { calendar, worker } = session.opened.piece;
    expect(days(shown)).toEqual(sittingDays(calendar, worker.sittingsPerWeek, days(shown).length, days(shown)[0]!));
  });

  it('say in how many cases all is done by a day: the later, the surer; a day that is past is told', async () => {
    const shown = session.show(DaysCard);
    await field(shown, 'First sitting from').setValue('2026-12-07');
    await field(shown, 'First sitting from').trigger('change');
    const odds = async (day: string): Promise<number> => {
      await field(shown, 'Finished by (optional)').setValue(day);
      await field(shown, 'Finished by (optional)').trigger('change');
      const said = textOf(shown.find('[data-test=done-by]'));
      if (said.includes('will not be finished')) return 0;
      return Number(/(\d+) times out of 100/.exec(said)?.[1] ?? 100);
    };
    const told = [await odds('2026-12-09'), await odds('2026-12-14'), await odds('2027-03-01')];
    expect(told).toEqual([...told].sort((a, b) => a - b));
    expect(told[2]).toBeGreaterThan(90);
    await field(shown, 'Finished by (optional)').setValue('2026-12-01');
    await field(shown, 'Finished by (optional)').trigger('change');
    expect(textOf(shown)).toContain('is before the first sitting');
  });

  it('a time that is no time changes nothing', async () => {
    const shown = session.show(DaysCard);
    const at = session.opened.piece.calendar.at;
    await field(shown, 'At').setValue('');
    await field(shown, 'At').trigger('change');
    expect(session.opened.piece.calendar.at).toBe(at);
  });
});

describe('ways to work', () => {
  it('are compared side by side: the least of each row is marked, one way is taken, and undone', async () => {
    const shown = session.show(WaysCard);
    await expect.poll(() => textOf(shown.find('[data-test=ways]')), { timeout: 30_000 }).not.toContain('…');
    const rows = shown.findAll('[data-test=ways] tbody tr').slice(0, -1);
    for (const row of rows.slice(0, 4)) {
      const cells = row.findAll('td').map((cell) => ({ value: numberIn(textOf(cell)), cell }));
      const least = Math.min(...cells.map(({ value }) => value));
      for (const { value, cell } of cells) expect(cell.classes('least'), textOf(row)).toBe(value === least);
    }
    const own = rows.map((row) => textOf(row.findAll('td')[0]));
    expect(numberIn(own[0]!)).toBe(plan().colours.reduce((sum, { loads }) => sum + loads, 0));
    const before = session.opened.piece.worker;
    const takes = shown.findAll('[data-test=ways] tbody tr').at(-1)!.findAll('td').slice(1);
    const way = takes.findIndex((cell) => cell.find('button').exists());
    await takes[way]!.find('button').trigger('click');
    expect(session.opened.piece.worker).not.toEqual(before);
    await session.planned();
    const taken = plan().colours.reduce((sum, { loads }) => sum + loads, 0);
    // What it said that it comes to is what it comes to.
    expect(taken).toBe(numberIn(textOf(rows[0]!.findAll('td')[way])));
    session.opened.undo();
    expect(session.opened.piece.worker).toEqual(before);
  });

  it('settings are edits: needles in play, how far thread is carried, what comes first', async () => {
    const shown = session.show(WaysCard);
    await type(shown, 'Needles in use', '1');
    expect(session.opened.piece.worker.needles).toBe(1);
    const usual = numberIn((field(shown, 'Carry thread on the back up to').element as HTMLInputElement).value);
    await type(shown, 'Carry thread on the back up to', String(usual + 5));
    expect(session.opened.piece.worker.carryMm).toBe(usual + 5);
    await type(shown, 'Carry thread on the back up to', String(usual));
    expect(session.opened.piece.worker.carryMm).toBeNull();
    await choose(shown, 'Outlines', 'Last');
    expect(session.opened.piece.worker.outline).toBe('last');
    const range = shown.find<HTMLInputElement>('[data-test=by-area]');
    await range.setValue('0.8');
    await range.trigger('change');
    expect(session.opened.piece.worker.byArea).toBe(0.8);
  });
});
