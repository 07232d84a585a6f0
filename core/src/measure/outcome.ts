/**
 * What becomes of input that may be bad: a value, or one sentence that says what is wrong and where.
 * A programmer's mistake throws instead.
 */
export type Outcome<T> = { ok: true; value: T } | { ok: false; problem: string };

export function success<T>(value: T): Outcome<T> {
  return { ok: true, value };
}

export function failure(problem: string): { ok: false; problem: string } {
  return { ok: false, problem };
}
