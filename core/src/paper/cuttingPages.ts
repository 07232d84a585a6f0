import type { ColourNeed, NeedleLoad } from '../thread/index.ts';
import { FOLDED_STRANDS, WORKING_LENGTH } from '../materials/index.ts';
import { formatThread, type UnitSystem } from '../measure/index.ts';
import type { Piece } from '../piece/index.ts';
import { textPages } from './textPages.ts';
import type { Page } from './sheets.ts';
import * as say from './words.ts';

/** One cut of a thread as it is followed: how its strands are shared out, and for what. */
export interface CutInWords {
  readonly number: number;
  readonly length: string;
  /** Loads of the same strands for the same parts are told together. */
  readonly loads: readonly {
    readonly count: number;
    readonly strands: number;
    /** The parts that it works: all of them, and in a few words. */
    readonly names: readonly string[];
    readonly parts: string;
  }[];
  readonly kept: number;
}

/** The cutting list of a colour: cut 1, two loads of three strands, for these parts. */
export function cuttingList(piece: Piece, need: ColourNeed, units: UnitSystem): CutInWords[] {
  const names = new Map(piece.drawing.parts.map(({ id, name }) => [id, name]));
  const namesOf = (ids: readonly string[]): string[] => ids.map((id) => names.get(id) ?? id);
  return need.cutList.map(({ loads, strandsKept }, i) => {
    const first = need.loadList[loads[0]!]!;
    return {
      number: i + 1,
      length: formatThread(first.strands === FOLDED_STRANDS ? WORKING_LENGTH.foldedCutMm : need.cutMm, units),
      loads: together(
        loads.map((load) => need.loadList[load]!),
        namesOf,
      ),
      kept: strandsKept,
    };
  });
}

function together(loads: readonly NeedleLoad[], namesOf: (ids: readonly string[]) => string[]): CutInWords['loads'] {
  const told: { count: number; strands: number; names: readonly string[]; parts: string }[] = [];
  for (const { strands, works } of loads) {
    const names = namesOf(works.map(({ part }) => part));
    const parts = say.someOf(names);
    const same = told.find((other) => other.strands === strands && other.parts === parts);
    if (same) same.count++;
    else told.push({ count: 1, strands, names, parts });
  }
  return told;
}

/** What a length is shared into: “1 needleful of 3 strands”. */
export function loadWords({ count, strands }: CutInWords['loads'][number]): string {
  return say.needlefulsOf(count, strands);
}

/** The cutting lists of all colours as pages to print. */
export function cuttingPages(piece: Piece, needs: readonly ColourNeed[], units: UnitSystem): Page[] {
  const rows = needs.flatMap((need) => [
    [need.name],
    ...cuttingList(piece, need, units).flatMap(({ number, length, loads, kept }) => [
      ...loads.map((load, i) => [i === 0 ? say.cutAndLength(number, length) : '', loadWords(load), load.parts]),
      ...(kept > 0 ? [['', say.spareStrands(kept), 'for a fine line later']] : []),
    ]),
    [''],
  ]);
  return textPages(say.cuttingListFor(piece.name), [0, 34, 78], rows);
}
