import type { ThreadSpread } from '../work/index.ts';
import { behindCloth } from '../transfer/index.ts';
import { type Reach, risingFactors, shareWithin, skeinsToBuy, type Plan } from '../thread/index.ts';
import Papa from 'papaparse';
import { hoopAt, spreadOfPositions } from '../drawing/index.ts';
import {
  clothOf,
  hoopNeeds,
  hoopSizeText,
  markOf,
  NEEDLE_NAMES,
  shippedRange,
  threadKind,
  type ShadeRef,
  type ShopGoods,
  type ShopStock,
  type ShopThread,
  backingFor,
  clothFor,
  ownsHoop,
  ownsMark,
  ownsNeedle,
  type Basket,
  type Needle,
  type ThreadId,
} from '../materials/index.ts';
import { isMade, materialInWords, type FinishMaterial } from '../finish/index.ts';
import { Memory, formatMoney, formatNumber, formatThread, plural, type UnitSystem } from '../measure/index.ts';
import { endOf, type Piece } from '../piece/index.ts';
import { textPages } from './textPages.ts';
import type { Page } from './sheets.ts';
import * as say from './words.ts';

/** One thing on a shopping list. */
export interface ShoppingRow {
  readonly kind: 'thread' | 'finishing' | ShopGoods['kind'];
  readonly name: string;
  /** Range and code of a thread, kind and size of other things. */
  readonly detail: string;
  readonly hex: string | null;
  /** What the piece takes, in words. */
  readonly needed: string;
  readonly owned: string;
  readonly toBuy: number;
  readonly unit: string;
  /** Of all that is to buy; null: the shop does not say. */
  readonly price: number | null;
  readonly lot: string | null;
  readonly days: number | null;
  /** What stands against it: out of stock, two lots. */
  readonly trouble: 'out-of-stock' | 'two-lots' | 'not-sold' | null;
  /** The palette ids that are worked in a thread. */
  readonly colours: readonly string[];
}

/** What is owned of other things, as the list says it. */
const OWNED = 'in your basket';

/** What a list takes into account besides the piece. */
export interface Besides {
  readonly finishing?: readonly FinishMaterial[];
  /** The piece of the stitched cloth that the finish takes, mm. */
  readonly clothMm?: readonly [across: number, upright: number] | null;
  readonly basket?: Basket;
}

/**
 * What is still to buy for a piece: thread first, then cloth, hoop, needles, mark and backing.
 * @param reaches what is owned of each shade
 * @param shop what the shop has; null: it was never heard
 * @param besides what the piece takes once it is stitched, and what is in the workbasket
 */
export function shoppingList(
  piece: Piece,
  plan: Plan,
  reaches: readonly Reach[],
  shop: ShopStock | null,
  units: UnitSystem,
  { finishing = [], clothMm = null, basket = [] }: Besides = {},
): ShoppingRow[] {
  const memory = new Memory();
  const threads = withEdges(reaches, finishing, plan.spread, memory).map((reach): ShoppingRow => {
    const { need, ownedM } = reach;
    const toBuy = skeinsToBuy(reach, plan.spread, memory);
    const sold = shop?.threads.find(({ range, code }) => range === need.shade.range && code === need.shade.code);
    return {
      kind: 'thread',
      name: need.shade.name,
      detail: detailOf(need.shade, need.thread),
      hex: need.shade.hex,
      needed: formatThread(need.wholeM * 1000, units),
      owned: ownedM > 0 ? formatThread(ownedM * 1000, units) : '',
      toBuy,
      unit: threadKind(need.thread).putUp,
      colours: need.colours,
      ...terms(toBuy, sold, shop !== null),
    };
  });
  return [
    ...threads,
    ...otherThings(piece, plan, shop, units, basket, clothMm),
    ...finishingThings(reaches, finishing, shop, units, basket),
  ];
}

const isOf = ({ need }: Reach, thread: NonNullable<FinishMaterial['thread']>): boolean =>
  need.thread === thread.kind && need.colours.includes(thread.colour);

/** What is needed of each shade with what edges take of it. */
function withEdges(
  reaches: readonly Reach[],
  finishing: readonly FinishMaterial[],
  spread: ThreadSpread,
  memory: Memory,
): Reach[] {
  return reaches.map((reach) => {
    const edges = finishing.filter(({ thread }) => thread && isOf(reach, thread));
    if (edges.length === 0) return reach;
    const { need, ownedM } = reach;
    const wholeM = need.wholeM + edges.reduce((sum, { quantity }) => sum + quantity / 1000, 0);
    const loads = need.loads + edges.reduce((sum, { thread }) => sum + thread!.loads, 0);
    const odds = shareWithin(risingFactors(loads, spread, memory), ownedM / wholeM);
    return { ...reach, need: { ...need, wholeM, loads }, odds };
  });
}

