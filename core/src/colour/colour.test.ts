import { describe, expect, it } from 'vitest';
import { seededRandom } from '../measure/index.ts';
import {
  channelsOf,
  deltaE,
  differenceInWords,
  hexOf,
  labOf,
  nearestColours,
  readCssColour,
  threadTones,
  type Lab,
} from './index.ts';

const lab = ([l, a, b]: readonly [number, number, number]): Lab => ({ mode: 'lab65', l, a, b });

describe('deltaE', () => {
  // The test pairs of Sharma, Wu and Dalal (2005), table 1.
  it.each([
    [[50, 2.6772, -79.7751], [50, 0, -82.7485], 2.0425],
    [[50, 3.1571, -77.2803], [50, 0, -82.7485], 2.8615],
    [[50, 2.8361, -74.02], [50, 0, -82.7485], 3.4412],
    [[50, -1.3802, -84.2814], [50, 0, -82.7485], 1],
    [[50, -1.1848, -84.8006], [50, 0, -82.7485], 1],
    [[50, -0.9009, -85.5211], [50, 0, -82.7485], 1],
    [[50, 0, 0], [50, -1, 2], 2.3669],
    [[50, -1, 2], [50, 0, 0], 2.3669],
    [[50, 2.49, -0.001], [50, -2.49, 0.0009], 7.1792],
    [[50, 2.49, -0.001], [50, -2.49, 0.001], 7.1792],
    [[50, 2.49, -0.001], [50, -2.49, 0.0011], 7.2195],
    [[50, 2.49, -0.001], [50, -2.49, 0.0012], 7.2195],
    [[50, -0.001, 2.49], [50, 0.0009, -2.49], 4.8045],
    [[50, -0.001, 2.49], [50, 0.001, -2.49], 4.8045],
    [[50, -0.001, 2.49], [50, 0.0011, -2.49], 4.7461],
    [[50, 2.5, 0], [50, 0, -2.5], 4.3065],
    [[50, 2.5, 0], [73, 25, -18], 27.1492],
    [[50, 2.5, 0], [61, -5, 29], 22.8977],
    [[50, 2.5, 0], [56, -27, -3], 31.903],
    [[50, 2.5, 0], [58, 24, 15], 19.4535],
    [[50, 2.5, 0], [50, 3.1736, 0.5854], 1],
    [[50, 2.5, 0], [50, 3.2972, 0], 1],
    [[50, 2.5, 0], [50, 1.8634, 0.5757], 1],
    [[50, 2.5, 0], [50, 3.2592, 0.335], 1],
    [[60.2574, -34.0099, 36.2677], [60.4626, -34.1751, 39.4387], 1.2644],
    [[63.0109, -31.0961, -5.8663], [62.8187, -29.7946, -4.0864], 1.263],
    [[61.2901, 3.7196, -5.3901], [61.4292, 2.248, -4.962], 1.8731],
    [[35.0831, -44.1164, 3.7933], [35.0232, -40.0716, 1.5901], 1.8645],
    [[22.7233, 20.0904, -46.694], [23.0331, 14.973, -42.5619], 2.0373],
    [[36.4612, 47.858, 18.3852], [36.2715, 50.5065, 21.2231], 1.4146],
    [[90.8027, -2.0831, 1.441], [91.1528, -1.6435, 0.0447], 1.4441],
    [[90.9257, -0.5406, -0.9208], [88.6381, -0.8985, -0.7239], 1.5381],
    [[6.7747, -0.2908, -2.4247], [5.8714, -0.0985, -2.2286], 0.6377],
    [[2.0776, 0.0795, -1.135], [0.9033, -0.0636, -0.5514], 0.9082],
  ] as const)('of %j and %j', (a, b, expected) => {
    expect(deltaE(lab(a), lab(b))).toBeCloseTo(expected, 3);
    expect(deltaE(lab(b), lab(a))).toBeCloseTo(expected, 3);
  });

  it('is nothing for a colour and itself, and has words for every size', () => {
    expect(deltaE(labOf('#4e7698'), labOf('#4e7698'))).toBe(0);
    expect([0.5, 2, 5, 10, 40].map(differenceInWords)).toEqual([
      'the same to the eye',
      'very close',
      'close',
      'related',
      'different',
    ]);
  });
});

describe('colours as they are written', () => {
  it.each([
    ['teal', '#008080', 1],
    ['#abc', '#aabbcc', 1],
    ['#AABBCC', '#aabbcc', 1],
    ['rgb(1, 2, 3)', '#010203', 1],
    ['rgba(255, 0, 0, 0.5)', '#ff0000', 0.5],
    ['hsl(120, 100%, 25%)', '#008000', 1],
    ['hwb(0 0% 0%)', '#ff0000', 1],
    ['oklch(1 0 0)', '#ffffff', 1],
    ['lab(0 0 0)', '#000000', 1],
    ['  navy ', '#000080', 1],
  ])('%s', (text, hex, alpha) => {
    expect(readCssColour(text)).toEqual({ hex, alpha });
  });

  it('are null where they are none', () => {
    expect(readCssColour('url(#x)')).toBeNull();
    expect(readCssColour('no colour')).toBeNull();
  });

  it('come back from their channels, white as 100 and black as 0', () => {
    for (const hex of ['#000000', '#ffffff', '#12ab7f']) {
      const [r, g, b] = channelsOf(hex);
      expect(hexOf(r / 255, g / 255, b / 255)).toBe(hex);
    }
    expect(labOf('#ffffff').l).toBeCloseTo(100, 3);
    expect(labOf('#000000').l).toBeCloseTo(0, 3);
    expect(() => labOf('purple-ish')).toThrow(/purple-ish/);
  });
});

it('finds the nearest as a plain search does', () => {
  const random = seededRandom(4);
  const some = (): { lab: Lab } => ({
    lab: lab([random.between(0, 100), random.between(-60, 60), random.between(-60, 60)]),
  });
  const items = Array.from({ length: 60 }, some);
  for (let i = 0; i < 20; i++) {
    const wanted = some().lab;
    const found = nearestColours(wanted, items, 3);
    const least = Math.min(...items.map((item) => deltaE(wanted, item.lab)));
    expect(found[0]!.difference).toBe(least);
    expect(found.map(({ difference }) => difference)).toEqual(
      [...found.map(({ difference }) => difference)].sort((a, b) => a - b),
    );
  }
});

it('makes the tones of a thread lighter step by step, its edge darker than all', () => {
  for (const hex of ['#b12f40', '#325674', '#fbfaf6', '#101010']) {
    const { body, edge, glint } = threadTones(hex);
    const lightness = body.map((tone) => labOf(tone).l);
    lightness.forEach((l, i) => i > 0 && expect(l).toBeGreaterThanOrEqual(lightness[i - 1]!));
    expect(labOf(edge).l).toBeLessThanOrEqual(lightness[0]! + 0.5);
    expect(labOf(glint).l).toBeGreaterThan(labOf(hex).l);
  }
});
