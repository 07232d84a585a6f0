import type { ThreadReply, ThreadRequest } from './threadMessages.ts';

type Asked = ThreadRequest extends infer R ? (R extends ThreadRequest ? Omit<R, 'ticket'> : never) : never;

/** Asks the worker that reckons with thread. A question that is overtaken by another of its kind is answered with null. */
export class ThreadClient {
  private worker: Worker | null = null;
  private ticket = 0;
  private waiting = new Map<ThreadRequest['type'], { ticket: number; done: (reply: ThreadReply | null) => void }>();

  ask(request: Asked): Promise<ThreadReply | null> {
    this.waiting.get(request.type)?.done(null);
    const ticket = ++this.ticket;
    const answered = new Promise<ThreadReply | null>((done) => this.waiting.set(request.type, { ticket, done }));
    this.worker ??= this.start();
    this.worker.postMessage({ ...request, ticket } as ThreadRequest);
    return answered;
  }

  close(): void {
    this.worker?.terminate();
    this.worker = null;
    for (const { done } of this.waiting.values()) done(null);
    this.waiting.clear();
  }

  private start(): Worker {
    const worker = new Worker(new URL('./thread.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<ThreadReply>) => {
      for (const [type, { ticket, done }] of this.waiting) {
        if (ticket !== data.ticket) continue;
        this.waiting.delete(type);
        done(data);
      }
    };
    worker.onerror = () => this.close();
    return worker;
  }
}
