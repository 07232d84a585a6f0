import { z } from '../measure/index.ts';
import { hexColour } from '../colour/index.ts';
import { farthestCoordinate } from '../geometry/index.ts';
import {
  CLOTH_IDS,
  clothOf,
  DEFAULT_CLOTH,
  DEFAULT_MARK,
  DEFAULT_SLACK,
  FOLDED_STRANDS,
  HOOP_RANGE_MM,
  MARK_IDS,
  shadeSchema,
  STABILISER_IDS,
  strandFault,
  THREAD_IDS,
  type ThreadId,
  threadKind,
  WORKING_LENGTH,
} from '../materials/index.ts';
import { paramsSchema, STITCH_IDS, stitchKind } from '../stitches/index.ts';
import { scrapSchema } from './scrap.ts';
import { finishSchema, USUAL_FINISH } from './finish.ts';
import * as say from './words.ts';

export const PIECE_FORMAT = 'junctura-piece';
export const PIECE_VERSION = 15;

/** No sensible drawing lies further out than this, mm. */
export const FARTHEST_MM = 1e6;
/** mm on the cloth for one of the drawing: the least and the most. */
export const SCALES = { least: 1e-4, most: 1e4 } as const;
/** No piece that a person works has more parts than this. */
export const MAX_PARTS = 6000;

const id = z.string().min(1).max(120);
/** A name or a sentence is no longer than this. */
export const MOST_NAME = 300;
const label = z.string().max(MOST_NAME);
const finite = z.number().min(-FARTHEST_MM).max(FARTHEST_MM);

/** Path data that can be drawn and stays within bounds. */
const pathData = z
  .string()
  .min(1)
  .max(4_000_000)
  .superRefine((data, context) => {
    const problem = pathProblem(data);
    if (problem) context.addIssue({ code: 'custom', message: problem });
  });

function pathProblem(data: string): string | null {
  if (/nan|infinity/i.test(data)) return 'a coordinate is not a number';
  try {
    return farthestCoordinate(data) <= FARTHEST_MM ? null : 'a coordinate is more than a kilometre away';
  } catch (error) {
    return error instanceof Error ? error.message : 'not path data';
  }
}

/** What a pass is in the layers of its part, in the order in which they are usually worked; `beside` is a second line, on a line or beside it. */
export const PASS_ROLES = ['padding', 'edge', 'filling', 'beside', 'outline', 'vein', 'accent'] as const;
/** What decides the way that the stitches of an area lie. */
export const DIRECTIONS = ['straight', 'guides', 'along', 'across', 'radial', 'outline'] as const;
/** No part needs more direction strokes, layers or highlights than this. */
export const MOST_GUIDES = 40;
export const MOST_PASSES = 20;
export const MOST_POINTS = 400;
/** Hoop positions that a person would go through for one piece. */
export const MOST_POSITIONS = 60;
/** The picture below a drawing, as text; about 4.5 MB of picture. */
const MOST_UNDERLAY_CHARACTERS = 6_000_000;
/** The most shades in which an area can be worked. */
export const MOST_SHADES = 8;
/** The most in which an area that is painted from a picture can. */
export const MOST_PAINTED_SHADES = 60;

/** Needles that a person would keep threaded at one time. */
export const MOST_NEEDLES = 12;

/** Colourways that a person would compare. */
export const MOST_COLOURWAYS = 12;

/** An outline is worked so far inside its area at the most, and so far outside it. */
export const INSET_MM = { least: -20, most: 40 } as const;

const point = z.tuple([finite, finite]);
const hoopPlace = z.tuple([finite, finite, z.number().min(HOOP_RANGE_MM.min).max(HOOP_RANGE_MM.max).optional()]);

/** Strands that a kind of thread can be worked in. */
function checkStrands(given: { readonly thread: ThreadId; readonly strands: number }, context: z.RefinementCtx): void {
  const message = strandFault(threadKind(given.thread), given.strands);
  if (message) context.addIssue({ code: 'custom', path: ['strands'], message });
}

