import { expect, it } from 'vitest';
import { plainPass, type Pass } from '../piece/index.ts';
import { STITCHES } from '../stitches/index.ts';
import { changeStitch } from './changeStitch.ts';

const pass = (more: Partial<Pass>): Pass => ({ ...plainPass('satin', 'stranded-cotton', 2), ...more });
const offered = (more: Partial<Pass>) => ({ pass: { ...pass(more), angleDeg: more.angleDeg ?? 0, reason: '' } });
const LEAF = [
  offered({ stitch: 'satin-leaf', angleDeg: 150 }),
  offered({ stitch: 'long-short', direction: 'along', strands: 1 }),
];

it('lies as the new stitch lies: halves of a leaf at 150° become long-and-short along it', () => {
  const { pass: changed, dropped } = changeStitch(pass({ stitch: 'satin-leaf', angleDeg: 150 }), 'long-short', LEAF);
  expect(changed).toMatchObject({ stitch: 'long-short', direction: 'along', angleDeg: null });
  expect(dropped).toEqual([]);
  // Also where nobody suggests it.
  expect(changeStitch(pass({}), 'long-short', []).pass.direction).toBe('along');
});

it('keeps a direction and a spacing that the person set, and gives them back', () => {
  const own = pass({ angleDeg: 40, params: { spacingMm: 0.6, from: 'edge' } });
  const there = changeStitch(own, 'romanian', LEAF);
  expect(there.pass).toMatchObject({ angleDeg: 40, direction: 'straight', params: { spacingMm: 0.6 } });
  expect(there.kept).toContain('Direction');
  expect(there.dropped).toHaveLength(1);
  expect(changeStitch(there.pass, 'satin', LEAF).pass).toMatchObject({ angleDeg: 40, params: { spacingMm: 0.6 } });
});

it('drops what the new stitch does not have, and says so', () => {
  const {
    pass: changed,
    kept,
    dropped,
  } = changeStitch(pass({ angleDeg: 40, params: { spacingMm: 0.6 } }), 'french-fill', LEAF);
  expect(changed).toMatchObject({ params: {}, angleDeg: null });
  expect(kept).toEqual([]);
  expect(dropped).toHaveLength(2);
});

it('of any stitch, anything set is either kept or named as dropped, and what is kept is in its range', () => {
  for (const from of STITCHES) {
    const params = Object.fromEntries(
      Object.entries(from.params).map(([key, param]) => [
        key,
        param.type === 'number' ? param.max : param.options[0]!.value,
      ]),
    );
    for (const to of STITCHES.filter(({ id }) => id !== from.id)) {
      const { pass: changed, kept, dropped } = changeStitch(pass({ stitch: from.id, params }), to.id, []);
      expect(kept.length + dropped.length).toBe(Object.keys(params).length);
      expect(Object.keys(changed.params)).toHaveLength(kept.length);
      for (const [key, value] of Object.entries(changed.params)) {
        const param = (to.params as Record<string, { type: string; min?: number; max?: number }>)[key]!;
        if (param.type === 'number') expect(value as number).toBeLessThanOrEqual(param.max!);
      }
    }
  }
});
