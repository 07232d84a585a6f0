import { PIECE_VERSION } from './schema.ts';

type Data = Record<string, unknown>;

/**
 * What each version changed, numbered by the version it makes. Shipped ones are never edited.
 * Version 1 is the first: there is nothing before it to bring forward yet.
 */
export const MIGRATIONS: Readonly<Record<number, { readonly name: string; up(data: Data): Data }>> = {};

/** Brings a stored piece forward to the present version. */
export function migrate(data: Data, from: number): Data {
  let now = data;
  for (let version = from + 1; version <= PIECE_VERSION; version++) {
    const step = MIGRATIONS[version];
    if (!step) throw new Error(`migrate: no migration makes version ${version}`);
    now = { ...step.up(now), version };
  }
  return now;
}
