import type { JobInput, JobName, JobOutput, JobProgress, JobReply, JobRequest } from './jobs.ts';

/** What a worker does: for each job a function, which may tell how far it is. */
export type Handlers = {
  readonly [Name in JobName]: (
    input: JobInput<Name>,
    tell: (progress: JobProgress<Name>) => void,
  ) => JobOutput<Name> | Promise<JobOutput<Name>>;
};

/** What a worker is heard and answered through: `self`, or in tests something like it. */
export interface Port {
  onmessage: ((event: MessageEvent<JobRequest>) => void) | null;
  postMessage(reply: JobReply, options?: { transfer: Transferable[] }): void;
}

/** Lets a worker answer: with what a job gave, or with what went wrong. */
export function serve(handlers: Handlers, port: Port = self as unknown as Port): void {
  port.onmessage = ({ data: { ticket, name, input } }) => {
    const tell = (progress: unknown): void => port.postMessage({ ticket, type: 'progress', progress });
    const work = handlers[name] as (input: unknown, tell: (progress: unknown) => void) => unknown;
    void (async () => {
      try {
        const output = await work(input, tell);
        port.postMessage({ ticket, type: 'done', output }, { transfer: bitmapsOf(output) });
      } catch (error) {
        port.postMessage({ ticket, type: 'failed', problem: error instanceof Error ? error.message : String(error) });
      }
    })();
  };
}

/** Pictures are handed over, not copied. */
function bitmapsOf(output: unknown): Transferable[] {
  if (typeof ImageBitmap === 'undefined' || typeof output !== 'object' || output === null) return [];
  return Object.values(output).filter((value) => value instanceof ImageBitmap);
}
