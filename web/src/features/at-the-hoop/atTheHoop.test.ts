import { inOrder } from '@junctura/core/log';
import { WORKING_LENGTH } from '@junctura/core/materials';
import { removeParts, setHoop } from '@junctura/core/piece';
import { beforeEach, describe, expect, it } from 'vitest';
import { PieceStore } from '../../keeping/pieceStore.ts';
import { useKeeper } from '../../session/keeper.ts';
import { useRecord } from '../../session/record.ts';
import { useSelection } from '../../session/selection.ts';
import { useWorkSoFar } from '../../session/workSoFar.ts';
import { button, field, numberIn, Session, textOf, type } from '../../testing/session.ts';
import BeginSheet from './BeginSheet.vue';
import EndSheet from './EndSheet.vue';
import NeedleQuestion from './NeedleQuestion.vue';
import { useStepNote } from './stepNote.ts';
import PresentStep from './PresentStep.vue';
import PaceList from './PaceList.vue';
import RecordList from './RecordList.vue';
import ThreadRecord from './ThreadRecord.vue';
import WorkedDays from './WorkedDays.vue';

let session: Session;
beforeEach(async () => {
  session = new Session();
  await session.open('demo-kite');
});

describe('the present step', () => {
  it('says what the guide says of it, and offers what can be said of it under plain names', async () => {
    const work = useWorkSoFar(session.pinia);
    await work.note({ type: 'sitting-begun', needles: 1 });
    const shown = session.show(PresentStep, { staysAwake: true });
    const note = useStepNote(session.pinia).present!;
    expect(textOf(shown.find('[data-test=present]'))).toBe(work.partNameOf(work.present));
    expect(note.number).toBe(1);
    const figures = textOf(shown.find('[data-test=figures]'));
    const spacing = note.figures.find(({ label }) => label === 'Spacing')!;
    expect(figures).toContain(`Spacing: ${spacing.value}`);
    expect(textOf(shown.find('[data-test=told]'))).toContain('Thread a new length.');
    for (const name of ['How it is worked', 'Later', 'Part of it', 'Something is wrong']) button(shown, name);
    await button(shown, 'How it is worked').trigger('click');
    expect(shown.emitted('topic')).toEqual([['how']]);
  });

  it('counts as the guide does: like parts are one step, ticked off one by one', async () => {
    const work = useWorkSoFar(session.pinia);
    let parts = 0;
    for (let i = 0; i < work.steps.length && parts === 0; i++) {
      const { number, part, parts: alike } = work.numberOfPresent!;
      if (alike > 1) {
        expect(part).toBe(1);
        parts = alike;
        await work.done();
        expect(work.numberOfPresent).toMatchObject({ number, part: 2, parts: alike });
        expect(work.stepsDone.done).toBe(number - 1);
      } else await work.done();
    }
    expect(parts).toBeGreaterThan(1);
  });
});

describe('before and after a sitting', () => {
  it('as many needles are counted out as are wanted, and more or fewer when they are counted', async () => {
    const shown = session.show(BeginSheet);
    const wanted = useWorkSoFar(session.pinia).needlesWanted;
    expect(textOf(shown.find('[data-test=needles-out]'))).toBe(String(wanted));
    await button(shown, 'One more').trigger('click');
    await button(shown, 'One more').trigger('click');
    await button(shown, 'One fewer').trigger('click');
    await shown.find('[data-test=begin]').trigger('click');
    expect(shown.emitted('begin')).toEqual([[wanted + 1]]);
    for (let i = 0; i < wanted + 5; i++) await button(shown, 'One fewer').trigger('click');
    expect(textOf(shown.find('[data-test=needles-out]'))).toBe('0');
  });

  it('tells how long is left: before the first step what the whole piece takes', () => {
    const { hours } = session.workings.current!.plan.totals;
    const left = useWorkSoFar(session.pinia).left!.seconds;
    expect(left.p50 / 3600).toBeCloseTo(hours.p50, 6);
    expect(left.p10).toBeLessThan(left.p50);
    expect(textOf(session.show(BeginSheet))).toContain('left at your pace');
  });

  it('misses what went out and does not come in, before the cover is closed', async () => {
    const work = useWorkSoFar(session.pinia);
    await work.note({ type: 'sitting-begun', needles: 4 });
    const shown = session.show(EndSheet);
    expect(shown.find('[role=alert]').exists()).toBe(false);
    await button(shown, 'One fewer').trigger('click');
    expect(textOf(shown.find('[role=alert]'))).toContain('You took out 4');
    await shown.find('[data-test=close-sitting]').trigger('click');
    expect(shown.emitted('end')).toEqual([[3, false]]);
  });

  it('asks for the ring to be taken off where there is one', () => {
    expect(textOf(session.show(EndSheet))).toContain('Take the hoop off');
    const { piece } = session.opened;
    session.opened.edit(setHoop(piece, null, piece.placement, 'In hand'));
    expect(textOf(session.show(EndSheet))).not.toContain('Take the hoop off');
  });
});