const threadKindId = z.enum(THREAD_IDS, { error: 'no such kind of thread' });

const strandCount = z.number().int().min(1).max(FOLDED_STRANDS);

const secondThreadSchema = z
  .strictObject({
    /** The id of its colour; null: the layer's. */
    colour: id.nullable(),
    thread: threadKindId,
    strands: strandCount,
  })
  .superRefine(checkStrands);

/** What was said of a part that is painted from the picture below; places are on the drawing. */
const paintingSchema = z.strictObject({
  /** What matters most, such as eyes: a place and how far it reaches. */
  eyes: z.array(z.tuple([finite, finite, z.number().min(0).max(1000)])).max(MOST_GUIDES),
});

const passSchema = z
  .strictObject({
    /** Padding and filling work the shape itself, edge and outline its outline, the vein its middle line, accents points. */
    role: z.enum(PASS_ROLES),
    stitch: z.enum(STITCH_IDS, { error: 'no such stitch' }),
    /** What differs from the stitch's defaults. */
    params: z.record(z.string(), z.union([z.number(), z.string()])),
    /** The way the stitches lie, degrees anticlockwise from the x axis of the drawing as placed; null: as proposed. */
    angleDeg: z.number().min(-360).max(360).nullable(),
    /** Straight at the angle, or by the part's guides, its middle line, a point, its outline. */
    direction: z.enum(DIRECTIONS),
    /** How far inside the outline an outline is worked, mm on the cloth, or to the left of its line a second line; the other way where it is less than nought. */
    insetMm: z.number().min(INSET_MM.least).max(INSET_MM.most),
    /** On the drawing: where the stitches of a radial direction run to, where accents stand, or from where to where an outline goes. */
    points: z.array(point).max(MOST_POINTS),
    /** The id of a colour of its own; null: the part's. */
    colour: id.nullable(),
    /** The ids of the colours of several shades, from where the rows begin; empty: one colour. */
    shades: z.array(id).max(MOST_PAINTED_SHADES),
    /** The strands of each shade; empty: all in those of the pass. */
    shadeStrands: z.array(strandCount).max(MOST_PAINTED_SHADES),
    /** The strands of the first row, where that is worked in others than the rest; null: in the same. */
    firstRowStrands: strandCount.nullable(),
    /** Whether the needles of its shades take turns, zone by zone; else one shade is finished before the next. */
    inTurn: z.boolean(),
    thread: threadKindId,
    strands: strandCount,
    /** What whips, laces, weaves or ties, where it is another thread than what it is worked on; null: the same. */
    second: secondThreadSchema.nullable(),
  })
  .superRefine((pass, context) => {
    checkStrands(pass, context);
    for (const strands of [...pass.shadeStrands, pass.firstRowStrands ?? pass.strands]) {
      checkStrands({ thread: pass.thread, strands }, context);
    }
    const checked = paramsSchema(stitchKind(pass.stitch).params).safeParse(pass.params);
    for (const issue of checked.error?.issues ?? []) {
      context.addIssue({ code: 'custom', path: ['params', ...issue.path], message: issue.message });
    }
  });

/** Lines that are marked and not stitched: to measure by, to cut, sew or fold along. */
export const MARKINGS = ['guide', 'cut', 'sew', 'fold'] as const;

/** How much of a piece is stitched: lines and small areas; what is usual; shaded and padded. */
export const LEVELS = ['simple', 'usual', 'rich'] as const;
export type Level = (typeof LEVELS)[number];
/** How much of one part is stitched, from nothing to shaded; of a line an outline is the line itself, in its plainest stitch. */
export const PART_LEVELS = ['bare', 'outline', 'light', 'usual', 'rich'] as const;
export type PartLevel = (typeof PART_LEVELS)[number];

