import { describe, expect, it } from 'vitest';
import { deltaE, labOf } from '../../colour/index.ts';
import { seededRandom, type Random } from '../../measure/index.ts';
import Papa from 'papaparse';
import { isSameShade, THRUMWICK } from '../ranges.ts';
import { THREAD_KINDS, threadKind } from '../threads.ts';
import {
  boxProblem,
  boxSchema,
  EMPTY_BOX,
  entrySchema,
  freeM,
  metresOf,
  MOST_ENTRIES,
  joinList,
  newEntry,
  ownedM,
  readCsv,
  readGpl,
  weighed,
  writeCsv,
  writeGpl,
  type BoxEntry,
  type OwnCard,
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
      note: i % 7 ? '' : anyText(random).trim(),
      place: i % 3 ? 'tin' : '',
      price: i % 4 ? null : 1.25,
      handDyed: i % 6 === 0,
    });
  });
}

/** The same colour, a little otherwise. */
function nudged(hex: string): string {
  const blue = Number.parseInt(hex.slice(5), 16);
  return hex.slice(0, 5) + (blue > 128 ? blue - 3 : blue + 3).toString(16).padStart(2, '0');
}

/** A list as someone may have written it, and what it says. */
function badHabits(random: Random): { text: string; rows: { code: string; place: string; skeins: number }[] } {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random.next() * list.length)]!;
  const separator = pick([',', ';', '\t']);
  const ends = pick([['\n'], ['\r\n'], ['\r'], ['\r\n', '\n']]);
  const places = ['tin', '"A" drawer', 'the 5" box', 'shelf "B"', '', '"quoted"', 'near; far', 'one, two'];
  const amounts = [
    ['2', 2],
    ['½', 0.5],
    ['1,5', 1.5],
    ['ca. 3', 3],
    ['2 1/2', 2.5],
  ] as const;
  const rows = Array.from({ length: 3 + Math.floor(random.next() * 30) }, (_, i) => {
    const place = pick(places);
    const [cell, skeins] = pick(amounts);
    return { code: `c${i}`, place, cell, skeins };
  });
  // Whoever leaves a quote as it is leaves the separator out of that cell, or nobody could tell.
  const cellOf = (value: string): string => {
    if (value.includes(separator)) return `"${value.replaceAll('"', '""')}"`;
    if (!value.includes('"')) return random.next() < 0.3 ? `"${value}"` : value;
    // A cell that stands in quotes as a whole would lose them: that one is written as tables write it.
    const isWhole = value.startsWith('"') && value.endsWith('"');
    return isWhole || random.next() < 0.4 ? `"${value.replaceAll('"', '""')}"` : value;
  };
  const lines = [
    ['code', 'hex', 'skeins', 'place'].join(separator),
    ...rows.map(({ code, cell, place }) => [code, '#aabbcc', cellOf(cell), cellOf(place)].join(separator)),
  ];
  const text = lines.map((line, i) => line + (i === 0 ? ends[0]! : pick(ends))).join('');
  return { text: (random.next() < 0.5 ? '\uFEFF' : '') + text, rows };
}

const rows = (text: string) => {
  const read = readCsv(text, { name: 'My card' });
  if (!read.ok) throw new Error(read.problem);
  return read.value;
};

