/** What went wrong with parts, by their ids. They are left out, so that all others can be shown. */
export type Faults = Map<string, string>;

/** What some work on a part gives; where it fails, that is noted and `otherwise` stands in its place. */
export function attempt<T>(faults: Faults, id: string, work: () => T, otherwise: () => T): T {
  try {
    return work();
  } catch (error) {
    faults.set(id, error instanceof Error ? error.message : String(error));
    return otherwise();
  }
}
