import type { PictureOptions } from '@junctura/core/drawing';
import { failure, type Outcome } from '@junctura/core/measure';
import type { Piece } from '@junctura/core/piece';
import type { OpenedPicture } from './jobs.ts';
import { WorkerClient } from './workerClient.ts';

/** Reads one picture in a worker of its own; what is under way is stopped by starting it again, and the picture is opened anew. */
export class PictureClient {
  private readonly client = new WorkerClient();
  private reading: AbortController | null = null;

  constructor(private readonly file: Blob) {}

  async open(): Promise<Outcome<OpenedPicture>> {
    const opened = await this.client.ask('openPicture', { file: this.file });
    if (opened === null) return failure('It was stopped.');
    return opened.ok ? opened.value : opened;
  }

  /** The parts of the picture; null where it was stopped or overtaken. */
  async read(
    options: PictureOptions,
    id: string,
    name: string,
    onProgress: (share: number) => void,
  ): Promise<Outcome<Piece> | null> {
    // What is overtaken is not waited for.
    this.stop();
    this.reading = new AbortController();
    const { signal } = this.reading;
    const read = await this.client.ask('readPicture', { file: this.file, options, id, name }, { signal, onProgress });
    return read?.ok ? read.value : read;
  }

  /** Stops what is under way. */
  stop(): void {
    this.reading?.abort();
    this.reading = null;
  }

  close(): void {
    this.client.close();
  }
}
