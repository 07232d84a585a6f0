import { lookUp } from '../measure/index.ts';

/** How warm the water may be in which a cloth or a thread is washed. */
export type Washing = 'hot' | 'cool' | 'no';

/** Over and under by turns; two over and one under, in slanting lines; mostly over; loops in ribs; fibres matted together. */
export type Weave = 'plain' | 'twill' | 'satin' | 'knit' | 'felt';

export interface Cloth {
  readonly id: ClothId;
  readonly name: string;
  /** Its name within a sentence. */
  readonly inSentence: string;
  /** The colour in which it is usually met. */
  readonly usualHex: string;
  readonly weightGsm: number;
  readonly thicknessMm: number;
  /** How it is made, and threads to the centimetre: for the drawing of its weave. 0 where none can be seen. */
  readonly weave: Weave;
  readonly threadsPerCm: number;
  /** How uneven its threads are, 0 as spun by a machine to 1 with slubs. */
  readonly slubs: number;
  readonly stretches: boolean;
  readonly iron: 'hot' | 'warm' | 'no';
  readonly wash: Washing;
}

/** General craft figures, rounded. */
const KINDS = [
  {
    id: 'lawn',
    usualHex: '#f4f1ea',
    name: 'Cotton lawn',
    inSentence: 'cotton lawn',
    weightGsm: 80,
    thicknessMm: 0.15,
    weave: 'plain',
    threadsPerCm: 36,
    slubs: 0.15,
    stretches: false,
    iron: 'hot',
    wash: 'hot',
  },
  {
    id: 'quilting-cotton',
    usualHex: '#f1ede4',
    name: 'Quilting cotton',
    inSentence: 'quilting cotton',
    weightGsm: 140,
    thicknessMm: 0.28,
    weave: 'plain',
    threadsPerCm: 28,
    slubs: 0.15,
    stretches: false,
    iron: 'hot',
    wash: 'hot',
  },
  {
    id: 'calico',
    usualHex: '#e9dfc8',
    name: 'Calico',
    inSentence: 'calico',
    weightGsm: 150,
    thicknessMm: 0.3,
    weave: 'plain',
    threadsPerCm: 24,
    slubs: 0.35,
    stretches: false,
    iron: 'hot',
    wash: 'hot',
  },
  {
    id: 'fine-linen',
    usualHex: '#ece5d6',
    name: 'Fine linen',
    inSentence: 'fine linen',
    weightGsm: 150,
    thicknessMm: 0.3,
    weave: 'plain',
    threadsPerCm: 20,
    slubs: 0.6,
    stretches: false,
    iron: 'hot',
    wash: 'hot',
  },
  {
    id: 'heavy-linen',
    usualHex: '#d9cfb9',
    name: 'Heavy linen',
    inSentence: 'heavy linen',
    weightGsm: 250,
    thicknessMm: 0.5,
    weave: 'plain',
    threadsPerCm: 12,
    slubs: 1,
    stretches: false,
    iron: 'hot',
    wash: 'hot',
  },
  {
    id: 'jean',
    usualHex: '#5d7699',
    name: 'Satin-faced jean',
    inSentence: 'satin-faced jean',
    weightGsm: 260,
    thicknessMm: 0.45,
    weave: 'satin',
    threadsPerCm: 26,
    slubs: 0.15,
    stretches: false,
    iron: 'hot',
    wash: 'hot',
  },
  {
    id: 'denim',
    usualHex: '#3f5273',
    name: 'Denim',
    inSentence: 'denim',
    weightGsm: 400,
    thicknessMm: 0.8,
    weave: 'twill',
    threadsPerCm: 18,
    slubs: 0.5,
    stretches: false,
    iron: 'hot',
    wash: 'hot',
  },
  {
    id: 'canvas',
    usualHex: '#e3d8bf',
    name: 'Bag canvas',
    inSentence: 'bag canvas',
    weightGsm: 340,
    thicknessMm: 0.7,
    weave: 'plain',
    threadsPerCm: 12,
    slubs: 0.3,
    stretches: false,
    iron: 'hot',
    wash: 'cool',
  },
  {
    id: 'jersey',
    usualHex: '#e6e4e0',
    name: 'Jersey',
    inSentence: 'jersey',
    weightGsm: 180,
    thicknessMm: 0.5,
    weave: 'knit',
    threadsPerCm: 16,
    slubs: 0.1,
    stretches: true,
    iron: 'warm',
    wash: 'hot',
  },
  {
    id: 'felt',
    usualHex: '#cfc4b4',
    name: 'Wool felt',
    inSentence: 'wool felt',
    weightGsm: 300,
    thicknessMm: 1.2,
    weave: 'felt',
    threadsPerCm: 0,
    slubs: 0,
    stretches: false,
    iron: 'warm',
    wash: 'no',
  },
  {
    id: 'silk',
    usualHex: '#f3ede0',
    name: 'Silk',
    inSentence: 'silk',
    weightGsm: 60,
    thicknessMm: 0.12,
    weave: 'plain',
    threadsPerCm: 40,
    slubs: 0.3,
    stretches: false,
    iron: 'warm',
    wash: 'no',
  },
] as const satisfies readonly (Omit<Cloth, 'id'> & { readonly id: string })[];

