import type { Raster } from '../drawing/index.ts';
import { refOf, shadeOf } from '../materials/index.ts';
import { applyEdit, plainHoop, plainPass, plainScrap, type Part, type Piece } from '../piece/index.ts';
import { USUAL_FACTORS, type OwnFactors } from '../work/index.ts';
import { COMMANDS } from './commands.ts';
import { svgPiece } from './pieces.ts';

const [PICTURE, OTHER] = ['data:image/png;base64,AAAA', 'data:image/png;base64,BBBB'];
const PX = 60;
const wavy = (phase: number): Raster => ({
  width: PX,
  height: PX,
  rgba: Uint8ClampedArray.from({ length: 4 * PX * PX }, (_, i) => {
    const [x, y] = [(i >> 2) % PX, Math.floor((i >> 2) / PX)];
    return i % 4 === 3 ? 255 : 60 + 2 * y + 40 * Math.sin(phase + x / 4);
  }),
});
export const pictures = new Map([
  [PICTURE, wavy(0)],
  [OTHER, wavy(2)],
]);

/** A change of a piece, with its name. */
export type Change = readonly [name: string, change: (piece: Piece) => Piece];

/** A drawing with something of everything that is remembered: each part by its name. */
export function everyKind(): Piece {
  const drawn = svgPiece(`
    <path id="leaf" d="M20 20Q32 10 44 20Q32 30 20 20Z" fill="#7a3"/>
    <path id="mirrored" d="M70 20Q62 12 46 20Q58 28 70 20Z" fill="#7a3"/>
    <path id="image" d="M20 40Q24 30 44 48Q30 56 20 40Z" fill="#37a"/>
    <path id="imaged" d="M72 40Q68 30 48 48Q62 56 72 40Z" fill="#37a"/>
    <rect id="ground" x="80" y="10" width="20" height="16" fill="#a33"/>
    <rect id="beside" x="100" y="10" width="14" height="16" fill="#a43"/>
    <rect id="front" x="90" y="20" width="8" height="12" fill="#3aa"/>
    <path id="bound" d="M79.45 9.45H100.3V26.55H79.45Z" fill="none" stroke="#333" stroke-width="0.6"/>
    <path id="line" d="M80 40C90 34 100 46 110 40" fill="none" stroke="#333" stroke-width="1"/>
    <path id="twice" d="M80 40C88 35.2 96 41.92 104 41.728" fill="none" stroke="#d22" stroke-width="1"/>
    <path id="near" d="M80 40.7C90 34.7 100 46.7 110 40.7M80 41.1C90 35.1 100 47.1 110 41.1" fill="none" stroke="#22d" stroke-width="1"/>
    <path id="dots" d="M120 12h0M126 14h0" stroke="#dd2" stroke-linecap="round" stroke-width="2"/>
    <circle id="raised" cx="128" cy="30" r="5" fill="#d2d"/>
    <rect id="scrap" x="20" y="65" width="20" height="14" fill="#ca8"/>
    <path id="onScrap" d="M24 70L36 74" fill="none" stroke="#333" stroke-width="1"/>
    <rect id="fur" x="68" y="64" width="24" height="6" fill="#888"/>
    <path id="wide" d="M55 57H150V60H55Z" fill="#585"/>
    <rect id="twin" x="24" y="84" width="9" height="9" fill="#95a"/>
    <rect id="twins" x="33" y="84" width="9" height="9" fill="#95a"/>
    <circle id="disc" cx="50" cy="76" r="6" fill="#595"/>
    <path id="body" d="M112 70H140" fill="none" stroke="#741" stroke-width="1.7"/>
    <path id="leg" d="M124 70V80" fill="none" stroke="#741" stroke-width="1"/>
    <rect id="edged" x="112" y="84" width="22" height="12" fill="#269"/>
    <path id="edging" d="M112 84H134V96H112Z" fill="none" stroke="#333" stroke-width="0.7"/>`);
  const underlay = { picture: PICTURE, widthPx: PX, heightPx: PX, mmPerPx: 0.5, xMm: 60, yMm: 60, strength: 0.5 };
  const [dark, pale] = [drawn.palette[0]!.id, drawn.palette[1]!.id];
  const given: Record<string, Partial<Part>> = {
    raised: { passes: [plainPass('french-fill', 'stranded-cotton', 3)] },
    scrap: { scrap: plainScrap('#ccaa88') },
    fur: { passes: [{ ...plainPass('needle-painting', 'stranded-cotton', 1), shades: [dark, pale] }] },
    wide: { passes: [{ ...plainPass('split-fill', 'stranded-cotton', 1), direction: 'along' }] },
    near: { passes: [plainPass('chain', 'stranded-cotton', 3)] },
    bound: { passes: [plainPass('stem', 'stranded-cotton', 3)] },
    front: {
      passes: [
        { ...plainPass('seed', 'stranded-cotton', 1), role: 'padding' },
        plainPass('satin', 'stranded-cotton', 2),
      ],
    },
  };
  const parts = drawn.drawing.parts.map((part) => ({ ...part, group: null, ...given[part.name] }));
  return {
    ...drawn,
    placement: { ...drawn.placement, scale: 1, turnDeg: 11, xMm: -80, yMm: -45 },
    hoop: plainHoop(100, 8),
    positions: [
      [-30, 0],
      [30, 0],
    ],
    worker: { ...drawn.worker, byArea: 1 },
    finish: { ...drawn.finish, end: 'patch', islands: 'bridge' },
    drawing: { ...drawn.drawing, parts, underlay },
  };
}

