import { fork, type ChildProcess } from 'node:child_process';
import type { Input } from './inputs.ts';
import type { Verdict } from './trier.ts';

/** An input that takes longer hangs, ms; a file of under 1 MB may take no more memory than this, MB. */
const PATIENCE_MS = 30_000;
const MOST_MEMORY_MB = 1500;

/** What an input does that it must not. */
export interface Found {
  readonly input: Input;
  readonly fault: string;
}

/** Tries inputs in a process of its own, so that one that hangs or takes all memory is found like any other. */
export class InputsRun {
  private child: ChildProcess | null = null;

  /** @param trier the script of the process that tries */
  constructor(private readonly trier: string) {}

  /** @returns what it does that it must not; null: nothing */
  async try(input: Input): Promise<Found | null> {
    this.child ??= fork(this.trier, [], { execArgv: [`--max-old-space-size=${MOST_MEMORY_MB}`], silent: true });
    const child = this.child;
    const fault = await new Promise<string | null>((resolve) => {
      const timer = setTimeout(() => end(`it does not come to an end within ${PATIENCE_MS / 1000} s`), PATIENCE_MS);
      const hear = ({ fault }: Verdict): void => end(fault, true);
      const die = (): void => end(`the process died: it took more than ${MOST_MEMORY_MB} MB, or worse`);
      const end = (fault: string | null, lives = false): void => {
        clearTimeout(timer);
        child.off('message', hear).off('exit', die);
        if (!lives) this.close();
        resolve(fault);
      };
      child.once('message', hear).once('exit', die);
      child.send(input);
    });
    return fault === null ? null : { input, fault };
  }

  close(): void {
    this.child?.kill('SIGKILL');
    this.child = null;
  }
}
