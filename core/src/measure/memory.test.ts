import { describe, expect, it } from 'vitest';
import { Memory, stage } from './index.ts';

interface Rectangle {
  readonly width: number;
  readonly height: number;
  readonly corners: Float64Array;
  readonly name: string;
}

/** A stage that counts how often it is made. */
function counted(): { made: number; AREA: ReturnType<typeof areaStage> } {
  const count = { made: 0, AREA: areaStage(() => count.made++) };
  return count;
}
const areaStage = (note: () => void) =>
  stage<Rectangle>()('area', ['width', 'height', 'corners'], ({ width, height, ...rest }) => {
    note();
    return { mm2: width * height, fields: Object.keys(rest) };
  });

const rectangle = (change: Partial<Rectangle> = {}): Rectangle => ({
  width: 3,
  height: 4,
  corners: Float64Array.of(0, 0, 3, 4),
  name: 'a',
  ...change,
});

describe('a memory', () => {
  it('makes a stage again only when one of its fields holds another value, and gives it those fields alone', () => {
    const count = counted();
    const memory = new Memory();
    const first = memory.made(count.AREA, ['p1'], rectangle());
    expect(first).toEqual({ mm2: 12, fields: ['corners'] });
    // Another object of the same values, and a field that the stage is not made of.
    expect(memory.made(count.AREA, ['p1'], rectangle({ name: 'b' }))).toBe(first);
    expect(count.made).toBe(1);
    expect(memory.made(count.AREA, ['p1'], rectangle({ width: 5 })).mm2).toBe(20);
    expect(memory.made(count.AREA, ['p1'], rectangle({ width: 5, corners: Float64Array.of(0, 0, 3, 5) }))).not.toBe(
      first,
    );
    expect(count.made).toBe(3);
  });

  it('keeps what was made last, for each part and whatever else tells it apart', () => {
    const count = counted();
    const memory = new Memory();
    const all = (['p1', 'p2'] as const).flatMap((part) =>
      [0, 1].map((layer) => memory.made(count.AREA, [part], rectangle({ width: layer }), layer)),
    );
    expect(new Set(all).size).toBe(4);
    expect(memory.made(count.AREA, ['p2'], rectangle({ width: 1 }), 1)).toBe(all[3]);
    expect([count.made, memory.size]).toEqual([4, 4]);
    memory.made(count.AREA, ['p2'], rectangle({ width: 9 }), 1);
    memory.made(count.AREA, ['p2'], rectangle({ width: 1 }), 1);
    expect([count.made, memory.size]).toEqual([6, 4]);
  });

  it('forgets what is about parts that are gone, pairs too, and keeps what is about none', () => {
    const { AREA } = counted();
    const memory = new Memory();
    for (const parts of [['p1'], ['p2'], ['p1', 'p2'], []]) memory.made(AREA, parts, rectangle());
    memory.forgetAllBut(new Set(['p1']));
    expect([memory.size, memory.names()]).toEqual([2, ['area']]);
  });

  it('keeps nothing of what failed, and still has what was made before', () => {
    const memory = new Memory();
    const RATIO = stage<Rectangle>()('ratio', ['width', 'height'], ({ width, height }) => {
      if (height === 0) throw new RangeError('no height');
      return { ratio: width / height };
    });
    const before = memory.made(RATIO, ['p1'], rectangle());
    expect(() => memory.made(RATIO, ['p1'], rectangle({ height: 0 }))).toThrow('no height');
    expect(memory.made(RATIO, ['p1'], rectangle())).toBe(before);
  });

  it('of ever more parts stays within its bounds', () => {
    const { AREA } = counted();
    const memory = new Memory();
    for (let i = 0; i < 60_000; i++) memory.made(AREA, [`p${i}`], rectangle());
    expect(memory.size).toBe(50_000);
  });
});