describe('CSV', () => {
  it.each([1, 2, 3])('comes back as it was written, formulae disarmed (seed %i)', (seed) => {
    const entries = someEntries(seed);
    const text = writeCsv(entries);
    const cells = Papa.parse<string[]>(text.trim()).data.flat();
    expect(cells.filter((cell) => /^\s*[=@+-]/.test(cell))).toEqual([]);
    const back = rows(text).rows.map(({ entry }) => ({ ...entry, id: '' }));
    expect(back).toEqual(entries.map((entry) => ({ ...entry, id: '' })));
    entries.forEach((entry) => expect(entrySchema.safeParse(entry).success).toBe(true));
  });

  it('is read with other separators, other words for columns, and Lab in place of hex', () => {
    const { rows: read, hasAmounts } = rows('Number;Shade;L;a;b;Meters\n77;Sea;52,4;-10;-20;4,5\n78;Sand;80;3;18;\n');
    expect(read).toHaveLength(2);
    expect(hasAmounts).toBe(true);
    expect(metresOf(read[0]!.entry)).toBeCloseTo(4.5, 6);
    expect(deltaE(labOf(read[0]!.entry.shade.hex), { mode: 'lab65', l: 52.4, a: -10, b: -20 })).toBeLessThan(0.6);
  });

  it('draws in colours that no screen shows', () => {
    expect(rows('code,L,a,b\nx,50,-120,120').rows[0]!.entry.shade.hex).toMatch(/^#[0-9a-f]{6}$/);
  });

  it('accounts for every row: what is left out is named with its line and why', () => {
    const { rows: read, leftOut } = rows(
      'code,hex,metres\na1,#aabbcc,1\n,#ffffff,1\n\nb2,plum?,1\nc3,#010203,lots\nd4,#445566,3\ne5,#445566,3,"x',
    );
    expect(read.map(({ entry }) => entry.shade.code)).toEqual(['a1', 'c3', 'd4']);
    expect(leftOut.map(({ line, why }) => [line, why])).toEqual([
      [3, 'without a code or name'],
      [5, 'without a colour that can be read'],
      [8, 'with more cells than there are headings: check its quotes and separators'],
    ]);
    expect(read[1]!.notes.join()).toContain('“lots”');
    expect([read[1]!.entry.whole, read[1]!.entry.partM]).toEqual([0, 0]);
  });

  it.each([
    ['½', 0.5],
    ['1/2', 0.5],
    ['2 1/2', 2.5],
    ['2½', 2.5],
    ['1,5', 1.5],
    ['1.5', 1.5],
    ['ca. 2', 2],
    ['~ 2', 2],
    ['about 3 skeins', 3],
    ['2 x 8 m', 2],
    ['8 m', 1],
    ['400 cm', 0.5],
    ['', 0],
    ['-', 0],
    // What could be two things is left open, and told.
    ['1 of 3', null],
    ['1,250', null],
    ['12 (2 open)', null],
    ['1/0', null],
    ['-2', null],
    ['three', null],
  ])('reads “%s” skeins right, or leaves it open and says so', (cell, skeins) => {
    const [row] = rows(`code;hex;skeins\nx;#aabbcc;"${cell}"`).rows;
    expect(metresOf(row!.entry) / threadKind('stranded-cotton').putUpM).toBeCloseTo(skeins ?? 0, 9);
    expect(row!.notes.length > 0).toBe(skeins === null);
  });

  it('asks where skeins and metres can’t both be right, and takes the rest as people mean it', () => {
    const read = rows('code,hex,skeins,metres\na,#aabbcc,2,16\nb,#aabbcc,2,3\nc,#aabbcc,0,20\nd,#aabbcc,2,40').rows;
    expect(read.map(({ entry, doubt }) => [metresOf(entry), doubt !== null])).toEqual([
      [16, false],
      [19, false],
      [20, false],
      [16, true],
    ]);
    const joined = joinList([], read, { owned: 'add', doubtful: 'metres' }, () => 'x');
    expect(joined.entries.map(metresOf)).toContain(40);
  });

  it('takes a row with card and code as that shade, in whatever letters, also when its hex differs a little', () => {
    const [shade, other] = THRUMWICK.shades;
    const code = shade!.code.toUpperCase();
    const read = rows(
      `card,code,hex,skeins\nTHRUMWICK,${code},${nudged(shade!.hex)},1\nthrumwick,${other!.code},,2\nThrumwick,${code},#00ff00,1`,
    );
    expect(read.rows.map(({ entry }) => isSameShade(entry.shade, shade!))).toEqual([true, false, true]);
    expect(isSameShade(read.rows[1]!.entry.shade, other!)).toBe(true);
    expect(read.rows.map(({ notes }) => notes.length)).toEqual([0, 0, 1]);
    expect(ownedM({ ...EMPTY_BOX, entries: read.rows.map(({ entry }) => entry) }, shade!, 'stranded-cotton')).toBe(16);
  });

  it('names columns that nobody knows, and takes them as they are matched; notes are kept', () => {
    const text = 'code,hex,Quantity,Bought at,Notes\na,#aabbcc,2,The fair,"for ""Moth"""';
    expect(rows(text).unknown).toEqual(['Quantity', 'Bought at']);
    expect(rows(text).rows[0]!.entry.note).toBe('for "Moth"');
    const read = readCsv(text, { name: 'x', matched: { Quantity: 'whole', 'Bought at': 'place' } });
    expect(read.ok && read.value.rows[0]!.entry).toMatchObject({ whole: 2, place: 'The fair' });
    expect(read.ok && read.value.unknown).toEqual([]);
  });

  it('says of each row what becomes of it: the same shade in two places is two amounts, a list read twice adds nothing', () => {
    const text =
      'code,hex,skeins,place,note\na,#aabbcc,1,tin,\na,#aabbcc,2,drawer,\na,#aabbcc,3,tin,\nb,#aabbcc,1,,gift\nc,?,1,,';
    const { rows: read, leftOut } = rows(text);
    let n = 0;
    const first = joinList([], read, { owned: 'add', doubtful: 'skeins' }, () => `e${n++}`);
    expect(first.rows.map(({ became }) => became)).toEqual(['added', 'added', 'joined', 'added']);
    expect(first.rows.length + leftOut.length).toBe(5);
    expect(first.entries.map(({ whole, place }) => [whole, place])).toEqual([
      [4, 'tin'],
      [2, 'drawer'],
      [1, ''],
    ]);
    const own = readCsv(writeCsv(first.entries), { name: 'My card' });
    const again = joinList(
      first.entries,
      own.ok ? own.value.rows : [],
      { owned: 'add', doubtful: 'skeins' },
      () => 'x',
    );
    expect(again.rows.map(({ became }) => became)).toEqual(['same', 'same', 'same']);
    expect(again.entries).toEqual(first.entries);
    const replaced = joinList(first.entries, read, { owned: 'replace', doubtful: 'skeins' }, () => 'x');
    expect(replaced.entries.map(({ whole }) => whole)).toEqual([4, 2, 1]);
  });

  it.each([1, 2, 3, 4, 5, 6])('of any hand: quotes, line ends and separators swallow no row (seed %i)', (seed) => {
    for (let n = 0; n < 60; n++) {
      const { text, rows: written } = badHabits(seededRandom(seed * 1000 + n));
      const read = readCsv(text, { name: 'x' });
      if (!read.ok) throw new Error(`${read.problem}\n${text}`);
      const lines = [...read.value.rows, ...read.value.leftOut].map(({ line }) => line).sort((a, b) => a - b);
      expect(lines, text).toHaveLength(written.length);
      expect(new Set(lines).size).toBe(written.length);
      const byCode = new Map(read.value.rows.map(({ entry }) => [entry.shade.code, entry]));
      for (const { code, place, skeins } of written) {
        expect(byCode.get(code)?.place, text).toBe(place);
        expect(metresOf(byCode.get(code)!)).toBeCloseTo(8 * skeins, 6);
      }
    }
  });

  it.each([
    ['', /no row/],
    ['code,hex', /no row/],
    ['a,b\n1,2', /headed “code”/],
    ['code,name\n1,2', /gives a colour/],
    ['code,hex\nx,bl\uFFFDu', /UTF-8/],
    [`code,hex\n${'x,#aabbcc\n'.repeat(100_000)}`, /100,000 rows/],
  ])('says what is wrong with %.20j', (text, problem) => {
    const read = readCsv(text, { name: 'x' });
    expect(read.ok ? '' : read.problem).toMatch(problem);
  });
});

describe('GPL palettes', () => {
  it('come back as they were written', () => {
    const shades = THRUMWICK.shades.slice(0, 50);
    const read = readGpl(writeGpl('Thrumwick', shades), 'file');
    if (!read.ok) throw new Error(read.problem);
    expect(read.value.shades).toEqual(shades.map(({ code, name, hex }) => ({ range: 'Thrumwick', code, name, hex })));
  });

  it('of names with line breaks and control characters are read again, a shade a line', () => {
    const shades = [
      { range: 'r', code: 'c1\u0000', name: 'Two\nlines\r\tand\u0007 more', hex: '#112233' },
      { range: 'r', code: 'c2', name: '\ud83e half', hex: '#445566' },
    ];
    const read = readGpl(writeGpl('Na\nme', shades), 'x');
    expect(read.ok && read.value.shades.map(({ name, code, hex }) => [name, code, hex])).toEqual([
      ['Two lines and more', 'c1', '#112233'],
      ['half', 'c2', '#445566'],
    ]);
  });

  it('of others are read too, and what is none is refused', () => {
    const read = readGpl('GIMP Palette\nName: Sea\nColumns: 4\n# a note\n 12  34 56 Deep\n300 1 1 no\n1 2 3\n', 'sea');
    expect(read).toMatchObject({
      ok: true,
      value: { shades: [{ hex: '#0c2238', name: 'Deep' }, { hex: '#010203' }] },
    });
    expect(readGpl('hello', 'x').ok).toBe(false);
    expect(readGpl('GIMP Palette\n', 'x').ok).toBe(false);
  });
});

describe('amounts', () => {
  const cotton = threadKind('stranded-cotton');

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
    const entry: BoxEntry = {
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
    const read = readCsv(`name,code,hex,skeins,price\n${rows.join('\n')}\n`, { name: 'list' });
    if (!read.ok) throw new Error(read.problem);
    const { rows: good, leftOut } = read.value;
    // A figure that is none is left open; one that no box has leaves the row out.
    expect(good.map(({ entry, notes }) => [entry.shade.name, notes.length])).toEqual([
      ['Blue', 1],
      ['Red', 1],
      ['White', 0],
    ]);
    expect(leftOut.map(({ line }) => line)).toEqual([4, 5]);
    expect(boxProblem({ ...EMPTY_BOX, entries: good.map(({ entry }) => entry) }, EMPTY_BOX)).toBeNull();
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
    const card: OwnCard = { id: 'k', name: 'Card', thread: 'stranded-cotton', shades: [entry.shade] };
    const cards = Array.from({ length: 41 }, (_, i) => ({ ...card, id: `k${i}` }));
    expect(boxProblem({ ...EMPTY_BOX, cards }, EMPTY_BOX)).toMatch(/up to 40 shade cards/);
    const wide = { ...card, shades: Array.from({ length: 5001 }, () => entry.shade) };
    expect(boxProblem({ ...EMPTY_BOX, cards: [wide] }, EMPTY_BOX)).toMatch(/up to 5,000 shades/);
    expect(boxProblem({ ...EMPTY_BOX, entries: [bad] }, { ...EMPTY_BOX, entries: [bad] })).toBeNull();
  });
});
