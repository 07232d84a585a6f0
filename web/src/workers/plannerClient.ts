import type { Workings } from '@junctura/core/advice';
import { failure, success, type Outcome } from '@junctura/core/measure';
import type { Piece } from '@junctura/core/piece';
import type { OwnHand } from '@junctura/core/plan';
import type { PlannerReply, PlannerRequest } from './messages.ts';
import { NewsReader } from './planNews.ts';

type Request = PlannerRequest extends infer R ? (R extends PlannerRequest ? Omit<R, 'ticket'> : never) : never;

/** A drawing that takes longer than this to read is given up, ms. */
const PATIENCE_MS = 20_000;

/**
 * Talks to a planner in a worker of its own. Only the newest piece is ever waiting to be planned: a piece that is
 * overtaken by an edit is not planned at all, and a worker that failed is replaced.
 */
export class PlannerClient {
  private worker = this.start();
  private reader = new NewsReader();
  private ticket = 0;
  private waiting = new Map<number, (reply: PlannerReply) => void>();
  private newest: { piece: Piece; own: OwnHand; done: (outcome: Outcome<Workings> | null) => void } | null = null;
  private isPlanning = false;

  /** The workings of a piece, or null where a newer piece took its place. */
  plan(piece: Piece, own: OwnHand): Promise<Outcome<Workings> | null> {
    return new Promise((done) => {
      this.newest?.done(null);
      this.newest = { piece, own, done };
      if (!this.isPlanning) void this.planNewest();
    });
  }

  /** Reads an SVG drawing into a new piece. */
  async readDrawing(text: string, id: string, name: string): Promise<Outcome<Piece>> {
    const reply = await this.ask({ type: 'readDrawing', text, id, name }, PATIENCE_MS);
    if (reply.type === 'read') return reply.outcome;
    return failure(reply.type === 'failed' ? reply.problem : 'The drawing could not be read.');
  }

  close(): void {
    this.worker.terminate();
  }

  private async planNewest(): Promise<void> {
    this.isPlanning = true;
    while (this.newest) {
      const { piece, own, done } = this.newest;
      this.newest = null;
      const reply = await this.ask({ type: 'plan', piece, own });
      if (reply.type === 'planned') done(success(this.reader.read(piece, reply.news)));
      else done(failure(reply.type === 'failed' ? reply.problem : 'The piece could not be planned.'));
    }
    this.isPlanning = false;
  }

  private ask(request: Request, patienceMs?: number): Promise<PlannerReply> {
    const ticket = ++this.ticket;
    return new Promise((resolve) => {
      this.waiting.set(ticket, resolve);
      this.worker.postMessage({ ...request, ticket } as PlannerRequest);
      if (patienceMs !== undefined) {
        setTimeout(() => {
          if (this.waiting.has(ticket)) this.restart('It took too long and was given up.');
        }, patienceMs);
      }
    });
  }

  private start(): Worker {
    const worker = new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<PlannerReply>) => {
      this.waiting.get(data.ticket)?.(data);
      this.waiting.delete(data.ticket);
    };
    worker.onerror = (event) => this.restart(event.message || 'The planner stopped.');
    return worker;
  }

  private restart(problem: string): void {
    this.worker.terminate();
    this.worker = this.start();
    this.reader = new NewsReader();
    for (const [ticket, resolve] of this.waiting) resolve({ type: 'failed', ticket, problem });
    this.waiting.clear();
  }
}