export const partSchema = z.strictObject({
  id,
  name: label,
  kind: z.enum(['area', 'line', 'spot']),
  /** Path data in mm on the drawing, y downwards; a spot is a move followed by `h 0`. */
  path: pathData,
  fillRule: z.enum(['nonzero', 'evenodd']),
  /** The id of a colour of the palette. */
  colour: id,
  /** Whether it hides what lies behind it. */
  opaque: z.boolean(),
  /** Width of the drawn line in mm on the drawing; null for areas. */
  strokeMm: z.number().min(0).max(1000).nullable(),
  dashed: z.boolean(),
  /** Parts of one group are worked alike. */
  group: id.nullable(),
  /** Whether a line’s drawn width is that of the pen that drew it, and not of its stitches. */
  pen: z.boolean(),
  /** Whether choices made for its group leave it as it is. */
  differs: z.boolean(),
  /** Strokes along which its stitches shall lie. */
  guides: z.array(pathData).max(MOST_GUIDES),
  /** Its middle line, where the person laid it; null: as found. */
  vein: pathData.nullable(),
  /** Lines between its shades; empty: even shares. */
  borders: z.array(pathData).max(MOST_SHADES - 1),
  /** Whether it belongs to the piece for now: what is not shown is not worked and hides nothing. */
  shown: z.boolean(),
  /** Whether it is kept from being picked in the hoop, cut, moved and removed. */
  locked: z.boolean(),
  /** Another cloth that fills it in place of thread; null: none. */
  scrap: scrapSchema.nullable(),
  /** Whether its colour is on the cloth already: nothing need be stitched. */
  printed: z.boolean(),
  /** What a line that is not stitched is for: it is on the pattern, and takes no thread; null: it is stitched. */
  marking: z.enum(MARKINGS).nullable(),
  /** What was said of it where it is painted from the picture below; null: nothing. */
  painting: paintingSchema.nullable(),
  /** How much of it is stitched; null: as the level of the piece has it. */
  level: z.enum(PART_LEVELS).nullable(),
  /** What the person chose, in working order; null: as proposed. */
  passes: z.array(passSchema).max(MOST_PASSES).nullable(),
});

/** What a colour is worked in: a shade, or two in one needle; null: not yet chosen. */
const worked = { shade: shadeSchema.nullable(), second: shadeSchema.nullable() };

export const colourSchema = z.strictObject({
  id,
  /** What it does in the piece, whatever shade it is in: body, shadow, sea. */
  role: label,
  /** As it was drawn. */
  hex: hexColour,
  ...worked,
  /** The dye lot that its thread is from; null: not said. */
  lot: z.string().max(60).nullable(),
});

/** The piece in other shades: what each colour is worked in, and the cloth. */
const colourwaySchema = z.strictObject({
  id,
  name: label,
  cloth: hexColour,
  shades: z.array(z.strictObject({ colour: id, ...worked })).max(MAX_PARTS),
});

/** A picture to draw over, in mm on the drawing. */
const underlaySchema = z.strictObject({
  /** A data address: nothing outside the file is ever fetched. */
  picture: z
    .string()
    .max(MOST_UNDERLAY_CHARACTERS)
    .regex(/^data:image\/(png|jpeg|webp);base64,[A-Za-z0-9+/=]+$/, 'expected a PNG, JPEG or WebP as a data address'),
  widthPx: z.number().int().min(1).max(20_000),
  heightPx: z.number().int().min(1).max(20_000),
  mmPerPx: z.number().min(1e-5).max(1e4),
  xMm: finite,
  yMm: finite,
  strength: z.number().min(0).max(1),
});

/** A shade of a layer of a part in the order of work; null: all of them. */
const layerRefSchema = z.strictObject({
  part: id,
  layer: z.number().int().min(0).max(MOST_PASSES).nullable(),
  shade: z.number().int().min(0).max(MOST_PAINTED_SHADES).nullable(),
});

/** The most that can be fixed about the order of work. */
export const MOST_FIXED = 2000;

/** What the person fixed of the order of work. The order itself is computed. */
const fixedOrderSchema = z.strictObject({
  /** This before that. */
  pairs: z.array(z.strictObject({ before: layerRefSchema, after: layerRefSchema })).max(MOST_FIXED),
  /** Parts to begin with, and parts to leave for last. */
  first: z.array(id).max(MAX_PARTS),
  last: z.array(id).max(MAX_PARTS),
});

