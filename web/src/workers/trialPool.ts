import type { Hoop, Piece } from '@junctura/core/piece';
import type { OwnHand } from '@junctura/core/plan';
import type { TrialReply, TrialRequest } from './trialMessages.ts';

/** Tries hoops in as many workers as there are cores, the largest first; each answer comes as it is ready. */
export class TrialPool {
  private workers: Worker[] = [];

  run(
    piece: Piece,
    hoops: readonly Hoop[],
    own: OwnHand,
    ready: (index: number, reply: TrialReply) => void,
    failed: () => void,
  ): void {
    this.stop();
    const waiting = hoops.map((hoop, ticket): TrialRequest => ({ ticket, piece, hoop, own })).reverse();
    const count = Math.min(waiting.length, Math.max(1, navigator.hardwareConcurrency || 2));
    for (let k = 0; k < count; k++) {
      const worker = new Worker(new URL('./hoopTrial.worker.ts', import.meta.url), { type: 'module' });
      const next = (): void => {
        const request = waiting.shift();
        if (request) worker.postMessage(request);
        else worker.terminate();
      };
      worker.onmessage = ({ data }: MessageEvent<TrialReply>) => {
        ready(data.ticket, data);
        next();
      };
      worker.onerror = () => {
        this.stop();
        failed();
      };
      this.workers.push(worker);
      next();
    }
  }

  stop(): void {
    for (const worker of this.workers) worker.terminate();
    this.workers = [];
  }
}
