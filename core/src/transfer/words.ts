import { byCount, formatFine, formatList, formatNumber } from '../measure/index.ts';
import type { Cloth, Mark, Stabiliser, StabiliserId } from '../materials/index.ts';
import type { PlainCode, WayReason } from './wayReason.ts';

const WORDS: Readonly<Record<PlainCode, (mark: Mark, cloth: Cloth) => string>> = {
  'not-through': (_, { inSentence }) => `In this colour, the drawing doesn’t show through ${inSentence}.`,
  'not-seen': (_, { inSentence }) => `Its lines don’t show on ${inSentence} in this colour.`,
  'by-window': (_, { name }) => `${name} is pale and light enough to trace through at a window.`,
  'by-light-box': () => 'A light box shows the drawing through; a window doesn’t.',
  'nothing-to-trace': () => 'Nothing has to show through the cloth.',
  'line-covered': ({ lineMm }) => `The narrowest line stitch covers its ${formatFine(lineMm)} line.`,
  'line-stays-in-view': ({ lineMm }) =>
    `Its ${formatFine(lineMm)} line shows beside the narrowest stitch and doesn’t come out.`,
  'line-must-come-out': ({ lineMm }) =>
    `Its ${formatFine(lineMm)} line is wider than the narrowest stitch, so it has to come out.`,
  'detail-lost': ({ lineMm }) => `Fine detail gets lost in a ${formatFine(lineMm)} line.`,
  soils: () => 'It can soil the pale threads of this piece.',
  stays: () => 'It stays until you remove it.',
  'stays-long-enough': () => 'It stays for as long as this piece takes.',
  'washed-anyway': () => 'It comes out in a wash that the piece gets anyway.',
  'heat-spoils': (_, { inSentence }) => `It comes out with heat, and ${inSentence} can’t take heat.`,
  'uncovered-stays': () => 'Any line you don’t cover stays.',
  'sewn-twice': () => 'Slow: you sew every line twice.',
  tacked: () => 'It has to be tacked down, and you stitch through it.',
  'is-printed': () => 'This design is on the cloth already: you marked parts of it as printed.',
  'comes-printed': () => 'Only for cloth that comes printed.',
  'one-try': () => 'You get one try: once ironed on, it stays.',
  'holds-knit': (_, { inSentence }) => `It holds ${inSentence} flat while you stitch, and nothing is dragged over it.`,
  'drags-knit': (_, { inSentence }) => `A point drags ${inSentence} along: draw only once the backing lies behind it.`,
};

/** More colours than this are not named one by one. */
const MOST_NAMED = 3;

/** The sentence of a reason. */
export function sayWay(reason: WayReason): string {
  switch (reason.code) {
    case 'fades':
      return byCount(reason.parts, {
        one: 'One part is reached after the lines may have faded: redraw them as you go.',
        other: `${formatNumber(reason.parts)} parts are reached after the lines may have faded: redraw them as you go.`,
      });
    case 'water-spoils':
      return `It comes out in water, and ${reason.spoilt} can’t take water.`;
    case 'may-run': {
      const { colours } = reason;
      const named = colours.length > MOST_NAMED ? [...colours.slice(0, MOST_NAMED), 'others'] : colours;
      return `In that water these may run: ${formatList(named)}. Try a thread of each first.`;
    }
    default:
      return WORDS[reason.code](reason.mark, reason.cloth);
  }
}

export const NO_NEW_THREAD = 'No new thread: carry on with what is in the needle.';

export const tackRound = (count: number): string =>
  `Tack it once in the middle and ${formatNumber(count)} times round the design, 5 mm outside it. Count the tacks.`;

export const noLinesUnder = (scraps: readonly string[]): string =>
  `Draw nothing that a scrap covers. Mark where it goes by its outline: ${formatList(scraps)}.`;

export const drawFirst = (days: number, sitting: number): string =>
  byCount(sitting, {
    one: `These lines fade after about ${formatNumber(days)} days: draw only what the first sitting needs, and the rest as you go.`,
    other: `These lines fade after about ${formatNumber(days)} days: draw what sittings 1–${formatNumber(sitting)} need, and the rest as you go.`,
  });

/** Why this lies behind, or nothing. */
export function whyBehind({ id, name }: Stabiliser, { inSentence, stretches }: Cloth, isDense: boolean): string {
  if (id === 'none') return `Nothing has to lie behind: ${inSentence} holds its shape under these stitches.`;
  if (!stretches) return `${name}: close stitches draw ${inSentence} in unless something holds it.`;
  if (id === 'fusible') return `${name}: usual on cotton knits, and soft against the skin. It stays.`;
  return isDense
    ? `${name}: ${inSentence} stretches and doesn’t bear an iron. It stays.`
    : `${name}: ${inSentence} stretches, and lines alone need something only while you stitch.`;
}

const TACK = 'Tack it round the design and once across each way, in long stitches that come out afterwards.';

/** How what lies behind is laid and held, step by step. */
export function layBehind(id: Exclude<StabiliserId, 'none'>, isHooped: boolean): string[] {
  const caught = isHooped ? ['Put both into the hoop together, flat and just taut.'] : [];
  switch (id) {
    case 'fusible':
      return [
        'Lay the cloth face down and unstretched, lay the fusible backing on it with its rough side down, and press it straight down at low heat without sliding.',
        'Follow the backing maker’s sheet for heat and time, and try it on a hem or a scrap first. Irons burn: keep your hands clear.',
        ...caught,
      ];
    case 'tear-away':
      return ['Lay the tear-away backing behind the design and pin it.', TACK, ...caught];
    case 'wash-away':
      return ['Lay the wash-away film behind the design, with dry hands, and pin it.', TACK, ...caught];
    case 'woven':
      return ['Lay the woven backing behind the design, its threads along the threads of the cloth.', TACK, ...caught];
  }
}

export const TURN_TO_REST =
  'Turn the cloth so that your drawing hand can rest beside the design, and draw from the far side towards you.';

export const TRACE_REVERSE =
  'Or draw the mirrored pattern on the back, where no mark can show on the front, and tack through its main lines.';

export const FILM_BEHIND_TOO =
  'On a knit, put film behind as well as on top: the stitches then lie between two layers and can’t sink or stretch.';

/** @param names what lies on other stitches or on cloth that is laid on */
export const drawLater = (names: readonly string[]): string =>
  `Don’t draw these yet: they lie on what is stitched or laid first, which would hide the marks. Draw each when you reach it: ${formatList(names)}.`;

export const cutScrap = (cloth: string, isTurned: boolean): string =>
  isTurned
    ? `Cut it from ${cloth} by its template, 5 mm larger all round, and press the edge under along the fold line.`
    : `Cut it from ${cloth} by its template.`;

/** @param names what is stitched on it */
export const markScrap = (mark: string, names: readonly string[]): string =>
  `Draw on it what will be stitched there (${mark}): ${formatList(names)}.`;

export const layScrap = (isFelt: boolean): string =>
  isFelt
    ? 'Lay it on its outline and smooth it flat.'
    : 'Lay it on its outline, its threads along the threads of the cloth, and smooth it flat.';

export const HOLD_BY_GLUE =
  'Hold it with a few dots of washable glue, well inside its edge, and let them dry: glue is hard to stitch through.';

export const holdBy = (by: 'pins' | 'tacks', count: string): string =>
  by === 'pins' ? `Hold it with ${count}, their points inside it.` : `Hold it with ${count}, well inside its edge.`;

export const GLUE_CAUTION = 'Use glue only with a window open, away from skin. Follow the maker’s sheet first.';

export const PINS_CAUTION = 'Count the pins, and count them out again when it is worked down.';
