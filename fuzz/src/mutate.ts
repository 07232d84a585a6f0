import type { Random } from '@junctura/core/measure';

/** Numbers that programs trip over. */
const ODD_NUMBERS = ['0', '-0', '-1', '1e9', '1e-9', '-547280', '1e400', 'NaN', '999999', '0.00001', '600', '3.14159'];
/** Texts that programs trip over: empty, long, of other scripts, with halves of letters and signs that end a line or a field. */
const ODD_TEXTS = [
  '',
  ' ',
  '\u0000',
  '\ud83e',
  '\u202e',
  'ß“’',
  '=1+1',
  "'",
  '"',
  '\n',
  ',',
  '&amp;',
  '<',
  'x'.repeat(400),
  'Ω山🧵',
];

export function pick<T>(random: Random, items: readonly T[]): T {
  return items[Math.floor(random.next() * items.length)]!;
}

function place(random: Random, length: number): number {
  return Math.floor(random.next() * (length + 1));
}

/** A text with some of it gone, doubled, moved or replaced: one to six changes. */
export function mutatedText(random: Random, text: string): string {
  let now = text;
  for (let left = 1 + Math.floor(random.next() * 6); left > 0; left--) now = mutatedOnce(random, now);
  return now;
}

function mutatedOnce(random: Random, text: string): string {
  const from = place(random, text.length);
  const to = Math.min(text.length, from + Math.floor(random.next() ** 3 * 400));
  switch (Math.floor(random.next() * 9)) {
    case 0:
      return text.slice(0, from) + text.slice(to);
    case 1:
      return text.slice(0, to) + text.slice(from, to).repeat(1 + Math.floor(random.next() * 4)) + text.slice(to);
    case 2:
      return text.slice(0, from) + pick(random, ODD_TEXTS) + text.slice(to);
    case 3:
      return random.next() < 0.2 ? text.slice(0, from) : text;
    default:
      return withOddNumber(random, text);
  }
}

/** One number of a text replaced. */
function withOddNumber(random: Random, text: string): string {
  const numbers = [...text.matchAll(/-?\d+(\.\d+)?/g)];
  if (numbers.length === 0) return text;
  const { index, 0: found } = pick(random, numbers);
  return text.slice(0, index) + pick(random, ODD_NUMBERS) + text.slice(index + found.length);
}

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

/** A value of JSON with something in it replaced, doubled, taken out or turned into another type. */
export function mutatedJson(random: Random, value: Json): Json {
  if (typeof value !== 'object' || value === null || random.next() < 0.06) return oddValue(random, value);
  if (Array.isArray(value)) {
    if (value.length === 0) return [oddValue(random, null)];
    const at = Math.floor(random.next() * value.length);
    if (random.next() < 0.1) return value.toSpliced(at, 1);
    if (random.next() < 0.1) return value.toSpliced(at, 0, value[at]!);
    return value.with(at, mutatedJson(random, value[at]!));
  }
  const keys = Object.keys(value);
  if (keys.length === 0) return { odd: oddValue(random, null) };
  const key = pick(random, keys);
  if (random.next() < 0.05) return Object.fromEntries(Object.entries(value).filter(([name]) => name !== key));
  return { ...value, [key]: mutatedJson(random, value[key]!) };
}

function oddValue(random: Random, value: Json): Json {
  if (typeof value === 'number' && random.next() < 0.7)
    return value * pick(random, [0, -1, 0.001, 1000, 1e6, 1.1, 0.9]);
  if (typeof value === 'string' && random.next() < 0.6) return mutatedText(random, value);
  return pick<Json>(random, [null, true, 0, -1, 1e9, '', 'none', [], {}, ...ODD_TEXTS]);
}
