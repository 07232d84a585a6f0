import { WORN_USES } from '../propose/index.ts';
import { runningColours } from '../transfer/index.ts';
import { usesColour } from '../work/index.ts';
import { risingFactors, shareWithin, type Plan, type Owned, ENOUGH } from '../thread/index.ts';
import { deltaE, labOf, separation } from '../colour/index.ts';
import { isSameShade, RANGES, type Shade } from '../materials/index.ts';
import { roundTo } from '../measure/index.ts';
import { setColour, setShade, type Edit, colourName, type PlanInput, type Piece } from '../piece/index.ts';
import { colourPairs, isConfusable, wornColours } from './colourPairs.ts';
import { hundredths, type Finding } from './finding.ts';
import { mendPair } from './recolour.ts';
import { THRESHOLDS } from './thresholds.ts';

/** Colours that meet and cannot be told apart, lots that are mixed, dyes that may run. */
export function colourFindings(piece: PlanInput, plan: Plan): Finding[] {
  if (piece.use === 'whitework') return [];
  const worn = wornColours(piece);
  const labs = new Map([...worn].map(([id, hex]) => [id, labOf(hex)]));
  const name = (id: string): string => colourName(piece.palette.find((colour) => colour.id === id)!).name;
  const found: Finding[] = [];
  const pairs = colourPairs(plan);
  let confusable: { a: string; b: string; kind: string } | null = null;
  let confusions = 0;
  for (const { a, b, wanted, where, widthsMm } of pairs) {
    const [labA, labB] = [labs.get(a)!, labs.get(b)!];
    const difference = roundTo(deltaE(labA, labB), 1);
    const lightness = roundTo(Math.abs(labA.l - labB.l), 1);
    const [part, other] = where[0]!;
    const figures = { colour: name(a), other: name(b), a, b, difference, lightness };
    const isSame = sameShade(piece, a, b);
    if (isSame) {
      const [lot, otherLot] = [a, b].map((id) => piece.palette.find((colour) => colour.id === id)!.lot);
      if (lot !== otherLot) {
        found.push({
          id: 'lots-mixed',
          part,
          figures: { colour: name(a), a, b, lot: lot ?? '?', otherLot: otherLot ?? '?' },
        });
      }
      continue;
    }
    if (wanted === 'ladder') {
      if (difference < THRESHOLDS.ladderStep) found.push({ id: 'too-alike', part, figures: { ...figures, ladder: 1 } });
    } else if (difference < THRESHOLDS.tooAlike || lightness < THRESHOLDS.tooAlikeLightness) {
      found.push({ id: 'too-alike', part: part === other ? part : other, figures });
    }
    if (wanted === 'apart') {
      const apart = separation(worn.get(a)!, worn.get(b)!, widthsMm);
      if (isConfusable(apart)) {
        confusions++;
        const kind = apart.tritan < Math.min(apart.protan, apart.deutan) ? 'blue and yellow' : 'red and green';
        confusable ??= { a: name(a), b: name(b), kind };
      }
    }
  }
  if (confusable) found.push({ id: 'confusable', part: null, figures: { ...confusable, pairs: confusions } });
  return [...found, ...runningFindings(piece, plan)];
}

/** Colours that vanish into the cloth. */
export function clothColourFindings(piece: PlanInput, plan: Plan): Finding[] {
  const cloth = labOf(piece.cloth.colour);
  if (piece.use === 'whitework') return [];
  return piece.palette.flatMap((colour): Finding[] => {
    const worked = plan.parts.find((planned) => usesColour(planned, colour.id));
    const { name, hex } = colourName(colour);
    const difference = hundredths(deltaE(cloth, labOf(hex)));
    if (!worked || difference >= THRESHOLDS.lostInCloth) return [];
    return [{ id: 'lost-in-cloth', part: worked.part.id, figures: { colour: name, difference } }];
  });
}

function sameShade(piece: PlanInput, a: string, b: string): boolean {
  const [one, other] = [a, b].map((id) => piece.palette.find((colour) => colour.id === id)!);
  return one!.shade !== null && isSameShade(one!.shade, other!.shade);
}

/** Strong dyes on pale cloth that will be washed. */
function runningFindings(piece: PlanInput, plan: Plan): Finding[] {
  if (!WORN_USES.has(piece.use)) return [];
  const running = runningColours(piece, plan);
  if (running.length === 0) return [];
  const colours = running.map(({ name }) => name).join(', ');
  return [{ id: 'may-run', part: running[0]!.part, figures: { colours } }];
}

/** Thread that is owned, but does not cover the need with good odds. */
export function ownedFindings({ colours, parts, spread }: Plan, owned: Owned): Finding[] {
  return colours.flatMap((need): Finding[] => {
    const metres = owned[need.id];
    if (metres === undefined || need.wholeM === 0) return [];
    const odds = shareWithin(risingFactors(need.loads, spread), metres / need.wholeM);
    if (odds >= ENOUGH) return [];
    const part = parts.find((planned) => usesColour(planned, need.colour))?.part.id ?? null;
    const figures = {
      colour: need.name,
      ownedM: roundTo(metres, 1),
      needM: roundTo(need.wholeM, 1),
      percent: Math.round(odds * 100),
    };
    return [{ id: 'runs-out', part, figures }];
  });
}

/** What can be done where two colours or lots meet that should not. */
export function colourRemedies(
  piece: Piece,
  plan: Plan,
  { id, figures }: Finding,
): [label: string, edit: Edit | null][] {
  const [a, b] = [String(figures['a']), String(figures['b'])];
  if (id === 'lots-mixed') {
    const lot = piece.palette.find((colour) => colour.id === a)?.lot ?? null;
    return [['Take both from one lot', setColour(piece, b, { lot })]];
  }
  const pairs = colourPairs(plan);
  const pair = pairs.find((entry) => entry.a === a && entry.b === b);
  const wantsLightness = !figures['ladder'] && Number(figures['lightness']) < THRESHOLDS.tooAlikeLightness;
  const change = pair ? mendPair(piece, pairs, pair, shadesFor(plan, a, b), { wantsLightness }) : null;
  if (!change) return [];
  const label = `Work one in ${change.shade.name.toLowerCase()}`;
  return [[label, setShade(piece, change.colour, change.shade)]];
}

/** The shades that come in the thread in which two colours are worked; where they differ, all. */
function shadesFor({ colours }: Plan, a: string, b: string): Shade[] {
  const threads = new Set(colours.flatMap(({ colour, thread }) => (colour === a || colour === b ? [thread] : [])));
  const ranges = RANGES.filter(({ thread }) => threads.has(thread));
  return (ranges.length > 0 ? ranges : RANGES).flatMap(({ shades }) => [...shades]);
}
