import type { FinishPlan } from '@junctura/core/finish';
import { threadKind } from '@junctura/core/materials';
import { ENDS, type End } from '@junctura/core/piece';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { useFinishing } from '../../session/finishing.ts';
import { useRecord } from '../../session/record.ts';
import { useSettings } from '../../session/settings.ts';
import { button, choose, field, numberIn, Session, textOf, type } from '../../testing/session.ts';
import EndChoice from './EndChoice.vue';
import EndedFigures from './EndedFigures.vue';
import FinishSteps from './FinishSteps.vue';
import PriceCard from './PriceCard.vue';
import TemplatesCard from './TemplatesCard.vue';

let session: Session;
beforeEach(async () => {
  session = new Session();
  await session.open('demo-kite');
});

/** How the piece is finished as this end, once it is worked out. */
async function planAs(end: End): Promise<FinishPlan> {
  const finishing = useFinishing(session.pinia);
  finishing.want();
  session.opened.edit({
    label: 'End',
    mergeKey: null,
    steps: [{ path: ['finish', 'end'], before: session.opened.piece.finish.end, after: end }],
  });
  await vi.waitFor(() => expect([finishing.plan?.end, finishing.isBusy]).toEqual([end, false]), { timeout: 20_000 });
  return finishing.plan!;
}

describe('what a piece ends as', () => {
  it('is one of nine, each chosen by one press that can be undone', async () => {
    const plan = await planAs('framed');
    for (const end of ENDS.filter((other) => other !== 'framed')) {
      const shown = session.show(EndChoice, { plan });
      expect(shown.findAll('[aria-pressed=true]')).toHaveLength(1);
      await shown.find(`[data-test=end-${end}]`).trigger('click');
      expect(session.opened.piece.finish.end).toBe(end);
      session.opened.undo();
      expect(session.opened.piece.finish.end).toBe('framed');
    }
  });

  it.each([
    ['board', ['Cloth shown round the design', 'Board, width', 'Height', 'Pinned out damp']],
    [
      'patch',
      [
        'Border',
        'Smallest inward curve',
        'Edge',
        'Edge worked',
        'Put on',
        'Felt behind',
        'Colour of the edge',
        'Sewn onto',
        'Pinned out damp',
      ],
    ],
    ['ornament', ['Shape', 'Room round the design', 'Seam allowance', 'Opening', 'Pinned out damp']],
    ['card', ['Cloth', 'Card, folded, width', 'Height', 'Pinned out damp']],
    [
      'cushion',
      [
        'Room round the design',
        'Seam allowance',
        'Panel, finished size, width',
        'Height',
        'Backing',
        'Pinned out damp',
      ],
    ],
    ['garment', ['Backing']],
    ['framed', ['In the hoop', 'Trimmed', 'Cover at the back', 'Pinned out damp']],
    ['hemmed', []],
  ] as const)('asks for what it depends on, and for nothing else: %s', async (end, labels) => {
    const shown = session.show(EndChoice, { plan: await planAs(end) });
    expect(shown.findAll('.pair label').map(textOf).sort()).toEqual([...labels].sort());
    expect(session.warnings).toEqual([]);
  });

  it('grows with the room that is left round the design, by exactly as much on each side', async () => {
    const before = await planAs('board');
    const shown = session.show(EndChoice, { plan: before });
    const across = numberIn((field(shown, 'Board, width').element as HTMLInputElement).value);
    const margin = numberIn((field(shown, 'Cloth shown round the design').element as HTMLInputElement).value);
    await type(shown, 'Cloth shown round the design', `${margin + 10} mm`);
    const finishing = useFinishing(session.pinia);
    await vi.waitFor(() => expect(finishing.plan).not.toBe(before), { timeout: 20_000 });
    const wider = session.show(EndChoice, { plan: finishing.plan! });
    expect(numberIn((field(wider, 'Board, width').element as HTMLInputElement).value)).toBeCloseTo(across + 20, 0);
  });

  it('keeps a size that was set, until it is to be found again', async () => {
    const shown = session.show(EndChoice, { plan: await planAs('card') });
    await type(shown, 'Card, folded, width', '150');
    expect(session.opened.piece.finish.sizeMm?.[0]).toBe(150);
    await button(shown, 'Use the suggested size').trigger('click');
    expect(session.opened.piece.finish.sizeMm).toBeNull();
  });
});

