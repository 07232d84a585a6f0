import { writeFileSync } from 'node:fs';
import { labOf, hexOf } from '@junctura/core/colour';
import { clampChroma, converter } from 'culori';

/**
 * Computes the invented Thrumwick range: two rings of hue (clear and muted) and three near-greys, each in even steps of
 * lightness in OKLCH, drawn in to what sRGB holds.
 */
type Family = readonly [letters: string, noun: string, hue: number];

const CLEAR: readonly Family[] = [
  ['rh', 'rosehip', 18],
  ['ru', 'rust', 38],
  ['ck', 'clinker', 55],
  ['am', 'amber', 72],
  ['go', 'gorse', 95],
  ['li', 'lichen', 115],
  ['nt', 'nettle', 140],
  ['wd', 'wrack', 162],
  ['su', 'sluice', 190],
  ['rn', 'rain', 225],
  ['es', 'estuary', 255],
  ['th', 'thunder', 285],
  ['he', 'heather', 318],
  ['mw', 'mallow', 350],
];
const MUTED: readonly Family[] = [
  ['bk', 'brick dust', 30],
  ['dr', 'driftwood', 65],
  ['oc', 'ochre', 90],
  ['sg', 'sedge', 120],
  ['ms', 'moss stone', 150],
  ['tl', 'tide line', 200],
  ['sl', 'slate', 245],
  ['mu', 'mussel', 290],
  ['ht', 'heath', 340],
];
const GREY: readonly Family[] = [
  ['pb', 'pebble', 250],
  ['fl', 'fleece', 85],
  ['ir', 'iron', 300],
];

const TONES: Record<number, readonly string[]> = {
  6: ['deep', 'wet', 'dusk', 'plain', 'pale', 'bleached'],
  7: ['midnight', 'deep', 'wet', 'plain', 'bright', 'pale', 'bleached'],
  9: ['midnight', 'deep', 'wet', 'dusk', 'plain', 'dry', 'pale', 'bleached', 'frost'],
};

const toRgb = converter('rgb');

function ladder(
  family: Family,
  steps: number,
  low: number,
  high: number,
  chroma: number,
  tones = TONES[steps]!,
): string[][] {
  const [letters, noun, hue] = family;
  return Array.from({ length: steps }, (_, step) => {
    const l = low + ((high - low) * step) / (steps - 1);
    // Dyed cotton is less clear at either end of the lightness scale.
    const c = chroma * Math.sin(Math.PI * (0.18 + 0.64 * ((l - 0.2) / 0.8)));
    const rgb = toRgb(clampChroma({ mode: 'oklch', l, c, h: hue }, 'oklch'));
    const hex = hexOf(rgb.r, rgb.g, rgb.b);
    const tone = tones[step]!;
    const name = `${tone[0]!.toUpperCase()}${tone.slice(1)} ${noun}`;
    return [`${letters}-${String(Math.round(labOf(hex).l)).padStart(2, '0')}`, name, hex];
  });
}

export function makeRange(): string[][] {
  return [
    ...CLEAR.flatMap((family) => ladder(family, 7, 0.31, 0.91, 0.17)),
    ...MUTED.flatMap((family) => ladder(family, 6, 0.33, 0.88, 0.07)),
    ...GREY.flatMap((family) => ladder(family, 9, 0.24, 0.95, 0.018)),
    ['ch-98', 'Chalk', '#fbfaf6'],
  ];
}

/** The letters of the silk are its own: a code never means two shades. */
const SILK: readonly Family[] = [
  ['ey', 'eyebright', 300],
  ['fx', 'foxglove', 350],
  ['cn', 'cinder rose', 20],
  ['mk', 'marigold', 65],
  ['ss', 'straw', 92],
  ['bw', 'bracken', 130],
  ['kp', 'kelp', 165],
  ['mr', 'mere', 215],
  ['sk', 'skerry', 258],
];
const SILK_TONES = ['bottom', 'low', 'half', 'high'] as const;
const SILK_GREYS = ['soot', 'ash', 'oyster', 'eider'] as const;

/** The silk: dyed clearer than cotton, and lighter at its lights. */
export function makeSilk(): string[][] {
  return [
    ...SILK.flatMap((family) => ladder(family, 4, 0.36, 0.9, 0.145, SILK_TONES)),
    ...ladder(['ed', 'down', 80], 4, 0.32, 0.97, 0.02, SILK_GREYS),
  ];
}

/** The wool has letters of its own, too. */
const WOOL: readonly Family[] = [
  ['hp', 'hip', 25],
  ['pt', 'peat', 55],
  ['wh', 'whin', 88],
  ['bm', 'broom', 106],
  ['fe', 'fern', 132],
  ['jn', 'juniper', 158],
  ['ta', 'tarn', 225],
  ['bb', 'bilberry', 278],
  ['lg', 'ling', 335],
];
const WOOL_TONES = ['north', 'lee', 'noon', 'mist'] as const;
const WOOL_GREYS = ['crag', 'scree', 'cloud', 'lamb'] as const;

/** The wool: softer than cotton, and never as dark or as light. */
export function makeWool(): string[][] {
  return [
    ...WOOL.flatMap((family) => ladder(family, 4, 0.35, 0.84, 0.115, WOOL_TONES)),
    ...ladder(['fd', 'fold', 75], 4, 0.3, 0.93, 0.02, WOOL_GREYS),
  ];
}

export function writeRanges(): void {
  for (const [name, rows] of Object.entries({
    thrumwick: makeRange(),
    eiderlight: makeSilk(),
    hurdlefold: makeWool(),
  })) {
    const file = new URL(`../../core/src/materials/data/${name}.json`, import.meta.url);
    writeFileSync(file, `[\n${rows.map((row) => `  ${JSON.stringify(row)}`).join(',\n')}\n]\n`);
  }
}
