import { describe, expect, it } from 'vitest';
import { seededRandom } from '../measure/index.ts';
import {
  bestShades,
  channelsOf,
  coloursOfPicture,
  deltaE,
  hexOf,
  inColours,
  keptAtArmsLength,
  labOf,
  ladder,
  nextRung,
  mixed,
  nearestBlend,
  seenAs,
  separation,
  SEEING,
  whiteBalanced,
  type Lab,
  type Pixels,
} from './index.ts';

/** A picture of flat patches, with noise; each patch has a share of the pixels. */
function patches(hexes: readonly (readonly [hex: string, share: number])[], noise = 6, size = 160): Pixels {
  const random = seededRandom(5);
  const rgba = new Uint8ClampedArray(size * size * 4);
  let patch = 0;
  let left = hexes[0]![1] * size * size;
  for (let i = 0; i < size * size; i++) {
    if (left-- <= 0 && patch < hexes.length - 1) left = hexes[++patch]![1] * size * size - 1;
    const channels = channelsOf(hexes[patch]![0]);
    channels.forEach((value, k) => (rgba[4 * i + k] = value + random.between(-noise, noise)));
    rgba[4 * i + 3] = 255;
  }
  return { width: size, height: size, rgba };
}

const PATCHES = [
  ['#7d9a58', 0.6],
  ['#c9b48a', 0.3],
  ['#4a3728', 0.095],
  ['#d8342c', 0.005],
] as const;
const shadesOf = (count: number, seed: number): { hex: string; lab: ReturnType<typeof labOf> }[] => {
  const random = seededRandom(seed);
  return Array.from({ length: count }, () => {
    const hex = hexOf(random.next(), random.next(), random.next());
    return { hex, lab: labOf(hex) };
  });
};

describe('the colours of a picture', () => {
  it('are found with their shares, the small and telling one too', () => {
    const found = coloursOfPicture(patches(PATCHES), 4);
    expect(found).toHaveLength(4);
    for (const [hex, share] of PATCHES) {
      const nearest = found.reduce((best, colour) =>
        deltaE(labOf(colour.hex), labOf(hex)) < deltaE(labOf(best.hex), labOf(hex)) ? colour : best,
      );
      expect(deltaE(labOf(nearest.hex), labOf(hex)), hex).toBeLessThan(4);
      expect(nearest.share, hex).toBeCloseTo(share, 2);
    }
  });

  it('are the same every time, never more than there are, none where all is clear', () => {
    const picture = patches(PATCHES);
    expect(coloursOfPicture(picture, 7)).toEqual(coloursOfPicture(picture, 7));
    expect(coloursOfPicture(patches([['#336699', 1]], 0), 9)).toHaveLength(1);
    expect(coloursOfPicture({ width: 2, height: 1, rgba: new Uint8ClampedArray(8) }, 3)).toEqual([]);
  });

  it('are served better by every shade that is added, and best by the first that a search would take', () => {
    const colours = coloursOfPicture(patches(PATCHES, 30), 12);
    const shades = shadesOf(60, 3);
    const { shades: chosen, errors } = bestShades(colours, shades, 8);
    errors.forEach((error, i) => i > 0 && expect(error).toBeLessThanOrEqual(errors[i - 1]! + 1e-9));
    const alone = shades.map((shade) => bestShades(colours, [shade], 1).errors[0]!);
    expect(errors[0]).toBeCloseTo(Math.min(...alone), 9);
    expect(new Set(chosen).size).toBe(chosen.length);
    const kept = bestShades(colours, shades, 3, [shades[7]!]);
    expect(kept.shades[0]).toBe(shades[7]);
  });

  it('show the picture in the threads that are given', () => {
    const picture = patches(PATCHES);
    const hexes = ['#7d9a58', '#d8342c'];
    const shown = inColours(picture, hexes);
    const seen = new Set<string>();
    for (let i = 0; i < shown.length; i += 4)
      seen.add(hexOf(shown[i]! / 255, shown[i + 1]! / 255, shown[i + 2]! / 255));
    expect([...seen].sort()).toEqual([...hexes].sort());
  });
});