describe('the steps of finishing', () => {
  it('are ticked and unticked; what is left is the sum of those that are not', async () => {
    const plan = await planAs('framed');
    const shown = session.show(FinishSteps, { plan });
    expect(shown.findAll('[data-test=finish-steps] > li')).toHaveLength(plan.steps.length);
    const boxes = shown.findAll('[role=checkbox]');
    let left = plan.steps.reduce((sum, { seconds }) => sum + seconds, 0);
    for (const [i, step] of plan.steps.entries()) {
      await boxes[i]!.trigger('click');
      left -= step.seconds;
      await expect
        .poll(() => textOf(shown.find('[data-test=finish-progress]')))
        .toContain(`${i + 1} of ${plan.steps.length} steps`);
      if (left > 60) expect(textOf(shown.find('[data-test=finish-progress]'))).toContain('left');
    }
    expect(textOf(shown.find('[data-test=finish-progress]'))).not.toContain('left');
    await boxes[0]!.trigger('click');
    await expect
      .poll(() => textOf(shown.find('[data-test=finish-progress]')))
      .toContain(`${plan.steps.length - 1} of ${plan.steps.length}`);
  });

  it('give a caution where an iron, glue or a blade is used', async () => {
    const said: string[] = [];
    for (const end of ['framed', 'patch', 'card'] as const) {
      const { steps } = await planAs(end);
      for (const { text, caution } of steps) {
        if (/\biron|\bglue|\bpress\b|fuse/i.test(text)) {
          expect(caution, text).not.toBe('');
          expect(caution, text).toBeDefined();
        }
        if (caution) said.push(caution);
      }
    }
    expect(said.length).toBeGreaterThan(2);
  });

  it('end the piece with a note, and take that back', async () => {
    const shown = session.show(FinishSteps, { plan: await planAs('framed') });
    await shown.find('textarea').setValue('  A thinner needle.  ');
    await shown.find('[data-test=end-piece]').trigger('click');
    await expect.poll(() => shown.find('[data-test=ended]').exists()).toBe(true);
    expect(textOf(shown)).toContain('“A thinner needle.”');
    expect(useRecord(session.pinia).entries.at(-1)).toMatchObject({ type: 'piece-ended', text: 'A thinner needle.' });
    await button(shown, 'It is not finished after all').trigger('click');
    await expect.poll(() => shown.find('[data-test=end-piece]').exists()).toBe(true);
  });
});

