import type { PlannedPass } from '@junctura/core/work';
import type { Finding, Workings } from '@junctura/core/advice';
import type { Plan } from '@junctura/core/thread';
import type { PlacedShape } from '@junctura/core/drawing';
import type { PlanInput } from '@junctura/core/piece';

/** A plan in which everything the page already has is named by number instead of sent again. */
export interface PlanNews {
  readonly summary: Omit<Plan, 'parts'>;
  readonly parts: readonly {
    readonly placed: number;
    readonly passes: readonly number[];
    readonly fault: string | null;
  }[];
  readonly freshShapes: readonly (readonly [number, PlacedShape])[];
  readonly freshPasses: readonly (readonly [number, PlannedPass])[];
  readonly findings: readonly Finding[];
  readonly narrow: Workings['narrow'];
}

/** Gives numbers to objects and remembers which the other side has. */
class Ledger<T extends object> {
  private numbers = new Map<T, number>();
  private next = 1;

  /** Numbers all objects of this turn; those that are new are listed as fresh, those no longer used are forgotten. */
  enter(objects: readonly T[]): { numbers: number[]; fresh: [number, T][] } {
    const fresh: [number, T][] = [];
    const kept = new Map<T, number>();
    const numbers = objects.map((object) => {
      const known = kept.get(object) ?? this.numbers.get(object);
      const number = known ?? this.next++;
      if (known === undefined) fresh.push([number, object]);
      kept.set(object, number);
      return number;
    });
    this.numbers = kept;
    return { numbers, fresh };
  }
}

/** The sending side: makes news of workings, leaving out what was sent before. */
export class NewsWriter {
  private readonly shapes = new Ledger<PlacedShape>();
  private readonly passes = new Ledger<PlannedPass>();

  write({ plan, findings, narrow }: Workings): PlanNews {
    const { parts, ...summary } = plan;
    const shapes = this.shapes.enter(parts.map(({ placed }) => placed));
    const passes = this.passes.enter(parts.flatMap((part) => part.passes));
    let next = 0;
    return {
      summary,
      parts: parts.map((part, i) => ({
        placed: shapes.numbers[i]!,
        passes: part.passes.map(() => passes.numbers[next++]!),
        fault: part.fault,
      })),
      freshShapes: shapes.fresh,
      freshPasses: passes.fresh,
      findings,
      narrow,
    };
  }
}

/** The receiving side: puts workings together again; what did not change is the same object as before. */
export class NewsReader {
  private shapes = new Map<number, PlacedShape>();
  private passes = new Map<number, PlannedPass>();

  read(piece: PlanInput, news: PlanNews): Workings {
    const shapes = new Map([...this.shapes, ...news.freshShapes]);
    const passes = new Map([...this.passes, ...news.freshPasses]);
    const parts = news.parts.map((part, i) => ({
      part: piece.drawing.parts[i]!,
      placed: shapes.get(part.placed)!,
      passes: part.passes.map((number) => passes.get(number)!),
      fault: part.fault,
    }));
    this.shapes = keep(shapes, new Set(news.parts.map((part) => part.placed)));
    this.passes = keep(passes, new Set(news.parts.flatMap((part) => part.passes)));
    return { plan: { ...news.summary, parts }, findings: news.findings, narrow: news.narrow };
  }
}

function keep<T>(map: ReadonlyMap<number, T>, used: ReadonlySet<number>): Map<number, T> {
  return new Map([...map].filter(([number]) => used.has(number)));
}
