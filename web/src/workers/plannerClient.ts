import type { Finding, Remedy, Workings } from '@junctura/core/advice';
import { success, type Outcome } from '@junctura/core/measure';
import type { Piece, PlanInput } from '@junctura/core/piece';
import type { CoarsePart, OwnFactors } from '@junctura/core/work';
import type { JobInput, JobName, JobOutput, PlanProgress } from './jobs.ts';
import { NewsReader } from './planNews.ts';
import { WorkerClient, type Asking } from './workerClient.ts';

/** Who hears how a plan comes about. */
export interface PlanHearer {
  /** A rough picture of the parts that are about to be painted again. */
  readonly coarse?: (parts: readonly CoarsePart[]) => void;
  /** How much of the paths is worked, 0–1. */
  readonly share?: (share: number) => void;
  /** All of it, before its order of work is searched for. */
  readonly first?: (workings: Workings) => void;
}

/** A drawing that takes longer than this to read is given up, ms. */
const PATIENCE_MS = 20_000;

/**
 * Plans one piece after the other in a worker that remembers. Only the newest state is ever waiting to be planned: one that is overtaken by
 * an edit is not planned at all.
 */
export class PlannerClient {
  private reader = new NewsReader();
  private readonly client: WorkerClient;
  private giveUp = new AbortController();

  constructor(start?: () => Worker) {
    this.client = new WorkerClient(start, () => (this.reader = new NewsReader()));
  }

  /** The workings of a piece, or null where a newer state took its place or it was cancelled. */
  async plan(piece: PlanInput, factors: OwnFactors, hear: PlanHearer = {}): Promise<Outcome<Workings> | null> {
    const onProgress = (told: PlanProgress): void => {
      // What is sent once is not sent again: it is read whether anyone listens or not.
      if ('first' in told) {
        const workings = this.reader.read(piece, told.first);
        hear.first?.(workings);
      } else if ('coarse' in told) hear.coarse?.(told.coarse);
      else hear.share?.(told.share);
    };
    const asking = { key: 'plan', signal: this.giveUp.signal, onProgress };
    const news = await this.client.ask('plan', { piece, factors }, asking);
    return news?.ok ? success(this.reader.read(piece, news.value)) : news;
  }

  /** Gives up the plan that is under way. */
  cancel(): void {
    this.giveUp.abort();
    this.giveUp = new AbortController();
  }

  /** Reads an SVG drawing into a new piece. */
  async readDrawing(text: string, id: string, name: string): Promise<Outcome<Piece>> {
    const read = await this.client.ask('readDrawing', { text, id, name }, { patienceMs: PATIENCE_MS });
    return read?.ok ? read.value : (read ?? { ok: false, problem: 'The drawing was not read.' });
  }

  /** What can be done about findings, told one by one. */
  async remedies(
    piece: Piece,
    factors: OwnFactors,
    findings: readonly Finding[],
    tell: (index: number, remedies: readonly Remedy[]) => void,
  ): Promise<void> {
    const onProgress = ({ index, remedies }: { index: number; remedies: readonly Remedy[] }): void =>
      tell(index, remedies);
    await this.client.ask('remedies', { piece, factors, findings }, { key: 'remedies', onProgress });
  }

  /** Whatever else is asked of the same worker: it has the plan at hand. */
  ask<Name extends JobName>(
    name: Name,
    input: JobInput<Name>,
    asking?: Asking<Name>,
  ): Promise<Outcome<JobOutput<Name>> | null> {
    return this.client.ask(name, input, asking);
  }

  close(): void {
    this.client.close();
  }
}
