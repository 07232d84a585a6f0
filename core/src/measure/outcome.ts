/**
 * What becomes of input that may be bad: a value, or one sentence that says what is wrong and where.
 * A programmer's mistake throws instead. `detail` is for developers: where in the data it is, and what the check said.
 */
export type Outcome<T> = { ok: true; value: T } | { ok: false; problem: string; detail?: string };

export function success<T>(value: T): Outcome<T> {
  return { ok: true, value };
}

export function failure(problem: string, detail?: string): { ok: false; problem: string; detail?: string } {
  return detail === undefined ? { ok: false, problem } : { ok: false, problem, detail };
}
