import { FOLDED_STRANDS, WORKING_LENGTH } from '../materials/index.ts';
import { formatThread, type UnitSystem } from '../measure/index.ts';
import type { Piece } from '../piece/index.ts';
import type { ColourNeed } from '../plan/index.ts';
import { textPages } from './textPages.ts';
import type { Page } from './sheets.ts';

/** One cut of a thread as it is followed: how its strands are shared out, and for what. */
export interface CutInWords {
  readonly number: number;
  readonly length: string;
  readonly loads: readonly { readonly strands: number; readonly parts: string }[];
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
      loads: loads.map((load) => {
        const { strands, works } = need.loadList[load]!;
        return { strands, parts: parts(works.map(({ part }) => part)) };
      }),
      kept: strandsKept,
    };
  });
}

/** The cutting lists of all colours as pages to print. */
export function cuttingPages(piece: Piece, needs: readonly ColourNeed[], units: UnitSystem): Page[] {
  const rows = needs.flatMap((need) => [
    [need.name],
    ...cuttingList(piece, need, units).flatMap(({ number, length, loads, kept }) => [
      ...loads.map(({ strands, parts }, i) => [i === 0 ? `Cut ${number}, ${length}` : '', `${strands} for`, parts]),
      ...(kept > 0 ? [['', `${kept} kept`, 'for a fine line later']] : []),
    ]),
    [''],
  ]);
  return textPages(`Cutting list for ${piece.name}`, [0, 40, 60], rows);
}