/** A day, as `2026-11-29`. */
const day = z.iso.date();

/** When the person sits at the piece. It changes no figure. */
const calendarSchema = z.strictObject({
  /** Days of the week, 0 for Sunday; empty: spread evenly. */
  days: z.array(z.number().int().min(0).max(6)).max(7),
  /** When a sitting begins, as `19:30`. */
  at: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'expected a time such as 19:30'),
  /** The first day; null: not yet said. */
  begin: day.nullable(),
  doneBy: day.nullable(),
  /** Sittings by their number, from 1, that were moved to another day. */
  moved: z.array(z.strictObject({ sitting: z.number().int().min(1).max(5000), on: day })).max(500),
});

const acceptedSchema = z.strictObject({ finding: id, part: id.nullable(), figures: z.string(), why: label });

const warpMm = z.number().min(5).max(1200);

/** What a piece is for. */
export const USES = ['framed', 'handled', 'worn', 'washed', 'patch', 'ornament', 'whitework'] as const;

/** Everything that is stored of a piece. Lengths are mm, angles degrees. */
export const pieceSchema = z
  .strictObject({
    format: z.literal(PIECE_FORMAT),
    version: z.literal(PIECE_VERSION),
    id,
    name: label,
    use: z.enum(USES),
    /** How much of it is stitched, where nothing else is said of a part. */
    level: z.enum(LEVELS),
    worker: z.strictObject({
      hand: z.enum(['right', 'left']),
      satinFrom: z.enum(['middle', 'edge']),
      knots: z.enum(['french', 'colonial']),
      strands: z.enum(['fine', 'usual', 'bold']),
      /** How many layers are proposed: the stitches alone; a firm edge or vein where they are wanted; padding too. */
      layers: z.enum(['plain', 'usual', 'rich']),
      start: z.enum(['waste-knot', 'knot', 'tiny-stitches']),
      /** Whether outlines are worked before or after what they bound; null: as the mark and the use ask for. */
      outline: z.enum(['first', 'last']).nullable(),
      /** By colour (0) to by area (1). */
      byArea: z.number().min(0).max(1),
      /** Needles that stay threaded at one time. */
      needles: z.number().int().min(1).max(MOST_NEEDLES),
      /** What is worked early where nothing else decides. */
      focus: z.enum(['background', 'features']),
      /** The longest way behind that thread is carried, mm; null: as the cloth allows. */
      carryMm: z.number().min(0).max(60).nullable(),
      cutMm: z.number().min(200).max(1500),
      slack: z.number().min(0).max(1),
      /** How long she sits at a piece, and how often in a week. */
      sittingMin: z.number().min(10).max(600),
      sittingsPerWeek: z.number().min(0.25).max(21),
      /** How wide the person's thread lies and how long her stitches are, as shares of the usual; null: as measured last. */
      own: z.strictObject({ width: z.number().min(0.5).max(2), stitch: z.number().min(0.5).max(2) }).nullable(),
    }),
    cloth: z.strictObject({
      kind: z.enum(CLOTH_IDS, { error: 'no such cloth' }),
      colour: hexColour,
    }),
    /** What lies behind the cloth before the first stitch; null: as cloth and stitches ask for. */
    stabiliser: z.enum(STABILISER_IDS, { error: 'no such backing' }).nullable(),
    hoop: z
      .strictObject({
        nominalMm: z.number().min(HOOP_RANGE_MM.min).max(HOOP_RANGE_MM.max),
        /** The short way of an oval; null: round. */
        shortMm: z.number().min(HOOP_RANGE_MM.min).max(HOOP_RANGE_MM.max).nullable(),
        airMm: z.number().min(0).max(100),
        bound: z.boolean(),
        ring: z.enum(['wood', 'plastic']),
        /** What a circle drawn on the mounted cloth measures, up and down and across; null: not measured. */
        warp: z.strictObject({ drawnMm: z.number().min(10).max(600), uprightMm: warpMm, acrossMm: warpMm }).nullable(),
      })
      .nullable(),
    /**
     * The middles of the hoop on the cloth, in the order in which it is moved, mm, with the size of the round hoop that is used there where it is
     * another; empty: one, in the middle.
     */
    positions: z.array(hoopPlace).max(MOST_POSITIONS),
    drawing: z.strictObject({
      source: label,
      /** mm of the drawing for one user unit of the file it came from. */
      unitMm: z.number().positive().max(FARTHEST_MM),
      /** Whether areas hidden behind opaque ones are cut away or kept. */
      hidden: z.enum(['cut', 'keep']),
      /** What was in the file and could not be read. */
      notes: z.array(label).max(100),
      underlay: underlaySchema.nullable(),
      /** From back to front. */
      parts: z.array(partSchema).max(MAX_PARTS),
    }),
    /** Where the drawing lies on the cloth: mirrored, scaled, turned about its origin, then shifted; (0, 0) is the hoop's middle. */
    placement: z.strictObject({
      scale: z.number().min(SCALES.least).max(SCALES.most),
      /** Whether its size was set, by typing it or by a drawing in millimetres: only an action that names a size changes it. */
      isSizeSet: z.boolean(),
      turnDeg: finite,
      mirrored: z.boolean(),
      xMm: finite,
      yMm: finite,
    }),
    palette: z.array(colourSchema).max(MAX_PARTS),
    colourways: z.array(colourwaySchema).max(MOST_COLOURWAYS),
    order: fixedOrderSchema,
    calendar: calendarSchema,
    /** The way the drawing gets onto the cloth. */
    mark: z.enum(MARK_IDS, { error: 'no such transfer method' }),
    finish: finishSchema,
    accepted: z.array(acceptedSchema).max(5000),
  })
  .superRefine((piece, context) => {
    for (const { path, message } of unsoundIn(piece)) {
      context.addIssue({ code: 'custom', path: [...path], message });
    }
  });

