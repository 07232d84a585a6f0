import type { CutInWords } from '../cuttingPages.ts';
import * as say from '../words.ts';

/** Lengths that are shared out alike are one line: “12 lengths of 50 cm, each 3 needlefuls of 2 strands, for the star”. */
export function foldedCuts(cuts: readonly CutInWords[]): string[] {
  const folded = new Map<
    string,
    { count: number; first: CutInWords; byStrands: ReadonlyMap<number, number>; parts: Set<string> }
  >();
  for (const cut of cuts) {
    const byStrands = new Map<number, number>();
    for (const { strands, count } of cut.loads) byStrands.set(strands, (byStrands.get(strands) ?? 0) + count);
    const key = JSON.stringify([cut.length, cut.kept, [...byStrands].sort(([a], [b]) => a - b)]);
    const entry = folded.get(key) ?? { count: 0, first: cut, byStrands, parts: new Set<string>() };
    folded.set(key, entry);
    entry.count++;
    for (const { names } of cut.loads) for (const name of names) entry.parts.add(name);
  }
  return [...folded.values()].map(({ count, first, byStrands, parts }) => {
    const needlefuls = [...byStrands].map(([strands, own]) => say.needlefulsOf(own, strands));
    return say.lengthsToCut(count, first.length, needlefuls, first.kept, [...parts]);
  });
}