describe('the record', () => {
  it('is told newest first, in words; what is taken back stays to be read', async () => {
    const work = useWorkSoFar(session.pinia);
    const first = work.present!;
    await work.done();
    await work.done();
    const shown = session.show(RecordList);
    const rows = (): string[] => shown.findAll('[data-test=record] > li').map(textOf);
    expect(rows().filter((row) => row.includes('Done:'))).toHaveLength(2);
    expect(rows().some((row) => row.includes(session.opened.nameOf(first.part)))).toBe(true);
    const before = work.soFar!.done.length;
    const tapped = shown.findAll('[data-test=record] > li').find((row) => textOf(row).includes('Done:'))!;
    await tapped.find('button').trigger('click');
    await expect.poll(() => work.soFar!.done.length).toBe(before - 1);
    expect(rows().filter((row) => row.includes(' (undone)'))).not.toHaveLength(0);
  });

  it('names a part that is gone as such', async () => {
    const record = useRecord(session.pinia);
    const [part] = session.opened.piece.drawing.parts;
    await record.setDone(part!.id, true);
    session.opened.edit(removeParts(session.opened.piece, [part!.id]));
    await session.planned();
    const rows = session.show(RecordList).findAll('[data-test=record] > li').map(textOf);
    expect(rows[0]).toContain('Part done: a part that no longer exists');
  });

  it('shows thirty entries, and all of them when that is asked', async () => {
    const record = useRecord(session.pinia);
    for (let i = 0; i < 34; i++) await record.note({ type: 'note', text: `note ${i}` });
    const shown = session.show(RecordList);
    expect(shown.findAll('[data-test=record] > li')).toHaveLength(30);
    await button(shown, 'Show all 34 entries').trigger('click');
    expect(shown.findAll('[data-test=record] > li')).toHaveLength(34);
  });

  it('one step after the other is done, to the end; each can be taken back by hand', async () => {
    const work = useWorkSoFar(session.pinia);
    const { order } = session.workings.current!.plan;
    let left = work.left!.seconds.p50;
    for (const step of order) {
      expect(work.present!.key).toBe(step.key);
      await work.done();
      expect(work.left!.seconds.p50).toBeLessThan(left);
      left = work.left!.seconds.p50;
    }
    expect(work.present).toBeNull();
    expect(left).toBe(0);
    const parts = new Set(order.map(({ part }) => part));
    expect(useRecord(session.pinia).progress.done).toEqual(parts);
    for (const step of [...order].reverse()) {
      await work.takeBack();
      expect(work.present!.key).toBe(step.key);
    }
    expect(work.soFar!.done).toHaveLength(0);
    expect(useRecord(session.pinia).progress.done.size).toBe(0);
  });

  it('is the same however fast one taps: each tap is a step, and what is taken back is the last', async () => {
    const work = useWorkSoFar(session.pinia);
    const [first, second, third] = session.workings.current!.plan.order;
    // No tap waits for what the one before it keeps.
    const taps = [work.done(), work.done(), work.done(), work.takeBack()];
    expect(work.soFar!.done.map(({ step }) => step.key)).toEqual([first!.key, second!.key]);
    expect(work.present!.key).toBe(third!.key);
    await Promise.all(taps);
    const { entries } = useRecord(session.pinia);
    expect(entries.filter(({ type }) => type === 'sitting-begun')).toHaveLength(1);
    const kept = await new PieceStore(() => 0).recordOf(session.opened.piece.id);
    expect(inOrder(kept)).toEqual(entries);
  });
});

