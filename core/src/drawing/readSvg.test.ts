import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boxOf, mapPoints, regionArea } from '../geometry/index.ts';
import { OVAL_SIZES_MM } from '../materials/index.ts';
import type { Piece } from '../piece/index.ts';
import { pieceSchema, plainHoop, readPiece, writePiece } from '../piece/index.ts';
import { circleAround, clearInHoopMm, readSvg, settleInHoop, ShapePlacer, type PlacedShape } from './index.ts';
import { designCircle } from './designCircle.ts';
import { fitToHoop, movedTo, resized } from './fit.ts';

const wrap = (body: string, attributes = 'width="100mm" height="100mm" viewBox="0 0 100 100"'): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${attributes}>${body}</svg>`;

function read(source: string): Piece {
  const outcome = readSvg(source, 'test', 'test');
  if (!outcome.ok) throw new Error(outcome.problem);
  return outcome.value;
}
function shapes(source: string): PlacedShape[] {
  return new ShapePlacer().place(read(source));
}
function problem(source: string): string {
  const outcome = readSvg(source, 'test', 'test');
  return outcome.ok ? 'it was read' : outcome.problem;
}

describe('what is drawn becomes parts at true size', () => {
  it.each([
    ['a rectangle', '<rect x="1" y="2" width="20" height="10"/>', 200],
    ['rounded corners', '<rect width="20" height="10" rx="5"/>', 100 + Math.PI * 25],
    ['a circle', '<circle cx="50" cy="50" r="10"/>', Math.PI * 100],
    ['an ellipse', '<ellipse cx="50" cy="50" rx="10" ry="5"/>', Math.PI * 50],
    ['a polygon', '<polygon points="0,0 10,0 0,10"/>', 50],
    ['relative and smooth curves', '<path d="m0 0h10v10h-10z"/>', 100],
    ['arcs', '<path d="M0 0A10 10 0 0 1 20 0Z"/>', (Math.PI * 100) / 2],
    ['quadratics', '<path d="M0 0Q10 20 20 0T40 0L40 -10L0 -10Z"/>', 400],
    ['even-odd holes', '<path fill-rule="evenodd" d="M0 0H20V20H0ZM5 5H15V15H5Z"/>', 300],
    ['nonzero without holes', '<path d="M0 0H20V20H0ZM5 5H15V15H5Z"/>', 400],
    [
      'nested transforms',
      '<g transform="scale(2)"><g transform="rotate(30) translate(5)"><rect width="5" height="5"/></g></g>',
      100,
    ],
    ['an uneven scale', '<rect transform="scale(2 3) skewX(20)" width="5" height="5"/>', 150],
    ['a matrix', '<rect transform="matrix(0 1 -1 0 20 0)" width="5" height="8"/>', 40],
    ['use', '<defs><rect id="r" width="4" height="5"/></defs><use href="#r" x="9"/>', 20],
    [
      'use with a namespace',
      '<defs><rect id="r" width="4" height="5"/></defs><use xlink:href="#r" transform="scale(2)"/>',
      80,
    ],
    [
      'a symbol with a viewBox',
      '<symbol id="s" viewBox="0 0 10 10"><rect width="10" height="10"/></symbol><use href="#s" width="20" height="20"/>',
      400,
    ],
    ['a nested svg', '<svg x="5" width="20" height="20" viewBox="0 0 10 10"><rect width="5" height="5"/></svg>', 100],
    [
      'a clip path',
      '<clipPath id="c"><rect width="5" height="50"/></clipPath><rect clip-path="url(#c)" width="20" height="10"/>',
      50,
    ],
    ['percentages', '<rect width="50%" height="10%"/>', 500],
  ])('%s', (_name, body, areaMm2) => {
    const [shape] = shapes(wrap(body));
    expect(shape!.areaMm2 / areaMm2).toBeCloseTo(1, 2);
    expect(pieceSchema.safeParse(read(wrap(body))).success).toBe(true);
  });

  it.each([
    ['mm', 'width="50mm" height="50mm" viewBox="0 0 100 100"', 0.5],
    ['cm', 'width="5cm" height="5cm" viewBox="0 0 100 100"', 0.5],
    ['inches', 'width="2in" height="2in" viewBox="0 0 100 100"', 0.508],
    ['nothing physical', 'viewBox="0 0 100 100"', 25.4 / 96],
    ['no viewBox', 'width="300" height="200"', 25.4 / 96],
  ])('sizes in %s', (_name, attributes, unitMm) => {
    expect(read(wrap('<rect width="10" height="10"/>', attributes)).drawing.unitMm).toBeCloseTo(unitMm, 6);
    expect(shapes(wrap('<rect width="10" height="10"/>', attributes))[0]!.areaMm2 / (10 * unitMm) ** 2).toBeCloseTo(
      1,
      3,
    );
  });

  it('strokes become lines, fills areas, both become both, dots spots', () => {
    const { drawing } = read(
      wrap(
        '<path id="both" d="M0 0H9V9Z" fill="red" stroke="blue"/><path id="line" d="M0 0L5 5" stroke="red" fill="none" stroke-width="2"/>' +
          '<path id="dot" d="M5 5h0" stroke="red" stroke-linecap="round"/><line id="bare" x1="0" y1="0" x2="9" y2="9"/>',
      ),
    );
    expect(drawing.parts.map(({ id, kind }) => [id, kind])).toEqual([
      ['both', 'area'],
      ['both-outline', 'line'],
      ['line', 'line'],
      ['dot', 'spot'],
    ]);
    expect(drawing.parts[2]!.strokeMm).toBe(2);
  });

  it('keeps colours, from attributes, style, classes and what is inherited', () => {
    const piece = read(
      wrap(
        '<style>.a{fill:#abcdef} g > .b{fill:rgb(1,2,3)} #c{fill:teal !important}</style>' +
          '<g fill="lime"><rect width="5" height="5"/><rect class="a" width="5" height="5"/><rect class="b" fill="red" width="5" height="5"/>' +
          '<rect id="c" style="fill:red" width="5" height="5"/><rect style="fill:currentColor;color:#123456" width="5" height="5"/></g>',
      ),
    );
    const hex = new Map(piece.palette.map((colour) => [colour.id, colour.hex]));
    expect(piece.drawing.parts.map((part) => hex.get(part.colour))).toEqual([
      '#00ff00',
      '#abcdef',
      '#010203',
      '#008080',
      '#123456',
    ]);
  });

  it('tells what it cannot stitch instead of losing it silently', () => {
    const { drawing } = read(
      wrap(
        '<linearGradient id="g"><stop stop-color="#000"/><stop offset="1" stop-color="#fff"/></linearGradient><mask id="m"/>' +
          '<rect fill="url(#g)" mask="url(#m)" width="9" height="9"/><text>hi</text><image href="data:image/png;base64,AA"/><g display="none"><rect width="5" height="5"/></g>',
      ),
    );
    const told = drawing.notes.join(' ');
    for (const word of ['text', 'picture', 'mask', 'gradient', 'hidden']) expect(told).toContain(word);
    expect(drawing.parts).toHaveLength(1);
  });

  it('can be opened again whatever it holds: a colour for every part, long names, far places', () => {
    const rects = Array.from(
      { length: 2000 },
      (_, i) =>
        `<rect id="${'x'.repeat(400)}" x="${i * 400}" width="3" height="3" fill="#${(i + 4096).toString(16)}00"/>`,
    );
    const piece = read(wrap(rects.join(''), 'viewBox="0 0 100 100"'));
    expect(piece.palette).toHaveLength(2000);
    expect(readPiece(writePiece(piece)).ok).toBe(true);
  });

  it('puts like parts into groups, turned and mirrored ones too', () => {
    const petal = '<path d="M0 0C5 -5 9 -3 12 0C9 4 5 3 0 0Z"/>';
    const { drawing } = read(
      wrap(
        `${petal}<g transform="rotate(70)">${petal}</g><g transform="scale(-1 1)">${petal}</g><circle cx="30" cy="30" r="2"/>`,
      ),
    );
    expect(drawing.parts.map((part) => part.group)).toEqual(['g1', 'g1', 'g1', null]);
  });
});

describe('what lies behind', () => {
  const overlapping =
    '<rect width="20" height="20" fill="red"/><path d="M-10 10H30" stroke="blue"/><rect x="10" width="20" height="20" fill="lime"/><rect x="12" y="2" width="4" height="4" fill="blue" fill-opacity="0.5"/>';

  it('is cut away under opaque areas, or kept', () => {
    const [back, line, front] = shapes(wrap(overlapping));
    expect(back!.areaMm2).toBeCloseTo(200, 2);
    expect(line!.lengthMm).toBeCloseTo(20, 2);
    expect(front!.areaMm2).toBeCloseTo(400, 2);
    expect(back!.behind).toEqual([front!.partId]);
    const piece = read(wrap(overlapping));
    const kept = new ShapePlacer().place({ ...piece, drawing: { ...piece.drawing, hidden: 'keep' as const } });
    expect(kept[0]!.areaMm2).toBeCloseTo(400, 2);
    expect(kept[1]!.lengthMm).toBeCloseTo(40, 2);
  });

  it('what is seen of all areas together is their union', () => {
    const discs = Array.from(
      { length: 12 },
      (_, i) => `<circle cx="${(i * 37) % 60}" cy="${(i * 23) % 50}" r="${9 + (i % 4) * 3}"/>`,
    );
    const placed = shapes(wrap(discs.join('')));
    const sum = placed.reduce((total, shape) => total + shape.areaMm2, 0);
    const whole = shapes(wrap(discs.join('').replaceAll('<circle', '<circle fill-opacity="0.5"')));
    const inside = new Set<string>();
    for (const { shape } of whole) expect(regionArea(shape.region)).toBeGreaterThan(0);
    for (let x = -20; x < 90; x += 0.5) {
      for (let y = -20; y < 80; y += 0.5) {
        const isIn = Array.from(
          { length: 12 },
          (_, i) => Math.hypot(x - ((i * 37) % 60), y - ((i * 23) % 50)) <= 9 + (i % 4) * 3,
        );
        if (isIn.some(Boolean)) inside.add(`${x},${y}`);
      }
    }
    expect(sum / (inside.size * 0.25)).toBeCloseTo(1, 2);
  });

  it('keeps the very objects of parts that an edit does not touch', () => {
    const piece = read(wrap(overlapping));
    const placer = new ShapePlacer();
    const before = placer.place(piece);
    const parts = piece.drawing.parts.map((part, i) => (i === 2 ? { ...part, path: 'M15 0H30V20H15Z' } : { ...part }));
    const after = placer.place({ ...piece, drawing: { ...piece.drawing, parts } });
    expect(after.map((shape, i) => shape === before[i])).toEqual([false, false, false, true]);
    expect(after[0]!.areaMm2).toBeCloseTo(300, 2);
  });

  it('lies where its placement says, the same whatever was placed before', () => {
    const piece = read(wrap(`${overlapping}<path d="M0 40C10 60 30 20 50 40" fill="none" stroke="#000"/>`));
    const used = new ShapePlacer();
    const placements = fc.record({
      scale: fc.double({ min: 0.3, max: 20, noNaN: true }),
      isSizeSet: fc.boolean(),
      turnDeg: fc.integer({ min: -180, max: 180 }),
      mirrored: fc.boolean(),
      xMm: fc.integer({ min: -200, max: 200 }),
      yMm: fc.integer({ min: -200, max: 200 }),
    });
    const asDrawn = new ShapePlacer().place({
      ...piece,
      placement: { scale: 1, isSizeSet: true, turnDeg: 0, mirrored: false, xMm: 0, yMm: 0 },
    });
    fc.assert(
      fc.property(placements, (placement) => {
        const placed = used.place({ ...piece, placement });
        expect(placed).toEqual(new ShapePlacer().place({ ...piece, placement }));
        placed.forEach(({ areaMm2, lengthMm, widest, shape, toCloth }, i) => {
          const drawn = asDrawn[i]!;
          expect(areaMm2 / placement.scale ** 2).toBeCloseTo(drawn.areaMm2, 1);
          expect(lengthMm / placement.scale).toBeCloseTo(drawn.lengthMm, 1);
          expect((widest?.r ?? 0) / placement.scale).toBeCloseTo(drawn.widest?.r ?? 0, 1);
          const corners = mapPoints(toCloth, Float64Array.from(drawn.shape.region.flatMap((ring) => [...ring])));
          const drawnBox = boxOf([corners]);
          const box = boxOf(shape.region);
          if (drawnBox && box) expect((box.minX - drawnBox.minX) / placement.scale).toBeCloseTo(0, 1);
        });
      }),
      { seed: 3, numRuns: 40 },
    );
  });
});

describe('hoop', () => {
  it('fits by the smallest circle with its air, in the middle', () => {
    const piece = read(wrap('<rect x="40" y="10" width="30" height="40"/>'));
    const placement = fitToHoop(piece, plainHoop(150, 12));
    const fitted = circleAround(new ShapePlacer().place({ ...piece, placement }))!;
    expect(fitted.r).toBeCloseTo((150 - 6) / 2 - 12, 2);
    expect(Math.hypot(fitted.x, fitted.y)).toBeLessThan(0.01);
  });

  it.each(OVAL_SIZES_MM.flatMap((oval) => [5, 12, 90].map((airMm) => ({ ...oval, airMm }))))(
    'an oval of $nominalMm × $shortMm is filled up to $airMm mm of air, if it has so much',
    ({ airMm, ...size }) => {
      const piece = read(wrap('<path d="M0 0H60L40 25Q20 60 0 0Z"/><circle cx="70" cy="30" r="9"/>'));
      const hoop = { ...plainHoop(size.nominalMm, airMm), ...size };
      const shapes = new ShapePlacer().place({ ...piece, placement: fitToHoop(piece, hoop) });
      const clear = clearInHoopMm(
        shapes.flatMap(({ shape }) => shape.region),
        hoop,
        [[0, 0]],
      );
      const roomMm = (size.shortMm - 6) / 2;
      if (airMm < roomMm) expect(clear).toBeCloseTo(airMm, 1);
      // Where there is less than that, it is small in the middle, but it is there.
      else expect(roomMm - clear).toBeLessThan(1.5);
      expect(regionArea(shapes[0]!.shape.region)).toBeGreaterThan(0);
    },
  );

  it.each([
    [20, 100, true],
    [60, 100, false],
    [90, 125, false],
    [900, 150, true],
  ])('finds a hoop for a new drawing without a size, %i mm across', (sizeMm, nominalMm, isScaled) => {
    const r = sizeMm / 2;
    const piece = read(`<svg xmlns="http://www.w3.org/2000/svg"><circle cx="0" cy="0" r="${r}"/></svg>`);
    expect(piece.placement.isSizeSet).toBe(false);
    const settled = settleInHoop(piece, { x: 0, y: 0, r });
    expect(settled.hoop!.nominalMm).toBe(nominalMm);
    expect(settled.placement.scale !== 1).toBe(isScaled);
  });

  it('is as wide or high as was typed, and lies where it was, measured as the piece stands now', () => {
    const read0 = read(wrap('<rect x="3" y="4" width="30" height="12"/>'));
    for (const [side, mm, factor] of [
      ['width', 75, 2.5],
      ['height', 6, 0.5],
    ] as const) {
      const once = resized(read0, mm, side);
      expect(once.scale / read0.placement.scale).toBeCloseTo(factor, 9);
      expect(once.isSizeSet).toBe(true);
      // Typed again at the new size, before anything was planned anew, it stays.
      expect(resized({ ...read0, placement: once }, mm, side).scale).toBeCloseTo(once.scale, 9);
    }
    const moved = { ...read0, placement: movedTo(read0, 'xMm', 7) };
    expect(designCircle(moved)!.x).toBeCloseTo(7, 6);
    expect(designCircle({ ...moved, placement: movedTo(moved, 'xMm', 7) })!.x).toBeCloseTo(7, 6);
  });

  // The ring is 6 mm narrower inside than its name, and 12 mm of air stay free all round.
  it.each([
    [25, 100],
    [70, 100],
    [71, 125],
    [270, 300],
    [280, null],
  ])('of %i mm, stated in millimetres, keeps its size and has the smallest hoop that holds it', (sizeMm, nominalMm) => {
    const r = sizeMm / 2;
    const circle = `<circle cx="${r}" cy="${r}" r="${r}"/>`;
    const piece = read(
      `<svg xmlns="http://www.w3.org/2000/svg" width="${sizeMm}mm" viewBox="0 0 ${sizeMm} ${sizeMm}">${circle}</svg>`,
    );
    expect(piece.placement.isSizeSet).toBe(true);
    const settled = settleInHoop(piece, { x: r, y: r, r });
    expect(settled.hoop?.nominalMm ?? null).toBe(nominalMm);
    expect(settled.placement.scale).toBe(1);
  });
});

describe('drawings that are refused, with what is wrong and where', () => {
  it.each([
    ['nothing in it', '', /empty/],
    ['not XML', 'hello', /XML|<svg>/],
    ['cut short', wrap('<rect').slice(0, -8), /Line \d+/],
    ['mismatched tags', wrap('<g>'), /Line 1/],
    ['another kind of XML', '<html></html>', /expected <svg>/],
    ['nothing to stitch', wrap('<defs><rect width="5" height="5"/></defs>'), /nothing in it to stitch/],
    ['only a text', wrap('<text>hi</text>'), /nothing in it to stitch.*text/],
    [
      'entities',
      `<!DOCTYPE svg [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]>${wrap('<rect width="5" height="5"/>')}`,
      /entities/,
    ],
    ['a script', wrap('\n<script>alert(1)</script>'), /Line 2.*script/],
    ['an event attribute', wrap('<rect onclick="x()" width="5" height="5"/>'), /event attribute \(onclick\)/],
    ['an outside reference', wrap('<use href="http://example.invalid/a.svg#b"/>'), /outside the file/],
    ['an outside picture', wrap('<image href="file:///etc/hostname"/>'), /outside the file/],
    [
      'an outside paint',
      wrap('<rect fill="url(http://example.invalid/#a)" width="5" height="5"/>'),
      /outside the file/,
    ],
    ['an outside style sheet', wrap('<style>@import "http://example.invalid/a.css";</style>'), /outside the file/],
    [
      'a style sheet instruction',
      `<?xml-stylesheet href="a.css"?>${wrap('<rect width="5" height="5"/>')}`,
      /style sheet outside/,
    ],
    ['NaN', wrap('<path d="M0 0L NaN 5L5 5Z"/>'), /Line 1: <path>.*not a number/],
    ['bad path data', wrap('<path d="M0 0 L 5"/>'), /<path>.*can’t be read/],
    [
      'coordinates that transforms make no number at all',
      wrap('<g transform="scale(1e200)"><path transform="scale(1e200)" d="M0 0L9 5L5 5Z"/></g>'),
      /more than a kilometre away/,
    ],
    ['huge coordinates', wrap('<path d="M0 0L1e30 5L5 5Z"/>'), /more than a kilometre away/],
    ['a viewBox without a size', wrap('<rect width="5" height="5"/>', 'viewBox="0 0 0 100"'), /viewBox.*no size/],
    ['a drawing without a size', wrap('<rect width="5" height="5"/>', 'width="0" height="10"'), /width is 0/],
    ['use within itself', wrap('<g id="a"><use href="#a"/></g>'), /reused within themselves/],
    [
      'more parts than can be kept',
      wrap('<path d="M0 0H5V5Z" stroke="#000"/>'.repeat(4000)),
      /8,000 parts; up to 6,000/,
    ],
    ['use that multiplies', wrap(useBomb()), /more than 5,000 shapes/],
    ['too deep', wrap('<g>'.repeat(10_000) + '</g>'.repeat(10_000)), /nested more than/],
    ['too many elements', wrap('<g/>'.repeat(200_000)), /more than 60,000 elements/],
    ['too large', wrap(' '.repeat(50_000_000)), /too large: 50 million/],
  ])('%s', (_name, source, expected) => {
    expect(problem(source)).toMatch(expected);
    expect(problem(source)).not.toContain('\n');
  });
});

function useBomb(): string {
  const levels = Array.from({ length: 9 }, (_, i) => `<g id="l${i + 1}">${`<use href="#l${i}"/>`.repeat(10)}</g>`);
  return `<defs><rect id="l0" width="1" height="1"/>${levels.join('')}</defs><use href="#l9"/>`;
}