/** A thing that is no thread, with what the shop says of it. @param goods its id there; null: shops do not have it */
function goodsRow(
  row: Pick<ShoppingRow, 'kind' | 'name' | 'detail' | 'unit' | 'hex'>,
  toBuy: number,
  isOwned: boolean,
  goods: string | null,
  shop: ShopStock | null,
): ShoppingRow {
  const sold = shop?.goods.find(({ id }) => id === goods);
  const isShort = sold !== undefined && sold.stock < toBuy;
  return {
    ...row,
    needed: row.detail,
    owned: isOwned ? OWNED : '',
    toBuy,
    price: sold ? sold.price * toBuy : isOwned ? 0 : null,
    lot: null,
    days: sold && !isShort ? sold.days : null,
    trouble: isShort ? 'out-of-stock' : sold || !shop || isOwned ? null : 'not-sold',
    colours: [],
  };
}

/** How what finishing takes is bought, by how it is measured. */
const BOUGHT_AS: Readonly<Record<FinishMaterial['unit'], string>> = {
  mm: 'length',
  mm2: 'piece',
  g: 'bag',
  pieces: 'piece',
};

/** What finishing takes besides the thread that is already on the list. */
function finishingThings(
  reaches: readonly Reach[],
  finishing: readonly FinishMaterial[],
  shop: ShopStock | null,
  units: UnitSystem,
  basket: Basket,
): ShoppingRow[] {
  return finishing
    .filter(({ thread }) => !thread || !reaches.some((reach) => isOf(reach, thread)))
    .map((material): ShoppingRow => {
      const { name, goods, unit, quantity } = material;
      const [width, height] = material.sizeMm ?? [0, 0];
      const isOwned = goods !== null && material.sizeMm !== null && backingFor(basket, goods, width, height) !== null;
      const toBuy = isOwned ? 0 : unit === 'pieces' ? quantity : 1;
      const words = materialInWords(material, units);
      const row = { kind: 'finishing', name, detail: words, unit: BOUGHT_AS[unit], hex: null } as const;
      return goodsRow(row, toBuy, isOwned, goods, shop);
    });
}

/** A shade by its range and code; a person's own card goes without its inner name. */
function detailOf({ range, code }: ShadeRef, thread: ThreadId): string {
  return say.shadeDetail(shippedRange(range)?.name ?? null, code, threadKind(thread).inSentence);
}

/** Price, lot and days of a number of skeins: all from one lot where one has enough. */
function terms(
  skeins: number,
  sold: ShopThread | undefined,
  isHeard: boolean,
): Pick<ShoppingRow, 'price' | 'lot' | 'days' | 'trouble'> {
  if (skeins === 0) return { price: 0, lot: null, days: null, trouble: null };
  if (!sold) return { price: null, lot: null, days: null, trouble: isHeard ? 'not-sold' : null };
  const { price, days } = sold;
  const one = [...sold.lots].sort((a, b) => a.skeins - b.skeins).find((lot) => lot.skeins >= skeins);
  if (one) return { price: price * skeins, lot: one.lot, days, trouble: null };
  const inAll = sold.lots.reduce((sum, lot) => sum + lot.skeins, 0);
  if (inAll < skeins) return { price: price * skeins, lot: null, days: null, trouble: 'out-of-stock' };
  return { price: price * skeins, lot: sold.lots.map(({ lot }) => lot).join(' + '), days, trouble: 'two-lots' };
}

