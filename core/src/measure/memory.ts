import { dequal } from 'dequal';

/**
 * Something that is made of some fields of a source, and made again only when one of them has another value. It is given those fields and
 * no others, so that a field which is used but not named does not compile.
 */
export interface Stage<Source extends object, Field extends keyof Source & string, Made> {
  readonly name: string;
  readonly madeOf: readonly Field[];
  /** Pure; @param memory for stages within it @param tell hears how much is done, 0–1, where that takes long */
  readonly make: (given: Pick<Source, Field>, memory: Memory, tell?: Tell) => Made;
}

type Tell = (share: number) => void;

/** Any stage, for lists of them. */
export type AnyStage = Pick<Stage<Record<string, unknown>, string, unknown>, 'name' | 'madeOf'>;

/** Declares a stage: `stage<Source>()('name', ['field', …], ({ field }) => …)`. */
export function stage<Source extends object>() {
  return <const Field extends keyof Source & string, Made>(
    name: string,
    madeOf: readonly Field[],
    make: Stage<Source, Field, Made>['make'],
  ): Stage<Source, Field, Made> => ({ name, madeOf, make });
}

/** What a stage made, and the fields that it was made of. */
export interface Remembered {
  readonly parts: readonly string[];
  readonly given: Readonly<Record<string, unknown>>;
  readonly made: unknown;
}

const placeOf = (parts: readonly string[], which: string | number): string => `${parts.join('\n')}\n${which}`;

/** More than this is kept of no stage: then what was made first is forgotten. */
const MOST_OF_A_STAGE = 50_000;

/**
 * All that is remembered from one plan to the next. It belongs to whoever plans, and goes with them. For each place it keeps what a stage
 * made there last; values are compared by what they hold, so an object that was made again with the same values is the same.
 */
export class Memory {
  private readonly stages = new Map<string, Map<string, Remembered>>();

  /**
   * What a stage makes of a source: what it made before, where no field of it has changed.
   * @param parts the ids of the parts that it is about: when one of them is gone from the piece it is forgotten
   * @param which tells apart what is made of the same parts
   */
  made<Source extends object, Field extends keyof Source & string, Made>(
    { name, madeOf, make }: Stage<Source, Field, Made>,
    parts: readonly string[],
    source: Pick<Source, Field>,
    which: string | number = '',
    tell?: Tell,
  ): Made {
    const entries = this.stages.get(name) ?? new Map<string, Remembered>();
    this.stages.set(name, entries);
    const place = placeOf(parts, which);
    const before = entries.get(place);
    if (before && this.isOf(before.given, name, madeOf, source)) return before.made as Made;
    const given = Object.fromEntries(madeOf.map((field) => [field, source[field]])) as Pick<Source, Field>;
    const made = make(given, this, tell);
    if (before) this.madeAgain(name, before, { parts, given, made });
    entries.delete(place);
    entries.set(place, { parts, given, made });
    if (entries.size > MOST_OF_A_STAGE) entries.delete(entries.keys().next().value!);
    return made;
  }

  /** Whether what a stage would make of a source is kept. */
  knows<Source extends object, Field extends keyof Source & string>(
    { name, madeOf }: Pick<Stage<Source, Field, unknown>, 'name' | 'madeOf'>,
    parts: readonly string[],
    source: Pick<Source, Field>,
    which: string | number = '',
  ): boolean {
    const kept = this.stages.get(name)?.get(placeOf(parts, which));
    return kept !== undefined && this.isOf(kept.given, name, madeOf, source);
  }

  private isOf<Source, Field extends keyof Source & string>(
    given: Readonly<Record<string, unknown>>,
    stageName: string,
    madeOf: readonly Field[],
    source: Pick<Source, Field>,
  ): boolean {
    for (const field of madeOf) {
      const now = source[field];
      if (given[field] !== now && !this.isSame(stageName, field, given[field], now)) return false;
    }
    return true;
  }

  /** Forgets all that is about parts that are gone. */
  forgetAllBut(parts: ReadonlySet<string>): void {
    for (const entries of this.stages.values()) {
      for (const [place, entry] of entries) {
        if (!entry.parts.every((part) => parts.has(part))) entries.delete(place);
      }
    }
  }

  /** The names of the stages that have made something. */
  names(): string[] {
    return [...this.stages.keys()];
  }

  /** How many things are kept. */
  get size(): number {
    return [...this.stages.values()].reduce((sum, entries) => sum + entries.size, 0);
  }

  protected isSame(_stage: string, _field: string, before: unknown, now: unknown): boolean {
    return dequal(before, now);
  }

  /** Hears what was made again, and of what: for tests of what stages are made of. */
  protected madeAgain(_stage: string, _before: Remembered, _after: Remembered): void {
    // Nothing is done with it here.
  }
}
