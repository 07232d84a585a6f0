import { type Reach, partsToDo, willReach, ENOUGH } from './reach.ts';
import type { Plan } from './plan.ts';
import { shadeNeeds } from './shadeNeeds.ts';
import { risingFactors, shareWithin } from './odds.ts';
import { passesAsWorked, usesColour, type PlannedPart } from '../work/index.ts';
import { colourNeeds } from './needs.ts';
import { Memory } from '../measure/index.ts';
import { boxesMeet } from '../geometry/index.ts';
import { strandChoices, threadKind, type ThreadBox } from '../materials/index.ts';
import { editOf, freeColourId, setPasses, type Edit, type Pass, type Piece, colourOf } from '../piece/index.ts';
import * as say from './words.ts';

/** Parts nearer than this are worked side by side, mm. */
const BESIDE_MM = 0.5;

/** Something that saves thread, or lets it end where it does not show. */
export interface Saving {
  readonly label: string;
  readonly edit: Edit;
  /** Whether it saves thread, or leaves some of the work to another lot. */
  readonly type: 'saves' | 'divides';
  /** Metres of the whole thread that are not taken from what is owned. */
  readonly savedM: number;
  /** In how many cases what is owned then reaches, 0–1. */
  readonly odds: number;
}

/** Less is not worth telling, metres. */
const LEAST_SAVED_M = 0.01;

const SOLID: ReadonlySet<string> = new Set(['satin', 'brick', 'split-fill', 'long-short', 'stem-fill', 'back-fill']);

/**
 * What can be done where a shade will not reach, each with its effect.
 * @param replan plans an edited piece
 */
export function savings(
  piece: Piece,
  plan: Plan,
  done: ReadonlySet<string>,
  reach: Reach,
  box: ThreadBox,
  replan: (edit: Edit) => { piece: Piece; plan: Plan },
): Saving[] {
  const { need } = reach;
  const memory = new Memory();
  const parts = partsToDo(plan, done).filter((planned) => need.colours.some((colour) => usesColour(planned, colour)));
  const change = (label: string, isMeant: (pass: Pass) => boolean, to: (pass: Pass) => Pass): [string, Edit | null] => {
    const changed = parts.flatMap((planned) => {
      const passes = passesAsWorked(planned);
      const isOurs = (pass: Pass): boolean =>
        pass.thread === need.thread && need.colours.includes(pass.colour ?? planned.part.colour) && isMeant(pass);
      return passes.some(isOurs)
        ? [[planned.part.id, passes.map((pass) => (isOurs(pass) ? to(pass) : pass))] as const]
        : [];
    });
    return [label, changed.length > 0 ? setPasses(piece, new Map(changed), label) : null];
  };
  const plain = (pass: Pass, stitch: Pass['stitch']): Pass => ({ ...pass, stitch, params: {}, shades: [] });
  const choices = strandChoices(threadKind(need.thread));
  const offers: [string, Edit | null][] = [
    change(
      'Use thread-saving satin instead of satin',
      ({ stitch }) => stitch === 'satin',
      (pass) => plain(pass, 'satin-surface'),
    ),
    change(
      'Use chain filling instead of solid stitches',
      ({ stitch, role, shades }) => SOLID.has(stitch) && role === 'filling' && shades.length < 2,
      (pass) => ({ ...plain(pass, 'chain-fill'), direction: 'outline' }),
    ),
    change(
      'Use one strand fewer',
      ({ strands }) => choices.indexOf(strands) > 0,
      (pass) => ({ ...pass, strands: choices[choices.indexOf(pass.strands) - 1]! }),
    ),
  ];
  const found = offers.flatMap(([label, edit]): Saving[] => {
    if (!edit) return [];
    const after = replan(edit);
    const left = willReach(after.piece, after.plan, done, box, memory).find(
      (entry) =>
        entry.need.shade.code === need.shade.code &&
        entry.need.shade.range === need.shade.range &&
        entry.need.lot === need.lot,
    );
    const savedM = need.wholeM - (left?.need.wholeM ?? 0);
    return savedM > LEAST_SAVED_M ? [{ type: 'saves', label, edit, savedM, odds: left?.odds ?? 1 }] : [];
  });
  const border = changeLotAtBorder(piece, plan, parts, reach, memory);
  return [...found.sort((a, b) => b.odds - a.odds || b.savedM - a.savedM), ...(border ? [border] : [])];
}

/** Of what is left to do, the first parts from the largest lot and the others from another, where the two do not touch. */
function changeLotAtBorder(
  piece: Piece,
  { order, spread }: Plan,
  parts: readonly PlannedPart[],
  { need, lots, ownedM }: Reach,
  memory: Memory,
): Saving | null {
  const colourId = need.colours[0]!;
  const plainParts = parts.filter(
    ({ part, passes }) => part.colour === colourId && passes.every(({ shades }) => shades.length < 2),
  );
  if (need.colours.length !== 1 || need.lot !== null || plainParts.length < 2) return null;
  const inHand = lots[0]?.metres ?? ownedM;
  let best = 0;
  for (let k = 1; k < plainParts.length; k++) {
    const [first] = shadeNeeds(
      piece,
      colourNeeds(piece, plainParts.slice(0, k), order, spread, memory),
      spread,
      memory,
    );
    if (!first || shareWithin(risingFactors(first.loads, spread, memory), inHand / first.wholeM) < ENOUGH) break;
    if (!plainParts.slice(k).some((later) => plainParts.slice(0, k).some((earlier) => isBeside(earlier, later))))
      best = k;
  }
  if (best === 0) return null;
  const colour = colourOf(piece, colourId);
  const other = { ...colour, id: freeColourId(piece.palette), lot: lots[1]?.lot || 'another' };
  const later = new Set(plainParts.slice(best).map(({ part }) => part.id));
  const label = say.otherLotFrom(plainParts[best]!.part.name);
  const edit = editOf(piece, label, [
    [
      ['palette'],
      [
        ...piece.palette.map((entry) => (entry.id === colourId ? { ...entry, lot: lots[0]?.lot || null } : entry)),
        other,
      ],
    ],
    [
      ['drawing', 'parts'],
      piece.drawing.parts.map((part) => (later.has(part.id) ? { ...part, colour: other.id } : part)),
    ],
  ]);
  if (!edit) return null;
  const [first] = shadeNeeds(
    piece,
    colourNeeds(piece, plainParts.slice(0, best), order, spread, memory),
    spread,
    memory,
  );
  const odds = shareWithin(risingFactors(first!.loads, spread, memory), inHand / first!.wholeM);
  const savedM = need.wholeM - first!.wholeM;
  return savedM > LEAST_SAVED_M ? { type: 'divides', label, edit, savedM, odds } : null;
}

function isBeside(a: PlannedPart, b: PlannedPart): boolean {
  return a.placed.box !== null && b.placed.box !== null && boxesMeet(a.placed.box, b.placed.box, BESIDE_MM);
}
