import { parseArgs } from 'node:util';
import { CLOTH_IDS, HOOP_RANGE_MM, THREAD_IDS, type ThreadId, type ClothId } from '@junctura/core/materials';
import { failure, success, type Outcome } from '@junctura/core/measure';
import { ENDS, LEVELS, MOST_NEEDLES, USES, type End, type Level, type Piece } from '@junctura/core/piece';
import { isStitchId, paramKey, paramsSchema, STITCH_IDS, stitchKind, type StitchId } from '@junctura/core/stitches';
import * as say from './words.ts';

export const USAGE = [
  'plan FILE [--hoop 150] [--fit | --scale MM_PER_UNIT] [--cloth ID] [--thread KIND] [--strands N]',
  '[--stitch ID] [--param key=value]… [--angle DEG] [--slack 0.03] [--seed N]',
  '[--order colour|area [--needles 4] [--focal background|features] [--outline first|last] [--sitting 60]]',
  '[--record ENTRIES.json] [--finish END]',
  '[--level simple|usual|rich | --within HOURS] [--own LIST.csv]',
  '[--as-drawn] [--use framed|worn|washed|handled|patch|ornament|whitework]',
  '[--paint [PICTURE] [--shades 24] [--outline-part ID]] [--picture OUT.png [--dpi 300] [--side front|back]]',
  '[--guide OUT.html [--hand right|left]]',
].join(' ');

/** What was asked for on the command line; null where nothing was said. */
export interface PlanOptions {
  readonly file: string;
  readonly hoopMm: number | null;
  readonly fit: boolean;
  readonly scale: number | null;
  readonly cloth: ClothId | null;
  readonly thread: ThreadId | null;
  readonly strands: number | null;
  readonly stitch: StitchId | null;
  readonly params: ReadonlyMap<string, string>;
  readonly angleDeg: number | null;
  readonly slack: number | null;
  readonly seed: number;
  /** Whether the drawing is taken as it is drawn, untidied. */
  readonly asDrawn: boolean;
  /** What the piece is for; null: framed. */
  readonly use: Piece['use'] | null;
  /** How much of the piece is stitched; null: as usual, or as the piece says. */
  readonly level: Level | null;
  /** The richest version that takes no longer, hours; null: it is not asked for. */
  readonly withinHours: number | null;
  /** The list of threads that are there; null: none. */
  readonly own: string | null;
  /** How the order of work is found and told; null: it is not asked for. */
  readonly order: OrderOptions | null;
  /** A file of entries of the record; null: it is not asked for. */
  readonly record: string | null;
  /** How it is finished as this; null: it is not asked for. */
  readonly finish: End | null;
  /** The picture that a part is painted from; null: none is. */
  readonly paint: PaintOptions | null;
  /** Where the stitched picture goes; null: nowhere. */
  readonly picture: PictureOptions | null;
  /** Where the guide goes as a web page; null: nowhere. */
  readonly guide: GuideFileOptions | null;
}

/** How a part is painted from a picture. */
export interface PaintOptions {
  /** The file of the picture; without a drawing it is the file itself. */
  readonly file: string;
  readonly isWholePicture: boolean;
  readonly shades: number;
  /** The part that is painted; null: the largest area. */
  readonly part: string | null;
}

/** The guide as a file. @remarks hand null: the piece’s own */
export interface GuideFileOptions {
  readonly file: string;
  readonly hand: 'right' | 'left' | null;
}

/** The stitched picture as a file. */
export interface PictureOptions {
  readonly file: string;
  readonly dpi: number;
  readonly side: 'front' | 'back';
}

/** Schools of the order; null where nothing was said: the piece's own. */
export interface OrderOptions {
  readonly by: 'colour' | 'area';
  readonly needles: number | null;
  readonly focus: 'background' | 'features' | null;
  readonly outline: 'first' | 'last' | null;
  readonly sittingMin: number | null;
}

const NUMBER_OPTIONS = [
  '--hoop',
  '--scale',
  '--strands',
  '--angle',
  '--slack',
  '--seed',
  '--needles',
  '--sitting',
  '--shades',
  '--dpi',
  '--within',
];

