import { MARKS } from '@junctura/core/materials';
import { printerScale } from '@junctura/core/paper';
import { rankWays } from '@junctura/core/transfer';
import { beforeEach, describe, expect, it } from 'vitest';
import { useSettings } from '../../session/settings.ts';
import { button, choose, Session, textOf, type } from '../../testing/session.ts';
import PrinterCheck from './PrinterCheck.vue';
import TransferStep from './TransferStep.vue';

let session: Session;
beforeEach(async () => {
  session = new Session();
  await session.open('demo-kite');
});

describe('a printer that is measured', () => {
  const scaleNow = (): { across: number; down: number } => {
    const { acrossMm, downMm } = useSettings(session.pinia).printer;
    const scale = printerScale(acrossMm, downMm);
    if (!scale.ok) throw new Error(scale.problem);
    return scale.value;
  };

  it('is corrected by what its bars measure, so that the next bar comes out true', async () => {
    session.answers = { printer: { simulated: true, name: 'A stand-in', across: 0.97, down: 1.02 } };
    const shown = session.show(PrinterCheck, { scale: scaleNow() });
    await button(shown, 'Try it on the simulated printer').trigger('click');
    const bars = (): number[] =>
      [...textOf(shown.find('figcaption')).matchAll(/([\d.]+) mm/g)].map(([, mm]) => Number(mm));
    await expect.poll(bars).toEqual([97, 51]);
    await shown.find('#bar-across').setValue('97');
    await shown.find('#bar-down').setValue('51 mm');
    await shown.find('#bar-down').trigger('change');
    await shown.setProps({ scale: scaleNow() });
    expect(bars()).toEqual([100, 50]);
    expect(textOf(shown.find('[role=status]'))).toContain('103.1% of their width and 98% of their height');
    await button(shown, 'No correction').trigger('click');
    await shown.setProps({ scale: scaleNow() });
    expect(bars()).toEqual([97, 51]);
  });

  it.each(['', 'long', '40', '10 cm', '-100'])(
    'what cannot be right is said in a sentence and sets nothing: “%s”',
    async (text) => {
      const shown = session.show(PrinterCheck, { scale: scaleNow() });
      await shown.find('#bar-across').setValue(text);
      await shown.find('#bar-across').trigger('change');
      const said = textOf(shown.find('[role=alert]'));
      expect(said).toMatch(/^[A-Z].*\.$/);
      expect(said).not.toMatch(/NaN|undefined/);
      expect(useSettings(session.pinia).printer).toEqual({ acrossMm: 100, downMm: 50 });
    },
  );

  it('takes a comma as a point', async () => {
    const shown = session.show(PrinterCheck, { scale: scaleNow() });
    await shown.find('#bar-across').setValue('98,5');
    await shown.find('#bar-across').trigger('change');
    expect(useSettings(session.pinia).printer.acrossMm).toBe(98.5);
  });
});

describe('how the drawing comes onto the cloth', () => {
  it('is one of all ways, best first; another is taken and undone', async () => {
    const shown = session.show(TransferStep);
    await button(shown, 'Show all transfer methods').trigger('click');
    const ranked = rankWays(session.workings.piece, session.workings.current!.plan);
    expect(shown.findAll('.all .choice').map((row) => textOf(row).startsWith(ranked[0]!.mark.name))[0]).toBe(true);
    expect(shown.findAll('.all .choice')).toHaveLength(MARKS.length);
    const before = session.opened.piece.mark;
    const other = shown.find('.all .choice[aria-pressed=false]');
    await other.trigger('click');
    expect(session.opened.piece.mark).not.toBe(before);
    expect(shown.findAll('.all .choice[aria-pressed=true]')).toHaveLength(1);
    session.opened.undo();
    expect(session.opened.piece.mark).toBe(before);
  });

  it.each(MARKS.map(({ id }) => id))('says how the mark comes out again, as a sentence of its own: %s', async (id) => {
    const { mark } = session.opened.piece;
    if (id !== mark)
      session.opened.edit({ label: 'Mark', mergeKey: null, steps: [{ path: ['mark'], before: mark, after: id }] });
    await session.planned();
    const shown = session.show(TransferStep);
    const steps = shown.findAll('[data-test=removal] li').map(textOf);
    expect(steps.length).toBeGreaterThan(0);
    for (const step of steps) expect(step).toMatch(/[.!]$/);
    expect(textOf(shown)).not.toMatch(/\bNaN\b|undefined|\bnull\b/);
    expect(session.warnings).toEqual([]);
  });

  it('that fades is drawn anew: every sitting is served once, more often the shorter it stays', async () => {
    const fading = MARKS.filter(({ staysDays }) => staysDays !== null).sort((a, b) => a.staysDays! - b.staysDays!);
    const counts: number[] = [];
    for (const { id } of fading) {
      const { mark } = session.opened.piece;
      if (id !== mark)
        session.opened.edit({ label: 'Mark', mergeKey: null, steps: [{ path: ['mark'], before: mark, after: id }] });
      await session.planned();
      const shown = session.show(TransferStep);
      await type(shown, 'Length of a sitting', '10');
      await session.planned();
      const rows = shown.findAll('[data-test=redraws] li').map(textOf);
      let next = 1;
      for (const row of rows) {
        const [, from, to] = /sittings? (\d+)(?: to (\d+))?/.exec(row)!;
        expect(Number(from)).toBe(next);
        next = Number(to ?? from) + 1;
      }
      counts.push(rows.length);
    }
    expect(counts).toEqual([...counts].sort((a, b) => b - a));
  });

  it('prints on one page what fits on it, and what is larger on more with a map', async () => {
    const shown = session.show(TransferStep);
    expect(textOf(shown)).toContain('One page');
    await choose(shown, 'Paper', 'Film, your own size');
    await type(shown, 'Film width', '100 mm');
    await type(shown, 'Film height', '100 mm');
    expect(textOf(shown)).toMatch(/A map and \d+ pages, joined at their crosses/);
  });
});
