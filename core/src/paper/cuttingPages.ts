import type { ColourNeed, NeedleLoad } from '../thread/index.ts';
import { FOLDED_STRANDS, WORKING_LENGTH } from '../materials/index.ts';
import { formatThread, type UnitSystem } from '../measure/index.ts';
import type { Piece } from '../piece/index.ts';
import { textPages } from './textPages.ts';
import type { Page } from './sheets.ts';

/** One cut of a thread as it is followed: how its strands are shared out, and for what. */
export interface CutInWords {
  readonly number: number;
  readonly length: string;
  /** Loads of the same strands for the same parts are told together. */
  readonly loads: readonly { readonly count: number; readonly strands: number; readonly parts: string }[];
  readonly kept: number;
}

/** More parts than this are not named one by one. */
const MOST_NAMED = 3;

/** The cutting list of a colour: cut 1, two loads of three strands, for these parts. */
export function cuttingList(piece: Piece, need: ColourNeed, units: UnitSystem): CutInWords[] {
  const names = new Map(piece.drawing.parts.map(({ id, name }) => [id, name]));
  const parts = (ids: readonly string[]): string => {
    const named = ids.slice(0, MOST_NAMED).map((id) => names.get(id) ?? id);
    return ids.length > MOST_NAMED ? `${named.join(', ')} and ${ids.length - MOST_NAMED} more` : named.join(', ');
  };
  return need.cutList.map(({ loads, strandsKept }, i) => {
    const first = need.loadList[loads[0]!]!;
    return {
      number: i + 1,
      length: formatThread(first.strands === FOLDED_STRANDS ? WORKING_LENGTH.foldedCutMm : need.cutMm, units),
      loads: together(
        loads.map((load) => need.loadList[load]!),
        parts,
      ),
      kept: strandsKept,
    };
  });
}

function together(loads: readonly NeedleLoad[], name: (ids: readonly string[]) => string): CutInWords['loads'] {
  const told: { count: number; strands: number; parts: string }[] = [];
  for (const { strands, works } of loads) {
    const parts = name(works.map(({ part }) => part));
    const same = told.find((other) => other.strands === strands && other.parts === parts);
    if (same) same.count++;
    else told.push({ count: 1, strands, parts });
  }
  return told;
}

/** One load of three strands, two loads of one … */
export function loadWords({ count, strands }: CutInWords['loads'][number]): string {
  const of = strands === 1 ? 'one strand' : `${strands} strands`;
  return count === 1 ? of : `${count} loads of ${of}`;
}

/** The cutting lists of all colours as pages to print. */
export function cuttingPages(piece: Piece, needs: readonly ColourNeed[], units: UnitSystem): Page[] {
  const rows = needs.flatMap((need) => [
    [need.name],
    ...cuttingList(piece, need, units).flatMap(({ number, length, loads, kept }) => [
      ...loads.map((load, i) => [i === 0 ? `Cut ${number}, ${length}` : '', `${loadWords(load)} for`, load.parts]),
      ...(kept > 0 ? [['', `${kept} kept`, 'for a fine line later']] : []),
    ]),
    [''],
  ]);
  return textPages(`Cutting list for ${piece.name}`, [0, 34, 78], rows);
}