/** What its values say of one another that can't be: colours that the palette does not have, parts that are there twice. */
export function* unsoundIn({
  palette,
  drawing,
}: {
  palette: readonly PaletteColour[];
  drawing: { parts: readonly Part[] };
}): Generator<{ readonly path: readonly (string | number)[]; readonly message: string }> {
  const colours = new Set(palette.map((colour) => colour.id));
  const seen = new Set<string>();
  for (const [i, part] of drawing.parts.entries()) {
    const path = ['drawing', 'parts', i];
    if (!colours.has(part.colour)) yield { path: [...path, 'colour'], message: say.notInPalette(part.colour) };
    for (const [k, pass] of (part.passes ?? []).entries()) {
      for (const colour of [pass.colour, pass.second?.colour ?? null, ...pass.shades]) {
        if (colour === null || colours.has(colour)) continue;
        yield { path: [...path, 'passes', k], message: say.notInPalette(colour) };
      }
    }
    if (seen.has(part.id)) yield { path: [...path, 'id'], message: say.thereTwice(part.id) };
    seen.add(part.id);
  }
}

export type Piece = z.infer<typeof pieceSchema>;
export type Part = z.infer<typeof partSchema>;
export type Pass = NonNullable<Part['passes']>[number];
export type PassRole = Pass['role'];
export type PassDirection = Pass['direction'];
/** The middle of a hoop on the cloth, and the nominal size of the round hoop that is used there where it is another, mm. */
export type HoopPlace = readonly [x: number, y: number, nominalMm?: number | undefined];
export type Hoop = NonNullable<Piece['hoop']>;
export type Underlay = NonNullable<Piece['drawing']['underlay']>;
export type PaletteColour = z.infer<typeof colourSchema>;
export type Colourway = Piece['colourways'][number];
export type LayerRef = z.infer<typeof layerRefSchema>;
export type FixedOrder = Piece['order'];
export type SittingCalendar = Piece['calendar'];
export type PieceUse = Piece['use'];
export type Marking = NonNullable<Part['marking']>;
export type Placement = Piece['placement'];

