import type { PictureOptions } from '@junctura/core/drawing';
import { failure, type Outcome } from '@junctura/core/measure';
import type { Piece } from '@junctura/core/piece';
import type { OpenedPicture, PictureReply, PictureRequest } from './pictureMessages.ts';

/** Reads one picture in a worker of its own; what is under way is stopped by starting it again, and the picture is opened anew. */
export class PictureClient {
  private worker: Worker | null = null;
  private ticket = 0;
  /** Ends the waiting for what is under way; null where nothing is. */
  private giveUp: (() => void) | null = null;

  constructor(private readonly file: Blob) {}

  open(): Promise<Outcome<OpenedPicture>> {
    const worker = this.start();
    return new Promise((resolve) => {
      worker.addEventListener('message', ({ data }: MessageEvent<PictureReply>) => {
        if (data.type === 'opened') resolve(data.outcome);
      });
      worker.addEventListener('error', () => resolve(failure('the picture needs more memory than there is.')));
      this.send({ type: 'open', file: this.file });
    });
  }

  /** The parts of the picture; null where it was stopped or overtaken. */
  async read(
    options: PictureOptions,
    id: string,
    name: string,
    progress: (share: number) => void,
  ): Promise<Outcome<Piece> | null> {
    // What is overtaken is not waited for.
    if (this.giveUp) this.stop();
    const ticket = ++this.ticket;
    const stopped = new Promise<null>((resolve) => (this.giveUp = () => resolve(null)));
    return Promise.race([stopped, this.readNow(ticket, options, id, name, progress)]);
  }

  private async readNow(
    ticket: number,
    options: PictureOptions,
    id: string,
    name: string,
    progress: (share: number) => void,
  ): Promise<Outcome<Piece> | null> {
    if (!this.worker) await this.open();
    return new Promise((resolve) => {
      const worker = this.worker!;
      const hear = ({ data }: MessageEvent<PictureReply>): void => {
        if (data.type === 'opened' || data.ticket !== ticket) return;
        if (data.type === 'progress') return progress(data.share);
        worker.removeEventListener('message', hear);
        this.giveUp = null;
        resolve(data.outcome);
      };
      worker.addEventListener('message', hear);
      this.send({ type: 'read', ticket, options, id, name });
    });
  }

  /** Stops what is under way. */
  stop(): void {
    this.giveUp?.();
    this.giveUp = null;
    this.worker?.terminate();
    this.worker = null;
  }

  private start(): Worker {
    this.worker?.terminate();
    this.worker = new Worker(new URL('./pictures.worker.ts', import.meta.url), { type: 'module' });
    return this.worker;
  }

  private send(request: PictureRequest): void {
    this.worker!.postMessage(request);
  }
}
