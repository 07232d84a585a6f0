/** What a cell says of how much there is; null: it does not say. */
export interface Amount {
  readonly skeins: number | null;
  /** All of it, or what is left of a skein begun. */
  readonly metres: number | null;
}

const SIGNS: Readonly<Record<string, number>> = {
  '½': 1 / 2,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
};
const SIGN = `[${Object.keys(SIGNS).join('')}]`;
const NUMBER = String.raw`\d+\s+\d+\s*/\s*\d+|\d+\s*/\s*\d+|\d*\s*${SIGN}|\d+(?:[.,]\d+)?|[.,]\d+`;
/** Metres in one of each; null: they are skeins. */
const UNITS: readonly (readonly [names: RegExp, metres: number | null])[] = [
  [/^(m|mtr|metres?|meters?)\.?$/, 1],
  [/^(cm|centimetres?|centimeters?)\.?$/, 0.01],
  [/^(yd|yds|yards?)\.?$/, 0.9144],
  [/^(sk|skeins?|hanks?|balls?|bobbins?|reels?|spools?|cards?|pcs|pieces?)\.?$/, null],
];
const ABOUT = /^(ca|c|circa|about|approx|approximately|around|roughly)\b\.?\s*|^[~≈]\s*/;
const ONE = new RegExp(String.raw`^(${NUMBER})\s*([a-z]+\.?)?$`);
const TIMES = new RegExp(String.raw`^(${NUMBER})\s*([a-z]{2,}\.?)?\s*[x×*]\s*(${NUMBER})\s*([a-z]+\.?)$`);

/**
 * An amount as people write it: ½, 2 1/2, 1,5, ca. 2, 8 m, 2 x 8 m.
 * @param column what a number without a unit counts
 * @returns null where it says nothing; undefined where it can't be read for sure: nothing is guessed
 */
export function readAmount(cell: string, column: keyof Amount): Amount | null | undefined {
  const text = cell.trim().toLowerCase();
  if (text === '' || text === '-' || text === '–') return null;
  const plain = text.replace(ABOUT, '');
  const times = TIMES.exec(plain);
  if (times) {
    const [count, each] = [numberIn(times[1]!), numberIn(times[3]!)];
    const metres = unitOf(times[4]);
    const isCount = times[2] === undefined || unitOf(times[2]) === null;
    if (count === undefined || each === undefined || !isCount || typeof metres !== 'number') return undefined;
    return { skeins: null, metres: count * each * metres };
  }
  const one = ONE.exec(plain);
  const value = one ? numberIn(one[1]!) : undefined;
  const unit = one?.[2] === undefined ? (column === 'metres' ? 1 : null) : unitOf(one[2]);
  if (value === undefined || unit === undefined) return undefined;
  return unit === null ? { skeins: value, metres: null } : { skeins: null, metres: value * unit };
}

/** Metres in a unit; null: it counts skeins; undefined: no unit that is known. */
function unitOf(text: string | undefined): number | null | undefined {
  return UNITS.find(([names]) => names.test(text ?? ''))?.[1];
}

/** A number, fraction or both together; undefined where it could be two numbers: 1,250 and 1.250 are not the same everywhere. */
function numberIn(text: string): number | undefined {
  const [, whole, over, under] = /^(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)$/.exec(text) ?? [];
  if (over !== undefined) return Number(under) > 0 ? Number(whole ?? 0) + Number(over) / Number(under) : undefined;
  const sign = SIGNS[text.at(-1)!];
  if (sign !== undefined) return Number(text.slice(0, -1).trim() || 0) + sign;
  if (/[.,]\d{3}$/.test(text)) return undefined;
  return Number(text.replace(',', '.'));
}

const COIN = /[€$£¥]|\b(eur|usd|gbp|chf|kr)\b/gi;

/** A price as people write it, with or without its coin; null: none is said; undefined: it can't be read for sure. */
export function readPrice(cell: string): number | null | undefined {
  const text = cell.replace(COIN, '').trim();
  if (text === '' || text === '-') return null;
  // With two signs the last is the decimal sign.
  if (/^\d{1,3}([.,]\d{3})+[.,]\d{1,2}$/.test(text)) {
    const digits = text.replace(/[.,]/g, '');
    const decimals = text.length - 1 - Math.max(text.lastIndexOf('.'), text.lastIndexOf(','));
    return Number(digits) / 10 ** decimals;
  }
  return /^(\d+([.,]\d+)?|[.,]\d+)$/.test(text) ? numberIn(text) : undefined;
}
