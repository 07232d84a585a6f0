import { newEntry } from '@junctura/core/materials';
import { formatDurationRange, plural } from '@junctura/core/measure';
import { beforeEach, describe, expect, it } from 'vitest';
import { nextTick } from 'vue';
import { useThreadBox } from '../session/threadBox.ts';
import { useRecord } from '../session/record.ts';
import { useWorkSoFar } from '../session/workSoFar.ts';
import { Session, textOf } from '../testing/session.ts';
import TheTally from './TheTally.vue';

let session: Session;
beforeEach(async () => {
  session = new Session();
  await session.open('demo-kite');
});

describe('the tally', () => {
  it('does not say that all is saved while something that was noted at the hoop is not', async () => {
    const record = useRecord(session.pinia);
    const shown = session.show(TheTally, { findingsShown: false });
    expect(textOf(shown.find('.saved'))).toBe('Saved in this browser');
    record.unkept = 1;
    await nextTick();
    expect(textOf(shown.find('.saved'))).toBe('Not saved yet');
  });

  it('says what the card at the hoop says: once work has begun, the hours are those worked and those left', async () => {
    const [work, record] = [useWorkSoFar(session.pinia), useRecord(session.pinia)];
    const { hours } = session.workings.current!.plan.totals;
    const shown = session.show(TheTally, { findingsShown: false });
    const told = (): string => textOf(shown.find('dl'));
    expect(told()).toContain(formatDurationRange(hours.p10, hours.p90));
    const [first, second] = session.workings.current!.plan.order;
    record.take('demo-kite', [
      { id: 'b', at: '2026-05-01T19:00:00.000Z', type: 'sitting-begun', needles: null },
      { id: 's1', at: '2026-05-01T19:10:00.000Z', type: 'step-done', step: first!.key },
      { id: 's2', at: '2026-05-01T19:24:00.000Z', type: 'step-done', step: second!.key },
    ]);
    await nextTick();
    const { p10, p90 } = work.left!.seconds;
    expect(work.soFar!.seconds).toBe(24 * 60);
    expect(told()).toContain(formatDurationRange(0.4 + p10 / 3600, 0.4 + p90 / 3600));
  });

  it('counts as to buy what is not owned: nothing once the box has all of it', async () => {
    const shown = session.show(TheTally, { findingsShown: false });
    const { reaches } = session.workings;
    expect(session.workings.tally!.skeins).toBeGreaterThan(0);
    expect(textOf(shown.find('dl'))).toContain(plural(session.workings.tally!.skeins, 'skein'));
    const threads = useThreadBox(session.pinia);
    const entries = reaches.map(({ need }, i) =>
      newEntry({ id: `e${i}`, shade: need.shade, thread: need.thread, whole: 4 }),
    );
    threads.change('Fill the box', { ...threads.box, entries: [...threads.box.entries, ...entries] });
    await nextTick();
    expect(session.workings.tally!.skeins).toBe(0);
    expect(textOf(shown.find('dl'))).toContain('0 skeins');
  });
});
