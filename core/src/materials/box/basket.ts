import { hexColour } from '../../colour/index.ts';
import { z } from '../../measure/index.ts';
import { CLOTH_IDS, type ClothId } from '../cloths.ts';
import { HOOP_RANGE_MM, type HoopSize } from '../hoops.ts';
import { MARK_IDS, type MarkId } from '../marks.ts';
import { NEEDLE_NAMES, type Needle, type NeedleFamily } from '../needles.ts';

const id = z.string().min(1).max(200);
const mm = z.number().min(1).max(20_000);
const hoopMm = z.number().min(HOOP_RANGE_MM.min).max(HOOP_RANGE_MM.max);
const FAMILIES = Object.keys(NEEDLE_NAMES) as [NeedleFamily, ...NeedleFamily[]];

/** What is laid or fused behind work. */
export const BACKINGS = { felt: 'Felt', web: 'Fusible web', backing: 'Soft backing' } as const;
export type BackingKind = keyof typeof BACKINGS;

/** One thing that a person owns besides thread. Pieces of cloth and backing are as large as they are left over. */
export const basketItemSchema = z.discriminatedUnion('kind', [
  z.strictObject({ id, kind: z.literal('hoop'), nominalMm: hoopMm, shortMm: hoopMm.nullable() }),
  z.strictObject({
    id,
    kind: z.literal('needle'),
    family: z.enum(FAMILIES),
    size: z.number().int().min(1).max(30),
    count: z.number().int().min(0).max(1000),
  }),
  z.strictObject({ id, kind: z.literal('mark'), mark: z.enum(MARK_IDS) }),
  z.strictObject({
    id,
    kind: z.literal('cloth'),
    cloth: z.enum(CLOTH_IDS),
    colour: hexColour,
    widthMm: mm,
    heightMm: mm,
  }),
  z.strictObject({
    id,
    kind: z.literal('backing'),
    what: z.enum(Object.keys(BACKINGS) as [BackingKind, ...BackingKind[]]),
    widthMm: mm,
    heightMm: mm,
  }),
  z.strictObject({ id, kind: z.literal('tool'), name: z.string().min(1).max(80) }),
]);

export type BasketItem = z.infer<typeof basketItemSchema>;
export type Basket = readonly BasketItem[];

type Of<Kind extends BasketItem['kind']> = Extract<BasketItem, { kind: Kind }>;
const of = <Kind extends BasketItem['kind']>(basket: Basket, kind: Kind): Of<Kind>[] =>
  basket.filter((item): item is Of<Kind> => item.kind === kind);

export function ownsHoop(basket: Basket, { nominalMm, shortMm }: HoopSize): boolean {
  return of(basket, 'hoop').some((own) => own.nominalMm === nominalMm && own.shortMm === shortMm);
}

export function ownsNeedle(basket: Basket, { family, size }: Pick<Needle, 'family' | 'size'>): boolean {
  return of(basket, 'needle').some((own) => own.family === family && own.size === size && own.count > 0);
}

export function ownsMark(basket: Basket, mark: MarkId): boolean {
  return of(basket, 'mark').some((own) => own.mark === mark);
}

/** Whether a cut can be had of what is left over, either way round where that does not matter. */
function holds(own: { widthMm: number; heightMm: number }, widthMm: number, heightMm: number, turns: boolean): boolean {
  const fits = (width: number, height: number): boolean => own.widthMm >= width && own.heightMm >= height;
  return fits(widthMm, heightMm) || (turns && fits(heightMm, widthMm));
}

/** The smallest piece of a cloth of which a cut can be had, along the grain; null: none. Of several as large the first. */
export function clothFor(basket: Basket, cloth: ClothId, widthMm: number, heightMm: number): Of<'cloth'> | null {
  return smallest(of(basket, 'cloth').filter((own) => own.cloth === cloth && holds(own, widthMm, heightMm, false)));
}

/** The same of a backing, which has no grain that matters. */
export function backingFor(basket: Basket, what: string, widthMm: number, heightMm: number): Of<'backing'> | null {
  return smallest(of(basket, 'backing').filter((own) => own.what === what && holds(own, widthMm, heightMm, true)));
}

function smallest<Item extends { widthMm: number; heightMm: number }>(items: readonly Item[]): Item | null {
  return items.reduce<Item | null>(
    (best, item) => (best && best.widthMm * best.heightMm <= item.widthMm * item.heightMm ? best : item),
    null,
  );
}