const withPalette = (piece: Piece, change: Partial<Piece['palette'][number]>): Piece => ({
  ...piece,
  palette: piece.palette.map((colour, i) => (i === 0 ? { ...colour, ...change } : colour)),
});

const part =
  (name: string, change: Partial<Part> | ((own: Part) => Partial<Part>)) =>
  (piece: Piece): Piece => ({
    ...piece,
    drawing: {
      ...piece.drawing,
      parts: piece.drawing.parts.map((own) =>
        own.name === name ? { ...own, ...(typeof change === 'function' ? change(own) : change) } : own,
      ),
    },
  });
const worker =
  (change: Partial<Piece['worker']>) =>
  (piece: Piece): Piece => ({
    ...piece,
    worker: { ...piece.worker, ...change },
  });
const passOf = (name: string, change: Partial<ReturnType<typeof plainPass>>): ((piece: Piece) => Piece) =>
  part(name, (own) => ({ passes: own.passes!.map((pass) => ({ ...pass, ...change })) }));

/** What commands of the interface do one by one, and what only a file or a drawing tool changes. */
export const TWEAKS: readonly Change[] = [
  ['path', part('leaf', { path: 'M20 20Q32 8 44 20Q32 30 20 20Z' })],
  ['path far away', part('dots', { path: 'M120 12h0M4000 14h0' })],
  ['path of a line', part('line', { path: 'M80 40.2C90 34.2 100 46.2 110 40.2' })],
  [
    'path of a line beside',
    part('near', { path: 'M80 41.3C90 35.3 100 47.3 110 41.3M80 41.9C90 35.9 100 47.9 110 41.9' }),
  ],
  ['path in front', part('front', { path: 'M90 20H98V30H90Z' })],
  ['path of a scrap', part('scrap', { path: 'M20 65H38V79H20Z' })],
  ['path of a line that turns away', part('line', { path: 'M80 38C90 44 100 34 110 44' })],
  ['path of what is painted', part('fur', { path: 'M68 64H90V70H68Z' })],
  ['path of a line upon another', part('twice', { path: 'M80 42C88 37 96 44 104 38' })],
  ['path that leans away', part('beside', { path: 'M100 10H114V26H108Z' })],
  ['path behind that leans away', part('ground', { path: 'M80 10H92L100 26H80Z' })],
  ['path of a twin', part('twins', { path: 'M36 84H45V93H36Z' })],
  ['path of the first twin', part('twin', { path: 'M22 84H31V93H22Z' })],
  ['path of a disc', part('disc', { path: 'M44 76a9 9 0 1 0 18 0a9 9 0 1 0-18 0Z' })],
  ['path of an image', part('imaged', { path: 'M72 40Q68 30 48 52Q66 56 72 40Z' })],
  ['path that is mirrored', part('image', { path: 'M20 40Q24 30 44 52Q26 56 20 40Z' })],
  ['path of an outline', part('bound', { path: 'M79.6 9.6H100.4V14H120' })],
  ['path of a leg that stands away', part('leg', { path: 'M124 74V82' })],
  ['path of a body that lies away', part('body', { path: 'M112 64H140' })],
  ['path of an edging that leaves its area', part('edging', { path: 'M112 90H140V102H112Z' })],
  ['path of an area that leaves its edging', part('edged', { path: 'M118 88H140V100H118Z' })],
  ['a pen', part('leg', { pen: true })],
  ['simple work', (piece) => ({ ...piece, level: 'simple' })],
  ['rich work', (piece) => ({ ...piece, level: 'rich' })],
  ['less of a part', part('edged', { level: 'outline' })],
  ['fill rule', part('leaf', { path: 'M20 20H44V30H20ZM24 22H40V28H24Z', fillRule: 'evenodd' })],
  ['fill rule of a hole', part('leaf', (own) => ({ fillRule: own.fillRule === 'evenodd' ? 'nonzero' : 'evenodd' }))],
  ['fill rule of a scrap', part('scrap', { path: 'M20 65H40V79H20ZM24 68H36V76H24Z', fillRule: 'evenodd' })],
  ['fill rule of the hole of a scrap', part('scrap', { fillRule: 'nonzero' })],
  ['kind', part('leaf', { kind: 'line' })],
  ['kind of a line', part('bound', { kind: 'area' })],
  ['printed', part('beside', { printed: true })],
  ['marked', part('line', { marking: 'fold' })],
  ['opaque', part('front', { opaque: false })],
  ['dashed', part('twice', { dashed: true })],
  ['stroke', part('line', { strokeMm: 4 })],
  ['vein', part('leaf', { vein: 'M20 20Q32 24 44 20' })],
  ['guides', part('leaf', { guides: ['M20 20L44 22'] })],
  ['guides of what is painted', part('fur', { guides: ['M69 65L90 69'] })],
  ['other guides of what is painted', part('fur', { guides: ['M69 69L78 65', 'M82 65L90 69'] })],
  ['corner of what is painted', part('fur', { path: 'M68 64H90V70H81V64.6H79V70H68Z' })],
  ['borders', part('leaf', { borders: ['M30 12L32 28'] })],
  ['colour', part('mirrored', (own) => ({ colour: own.colour === 'c1' ? 'c2' : 'c1' }))],
  ['group', part('mirrored', { group: 'g1' })],
  ['scrap', part('ground', { scrap: plainScrap('#aa8855') })],
  ['scrap edge', part('scrap', { scrap: { ...plainScrap('#ccaa88'), edge: 'raw' } })],
  ['angle', passOf('front', { angleDeg: 20 })],
  ['strands', passOf('near', { strands: 1 })],
  ['more strands', passOf('near', { strands: 4 })],
  ['strands of an outline', passOf('bound', { strands: 1 })],
  [
    'strands below',
    part('front', (own) => ({
      passes: own.passes!.map((pass) => (pass.role === 'padding' ? { ...pass, strands: 4 } : pass)),
    })),
  ],
  ['strands of what is raised', passOf('raised', { strands: 1 })],
  ['shades', passOf('fur', { shades: ['c3', 'c1'] })],
  ['direction', passOf('wide', { direction: 'across' })],
  ['scale', (piece) => ({ ...piece, placement: { ...piece.placement, scale: piece.placement.scale * 1.1 } })],
  ['a much larger scale', (piece) => ({ ...piece, placement: { ...piece.placement, scale: 2.3 } })],
  ['turn', (piece) => ({ ...piece, placement: { ...piece.placement, turnDeg: 30 } })],
  ['mirrored', (piece) => ({ ...piece, placement: { ...piece.placement, mirrored: !piece.placement.mirrored } })],
  ['moved', (piece) => ({ ...piece, placement: { ...piece.placement, xMm: piece.placement.xMm + 7 } })],
  ['another hoop', (piece) => ({ ...piece, hoop: plainHoop(80, 8) })],
  ['an oval hoop', (piece) => ({ ...piece, hoop: { ...plainHoop(120, 8), shortMm: 70 } })],
  [
    'other positions',
    (piece) => ({
      ...piece,
      positions: [
        [-35, 4],
        [20, 0],
        [50, 0],
      ],
    }),
  ],
  ['slack', worker({ slack: 0.08 })],
  ['thread carried', worker({ carryMm: 4 })],
  ['cut', worker({ cutMm: 300 })],
  ['needles', worker({ needles: 4 })],
  ['by colour', worker({ byArea: 0.2 })],
  ['knots', worker({ knots: 'colonial' })],
  ['layers', worker({ layers: 'rich' })],
  [
    'the other picture',
    (piece) => ({ ...piece, drawing: { ...piece.drawing, underlay: { ...piece.drawing.underlay!, picture: OTHER } } }),
  ],
  [
    'a picture elsewhere',
    (piece) => ({ ...piece, drawing: { ...piece.drawing, underlay: { ...piece.drawing.underlay!, xMm: 55 } } }),
  ],
  ['two shades', (piece) => withPalette(piece, { shade: refOf(shadeOf('sl-61')!), second: refOf(shadeOf('rh-41')!) })],
  ['another second shade', (piece) => withPalette(piece, { second: refOf(shadeOf('rh-18')!) })],
  [
    'another hex',
    (piece) => ({
      ...piece,
      palette: piece.palette.map((colour, i) => (i === 0 ? { ...colour, hex: '#123456' } : colour)),
    }),
  ],
];

/** The commands of the interface as changes; a piece stays as it is where one does not apply. */
export const BY_COMMAND = COMMANDS.map(([name, make]): Change => [
  name,
  (piece) => {
    const edit = make(piece);
    if (!edit) return piece;
    const outcome = applyEdit(piece, edit);
    if (!outcome.ok) throw new Error(outcome.problem);
    return outcome.value;
  },
]);

/** Another hand: wider thread that is less surely known. */
export const OTHER_HAND: OwnFactors = { ...USUAL_FACTORS, width: 1.2, handSpread: 0.3 };
