import type { JobReply, JobRequest } from '../workers/jobs.ts';
import { serve, type Handlers, type Port } from '../workers/serve.ts';

/** How a worker in a test behaves: what it does, how long it takes to answer, whether it dies or stalls instead. */
export interface Behaviour {
  readonly handlers: Partial<Handlers>;
  readonly delayMs?: () => number;
  /** Asked at each job: what becomes of the worker. */
  readonly fate?: (request: JobRequest) => 'answers' | 'dies' | 'stalls' | 'answers and dies';
}

/** A worker that runs in the test itself: messages are copied and come later, as from a real one. */
export class FakeWorker {
  static started = 0;
  onmessage: ((event: MessageEvent<JobReply>) => void) | null = null;
  onerror: ((event: ErrorEvent) => void) | null = null;
  onmessageerror: (() => void) | null = null;
  private isGone = false;
  private readonly port: Port;

  constructor(private readonly behaviour: Behaviour) {
    FakeWorker.started++;
    this.port = { onmessage: null, postMessage: (reply) => this.later(() => this.say(reply)) };
    serve(behaviour.handlers as Handlers, this.port);
  }

  postMessage(request: JobRequest): void {
    const fate = this.behaviour.fate?.(request) ?? 'answers';
    const data = structuredClone(request);
    if (fate === 'dies') return this.later(() => this.die());
    if (fate === 'stalls') return;
    this.port.onmessage?.({ data } as MessageEvent<JobRequest>);
    if (fate === 'answers and dies') this.later(() => this.die());
  }

  terminate(): void {
    this.isGone = true;
  }

  private say(reply: JobReply): void {
    this.onmessage?.({ data: structuredClone(reply) } as MessageEvent<JobReply>);
  }

  private die(): void {
    this.onerror?.({ message: 'out of memory', preventDefault: () => undefined } as unknown as ErrorEvent);
  }

  private later(act: () => void): void {
    setTimeout(() => !this.isGone && act(), this.behaviour.delayMs?.() ?? 0);
  }
}

export function fakeWorkers(behaviour: Behaviour): () => Worker {
  return () => new FakeWorker(behaviour) as unknown as Worker;
}
