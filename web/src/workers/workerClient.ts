import { failure, success, type Outcome } from '@junctura/core/measure';
import WORKER_ADDRESS from './core.worker.ts?worker&url';
import type { JobInput, JobName, JobOutput, JobProgress, JobReply, JobRequest } from './jobs.ts';

/** Where the worker's script lies. Its content is in its name, so that another build has another address. */
export { WORKER_ADDRESS };

export interface Asking<Name extends JobName> {
  /** Of jobs with one key only the newest waits; those that it overtakes are answered with null. */
  readonly key?: string;
  /** Cancels it: it is answered with null at once, and its worker is replaced if it is at it. */
  readonly signal?: AbortSignal;
  /** A job that takes longer is given up, ms. */
  readonly patienceMs?: number;
  readonly onProgress?: (progress: JobProgress<Name>) => void;
}

interface Waiting {
  readonly request: JobRequest;
  readonly key: string | undefined;
  readonly patienceMs: number | undefined;
  readonly onProgress: (progress: never) => void;
  readonly end: (outcome: Outcome<never> | null) => void;
}

/** What is answered where a worker dies, by the browser's own words. */
const DIED = 'It needs more memory than there is.';

/**
 * Asks one worker, one job after the other. Every job is answered, whatever happens: with what it gave, with a problem where it failed, took
 * too long or its worker died, with null where it was overtaken or cancelled. A worker that died or was stopped is replaced.
 */
export class WorkerClient {
  private worker: Worker | null = null;
  private running: Waiting | null = null;
  private waiting: Waiting[] = [];
  private ticket = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;

  /** @param onFresh told when a worker is begun: it knows nothing of what was asked before */
  constructor(
    private readonly start: () => Worker = startWorker,
    private readonly onFresh: () => void = () => undefined,
  ) {}

  /** How many jobs are not yet answered. */
  get load(): number {
    return this.waiting.length + (this.running ? 1 : 0);
  }

  ask<Name extends JobName>(
    name: Name,
    input: JobInput<Name>,
    { key, signal, patienceMs, onProgress }: Asking<Name> = {},
  ): Promise<Outcome<JobOutput<Name>> | null> {
    if (signal?.aborted) return Promise.resolve(null);
    return new Promise((resolve) => {
      const cancel = (): void => this.cancel(job);
      const job: Waiting = {
        request: { ticket: ++this.ticket, name, input },
        key,
        patienceMs,
        onProgress: (onProgress ?? (() => undefined)) as (progress: never) => void,
        end: (outcome) => {
          signal?.removeEventListener('abort', cancel);
          resolve(outcome);
        },
      };
      signal?.addEventListener('abort', cancel);
      if (key !== undefined) this.overtake(key);
      this.waiting.push(job);
      this.next();
    });
  }

  /** Ends everything; what is not yet answered is answered with null. */
  close(): void {
    const open = [...(this.running ? [this.running] : []), ...this.waiting];
    this.running = null;
    this.waiting = [];
    this.stopWorker();
    for (const { end } of open) end(null);
  }

  private overtake(key: string): void {
    const overtaken = this.waiting.filter((job) => job.key === key);
    this.waiting = this.waiting.filter((job) => job.key !== key);
    for (const { end } of overtaken) end(null);
  }

  private cancel(job: Waiting): void {
    this.waiting = this.waiting.filter((other) => other !== job);
    if (this.running === job) {
      this.running = null;
      this.stopWorker();
    }
    job.end(null);
    this.next();
  }

  private next(): void {
    if (this.running) return;
    const job = this.waiting.shift();
    if (!job) return;
    this.running = job;
    try {
      this.worker ??= this.begin();
      this.worker.postMessage(job.request);
    } catch (error) {
      return this.fail(error instanceof Error ? error.message : String(error));
    }
    if (job.patienceMs !== undefined) {
      this.timer = setTimeout(() => this.fail('It took too long and was stopped.'), job.patienceMs);
    }
  }

  private begin(): Worker {
    const worker = this.start();
    this.onFresh();
    worker.onmessage = ({ data }: MessageEvent<JobReply>) => this.hear(data);
    worker.onerror = (event) => {
      event.preventDefault();
      if (this.worker === worker) this.fail(event.message || DIED);
    };
    worker.onmessageerror = () => this.worker === worker && this.fail(DIED);
    return worker;
  }

  private hear(reply: JobReply): void {
    const job = this.running;
    // What a job says that was given up meanwhile is passed over.
    if (job?.request.ticket !== reply.ticket) return;
    if (reply.type === 'progress') return job.onProgress(reply.progress as never);
    clearTimeout(this.timer);
    this.running = null;
    job.end(reply.type === 'done' ? success(reply.output as never) : failure(reply.problem));
    this.next();
  }

  private fail(problem: string): void {
    const job = this.running;
    this.running = null;
    this.stopWorker();
    job?.end(failure(problem));
    this.next();
  }

  private stopWorker(): void {
    clearTimeout(this.timer);
    this.worker?.terminate();
    this.worker = null;
  }
}

function startWorker(): Worker {
  return new Worker(WORKER_ADDRESS, { type: 'module' });
}