/** Whether a layer shows the picture below the drawing. */
export function isPainting({ stitch }: Pick<Pass, 'stitch'>): boolean {
  return stitch === 'needle-painting';
}

/** Whether some part shows the picture below the drawing: then the plan hangs on that picture. */
export function isPainted({ parts }: { readonly parts: readonly Part[] }): boolean {
  return parts.some(({ passes }) => passes?.some(isPainting));
}

/** Whether a part is on the cloth without thread: printed, or a line that is only marked. */
export function isUnstitched({ printed, marking }: Pick<Part, 'printed' | 'marking'>): boolean {
  return printed || marking !== null;
}

/** A part as it is first drawn: nothing chosen of it yet. */
export function newPart(part: Pick<Part, 'id' | 'name' | 'kind' | 'path' | 'colour'> & Partial<Part>): Part {
  return {
    fillRule: 'nonzero',
    opaque: part.kind === 'area',
    strokeMm: part.kind === 'area' ? null : 0.5,
    dashed: false,
    pen: false,
    group: null,
    differs: false,
    guides: [],
    vein: null,
    borders: [],
    shown: true,
    locked: false,
    scrap: null,
    printed: false,
    marking: null,
    painting: null,
    level: null,
    passes: null,
    ...part,
  };
}

/** A colour as it is first drawn: no shade chosen yet. */
export function newColour(colour: Pick<PaletteColour, 'id' | 'hex'> & Partial<PaletteColour>): PaletteColour {
  return { role: '', shade: null, second: null, lot: null, ...colour };
}

/** A wooden hoop of a size, bare, round, not yet measured. */
export function plainHoop(nominalMm: number, airMm: number): Hoop {
  return { nominalMm, shortMm: null, airMm, bound: false, ring: 'wood', warp: null };
}

/** How most people order their work. */
export const USUAL_ORDER_SCHOOLS = {
  outline: null,
  byArea: 0,
  needles: 4,
  focus: 'background',
  carryMm: null,
} as const;

export const NOTHING_FIXED: FixedOrder = { pairs: [], first: [], last: [] };

export const NO_CALENDAR: SittingCalendar = { days: [], at: '19:30', begin: null, doneBy: null, moved: [] };

/** Places of the hoop as a piece keeps them: what is not said of a size is left out. */
export function keptPlaces(places: readonly HoopPlace[]): Piece['positions'] {
  return places.map(([x, y, nominalMm]) => (nominalMm === undefined ? [x, y] : [x, y, nominalMm]));
}

/** A piece with nothing drawn, on pale linen, in no hoop. */
export function emptyPiece(id: string, name: string): Piece {
  return {
    format: PIECE_FORMAT,
    version: PIECE_VERSION,
    id,
    name,
    use: 'framed',
    level: 'usual',
    worker: {
      hand: 'right',
      satinFrom: 'middle',
      knots: 'french',
      strands: 'usual',
      layers: 'usual',
      start: 'waste-knot',
      ...USUAL_ORDER_SCHOOLS,
      cutMm: WORKING_LENGTH.cutMm,
      slack: DEFAULT_SLACK,
      sittingMin: 60,
      sittingsPerWeek: 3,
      own: null,
    },
    cloth: { kind: DEFAULT_CLOTH, colour: clothOf(DEFAULT_CLOTH).usualHex },
    stabiliser: null,
    hoop: null,
    positions: [],
    drawing: { source: '', unitMm: 1, hidden: 'cut', notes: [], underlay: null, parts: [] },
    placement: { scale: 1, isSizeSet: true, turnDeg: 0, mirrored: false, xMm: 0, yMm: 0 },
    palette: [],
    colourways: [],
    order: NOTHING_FIXED,
    calendar: NO_CALENDAR,
    mark: DEFAULT_MARK,
    finish: USUAL_FINISH,
    accepted: [],
  };
}
