import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { Planner } from '../../advice/index.ts';
import { readSvg } from '../../drawing/index.ts';
import { finishPlan, finishTools, type FinishPlan } from '../../finish/index.ts';
import { seededRandom } from '../../measure/index.ts';
import { needleName } from '../../order/index.ts';
import { ENDS, plainPass, shownColour, type Piece } from '../../piece/index.ts';
import { restsOn, stitchKind, type StitchId } from '../../stitches/index.ts';
import { DEMO_NAMES, demoPiece, svgPiece } from '../../testing/pieces.ts';
import { readGuide } from '../../testing/readGuide.ts';
import { sittingsOf, type Plan } from '../../thread/index.ts';
import { USUAL_FACTORS } from '../../work/index.ts';
import { SHEETS, type Page, type PageItem } from '../sheets.ts';
import { calloutsFor, type Callout, type Numbered } from './callouts.ts';
import { foldedCuts } from './cutsInWords.ts';
import type { Guide } from './blocks.ts';
import { makeGuide } from './guide.ts';
import { guideHtml } from './guideHtml.ts';
import { widthOf, wrapped } from '../fitting.ts';
import { guidePages } from './guidePages.ts';

const planOf = (piece: Piece): Plan => new Planner().plan(piece, USUAL_FACTORS).plan;

interface Made {
  readonly piece: Piece;
  readonly plan: Plan;
  readonly finish: FinishPlan;
  readonly guide: Guide;
}

function made(piece: Piece, plan = planOf(piece), hand: 'right' | 'left' = 'right'): Made {
  const finish = finishPlan(piece, plan, USUAL_FACTORS);
  return { piece, plan, finish, guide: makeGuide(piece, plan, finish, { hand, units: 'metric' }) };
}

function motif(name: string): Piece {
  const read = readSvg(
    readFileSync(new URL(`../../../../demo/motifs/${name}.svg`, import.meta.url), 'utf8'),
    name,
    name,
  );
  if (!read.ok) throw new Error(read.problem);
  return read.value;
}

const PAGE = { minX: 15, minY: 27, maxX: 195, maxY: 256 };

function overlapping(callouts: readonly Callout[]): number {
  let found = 0;
  const discs = callouts.flatMap((callout) => callout.discs);
  discs.forEach((a, i) => {
    for (const b of discs.slice(i + 1)) if (Math.hypot(a.x - b.x, a.y - b.y) < a.r + b.r) found++;
  });
  return found;
}

describe('callouts', () => {
  it.each([1, 2, 3, 4, 5, 6, 7, 8])('never lie on each other, and all within the page (seed %i)', (seed) => {
    const random = seededRandom(seed);
    const items = Array.from({ length: 10 + seed * 10 }, (_, i): Numbered => ({
      texts: Array.from({ length: 1 + (i % 5) }, (__, k) => String(100 * k + i + 1)),
      x: random.between(30, 180),
      y: random.between(60, 200),
      roomMm: random.next() < 0.5 ? 0 : random.between(0, 12),
    }));
    const { callouts, left } = calloutsFor(items, PAGE);
    expect(overlapping(callouts)).toBe(0);
    expect(callouts.length + left.length).toBe(items.length);
    expect(callouts.length).toBeGreaterThan(items.length / 2);
    for (const { x, y, r } of callouts.flatMap(({ discs }) => discs)) {
      expect(
        Math.min(x - r - PAGE.minX, PAGE.maxX - x - r, y - r - PAGE.minY, PAGE.maxY - y - r),
      ).toBeGreaterThanOrEqual(0);
    }
  });

  it('stand inside what has room, and point at the rest', () => {
    const { callouts } = calloutsFor(
      [
        { texts: ['1', '2'], x: 60, y: 60, roomMm: 8 },
        { texts: ['3'], x: 100, y: 60, roomMm: 1 },
      ],
      PAGE,
    );
    expect(callouts.map(({ discs, line }) => [discs.map(({ text }) => text), line?.slice(2) ?? null])).toEqual([
      [['1', '2'], null],
      [['3'], [100, 60]],
    ]);
  });
});

const MOTIFS = [
  'balloon',
  'bee',
  'boat',
  'butterfly',
  'cat',
  'daisy',
  'fish',
  'house',
  'lighthouse',
  'mushroom',
  'owl',
  'fern',
];