describe('the next rung of a ladder', () => {
  const grey = (l: number, a = 0): { readonly lab: Lab } => ({ lab: { mode: 'lab65', l, a, b: 0 } });
  const card = [10, 20, 30, 40, 50, 60, 70, 80, 90].map((l) => grey(l));
  const strangers = [31, 41, 51, 61].map((l) => grey(l, 60));

  it('goes on lighter where it rises and darker where it falls, in its own hue', () => {
    const all = [...strangers, ...card];
    expect(nextRung([card[2]!, card[3]!], all)).toBe(card[4]);
    expect(nextRung([card[5]!, card[4]!], all)).toBe(card[3]);
    expect(nextRung([card[4]!], all)).toBe(card[5]);
  });

  it('turns to the other end where there is nothing beyond, and ends where nothing is left', () => {
    expect(nextRung([card[7]!, card[8]!], card)).toBe(card[6]);
    expect(nextRung([...card], card)).toBeUndefined();
    expect(nextRung([], card)).toBeUndefined();
  });
});

describe('ladders', () => {
  it.each([1, 2, 3, 4, 5])(
    'go from dark to light through the chosen shade, in steps that do not vanish (seed %i)',
    (seed) => {
      const shades = shadesOf(140, seed);
      for (const count of [2, 3, 5]) {
        const rungs = ladder(shades[seed]!, shades, count);
        expect(rungs).toContain(shades[seed]);
        expect(new Set(rungs).size).toBe(rungs.length);
        rungs.forEach((rung, i) => i > 0 && expect(rung.lab.l).toBeGreaterThan(rungs[i - 1]!.lab.l - 1.5));
      }
    },
  );

  it('are shorter where there is too little to choose from', () => {
    const shades = shadesOf(2, 8);
    expect(ladder(shades[0]!, shades, 6).length).toBeLessThanOrEqual(2);
    expect(ladder(shades[0]!, [shades[0]!], 3)).toEqual([shades[0]]);
  });
});

describe('seeing', () => {
  it('leaves white and black and greys about as they are, and takes red for green where it is not told', () => {
    for (const seeing of SEEING) {
      if (seeing === 'lamp') continue;
      for (const hex of ['#ffffff', '#000000', '#808080']) {
        expect(deltaE(labOf(seenAs(hex, seeing)), labOf(hex)), `${seeing} ${hex}`).toBeLessThan(2);
      }
    }
    const [red, green] = ['#a8543c', '#6f7a35'];
    const { daylight, deutan, grey } = separation(red, green, [9, 9]);
    expect(deutan).toBeLessThan(daylight / 2);
    expect(grey).toBeLessThan(daylight);
    expect(labOf(seenAs('#ffffff', 'lamp')).b).toBeGreaterThan(3);
  });

  it('at arm’s length blurs what is finer than a millimetre, and keeps what is wide', () => {
    expect(keptAtArmsLength(0)).toBeCloseTo(0, 6);
    expect(keptAtArmsLength(0.3)).toBeLessThan(0.5);
    expect(keptAtArmsLength(5)).toBeGreaterThan(0.99);
    const near = separation('#203040', '#e0d0b0', [0.4, 6]).armsLength;
    expect(near).toBeLessThan(separation('#203040', '#e0d0b0', [6, 6]).armsLength);
  });

  it('two strands mix to what lies between them, and a blend is never worse than either alone', () => {
    expect(deltaE(labOf(mixed('#336699', '#336699')), labOf('#336699'))).toBeLessThan(0.5);
    expect(mixed('#000000', '#ffffff', 0)).toBe('#000000');
    const shades = shadesOf(120, 4);
    for (const { lab } of shadesOf(15, 9)) {
      const blend = nearestBlend(lab, shades);
      if (!blend) continue;
      const [one, two] = blend.item;
      expect(deltaE(lab, labOf(mixed(one.hex, two.hex)))).toBeCloseTo(blend.difference, 9);
      expect(one).not.toBe(two);
    }
  });
});

describe('white balance', () => {
  it('puts a photograph by a warm lamp right by its grey card', () => {
    const linear = (value: number): number => (value / 255) ** 2.2;
    const tint = (hex: string): string => {
      const [r, g, b] = channelsOf(hex).map(linear) as [number, number, number];
      return hexOf((r * 0.95) ** (1 / 2.2), (g * 0.8) ** (1 / 2.2), (b * 0.5) ** (1 / 2.2));
    };
    const hexes = ['#7d9a58', '#b8443f', '#4a5a8a'];
    const read = whiteBalanced(hexes.map(tint), { seen: tint('#aaaaaa'), truly: '#aaaaaa' });
    if (!read.ok) throw new Error(read.problem);
    read.value.forEach((hex, i) => expect(deltaE(labOf(hex), labOf(hexes[i]!))).toBeLessThan(2));
  });

  it.each(['#000000', '#ffffff'])('refuses a reference that tells nothing (%s)', (seen) => {
    expect(whiteBalanced(['#336699'], { seen, truly: '#aaaaaa' }).ok).toBe(false);
  });
});