const used = (shown: ReturnType<Session['show']>): string => textOf(shown.find('[data-test=used]'));
/** A length as it is told, mm. */
function mmIn(told: string): number {
  const [, amount, unit] = /([\d.]+) (cm|m)\b/.exec(told)!;
  return Number(amount) * (unit === 'cm' ? 10 : 1000);
}

describe('what was used', () => {
  it('is so many lengths, less what each loses and what is left on the needle', async () => {
    const shown = session.show(ThreadRecord);
    const { cutMm, start } = session.opened.piece.worker;
    const lost = WORKING_LENGTH.startMm[start] + WORKING_LENGTH.workedInMm;
    await type(shown, 'Lengths you took', '3');
    await type(shown, 'Left on the needle', '200 mm');
    expect(Math.abs(mmIn(used(shown)) - (3 * (cutMm - lost) - 200))).toBeLessThanOrEqual(50);
    await button(shown, 'Record it and mark the part as done').trigger('click');
    const [use] = useRecord(session.pinia).progress.uses;
    const asked = shown.find('[role=alert]');
    if (asked.exists()) await button(shown, 'Yes, it is right').trigger('click');
    await expect.poll(() => useRecord(session.pinia).progress.uses.length).toBe(1);
    expect(use ?? useRecord(session.pinia).progress.uses[0]).toMatchObject({ usedMm: 3 * (cutMm - lost) - 200 });
    expect(useSelection(session.pinia).onNeedle).toMatchObject({ leftMm: 200 });
  });

  it('that is far from usual is asked about, and can be corrected', async () => {
    const shown = session.show(ThreadRecord);
    await type(shown, 'Lengths you took', '90');
    await button(shown, 'Record it and mark the part as done').trigger('click');
    expect(textOf(shown.find('[role=alert]'))).toMatch(/That is [\d.]+ times what is usual/);
    await button(shown, 'Correct it').trigger('click');
    expect(useRecord(session.pinia).progress.uses).toHaveLength(0);
  });

  it('that comes to nothing cannot be noted', async () => {
    const shown = session.show(ThreadRecord);
    await type(shown, 'Left on the needle', '3000 mm');
    expect(button(shown, 'Record it and mark the part as done').attributes('disabled')).toBeDefined();
  });

  it('is learned from in plain words, whether it was as much as usual or not', async () => {
    const record = useRecord(session.pinia);
    const [one, two] = session.opened.piece.drawing.parts;
    const use = { colour: one!.colour, stitch: 'satin', strands: 2, usualMm: 1000, sure: true } as const;
    const shown = session.show(ThreadRecord);
    await record.noteUse({ ...use, part: one!.id, usedMm: 1000 });
    await expect
      .poll(() => textOf(shown.find('[data-test=learned]')))
      .toContain('overall you use as much thread as usual,');
    for (let i = 0; i < 6; i++) await record.noteUse({ ...use, part: two!.id, usedMm: 1400 });
    await expect
      .poll(() => textOf(shown.find('[data-test=learned]')))
      .toMatch(/overall you use \d+% more thread than usual,/);
  });
});

describe('one’s own hand', () => {
  it('is learned from a piece of one’s own: the plan follows what was noted, and forgets it when that is asked', async () => {
    const own = { ...session.opened.piece, id: 'own-kite', name: 'My kite' };
    await useKeeper(session.pinia).store.save(own, 0);
    await session.open('own-kite');
    const thread = (): number => session.workings.current!.plan.totals.threadMm;
    const usual = thread();
    const shown = session.show(ThreadRecord);
    await type(shown, 'Lengths you took', '2');
    const told = used(shown);
    await button(shown, 'Record it and mark the part as done').trigger('click');
    if (shown.find('[role=alert]').exists()) await button(shown, 'Yes, it is right').trigger('click');
    await expect.poll(() => textOf(shown)).toContain('From 1 record');
    await session.planned();
    await expect.poll(thread, { timeout: 10_000 }).not.toBe(usual);
    const isMore = mmIn(told) > mmIn(told.slice(told.indexOf('fastening off; ')));
    expect(thread() > usual).toBe(isMore);
    await button(shown, 'Forget it and start learning again').trigger('click');
    await expect.poll(thread, { timeout: 10_000 }).toBe(usual);
    expect(textOf(shown)).toContain('Nothing yet');
  });
});

