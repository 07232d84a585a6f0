import { z } from '../measure/index.ts';

/** What every setting of a stitch may say of itself. */
interface AnyParam {
  /** Whether it belongs to the second journey of a stitch in two threads; the others belong to the first. */
  readonly ofSecondJourney?: true;
}

/** A number that a stitch can be given. */
export interface NumberParam extends AnyParam {
  readonly type: 'number';
  readonly label: string;
  /** The letter by which craft tables call it; accepted in place of the key. */
  readonly symbol?: string;
  readonly unit: 'mm' | 'per cm²' | 'turns' | 'stitches' | 'arms' | 'widths' | 'layers' | '°' | '%';
  readonly min: number;
  readonly max: number;
  readonly step: number;
  /** A figure, or one that follows the laid width of the thread (mm). */
  readonly default: number | ((laidMm: number) => number);
  readonly hint: string;
}

export interface ChoiceParam<Value extends string = string> extends AnyParam {
  readonly type: 'choice';
  readonly label: string;
  readonly options: readonly { readonly value: Value; readonly label: string }[];
  readonly default: Value;
  readonly hint: string;
}

export type ParamTable = Readonly<Record<string, NumberParam | ChoiceParam>>;

/** The values that a table describes. */
export type ParamsOf<Table extends ParamTable> = {
  [Key in keyof Table]: Table[Key] extends ChoiceParam<infer Value> ? Value : number;
};

/** What the person set; what is left out has its default. */
export type GivenParams = Readonly<Record<string, number | string>>;

/** A strict schema of a table: unknown keys and values out of range are refused, everything may be left out. */
export function paramsSchema(table: ParamTable): z.ZodType<GivenParams> {
  const shape = Object.fromEntries(Object.entries(table).map(([key, param]) => [key, valueSchema(param).optional()]));
  return z.strictObject(shape) as unknown as z.ZodType<GivenParams>;
}

function valueSchema(param: NumberParam | ChoiceParam): z.ZodType {
  if (param.type === 'choice') return z.enum(param.options.map((option) => option.value));
  return z.number().min(param.min).max(param.max);
}

/** Given values completed by defaults for a thread of this laid width; a value out of range is drawn to its limit. */
export function resolveParams<Table extends ParamTable>(
  table: Table,
  given: GivenParams,
  laidMm: number,
): ParamsOf<Table> {
  const values = Object.entries(table).map(([key, param]) => [key, resolveOne(param, given[key], laidMm)]);
  return Object.fromEntries(values) as ParamsOf<Table>;
}

function resolveOne(
  param: NumberParam | ChoiceParam,
  given: number | string | undefined,
  laidMm: number,
): number | string {
  if (param.type === 'choice') {
    return param.options.some((option) => option.value === given) ? given! : param.default;
  }
  const value = typeof given === 'number' && Number.isFinite(given) ? given : standardOf(param, laidMm);
  return Math.min(param.max, Math.max(param.min, value));
}

/** What a number is where nothing is given, for a thread of this laid width. */
export function standardOf({ default: standard }: NumberParam, laidMm: number): number {
  return typeof standard === 'function' ? standard(laidMm) : standard;
}

/** The key of a parameter by its key or symbol, or undefined where the stitch has none such. */
export function paramKey(table: ParamTable, name: string): string | undefined {
  if (name in table) return name;
  return Object.keys(table).find((key) => {
    const param = table[key]!;
    return param.type === 'number' && param.symbol === name;
  });
}
