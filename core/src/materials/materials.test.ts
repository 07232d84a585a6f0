import { describe, expect, it } from 'vitest';
import { deltaE } from '../colour/index.ts';
import {
  bundleDiameterMm,
  clothOf,
  CLOTHS,
  comesIn,
  THREAD_IDS,
  RANGES,
  FOLDED_STRANDS,
  innerDiameterMm,
  laidWidthMm,
  leavesHole,
  nearestShade,
  nearestShades,
  isTooThickFor,
  needlesFor,
  wrappingNeedle,
  shadeOf,
  strandChoices,
  strandWidthMm,
  THREAD_KINDS,
  threadKind,
  THRUMWICK,
  travelBehindMm,
  type ClothId,
} from './index.ts';

describe('thread', () => {
  it.each([
    ['stranded-cotton', 0.32],
    ['pearl-12', 0.37],
    ['pearl-8', 0.46],
    ['pearl-5', 0.58],
    ['pearl-3', 0.75],
    ['matt-cotton', 0.35],
    ['whitework-cotton', 0.98],
    ['stranded-silk', 0.25],
    ['crewel-wool', 0.6],
  ] as const)('%s lies about %f mm wide, from its mass', (id, widthMm) => {
    expect(strandWidthMm(threadKind(id))).toBeCloseTo(widthMm, 2);
  });

  it('lies wider and grows rounder with its strands', () => {
    for (const kind of THREAD_KINDS) {
      for (const n of strandChoices(kind).slice(1)) {
        expect(laidWidthMm(kind, n)).toBeGreaterThan(bundleDiameterMm(kind, n) - 1e-9);
        expect(laidWidthMm(kind, n) / strandWidthMm(kind)).toBeCloseTo(n ** (2 / 3), 9);
      }
    }
  });

  it('is drawn apart only where it can be, and folded only from six', () => {
    expect(strandChoices(threadKind('stranded-cotton'))).toEqual([1, 2, 3, 4, 5, 6, FOLDED_STRANDS]);
    expect(strandChoices(threadKind('pearl-8'))).toEqual([1]);
    expect(strandChoices(threadKind('crewel-wool'))).toEqual([1, 2, 3]);
  });

  it.each([
    [1, 'crewel', 10],
    [2, 'crewel', 9],
    [3, 'crewel', 7],
    [4, 'crewel', 5],
    [6, 'crewel', 3],
    [12, 'chenille', 20],
  ] as const)('%i strands of cotton go through a %s needle %i', (strands, family, size) => {
    const [needle, ...others] = needlesFor(threadKind('stranded-cotton'), strands, 'sharp', clothOf('heavy-linen'));
    expect(needle).toMatchObject({ family, size });
    expect(others).toEqual([]);
  });

  it('has a needle for every kind and strand count', () => {
    for (const kind of THREAD_KINDS) {
      for (const strands of strandChoices(kind)) {
        for (const cloth of CLOTHS) {
          for (const use of ['sharp', 'blunt', 'sharp-then-blunt', 'wrapping'] as const) {
            const needles = needlesFor(kind, strands, use, cloth);
            expect(needles).toHaveLength(use === 'sharp-then-blunt' ? 2 : 1);
            for (const needle of needles) expect(isTooThickFor(needle, bundleDiameterMm(kind, strands))).toBe(false);
          }
        }
      }
    }
  });

  it('takes its needle from the cloth, too: ball points for knits, finer ones for lawn, stronger ones for denim', () => {
    const cotton = threadKind('stranded-cotton');
    const on = (cloth: ClothId, strands = 2) => needlesFor(cotton, strands, 'sharp', clothOf(cloth))[0]!;
    expect(on('jersey').family).toBe('ball-point');
    expect(on('lawn').shaftMm).toBeLessThan(on('heavy-linen').shaftMm);
    expect(on('denim').shaftMm).toBeGreaterThan(on('heavy-linen').shaftMm);
    expect(on('heavy-linen', 12).shaftMm).toBeGreaterThan(on('heavy-linen', 6).shaftMm);
  });

  it('is wound on a needle whose eye it passes: rug wool on no thin one', () => {
    for (const kind of THREAD_KINDS) {
      for (const strands of strandChoices(kind)) {
        const { shaftMm, family } = wrappingNeedle(kind, strands);
        const bundle = bundleDiameterMm(kind, strands);
        expect(shaftMm).toBeGreaterThanOrEqual(bundle * (family === 'milliner' ? 1.3 : 0.7));
      }
    }
  });
});

describe('cloth and hoop', () => {
  it('shows holes of thick needles in fine cloth, and in what is worn', () => {
    expect(leavesHole(clothOf('silk'), 0.86, false)).toBe(true);
    expect(leavesHole(clothOf('silk'), 0.69, false)).toBe(false);
    expect(leavesHole(clothOf('fine-linen'), 0.86, false)).toBe(true);
    expect(leavesHole(clothOf('heavy-linen'), 0.86, true)).toBe(true);
    expect(leavesHole(clothOf('heavy-linen'), 0.86, false)).toBe(false);
    expect(leavesHole(clothOf('denim'), 1.27, true)).toBe(false);
  });

  it('lets thread travel further behind dense, dark cloth', () => {
    expect(travelBehindMm(clothOf('denim'), 30)).toBe(20);
    expect(travelBehindMm(clothOf('denim'), 90)).toBe(10);
    expect(travelBehindMm(clothOf('lawn'), 20)).toBe(10);
    expect(innerDiameterMm(150)).toBe(144);
  });
});

describe('the shade card', () => {
  const { shades } = THRUMWICK;

  it('has about 180 shades with codes and names of their own, never a bare number', () => {
    expect(shades.length).toBeGreaterThan(170);
    expect(new Set(shades.map((shade) => shade.code)).size).toBe(shades.length);
    expect(new Set(shades.map((shade) => shade.name)).size).toBe(shades.length);
    for (const { code, lab } of shades) {
      expect(code).toMatch(/^[a-z]{2}-\d\d$/);
      expect(Math.abs(Number(code.slice(3)) - lab.l)).toBeLessThan(0.51);
    }
  });

  it('is spread so that any two can be told apart, and none is far from its next', () => {
    for (const shade of shades) {
      const others = shades.filter((other) => other !== shade).map((other) => deltaE(shade.lab, other.lab));
      expect(Math.min(...others)).toBeGreaterThan(2.5);
      expect(Math.min(...others)).toBeLessThan(16);
    }
  });

  it('finds a shade by its own colour, and itself first among the nearest', () => {
    for (const shade of shades) {
      expect(shadeOf(shade.code)).toBe(shade);
      expect(nearestShade(shade.hex).item).toBe(shade);
    }
    expect(nearestShades('#325674', 4)).toHaveLength(4);
    expect(shadeOf('zz-00')).toBeUndefined();
  });
});

describe('shade cards', () => {
  it('are there for every kind of thread, and no code means two shades', () => {
    for (const id of THREAD_IDS) {
      expect(
        RANGES.some((range) => comesIn(range, [id])),
        id,
      ).toBe(true);
    }
    expect(RANGES.filter((range) => comesIn(range, []))).toEqual(RANGES);
    const codes = RANGES.flatMap(({ shades }) => shades.map(({ code }) => code));
    expect(new Set(codes).size).toBe(codes.length);
  });
});