export const CLOTHS: readonly Cloth[] = KINDS;
export type ClothId = (typeof KINDS)[number]['id'];
export const CLOTH_IDS = KINDS.map(({ id }) => id);
/** The cloth of an id. */
export const clothOf = lookUp(CLOTHS);

export const DEFAULT_CLOTH: ClothId = 'fine-linen';

/** Cloth that is pale and no heavier than this lets a drawing show through; a light box manages a little more. */
const TRACED_GSM = 200;
const LIGHT_BOX_GSM = 240;
/** Cloth of this CIELAB lightness or more is pale: a drawing shows through it, and dark lines show on it. A craft figure. */
export const PALE_LIGHTNESS = 70;

/** Whether a drawing shows through a cloth: against a window, only on a light box, or not at all. */
export function tracingThrough(cloth: Cloth, lightness: number): 'window' | 'light-box' | 'no' {
  if (lightness < PALE_LIGHTNESS || cloth.weightGsm > LIGHT_BOX_GSM) return 'no';
  return cloth.weightGsm <= TRACED_GSM ? 'window' : 'light-box';
}

/** A shaft over this leaves a hole in cloth up to this weight, and in any that is worn and washed often; felt closes again. */
const FINE_CLOTH_GSM = 150;
const HOLE_SHAFT_MM = 0.8;

export function leavesHole(cloth: Cloth, shaftMm: number, isWorn: boolean): boolean {
  const holds = cloth.weightGsm <= FINE_CLOTH_GSM || (isWorn && cloth.weightGsm < HEAVY_CLOTH_GSM);
  return holds && shaftMm > HOLE_SHAFT_MM;
}

/** Cloth from this weight on closes round any needle. */
const HEAVY_CLOTH_GSM = 300;
/** Dense stitches draw in cloth up to this weight, and any that stretches. */
const PULLED_GSM = 100;

export function isPulled({ stretches, weightGsm }: Cloth): boolean {
  return stretches || weightGsm <= PULLED_GSM;
}

/** How far thread may travel behind before it shows through or snags: 10 mm under pale or fine cloth, else 20. */
export function travelBehindMm(cloth: Cloth, clothLightness: number): number {
  const isDense = cloth.weightGsm >= 250 && clothLightness < 60;
  return isDense ? 20 : 10;
}

/** Another cloth in place of one: in its own usual colour, unless the colour was chosen. */
export function usualCloth(
  kind: ClothId,
  now: { readonly kind: ClothId; readonly colour: string },
): { readonly kind: ClothId; readonly colour?: string } {
  const [before, after] = [clothOf(now.kind), clothOf(kind)];
  return before.usualHex === now.colour ? { kind, colour: after.usualHex } : { kind };
}
