import { describe, expect, it } from 'vitest';
import { deltaE, labOf } from '../../colour/index.ts';
import { seededRandom, type Random } from '../../measure/index.ts';
import Papa from 'papaparse';
import { THRUMWICK } from '../ranges.ts';
import { THREAD_KINDS, threadKind } from '../threads.ts';
import {
  boxProblem,
  boxSchema,
  EMPTY_BOX,
  entrySchema,
  freeM,
  metresOf,
  MOST_ENTRIES,
  newEntry,
  ownedM,
  readCsv,
  readGpl,
  weighed,
  writeCsv,
  writeGpl,
  type BoxEntry,
} from './index.ts';

/** Text of the signs that tables trip over. */
function anyText(random: Random): string {
  const signs = [...`'=+-@"',; \t\na`];
  return Array.from(
    { length: 1 + Math.floor(random.next() * 5) },
    () => signs[Math.floor(random.next() * signs.length)]!,
  ).join('');
}

function someEntries(seed: number, count = 40): BoxEntry[] {
  const random = seededRandom(seed);
  return Array.from({ length: count }, (_, i) => {
    const { lab: _lab, ...shade } = THRUMWICK.shades[(i * 7) % THRUMWICK.shades.length]!;
    return newEntry({
      id: `read-${i}`,
      shade: { ...shade, name: i % 5 === 0 ? `=${shade.name}; "so", called` : anyText(random) },
      thread: THREAD_KINDS[i % 3 === 0 ? 0 : i % THREAD_KINDS.length]!.id,
      lot: i % 2 ? `L${i}` : '',
      whole: Math.floor(random.next() * 4),
      partM: Math.round(random.next() * 700) / 100,
      place: i % 3 ? 'tin' : '',
      price: i % 4 ? null : 1.25,
      handDyed: i % 6 === 0,
    });
  });
}

const rows = (text: string) => {
  const read = readCsv(text, 'My card');
  if (!read.ok) throw new Error(read.problem);
  return read.value;
};

