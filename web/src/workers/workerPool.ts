import type { Outcome } from '@junctura/core/measure';
import type { JobInput, JobName, JobOutput } from './jobs.ts';
import { WorkerClient, type Asking } from './workerClient.ts';

/** Several workers that share what is asked: each job goes to the one with the least to do. They are begun as they are needed. */
export class WorkerPool {
  private readonly clients: readonly WorkerClient[];

  constructor(size: number, start?: () => Worker) {
    this.clients = Array.from({ length: Math.max(1, size) }, () => new WorkerClient(start));
  }

  ask<Name extends JobName>(
    name: Name,
    input: JobInput<Name>,
    asking?: Asking<Name>,
  ): Promise<Outcome<JobOutput<Name>> | null> {
    const client = this.clients.reduce((least, other) => (other.load < least.load ? other : least));
    return client.ask(name, input, asking);
  }
}

/** For pictures of pieces and trials of hoops: one core is left to the page. */
export const pictures = new WorkerPool((globalThis.navigator?.hardwareConcurrency || 2) - 1);