/** What must hold of any guide, read off its page. */
function holds({ piece, plan, finish, guide }: Made): void {
  const html = guideHtml(guide, null);
  const read = readGuide(html);
  const { order } = plan;

  // Every step once, in its order; like parts in a row are one.
  const numbers = read.steps.map(({ number }) => number);
  expect(numbers).toEqual(numbers.map((_, i) => String(i + 1)));
  const layings = read.steps.filter(({ title }) => title.includes('Lay the scrap'));
  const stitchings = read.steps.filter((step) => !layings.includes(step));
  expect(layings.length).toBe(plan.parts.filter(({ part }) => part.scrap).length);
  expect(stitchings.length).toBeLessThanOrEqual(order.length);
  // A scrap is cut, laid and held before anything is stitched on it or round it.
  for (const { number, title } of layings) {
    const name = /“(.*)”/.exec(title)![1]!;
    const own = stitchings.filter((step) => step.title.includes(name)).map((step) => Number(step.number));
    expect(Math.min(...own)).toBeGreaterThan(Number(number));
  }
  expect(read.steps.every(({ hasPicture }) => hasPicture)).toBe(true);
  const stitchesTold = stitchings.reduce(
    (sum, { figures }) => sum + Number(figures.get('Stitches')!.replace(/,/g, '')),
    0,
  );
  expect(stitchesTold).toBe(order.reduce((sum, { stitches }) => sum + stitches, 0));

  // The first step as it is planned: its thread, strands and needle.
  order.slice(0, 1).forEach((first) => {
    const [line] = stitchings[0]!.paragraphs;
    expect(line).toContain(shownColour(piece, first.colour).name);
    expect(line).toContain(`${first.strands} strand`);
    expect(line).toContain(needleName(first.needle));
  });

  // Every number once on the map or in a lens, its own number beside its text, none on another.
  const onMaps = read.maps.flat();
  expect(onMaps.map(({ text }) => text).sort()).toEqual([...numbers].sort());
  expect(onMaps.every(({ text, step }) => text === step)).toBe(true);
  for (const map of read.maps) {
    map.forEach((a, i) => {
      for (const b of map.slice(i + 1)) expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(4.6);
    });
  }

  // Needles and threads: all of the plan and of the finish, and no other.
  const needles = read.materials.flatMap(([name]) => /^Needle: (.*)$/.exec(name!)?.[1] ?? []);
  const stitched = plan.parts.flatMap(({ passes }) => passes.flatMap((pass) => pass.needles.map(needleName)));
  const taken = new Set([...stitched, ...finishTools(finish).needles]);
  expect(needles.sort()).toEqual([...taken].sort());
  const threads = read.materials.filter(([name]) => /^[A-Z]{1,2} {2}/.test(name!));
  expect(threads.length).toBe(plan.colours.filter(({ loads }) => loads > 0).length);
  for (const { name } of plan.colours) expect(threads.some(([own]) => own!.endsWith(name))).toBe(true);
  for (const { name } of finish.materials) expect(read.materials.some(([own]) => own === name)).toBe(true);

  // Every stitch that is worked, and all that it rests on.
  const used = new Set<StitchId>([
    ...order.map(({ stitch }) => stitch),
    ...finish.look.edges.map(({ pass }) => pass.stitch),
  ]);
  for (const id of used) for (const own of [id, ...restsOn(id)]) expect(read.stitches).toContain(stitchKind(own).name);
  expect(new Set(read.stitches).size).toBe(read.stitches.length);

  // The finish, whole.
  expect(read.finish.length).toBe(finish.steps.length);
  finish.steps.forEach((step, i) => {
    expect(read.finish[i]!.paragraphs[0]!.replace(/’/g, "'")).toContain(step.text.replace(/’/g, "'"));
    if (step.caution)
      expect(read.finish[i]!.paragraphs.join(' ').replace(/’/g, "'")).toContain(step.caution.replace(/’/g, "'"));
  });

  // An edge is worked in a thread of the list, with a needle of the list.
  finish.steps.forEach(({ id }, i) => {
    if (id !== 'edge' && id !== 'scallops') return;
    const told = read.finish[i]!.paragraphs.join(' ');
    for (const { pass } of finish.look.edges) {
      expect(told).toContain(`${pass.strands} strand`);
      for (const needle of pass.needles) expect(told).toContain(needleName(needle));
    }
    expect(threads.some(([own]) => told.includes(`(thread ${own!.split(' ')[0]})`))).toBe(true);
  });

  // A page to tick, and no time of seconds.
  expect(read.ticks.length).toBe(2 + numbers.length + finish.steps.length);
  expect(/\b\d+ s\b/.exec(read.text)?.[0]).toBeUndefined();
  expect(/undefined|NaN|\[object/.exec(read.text)?.[0]).toBeUndefined();
}

describe('the guide, read as a page', () => {
  it.each(DEMO_NAMES)('of %s has all, and nothing else', (name) => holds(made(demoPiece(name))));

  it.each(['ladybirds-on-a-shirt', 'market-radishes'])('of %s, which has no hoop, speaks of none', (name) => {
    const { text } = readGuide(guideHtml(made(demoPiece(name)).guide, null));
    expect(
      text.match(/[^.]*\bhoop\b[^.]*/gi)?.filter((sentence) => !sentence.includes('without a hoop')) ?? [],
    ).toEqual([]);
  });

  it.each(MOTIFS)('of a drawing has all, and nothing else: %s', (name) => holds(made(motif(name))));

  const kite = demoPiece('kite');
  const kitePlan = planOf(kite);
  it.each(ENDS)('ends as the piece does: %s', (end) => {
    const piece = { ...kite, finish: { ...kite.finish, end } };
    holds(made(piece, kitePlan));
  });
});

describe('the guide', () => {
  const pool = made(demoPiece('rock-pool'));

  it('names hoop positions where there is more than one, and says when the hoop is moved', () => {
    const kite = demoPiece('kite');
    const twice: Piece = {
      ...kite,
      positions: [
        [-30, 0],
        [30, 0],
      ],
    };
    const says = (piece: Piece): boolean => guideHtml(made(piece).guide, null).includes('Move the hoop to position 2.');
    expect([says(kite), says(twice)]).toEqual([false, true]);
  });

  it('tells of each thread how much, and cuts that add up to what is planned', () => {
    const html = guideHtml(pool.guide, null);
    const [, cutting = ''] = /<h2 id="lengths-to-cut">([\s\S]*?)<h2/.exec(html) ?? [];
    const cuts = [...cutting.matchAll(/<li>(\d+) lengths? of /g)].map(([, count]) => Number(count));
    const planned = pool.plan.colours.reduce((sum, need) => sum + need.cuts, 0);
    expect(cuts.reduce((sum, count) => sum + count, 0)).toBe(planned);
  });

  it('says wraps, rows of padding and quarters in figures, as they are planned', () => {
    const { steps } = readGuide(guideHtml(pool.guide, null));
    const ofStitch = (stitch: string): (typeof steps)[number] =>
      steps.find(({ paragraphs }) => paragraphs[0]!.startsWith(`${stitch} in`))!;
    expect(ofStitch('French knot').figures.get('Wraps')).toBe('2');
    expect(ofStitch('Bullion knot').figures.get('Wraps')).toMatch(/^\d+$/);
    expect(ofStitch('Daisy ring').figures.get('')).toMatch(/^Each quarter takes \d+ petals/);
    expect(ofStitch('Padded satin stitch').figures.get('Layers')).toMatch(/^[123]$/);
  });

  it('tells two journeys of one stitch as two steps with names of their own', () => {
    const drawn = svgPiece('<path id="Rope" d="M0 0H60" stroke="#a33" fill="none"/><path d="M0 40H9" stroke="#33a"/>');
    const [rope, other] = drawn.drawing.parts;
    const second = { thread: 'stranded-cotton', strands: 2, colour: other!.colour } as const;
    const pass = { ...plainPass('whipped-back', 'stranded-cotton', 2), second };
    const piece = { ...drawn, drawing: { ...drawn.drawing, parts: [{ ...rope!, passes: [pass] }] } };
    const { steps, stitches } = readGuide(guideHtml(made(piece).guide, null));
    expect(steps.map(({ title }) => title)).toEqual(['1  Rope: the back stitch base', '2  Rope: the whipping']);
    expect(stitches).toEqual(['Back stitch', 'Whipped back stitch']);
    expect(steps[0]!.figures.get('Stitch length')).toBe('2.5 mm');
    expect(steps[1]!.figures.has('Stitch length')).toBe(false);
  });

  it('has every sitting, and every step in one of them', () => {
    const { guide, piece, plan } = pool;
    const { text } = readGuide(guideHtml(guide, null));
    const sittings = sittingsOf(piece, plan);
    expect([...text.matchAll(/Sitting (\d+), about/g)].map(([, number]) => Number(number))).toEqual(
      sittings.map(({ number }) => number),
    );
    const held = new Set<number>();
    for (const [, list] of text.matchAll(/Steps: ([^.]*)\./g)) {
      for (const [, from, to] of list!.matchAll(/(\d+)(?:–(\d+))?/g))
        for (let n = Number(from); n <= Number(to ?? from); n++) held.add(n);
    }
    expect(held.size).toBe(guide.notes.length);
  });

  it('weaves tails in before they are covered, or after six threads, and never leaves more than eleven ends of thread loose', () => {
    const { notes } = pool.guide;
    expect(notes.filter(({ tails }) => tails > 0).length).toBeGreaterThan(3);
    const ended = ({ from, to }: { from: number; to: number }): number =>
      pool.plan.work
        .slice(from, to)
        .reduce((sum, own) => sum + ((own ? own.loads + own.restarts + own.rethreadings : 0) % 6), 0);
    let loose = 0;
    for (const note of notes) {
      if (loose >= 6) expect(note.tails).toBe(2 * loose);
      if (note.tails > 0) {
        expect(note.tails).toBe(2 * loose);
        loose = 0;
      }
      loose += ended(note);
    }
  });

  it('has the pattern in it, at true size, as no one else will print it', () => {
    const html = guideHtml(pool.guide, null);
    const [, width] = /<figure class="template pattern"><svg [^>]*width="([\d.]+)mm"/.exec(html) ?? [];
    expect(Number(width)).toBeGreaterThanOrEqual(pool.plan.design.widthMm);
    const pages = guidePages(pool.guide, SHEETS[0]!);
    const isPattern = ({ items }: Page): boolean =>
      items.some((item) => item.type === 'text' && item.text.includes('· true size'));
    expect(pages.filter(isPattern).length).toBeGreaterThan(pool.finish.templates.length);
  });

  it('folds like cuts into one line', () => {
    const cut = (parts: string): Parameters<typeof foldedCuts>[0][number] => ({
      number: 1,
      length: '50 cm',
      loads: [{ count: 3, strands: 2, names: [parts], parts }],
      kept: 0,
    });
    expect(foldedCuts(Array.from({ length: 12 }, () => cut('the star')))).toEqual([
      '12 lengths of 50 cm, each making 3 needlefuls of 2 strands, for the star',
    ]);
  });

  it('is drawn mirrored for a left hand', () => {
    const { piece, plan } = pool;
    const drawings = (hand: 'right' | 'left'): string =>
      guideHtml(made(piece, plan, hand).guide, null).split('id="the-stitches"')[1]!;
    expect(drawings('left').includes('For the left hand.')).toBe(true);
    const strokes = (hand: 'right' | 'left'): string => drawings(hand).replace(/For the (?:left|right) hand/, '');
    expect(strokes('left') === strokes('right')).toBe(false);
  });

  it('as one web page lets no name do anything, and fetches nothing', () => {
    const piece = svgPiece('<circle r="9" fill="#a33"/>', { name: '<script>alert(1)</script> & “co”' });
    const parts = piece.drawing.parts.map((part) => ({ ...part, name: '"><img src=x onerror=alert(1)>' }));
    const html = guideHtml(made({ ...piece, drawing: { ...piece.drawing, parts } }).guide, null);
    expect(/<script|<img|onerror=[^&]*>/.exec(html)?.[0]).toBeUndefined();
    expect(/(?:src|href)="(?!data:|#)/.exec(html)?.[0]).toBeUndefined();
    expect(html.includes('&lt;script&gt;')).toBe(true);
  });

  it('of a piece without a stitch is still a guide', () => {
    const piece = svgPiece('<circle r="9" fill="#a33"/>');
    const { guide } = made({ ...piece, drawing: { ...piece.drawing, parts: [] } });
    expect(guidePages(guide, SHEETS[0]!).length).toBeGreaterThan(0);
    expect(guideHtml(guide, null).includes('<h1>')).toBe(true);
  });
});

describe('the guide on paper', () => {
  const pool = made(demoPiece('rock-pool'));
  const sheets = SHEETS.filter(({ id }) => id !== 'a3');
  const textsOf = ({ items }: Page): Extract<PageItem, { type: 'text' }>[] =>
    items.filter((item): item is Extract<PageItem, { type: 'text' }> => item.type === 'text');

  it.each(sheets)('keeps everything within its pages: $id', (sheet) => {
    const pages = guidePages(pool.guide, sheet);
    expect(pages.length).toBeGreaterThan(5);
    for (const item of pages.flatMap(({ items }) => items)) {
      const lines =
        item.type === 'line' ? [item.points] : item.type === 'strokes' ? item.lines : [Float64Array.of(item.x, item.y)];
      for (const points of lines) {
        points.forEach((value, i) => {
          const size = i % 2 ? sheet.heightMm : sheet.widthMm;
          if (!(value > 2 && value < size - 2)) throw new Error(`${item.type} at ${value} of ${size}`);
        });
      }
      if (item.type === 'text' && item.align === 'left')
        expect(item.x + widthOf(item.text, item.sizeMm)).toBeLessThan(sheet.widthMm - 2);
    }
  });

  it.each(sheets)('cuts nothing off, and leaves no heading alone at the foot of a page: $id', (sheet) => {
    const pages = guidePages(pool.guide, sheet);
    const words = pages.flatMap(textsOf);
    // Only the name of the piece at the foot may be shortened, and it is short here.
    expect(words.filter(({ text }) => text.includes('…')).map(({ text }) => text)).toEqual([]);
    for (const page of pages) {
      const told = textsOf(page).filter(({ text }) => !text.includes('· page '));
      for (const heading of told.filter(({ sizeMm }) => sizeMm === 4.8)) {
        const isFollowed = page.items.some(
          (item) =>
            (item.type === 'text' && item.y > heading.y + 1 && !item.text.includes('· page ')) ||
            (item.type === 'line' && item.points[1]! > heading.y + 1),
        );
        expect(isFollowed, heading.text).toBe(true);
      }
    }
  });

  it('says on its first page on which page each chapter begins, and each page says its number', () => {
    const pages = guidePages(pool.guide, sheets[0]!);
    const [, inside] =
      /Inside: (.*)/.exec(
        textsOf(pages[0]!)
          .map(({ text }) => text)
          .join(' '),
      ) ?? [];
    let met = 0;
    pages.forEach((page, i) => {
      for (const { text } of textsOf(page).filter(({ sizeMm }) => sizeMm === 4.8)) {
        expect(inside).toContain(`${text} ${i + 1}`);
        met++;
      }
    });
    expect(met).toBeGreaterThan(8);
    const footed = pages.filter((page, i) => textsOf(page).some(({ text }) => text.includes(`· page ${i + 1} of `)));
    const isLoose = (page: Page): boolean => textsOf(page).some(({ text }) => text.includes('· true size'));
    expect(footed.length).toBe(pages.filter((page) => !isLoose(page)).length);
  });

  it('of a simple piece takes six pages at most, besides its templates', () => {
    const simple = made({ ...motif('heart'), level: 'simple' });
    const isLoose = (page: Page): boolean => textsOf(page).some(({ text }) => text.includes('· true size'));
    const own = guidePages(simple.guide, sheets[0]!).filter((page) => !isLoose(page)).length;
    expect(own).toBeLessThanOrEqual(6);
  });

  it('wraps words so that none is lost, however long', () => {
    const random = seededRandom(3);
    for (let i = 0; i < 50; i++) {
      const words = Array.from({ length: 30 }, () => 'x'.repeat(1 + Math.floor(random.next() ** 3 * 90))).join(' ');
      const lines = wrapped(words, 60, 3);
      expect(lines.join('').replace(/ /g, '')).toBe(words.replace(/ /g, ''));
      for (const line of lines) expect(widthOf(line, 3)).toBeLessThanOrEqual(60);
    }
  });
});
