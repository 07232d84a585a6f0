import type { PieceRecord } from '../piece/index.ts';
import type { Plan } from '../thread/index.ts';
import { forecast, type Forecast } from './forecast.ts';
import { learnHand, trusted } from './learn.ts';
import { learnPace } from './pace.ts';
import { countingEntries } from './progress.ts';
import { workSoFar } from './work.ts';

/** What a record tells of a plan, as the headless planner says it. */
export interface RecordReport {
  readonly doneParts: readonly string[];
  readonly doneSeconds: number;
  readonly doneMm: number;
  readonly left: Forecast;
  readonly factors: {
    readonly seconds: Readonly<Record<string, number>>;
    readonly thread: Readonly<Record<string, number>>;
  };
}

export function recordReport(record: PieceRecord, plan: Plan): RecordReport {
  const soFar = workSoFar(record, plan);
  const pace = learnPace(soFar.done);
  const left = new Set(soFar.left.map(({ part }) => part));
  const uses = countingEntries(record).filter((entry) => entry.type === 'thread-used');
  const byPart = new Set([...soFar.done.map(({ step }) => step.part), ...uses.map(({ part }) => part)]);
  const { thread } = learnHand(trusted(uses));
  return {
    doneParts: [...byPart].filter((part) => !left.has(part) || uses.some((use) => use.part === part)),
    doneSeconds: soFar.seconds,
    doneMm: soFar.done.reduce((sum, { step }) => sum + step.threadMm, 0),
    left: forecast(soFar, plan, pace),
    factors: {
      seconds: {
        '': pace.hand,
        ...Object.fromEntries([...pace.stitches].map(([stitch, { factor }]) => [stitch, factor])),
      },
      thread,
    },
  };
}