describe('what is on the needle', () => {
  it('reaches for more the longer it is, never for what needs more than is there', async () => {
    const shown = session.show(NeedleQuestion);
    const finished = async (mm: number): Promise<number> => {
      await type(shown, 'Left on the needle', `${mm} mm`);
      const needs = shown.findAll('[data-test=needle-answer] ul:first-of-type li').map((line) => textOf(line));
      for (const need of needs.filter((line) => / [\d.]+ (cm|m)$/.test(line))) {
        const amount = numberIn(/([\d.]+) (?:cm|m)$/.exec(need)![0]) * (need.endsWith('cm') ? 10 : 1000);
        expect(amount).toBeLessThanOrEqual(mm + 10);
      }
      return needs.length;
    };
    const counts = [await finished(20), await finished(250), await finished(700)];
    expect(counts).toEqual([...counts].sort((a, b) => a - b));
    await type(shown, 'Left on the needle', '5 mm');
    expect(textOf(shown.find('[data-test=needle-answer]'))).toContain('Fasten off now');
  });

  it('is what was left when thread was noted last', () => {
    const selection = useSelection(session.pinia);
    const { colour } = session.workings.current!.plan.colours[1]!;
    selection.onNeedle = { colour, strands: 2, leftMm: 230 };
    const shown = session.show(NeedleQuestion);
    expect((field(shown, 'Left on the needle').element as HTMLInputElement).value).toBe('230 mm');
    expect((field(shown, 'Colour on the needle').element as HTMLInputElement).value).toBe(colour);
  });
});

describe('the days at the hoop', () => {
  it('stand under their day of the week, the longer the fuller; months without work between are there', () => {
    const days = new Map([
      ['2026-01-31', 3600],
      ['2026-02-28', 7200],
      ['2026-04-01', 900],
    ]);
    const shown = session.show(WorkedDays, { days });
    expect(shown.findAll('caption').map(textOf)).toEqual(['January 2026', 'February 2026', 'March 2026', 'April 2026']);
    expect(shown.findAll('.worked')).toHaveLength(3);
    for (const [i, month] of shown.findAll('table').entries()) {
      const cells = month.findAll('tbody tr').flatMap((row) => row.findAll('td').map((cell) => parseInt(textOf(cell))));
      const count = new Date(2026, i + 1, 0).getDate();
      expect(cells.filter((day) => !isNaN(day))).toEqual(Array.from({ length: count }, (_, k) => k + 1));
      // Weeks begin on Monday.
      expect(cells.indexOf(1)).toBe((new Date(2026, i, 1).getDay() + 6) % 7);
    }
    const shares = shown
      .findAll('.worked')
      .map((day) => parseInt((day.element as HTMLElement).style.getPropertyValue('--share')));
    expect(shares[1]).toBe(100);
    expect(shares[2]!).toBeLessThan(shares[0]!);
  });

  it('are at most six months, the latest', () => {
    const days = new Map(['2025-01-05', '2026-03-05'].map((day) => [day, 600]));
    const captions = session.show(WorkedDays, { days }).findAll('caption').map(textOf);
    expect(captions).toHaveLength(6);
    expect(captions.at(-1)).toBe('March 2026');
    expect(session.show(WorkedDays, { days: new Map() }).find('table').exists()).toBe(false);
  });
});

describe('the pace by stitch', () => {
  it('tells what is known best first, bars to the side of what it is, and all when asked', async () => {
    const kinds = ['satin', 'stem', 'split', 'back', 'chain', 'running', 'french', 'seed', 'fly', 'couching'];
    const stitches = new Map(kinds.map((id, i) => [id, { factor: i % 2 === 0 ? 1.5 : 0.7, records: 20 - i }]));
    const shown = session.show(PaceList, { pace: { hand: 1, doubt: 0.2, stitches } as never });
    expect(shown.findAll('tbody tr')).toHaveLength(8);
    await button(shown, 'Show all 10 stitches').trigger('click');
    const rows = shown.findAll('tbody tr');
    expect(rows.map((row) => numberIn(textOf(row.find('.soft'))))).toEqual(kinds.map((_, i) => 20 - i));
    for (const [i, row] of rows.entries()) {
      const [bar, usual] = [row.find('rect'), row.find('line')].map((shape) =>
        Number(shape.attributes('x') ?? shape.attributes('x1')),
      );
      if (i % 2 === 0) expect(bar).toBe(usual);
      else expect(bar).toBeLessThan(usual!);
    }
  });
});
