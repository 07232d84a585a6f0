import { check } from './check.ts';
import type { Input } from './inputs.ts';

/** What the process that tries inputs says of each: null, nothing is wrong with it. */
export interface Verdict {
  readonly fault: string | null;
}

/** A process that tries what it is sent, one input after the other. What it dies of, its parent sees. */
process.on('message', (input: Input) => {
  const verdict: Verdict = { fault: faultOf(input) };
  process.send!(verdict);
});

function faultOf(input: Input): string | null {
  try {
    check(input);
    return null;
  } catch (error) {
    return error instanceof Error ? (error.stack ?? error.message) : String(error);
  }
}