describe('the price', () => {
  /** A shop in which every skein costs two. */
  function openShop(): void {
    const shades = session.opened.piece.palette.flatMap(({ shade }) => (shade ? [shade] : []));
    session.answers = {
      shop: {
        simulated: true,
        name: 'A stand-in',
        coin: '€',
        threads: shades.map(({ range, code }) => ({ range, code, price: 2, days: 1, lots: [{ lot: '1', skeins: 9 }] })),
        goods: [],
      },
    };
  }
  const rows = (shown: ReturnType<Session['show']>): number[] =>
    shown.findAll('[data-test=price] td').map((cell) => numberIn(textOf(cell)));

  it('is for the metres that are used, the hours and what comes on top: its lines come to its sum', async () => {
    openShop();
    const plan = await planAs('framed');
    const shown = session.show(PriceCard, { plan });
    const metres = session.workings.current!.plan.colours.reduce((sum, { wholeM }) => sum + wholeM, 0);
    const putUpM = threadKind(session.workings.current!.plan.colours[0]!.thread).putUpM;
    // Whole metres with what is unpicked on top, at two a skein.
    await expect.poll(() => rows(shown)[0]).toBeGreaterThanOrEqual(Math.floor((metres / putUpM) * 200) / 100);
    expect(rows(shown)[0]).toBeLessThan((metres / putUpM) * 2 * 1.3);
    useSettings(session.pinia).rate = { perHour: 15, coin: '€' };
    await type(shown, 'Overheads: light, tools, fees', '20');
    await expect.poll(() => rows(shown)[3]).toBeGreaterThan(0);
    const [thread, finishing, work, overhead, all] = rows(shown) as [number, number, number, number, number];
    expect(overhead).toBeCloseTo((thread + finishing + work) * 0.2, 1);
    expect(all).toBeCloseTo(thread + finishing + work + overhead, 1);
    const hours = session.workings.current!.plan.totals.hours.p50 + plan.seconds / 3600;
    expect(work).toBeCloseTo(hours * 15, 1);
  });

  it('that one would name pays for the hours what is left of it once the rest is paid', async () => {
    openShop();
    const plan = await planAs('framed');
    const shown = session.show(PriceCard, { plan });
    await expect.poll(() => rows(shown)[0]).toBeGreaterThan(0);
    expect(shown.find('[data-test=earned]').exists()).toBe(false);
    await type(shown, 'Your asking price', '90');
    await expect.poll(() => shown.find('[data-test=earned]').exists()).toBe(true);
    const [thread, finishing] = rows(shown);
    const hours = session.workings.current!.plan.totals.hours.p50 + plan.seconds / 3600;
    const earned = numberIn(/earns (.+)/.exec(textOf(shown.find('[data-test=earned]')))![1]!);
    expect(earned).toBeCloseTo((90 - thread! - finishing!) / hours, 1);
    await button(shown, 'Clear the price').trigger('click');
    await expect.poll(() => shown.find('[data-test=earned]').exists()).toBe(false);
  });

  it('says which prices nobody names, and that the shop is silent where it is', async () => {
    const shown = session.show(PriceCard, { plan: await planAs('framed') });
    await expect.poll(() => textOf(shown), { timeout: 10_000 }).toContain('doesn’t answer');
    expect(rows(shown)[0]).toBe(0);
  });
});

describe('what a finished piece took', () => {
  it('stands beside what was planned: as much, more or less', async () => {
    const plan = await planAs('framed');
    const record = useRecord(session.pinia);
    const part = session.opened.piece.drawing.parts[0]!;
    const use = { part: part.id, colour: part.colour, stitch: 'satin', strands: 2, usualMm: 2000, sure: true } as const;
    const shown = session.show(EndedFigures, { plan });
    expect(textOf(shown)).not.toContain('as recorded');
    await record.noteUse({ ...use, usedMm: 2500 });
    await expect.poll(() => textOf(shown)).toContain('2.5 m, 25% more than planned');
    await record.noteUse({ ...use, part: session.opened.piece.drawing.parts[1]!.id, usedMm: 1500 });
    await expect.poll(() => textOf(shown)).toContain('4 m, as planned');
  });
});

describe('templates', () => {
  it('fit more to a larger sheet, and are told where an end needs none', async () => {
    const plan = await planAs('cushion');
    const shown = session.show(TemplatesCard, { plan });
    const pages = (): number => shown.findAll('svg, [role=img]').length;
    expect(plan.templates.length).toBeGreaterThan(0);
    for (const { name } of plan.templates) expect(textOf(shown)).toContain(name);
    const onA4 = pages();
    await choose(shown, 'Paper', /A3/);
    expect(pages()).toBeLessThanOrEqual(onA4);
    expect(textOf(session.show(TemplatesCard, { plan: { ...plan, templates: [] } }))).toBe(
      'This finish needs no template.',
    );
  });
});