/** A negative number after an option would be taken for an option itself. */
function joinNumbers(args: readonly string[]): string[] {
  const joined: string[] = [];
  for (let i = 0; i < args.length; i++) {
    const [option, value] = [args[i]!, args[i + 1]];
    // `--paint` alone: the file itself is the picture.
    if (option === '--paint' && (value === undefined || value.startsWith('--'))) {
      joined.push('--paint=');
      continue;
    }
    if (NUMBER_OPTIONS.includes(option) && value !== undefined && /^-[\d.]/.test(value)) {
      joined.push(`${option}=${value}`);
      i++;
    } else joined.push(option);
  }
  return joined;
}

/** Reads the command line; the problem, if there is one, is a single line. */
export function readOptions(args: readonly string[]): Outcome<PlanOptions> {
  try {
    const { values, positionals } = parseArgs({
      args: joinNumbers(args),
      allowPositionals: true,
      options: {
        hoop: { type: 'string' },
        fit: { type: 'boolean' },
        scale: { type: 'string' },
        cloth: { type: 'string' },
        thread: { type: 'string' },
        strands: { type: 'string' },
        stitch: { type: 'string' },
        param: { type: 'string', multiple: true },
        angle: { type: 'string' },
        slack: { type: 'string' },
        seed: { type: 'string' },
        'as-drawn': { type: 'boolean' },
        use: { type: 'string' },
        level: { type: 'string' },
        within: { type: 'string' },
        own: { type: 'string' },
        order: { type: 'string' },
        needles: { type: 'string' },
        focal: { type: 'string' },
        outline: { type: 'string' },
        sitting: { type: 'string' },
        record: { type: 'string' },
        finish: { type: 'string' },
        paint: { type: 'string' },
        shades: { type: 'string' },
        'outline-part': { type: 'string' },
        guide: { type: 'string' },
        hand: { type: 'string' },
        picture: { type: 'string' },
        dpi: { type: 'string' },
        side: { type: 'string' },
      },
    });
    const [file, ...others] = positionals;
    if (file === undefined) throw new Error(say.noFile(USAGE));
    if (others.length > 0) throw new Error(say.oneFile(others, file));
    if (values.fit && values.scale !== undefined) throw new Error('use either --fit or --scale, not both');
    if (values.level !== undefined && values.within !== undefined) {
      throw new Error('use either --level or --within, not both');
    }
    const { min, max } = HOOP_RANGE_MM;
    const options: PlanOptions = {
      file,
      hoopMm: number('--hoop', values.hoop, min, max, 'mm'),
      fit: values.fit ?? false,
      scale: number('--scale', values.scale, 1e-3, 1e3, 'mm for one user unit'),
      cloth: choice('--cloth', values.cloth, CLOTH_IDS),
      thread: choice('--thread', values.thread, THREAD_IDS),
      strands: wholeNumber('--strands', values.strands, 1, 12),
      stitch: stitchOf(values.stitch),
      params: readParams(values.param ?? []),
      angleDeg: number('--angle', values.angle, -360, 360, 'degrees'),
      slack: number('--slack', values.slack, 0, 1, 'as a share of the length'),
      seed: wholeNumber('--seed', values.seed, 0, 2 ** 32 - 1) ?? 1,
      asDrawn: values['as-drawn'] ?? false,
      use: choice('--use', values.use, USES),
      level: choice('--level', values.level, LEVELS),
      withinHours: number('--within', values.within, 0.1, 2000, 'hours'),
      own: values.own ?? null,
      order: orderOptions(values),
      record: values.record ?? null,
      finish: choice('--finish', values.finish, ENDS),
      paint: paintOptions(values, file),
      guide: guideOptions(values),
      picture: pictureOptions(values),
    };
    return success(options);
  } catch (error) {
    return failure((error instanceof Error ? error.message : String(error)).split('\n')[0]!);
  }
}

/** Shades that one would thread for one picture. */
const PAINTED_SHADES = { usual: 24, least: 2, most: 50 } as const;

