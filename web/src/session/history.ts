/** Changes of the same thing within this time are one for undo, as letters that are typed are, ms. */
const MERGE_MS = 1200;
const DEPTH = 500;

/** How changes are compared, and merged into one. */
interface HistoryOf<Change> {
  /** What a change changes; null: it is never put together with another. */
  readonly keyOf: (change: Change) => string | null;
  /** Two changes, the later made of what the earlier left, as one. */
  readonly merged: (earlier: Change, later: Change) => Change;
}

/** What can be undone and done again, of whatever changes. */
export class History<Change extends { readonly label: string }> {
  private done: { readonly change: Change; readonly at: number }[] = [];
  private undone: Change[] = [];

  constructor(private readonly of: HistoryOf<Change>) {}

  get undoLabel(): string | null {
    return this.done.at(-1)?.change.label ?? null;
  }

  get redoLabel(): string | null {
    return this.undone.at(-1)?.label ?? null;
  }

  /** A change was made. */
  put(change: Change, now: number): void {
    const last = this.done.at(-1);
    const key = this.of.keyOf(change);
    if (last && key !== null && this.of.keyOf(last.change) === key && now - last.at < MERGE_MS) {
      this.done[this.done.length - 1] = { change: this.of.merged(last.change, change), at: now };
    } else {
      this.done.push({ change, at: now });
      if (this.done.length > DEPTH) this.done.shift();
    }
    this.undone = [];
  }

  /** The change that is to be taken back now; null where there is none. */
  undo(): Change | null {
    const last = this.done.pop();
    if (!last) return null;
    this.undone.push(last.change);
    return last.change;
  }

  /** The change that is to be made again now; null where there is none. */
  redo(): Change | null {
    const change = this.undone.pop() ?? null;
    // What is done next is not put together with it.
    if (change) this.done.push({ change, at: -Infinity });
    return change;
  }
}
