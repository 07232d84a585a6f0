import { Worker } from 'node:worker_threads';

/** A piece that takes longer to check than this is refused, ms; and what checking may take of memory, MB. */
const PATIENCE_MS = 20_000;
const MOST_MB = 512;

const UNREADABLE = 'This piece can’t be read: it is damaged, or far too complicated.';

interface Waiting {
  readonly answer: (problem: string | null) => void;
  readonly timer: NodeJS.Timeout;
}

/** Checks pieces in a thread of its own, which is started with the first and ends with the server. */
export class PieceChecker {
  private worker: Worker | null = null;
  private readonly waiting = new Map<number, Waiting>();
  private count = 0;

  /** What is wrong with what claims to be a piece, in a sentence; null: nothing. The bytes stay the caller's. */
  check(bytes: Uint8Array): Promise<string | null> {
    return new Promise((answer) => {
      const number = this.count++;
      const timer = setTimeout(() => this.giveUp(), PATIENCE_MS);
      this.waiting.set(number, { answer, timer });
      this.worker ??= this.start();
      this.worker.postMessage({ number, bytes });
    });
  }

  private start(): Worker {
    const worker = new Worker(new URL('./pieceChecker.mjs', import.meta.url), {
      resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
    });
    worker.unref();
    worker.on('message', ({ number, problem }: { number: number; problem: string | null }) => {
      const one = this.waiting.get(number);
      this.waiting.delete(number);
      clearTimeout(one?.timer);
      one?.answer(problem);
    });
    worker.on('error', () => this.giveUp());
    return worker;
  }

  /** It took too long, or all of its memory: nobody waits for it any more. */
  private giveUp(): void {
    void this.worker?.terminate();
    this.worker = null;
    for (const { answer, timer } of this.waiting.values()) {
      clearTimeout(timer);
      answer(UNREADABLE);
    }
    this.waiting.clear();
  }
}