function paintOptions(values: Record<string, unknown>, file: string): PaintOptions | null {
  const text = (name: string): string | undefined => values[name] as string | undefined;
  const shades = wholeNumber('--shades', text('shades'), PAINTED_SHADES.least, PAINTED_SHADES.most);
  const part = text('outline-part') ?? null;
  const picture = text('paint');
  if (picture === undefined) {
    if (shades !== null || part !== null) throw new Error('--shades and --outline-part go with --paint');
    return null;
  }
  const isWholePicture = picture === '' || picture === file;
  return { file: isWholePicture ? file : picture, isWholePicture, shades: shades ?? PAINTED_SHADES.usual, part };
}

function guideOptions(values: Record<string, unknown>): GuideFileOptions | null {
  const text = (name: string): string | undefined => values[name] as string | undefined;
  const hand = choice('--hand', text('hand'), ['right', 'left']);
  const file = text('guide');
  if (file !== undefined) return { file, hand };
  if (hand !== null) throw new Error('--hand goes with --guide');
  return null;
}

function pictureOptions(values: Record<string, unknown>): PictureOptions | null {
  const text = (name: string): string | undefined => values[name] as string | undefined;
  const dpi = number('--dpi', text('dpi'), 30, 1200, 'dots to the inch');
  const side = choice('--side', text('side'), ['front', 'back']);
  const file = text('picture');
  if (file !== undefined) return { file, dpi: dpi ?? 300, side: side ?? 'front' };
  if (dpi !== null || side !== null) throw new Error('--dpi and --side go with --picture');
  return null;
}

function orderOptions(values: Record<string, unknown>): OrderOptions | null {
  const text = (name: string): string | undefined => values[name] as string | undefined;
  const by = choice('--order', text('order'), ['colour', 'area']);
  const options = {
    needles: wholeNumber('--needles', text('needles'), 1, MOST_NEEDLES),
    focus: choice('--focal', text('focal'), ['background', 'features']),
    outline: choice('--outline', text('outline'), ['first', 'last']),
    sittingMin: number('--sitting', text('sitting'), 10, 600, 'minutes'),
  };
  if (by !== null) return { by, ...options };
  if (Object.values(options).some((value) => value !== null)) {
    throw new Error('--needles, --focal, --outline and --sitting go with --order colour or --order area');
  }
  return null;
}

function number(name: string, text: string | undefined, min: number, max: number, unit: string): number | null {
  if (text === undefined) return null;
  const value = text.trim() === '' ? NaN : Number(text);
  if (!(value >= min && value <= max)) throw new Error(say.numberRange(name, min, max, unit, text));
  return value;
}

function wholeNumber(name: string, text: string | undefined, min: number, max: number): number | null {
  const value = number(name, text, min, max, 'whole');
  if (value !== null && !Number.isInteger(value)) throw new Error(say.wholeNumber(name, text ?? ''));
  return value;
}

function choice<Choice extends string>(
  name: string,
  text: string | undefined,
  known: readonly Choice[],
): Choice | null {
  if (text === undefined) return null;
  const value = known.find((one) => one === text);
  if (value === undefined) throw new Error(say.oneOf(name, known, text));
  return value;
}

function stitchOf(id: string | undefined): StitchId | null {
  if (id === undefined) return null;
  if (!isStitchId(id)) throw new Error(say.oneOf('--stitch', STITCH_IDS, id));
  return id;
}

function readParams(given: readonly string[]): Map<string, string> {
  const params = new Map<string, string>();
  for (const text of given) {
    const equals = text.indexOf('=');
    if (equals < 1) throw new Error(say.badParam(text));
    params.set(text.slice(0, equals), text.slice(equals + 1));
  }
  return params;
}

/** The asked-for parameters that a stitch knows, checked against its ranges. */
export function paramsFor(
  stitch: StitchId,
  asked: ReadonlyMap<string, string>,
): Outcome<Record<string, number | string>> {
  const table = stitchKind(stitch).params;
  const params: Record<string, number | string> = {};
  for (const [name, text] of asked) {
    const key = paramKey(table, name);
    if (key === undefined) continue;
    const value = table[key]!.type === 'number' && text.trim() !== '' ? Number(text) : text;
    const checked = paramsSchema(table).safeParse({ [key]: value });
    if (!checked.success) return failure(`--param ${name}=${text}: ${checked.error.issues[0]!.message} for ${stitch}`);
    params[key] = value;
  }
  return success(params);
}