function otherThings(
  piece: Piece,
  plan: Plan,
  shop: ShopStock | null,
  units: UnitSystem,
  basket: Basket,
  clothMm: NonNullable<Besides['clothMm']> | null,
): ShoppingRow[] {
  const rows: ShoppingRow[] = [];
  const put = (
    id: string,
    kind: ShopGoods['kind'],
    name: string,
    detail: string,
    unit: string,
    isOwned: boolean,
  ): void => {
    const hex = kind === 'cloth' ? piece.cloth.colour : null;
    rows.push(goodsRow({ kind, name, detail, unit, hex }, isOwned ? 0 : 1, isOwned, id, shop));
  };
  const cloth = clothOf(piece.cloth.kind);
  const cm = (mm: number): string =>
    units === 'inch' ? `${formatNumber(mm / 25.4, 1)} in` : `${formatNumber(Math.ceil(mm / 10))} cm`;
  if (piece.hoop) {
    const needs = hoopNeeds(piece.hoop, spreadOfPositions(piece));
    const [across, upright] = [
      Math.max(needs.clothAcrossMm, clothMm?.[0] ?? 0),
      Math.max(needs.clothUprightMm, clothMm?.[1] ?? 0),
    ];
    const cut = `${cm(across)} × ${cm(upright)}`;
    const left = clothFor(basket, cloth.id, across, upright);
    // What is stitched on a shirt or a napkin needs no cloth.
    if (!isMade(endOf(piece))) put(`cloth-${cloth.id}`, 'cloth', cloth.name, cut, 'piece', left !== null);
    const size = hoopSizeText(piece.hoop, units);
    put(
      `hoop-${piece.hoop.nominalMm}`,
      'hoop',
      'Hoop',
      piece.hoop.bound ? say.boundHoop(size) : size,
      'hoop',
      ownsHoop(basket, piece.hoop),
    );
    const others = piece.positions
      .map((place) => hoopAt(piece.hoop!, place))
      .filter(({ nominalMm }) => nominalMm !== piece.hoop!.nominalMm);
    for (const other of new Map(others.map((one) => [one.nominalMm, one])).values()) {
      put(`hoop-${other.nominalMm}`, 'hoop', 'Hoop', hoopSizeText(other, units), 'hoop', ownsHoop(basket, other));
    }
    if (piece.hoop.bound) put('tape', 'tape', 'Binding tape', cm(needs.tapeMm), 'roll', false);
  }
  const needles = new Map(
    plan.parts.flatMap(({ passes }) =>
      passes.flatMap(({ needles: taken }) =>
        taken.map((needle): [string, Needle] => [`needle-${needle.family}-${needle.size}`, needle]),
      ),
    ),
  );
  for (const [id, needle] of needles) {
    const name = `${NEEDLE_NAMES[needle.family]} ${needle.size}`;
    put(id, 'needle', 'Needles', name, 'packet', ownsNeedle(basket, needle));
  }
  const mark = markOf(piece.mark);
  put(`mark-${mark.id}`, 'mark', mark.name, 'to mark the cloth', 'piece', ownsMark(basket, mark.id));
  const behind = behindCloth(piece, plan);
  if (behind.sizeMm) {
    const [across, upright] = behind.sizeMm;
    put('backing', 'backing', behind.stabiliser.name, say.behindSize(cm(across), cm(upright)), 'piece', false);
  }
  return rows;
}

/** What it all costs, and what is not known. */
export interface Costs {
  readonly threads: number;
  readonly others: number;
  readonly hours: number;
  readonly work: number;
  readonly all: number;
  /** Things of which no price is known. */
  readonly unknown: number;
}

/** @param perHour what the person asks for an hour */
export function costsOf(rows: readonly ShoppingRow[], plan: Plan, perHour: number): Costs {
  const sum = (isMeant: (row: ShoppingRow) => boolean): number =>
    rows.reduce((total, row) => total + (isMeant(row) ? (row.price ?? 0) : 0), 0);
  const [threads, others] = [sum(({ kind }) => kind === 'thread'), sum(({ kind }) => kind !== 'thread')];
  const hours = plan.totals.hours.p50;
  const work = hours * perHour;
  const unknown = rows.filter(({ price, toBuy }) => price === null && toBuy > 0).length;
  return { threads, others, hours, work, all: threads + others + work, unknown };
}

const TROUBLE = {
  'out-of-stock': 'out of stock',
  'two-lots': 'only from two lots',
  'not-sold': 'not sold there',
} as const;

/** What stands against a row, in words; empty: nothing. */
export function troubleWords({ trouble }: ShoppingRow): string {
  return trouble === null ? '' : TROUBLE[trouble];
}

export function shoppingCsv(rows: readonly ShoppingRow[], coin: string): string {
  return `${Papa.unparse(
    rows
      .filter(({ toBuy }) => toBuy > 0)
      .map((row) => ({
        what: row.name,
        detail: row.detail,
        needed: row.needed,
        owned: row.owned,
        buy: row.toBuy,
        unit: row.unit,
        lot: row.lot ?? '',
        days: row.days ?? '',
        [`price ${coin}`]: row.price === null ? '' : row.price.toFixed(2),
        note: troubleWords(row),
      })),
    { escapeFormulae: true },
  )}\n`;
}

/** The list as pages to print, to be ticked off. */
export function shoppingPages(piece: Piece, rows: readonly ShoppingRow[], coin: string): Page[] {
  const lines = rows
    .filter(({ toBuy }) => toBuy > 0)
    .map((row) => [
      plural(row.toBuy, row.unit),
      row.name,
      row.kind === 'thread' ? row.detail : row.needed,
      [row.lot ? say.dyeLot(row.lot) : '', troubleWords(row)].filter(Boolean).join(', '),
      row.price === null ? '' : formatMoney(row.price, coin),
    ]);
  return textPages(say.toBuyFor(piece.name), [0, 26, 84, 140, 165], lines, { boxes: true });
}