describe('CSV', () => {
  it.each([1, 2, 3])('comes back as it was written, formulae disarmed (seed %i)', (seed) => {
    const entries = someEntries(seed);
    const text = writeCsv(entries);
    const cells = Papa.parse<string[]>(text.trim()).data.flat();
    expect(cells.filter((cell) => /^\s*[=@+-]/.test(cell))).toEqual([]);
    const back = rows(text).entries;
    expect(back).toEqual(entries);
    back.forEach((entry) => expect(entrySchema.safeParse(entry).success).toBe(true));
  });

  it('is read with other separators, other words for columns, and Lab in place of hex', () => {
    const { entries, hasAmounts } = rows('Number;Shade;L;a;b;Meters\n77;Sea;52,4;-10;-20;4,5\n78;Sand;80;3;18;\n');
    expect(entries).toHaveLength(2);
    expect(hasAmounts).toBe(true);
    expect(metresOf(entries[0]!)).toBeCloseTo(4.5, 6);
    expect(deltaE(labOf(entries[0]!.shade.hex), { mode: 'lab65', l: 52.4, a: -10, b: -20 })).toBeLessThan(0.6);
  });

  it('draws in colours that no screen shows', () => {
    expect(rows('code,L,a,b\nx,50,-120,120').entries[0]!.shade.hex).toMatch(/^#[0-9a-f]{6}$/);
  });

  it('names rows that make no sense, and keeps the others', () => {
    const { entries, notes } = rows(
      'code,hex,metres\na1,#aabbcc,1\na1,#aabbcd,2\n,#ffffff,1\nb2,plum?,1\nc3,#010203,lots\nd4,#445566,3',
    );
    expect(entries.map(({ shade }) => shade.code)).toEqual(['a1', 'd4']);
    expect(notes.join(' ')).toMatch(/twice.*row 3/);
    expect(notes.join(' ')).toMatch(/without a code.*row 4/);
    expect(notes.join(' ')).toMatch(/colour that can be read.*row 5/);
    expect(notes.join(' ')).toMatch(/not a number.*row 6/);
  });

  it.each([
    ['', /no row/],
    ['code,hex', /no row/],
    ['a,b\n1,2', /headed “code”/],
    ['code,name\n1,2', /gives a colour/],
    ['code,hex\nx,bl\uFFFDu', /UTF-8/],
    [`code,hex\n${'x,#aabbcc\n'.repeat(100_000)}`, /100,000 rows/],
  ])('says what is wrong with %.20j', (text, problem) => {
    const read = readCsv(text, 'x');
    expect(read.ok ? '' : read.problem).toMatch(problem);
  });
});

describe('GPL palettes', () => {
  it('come back as they were written', () => {
    const shades = THRUMWICK.shades.slice(0, 50);
    const read = readGpl(writeGpl('Thrumwick', shades), 'file');
    if (!read.ok) throw new Error(read.problem);
    expect(read.value.entries.map(({ shade }) => shade)).toEqual(
      shades.map(({ code, name, hex }) => ({ range: 'Thrumwick', code, name, hex })),
    );
  });

  it('of names with line breaks and control characters are read again, a shade a line', () => {
    const shades = [
      { range: 'r', code: 'c1\u0000', name: 'Two\nlines\r\tand\u0007 more', hex: '#112233' },
      { range: 'r', code: 'c2', name: '\ud83e half', hex: '#445566' },
    ];
    const read = readGpl(writeGpl('Na\nme', shades), 'x');
    expect(read.ok && read.value.entries.map(({ shade }) => [shade.name, shade.code, shade.hex])).toEqual([
      ['Two lines and more', 'c1', '#112233'],
      ['half', 'c2', '#445566'],
    ]);
  });

  it('of others are read too, and what is none is refused', () => {
    const read = readGpl('GIMP Palette\nName: Sea\nColumns: 4\n# a note\n 12  34 56 Deep\n300 1 1 no\n1 2 3\n', 'sea');
    expect(read).toMatchObject({
      ok: true,
      value: { entries: [{ shade: { hex: '#0c2238', name: 'Deep' } }, { shade: { hex: '#010203' } }] },
    });
    expect(readGpl('hello', 'x').ok).toBe(false);
    expect(readGpl('GIMP Palette\n', 'x').ok).toBe(false);
  });
});

describe('amounts', () => {
  const cotton = threadKind('stranded-cotton')!;

  it('a whole skein weighs 1.44 g, and a tenth of a gram is a quarter of a metre of six either way', () => {
    const read = weighed(cotton, 1.44, 0, 0.1);
    expect(read.ok && read.value.metres).toBeCloseTo(8, 6);
    expect(read.ok && read.value.plusMinusM).toBeCloseTo(0.28, 2);
    const onBobbin = weighed(cotton, 4.44, 3, 0.1);
    expect(onBobbin.ok && onBobbin.value.metres).toBeCloseTo(8, 6);
    expect(onBobbin.ok && read.ok && onBobbin.value.plusMinusM).toBeGreaterThan(read.ok ? read.value.plusMinusM : 0);
  });

  it('lighter than its bobbin is asked about; as light as the scale can tell is nothing', () => {
    expect(weighed(cotton, 2.5, 3, 0.1).ok).toBe(false);
    expect(weighed(cotton, 2.98, 3, 0.1)).toMatchObject({ ok: true, value: { metres: 0 } });
    expect(weighed(cotton, Number.NaN, 0, 0.1).ok).toBe(false);
  });

  it('what is kept for one piece is not free for another', () => {
    const [first] = someEntries(1, 1);
    const entry = {
      ...first!,
      thread: 'stranded-cotton',
      whole: 1,
      partM: 2,
      lot: 'a',
      reserved: [{ piece: 'p', name: 'P', metres: 9 }],
    };
    expect(freeM(entry, 'p')).toBe(10);
    expect(freeM(entry, 'q')).toBe(1);
    const box = { ...EMPTY_BOX, entries: [entry, { ...entry, id: 'x', lot: 'b', reserved: [] }] };
    expect(boxSchema.safeParse(box).success).toBe(true);
    expect(ownedM(box, entry.shade, 'stranded-cotton', 'q')).toBe(11);
    expect(ownedM(box, entry.shade, 'stranded-cotton', 'q', 'b')).toBe(10);
    expect(ownedM(box, entry.shade, 'stranded-silk')).toBe(0);
  });
});

describe('what a list gives', () => {
  it('is what can be kept: rows out of bounds are left out and named', () => {
    const rows = [
      'Blue,b1,#0000aa,1,-1',
      'Red,r1,#aa0000,-2,3',
      'Green,g1,#00aa00,1,200000',
      'Gold,o1,#aa8800,99999,1',
      'White,w1,#ffffff,2,1.5',
    ];
    const read = readCsv(`name,code,hex,skeins,price\n${rows.join('\n')}\n`, 'list');
    if (!read.ok) throw new Error(read.problem);
    expect(read.value.entries.map(({ shade }) => shade.name)).toEqual(['White']);
    expect(read.value.notes.join(' ')).toMatch(/rows 2 and 4.*rows 3 and 5/);
    expect(boxProblem({ ...EMPTY_BOX, entries: [...read.value.entries] }, EMPTY_BOX)).toBeNull();
  });

  it('is refused where a box would be more than can be read again, and what it shares with a sound one is not asked', () => {
    const entry = newEntry({
      id: 'e',
      shade: { range: 'r', code: 'c', name: 'Sea', hex: '#123456' },
      thread: 'stranded-cotton',
    });
    const many = Array.from({ length: MOST_ENTRIES + 1 }, (_, i) => ({ ...entry, id: `e${i}` }));
    expect(boxProblem({ ...EMPTY_BOX, entries: many }, EMPTY_BOX)).toMatch(/up to 20,000/);
    const bad = { ...entry, whole: -1 };
    expect(boxProblem({ ...EMPTY_BOX, entries: [bad] }, EMPTY_BOX)).toMatch(/“Sea”.*amount/);
    const card = { id: 'k', name: 'Card', thread: 'stranded-cotton', shades: [entry.shade] };
    const cards = Array.from({ length: 41 }, (_, i) => ({ ...card, id: `k${i}` }));
    expect(boxProblem({ ...EMPTY_BOX, cards }, EMPTY_BOX)).toMatch(/up to 40 shade cards/);
    const wide = { ...card, shades: Array.from({ length: 5001 }, () => entry.shade) };
    expect(boxProblem({ ...EMPTY_BOX, cards: [wide] }, EMPTY_BOX)).toMatch(/up to 5,000 shades/);
    expect(boxProblem({ ...EMPTY_BOX, entries: [bad] }, { ...EMPTY_BOX, entries: [bad] })).toBeNull();
  });
});
