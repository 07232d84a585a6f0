import { HOOP_SIZES_MM, hoopNeeds, innerDiameterMm, outerHalvesMm } from '@junctura/core/materials';
import { parseLength } from '@junctura/core/measure';
import { plainHoop, setPositions } from '@junctura/core/piece';
import { beforeEach, describe, expect, it } from 'vitest';
import { useSettings } from '../../session/settings.ts';
import { button, choose, field, Session, textOf, type } from '../../testing/session.ts';
import ClothNeeds from './ClothNeeds.vue';
import HoopPositions from './HoopPositions.vue';
import HoopStep from './HoopStep.vue';

let session: Session;
beforeEach(async () => {
  session = new Session();
  await session.open('demo-kite');
});
const design = (): { widthMm: number; heightMm: number; circle: { x: number; y: number; r: number } | null } =>
  session.workings.current!.plan.design;
const valueOf = (shown: ReturnType<Session['show']>, label: string): string =>
  (field(shown, label).element as HTMLInputElement).value;

describe('the size of the design', () => {
  it('is what is typed, in whatever unit, with its proportions kept', async () => {
    const shown = session.show(HoopStep);
    const ratio = design().widthMm / design().heightMm;
    for (const [text, mm] of [
      ['60 mm', 60],
      ['4.5 cm', 45],
      ['2 in', 50.8],
    ] as const) {
      await type(shown, 'Width of the design', text);
      await session.planned();
      expect(design().widthMm).toBeCloseTo(mm, 1);
      expect(design().widthMm / design().heightMm).toBeCloseTo(ratio, 3);
    }
    await type(shown, 'Height', '40 mm');
    await session.planned();
    expect(design().heightMm).toBeCloseTo(40, 1);
  });

  it('that makes no sense is said in place, changes nothing, and is mended by typing', async () => {
    const shown = session.show(HoopStep);
    const before = session.opened.piece;
    for (const text of ['much', '-3 mm', '9 km', '5000 mm']) {
      await type(shown, 'Width of the design', text);
      expect(shown.findAll('[role=alert]'), text).toHaveLength(1);
      expect(session.opened.piece).toBe(before);
    }
    await type(shown, 'Width of the design', '61 mm');
    expect(shown.findAll('[role=alert]')).toHaveLength(0);
  });

  it('is stepped by arrows and taken back by Escape', async () => {
    const shown = session.show(HoopStep);
    const before = design().widthMm;
    await field(shown, 'Width of the design').trigger('keydown', { key: 'ArrowUp' });
    await session.planned();
    expect(design().widthMm).toBeCloseTo(before + 1, 1);
    const told = valueOf(shown, 'Width of the design');
    await type(shown, 'Width of the design', 'wide');
    await field(shown, 'Width of the design').trigger('keydown', { key: 'Escape' });
    expect(valueOf(shown, 'Width of the design')).toBe(told);
    await field(shown, 'Width of the design').setValue('70 mm');
    await field(shown, 'Width of the design').trigger('keydown', { key: 'Enter' });
    await session.planned();
    expect(design().widthMm).toBeCloseTo(70, 1);
  });

  it('follows the hoop by fitting: the smallest circle fills it but for the space to the ring', async () => {
    const shown = session.show(HoopStep);
    await type(shown, 'Width of the design', '30 mm');
    await session.planned();
    expect(textOf(shown.find('[data-test=fitting]'))).toContain('times its size');
    await button(shown, 'Fit to the hoop').trigger('click');
    await session.planned();
    const { hoop } = session.opened.piece;
    expect(design().circle!.r * 2).toBeCloseTo(innerDiameterMm(hoop!.nominalMm) - 2 * hoop!.airMm, 0);
    expect(button(shown, 'Fit to the hoop').attributes('disabled')).toBeDefined();
  });

  it('is moved by numbers, and its middle lies there', async () => {
    const shown = session.show(HoopStep);
    await type(shown, 'From centre, right', '7 mm');
    await type(shown, 'From centre, down', '-4 mm');
    await session.planned();
    expect(design().circle!.x).toBeCloseTo(7, 1);
    expect(design().circle!.y).toBeCloseTo(-4, 1);
    session.opened.undo();
    session.opened.undo();
    await session.planned();
    expect(Math.hypot(design().circle!.x, design().circle!.y)).toBeLessThan(0.2);
  });

  it('that was set stays when another hoop is chosen; none is worked without one', async () => {
    const shown = session.show(HoopStep);
    await type(shown, 'Width of the design', '50 mm');
    await choose(shown, 'Hoop', /^Round, 20 cm/);
    await session.planned();
    expect(session.opened.piece.hoop!.nominalMm).toBe(200);
    expect(design().widthMm).toBeCloseTo(50, 1);
    await choose(shown, 'Hoop', /No hoop/);
    await session.planned();
    expect(session.opened.piece.hoop).toBeNull();
    expect(design().widthMm).toBeCloseTo(50, 1);
    expect(session.warnings).toEqual([]);
  });

  it('that follows the hoop fills whatever hoop is chosen, with the space to the ring that is wanted', async () => {
    const shown = session.show(HoopStep);
    if (session.opened.piece.placement.isSizeSet) await shown.find('[data-test=keep-size]').trigger('click');
    for (const name of [/^Round, 20 cm/, /^Round, 12\.5 cm/, /^Oval/]) {
      await choose(shown, 'Hoop', name);
      await session.planned();
      await type(shown, 'Room to the hoop', '20 mm');
      await session.planned();
      expect(session.workings.current!.plan.hoop!.clearMm).toBeCloseTo(20, 0);
      expect(textOf(shown)).toContain('20 mm free');
      expect(shown.find('[data-test=fitting]').exists()).toBe(false);
    }
  });

  it('in a hoop of any size: it is typed, up and down as well', async () => {
    const shown = session.show(HoopStep);
    await choose(shown, 'Hoop', /Other size/);
    await session.planned();
    await type(shown, 'Hoop width', '137 mm');
    expect(session.opened.piece.hoop).toMatchObject({ nominalMm: 137, shortMm: null });
    await type(shown, 'Hoop height', '110 mm');
    expect(session.opened.piece.hoop).toMatchObject({ nominalMm: 137, shortMm: 110 });
    await type(shown, 'Hoop height', '137 mm');
    expect(session.opened.piece.hoop!.shortMm).toBeNull();
  });
});

describe('the cloth for a hoop', () => {
  it.each(HOOP_SIZES_MM.slice(0, 5))(
    'goes round the ring of %i mm with room to gather, and grows with positions',
    (mm) => {
      const hoop = plainHoop(mm, 10);
      const cut = (spread: [number, number]): number[] =>
        textOf(session.show(ClothNeeds, { hoop, spread }).find('[data-test=cloth-cut]'))
          .split('×')
          .map((length) => parseLength(length.trim(), 'metric')!);
      const [across, upright] = cut([0, 0]);
      expect(across).toBeGreaterThan(outerHalvesMm(hoop)[0] * 2);
      expect(across).toBe(upright);
      const [wider, same] = cut([80, 0]);
      // Cloth is told to the millimetre.
      expect(wider! - across!).toBeCloseTo(80, 0);
      expect(same).toBe(upright);
    },
  );

  it('a bound ring takes tape for both of its rings, and a bare one none', async () => {
    const hoop = { ...plainHoop(150, 10), bound: true };
    const shown = session.show(ClothNeeds, { hoop, spread: [0, 0] });
    expect(textOf(shown.find('.binding'))).toContain(`${(hoopNeeds(hoop, [0, 0]).tapeMm / 1000).toFixed(1)} m of`);
    await shown.find('[role=checkbox]').trigger('click');
    expect(shown.emitted('bound')).toEqual([[false]]);
    await shown.setProps({ hoop: { ...hoop, bound: false } });
    expect(textOf(shown.find('.binding'))).toContain('not bound');
  });

  it('is told in inches where they are set', async () => {
    const shown = session.show(ClothNeeds, { hoop: plainHoop(100, 10), spread: [0, 0] });
    const cut = (): number =>
      parseLength(textOf(shown.find('[data-test=cloth-cut]')).split('×')[0]!.trim(), useSettings(session.pinia).units)!;
    const mm = cut();
    useSettings(session.pinia).units = 'inch';
    await expect.poll(() => textOf(shown.find('[data-test=cloth-cut]'))).toContain('in');
    // To a sixteenth of an inch.
    expect(Math.abs(cut() - mm)).toBeLessThan(1.6);
  });
});

describe('several positions', () => {
  it('are moved by numbers, taken away one by one, and given up for one', async () => {
    const positions: [number, number][] = [
      [-30, 0],
      [30, 0],
      [0, 40],
    ];
    session.opened.edit(setPositions(session.opened.piece, positions, 'Positions'));
    await session.planned();
    const shown = session.show(HoopPositions, { hoop: session.opened.piece.hoop! });
    expect(shown.findAll('.positions li')).toHaveLength(3);
    const first = shown.find('.positions li');
    await first.findAll('input')[0]!.setValue('-25 mm');
    await first.findAll('input')[0]!.trigger('blur');
    expect(session.opened.piece.positions).toEqual([[-25, 0], positions[1], positions[2]]);
    await button(shown, 'Remove').trigger('click');
    expect(session.opened.piece.positions).toEqual(positions.slice(1));
    await button(shown, 'Use one position').trigger('click');
    expect(session.opened.piece.positions).toEqual([]);
  });

  it('are found where the design is too large, and not where one reaches everything', async () => {
    const shown = session.show(HoopPositions, { hoop: session.opened.piece.hoop! });
    await button(shown, 'Find hoop positions').trigger('click');
    await expect.poll(() => textOf(shown), { timeout: 20_000 }).toContain('One position reaches everything.');
    const step = session.show(HoopStep);
    await type(step, 'Width of the design', '160 mm');
    await session.planned();
    await button(shown, 'Find hoop positions').trigger('click');
    await expect.poll(() => session.opened.piece.positions.length, { timeout: 20_000 }).toBeGreaterThan(1);
  });
});
