import { refOf, shadeOf } from '../materials/index.ts';
import { PIECE_VERSION } from './schema.ts';

type Data = Record<string, unknown>;

/** What each version changed, numbered by the version it makes. Shipped ones are never edited. */
export const MIGRATIONS: Readonly<Record<number, { readonly name: string; up(data: Data): Data }>> = {
  2: { name: 'layerPasses', up: layerPasses },
  3: { name: 'mountAndShow', up: mountAndShow },
  4: { name: 'keepShadesWhole', up: keepShadesWhole },
  5: { name: 'noteInEntries', up: noteInEntries },
  6: { name: 'proposeLayers', up: proposeLayers },
  7: { name: 'orderTheWork', up: orderTheWork },
  8: { name: 'planTheFinish', up: planTheFinish },
  9: { name: 'keepSizes', up: keepSizes },
  10: { name: 'paintFromPictures', up: paintFromPictures },
  11: { name: 'setOutlinesIn', up: setOutlinesIn },
  12: { name: 'sayWhatRingsAre', up: sayWhatRingsAre },
  13: { name: 'varyStrands', up: varyStrands },
  14: { name: 'sayHowMuch', up: sayHowMuch },
  15: { name: 'chooseHowHandsDo', up: chooseHowHandsDo },
};

/** Version 2: the person's schools of knots and strands; passes are layers with a role, a kind of direction and colours of their own; parts have guides and veins. */
function layerPasses(data: Data): Data {
  const drawing = record(data['drawing']);
  const layered = (pass: unknown): Data => ({
    role: 'filling',
    direction: 'straight',
    points: [],
    colour: null,
    shades: [],
    ...record(pass),
  });
  const grown = (given: unknown): Data => {
    const part = record(given);
    const passes = Array.isArray(part['passes']) ? part['passes'].map(layered) : part['passes'];
    return { differs: false, guides: [], vein: null, borders: [], ...part, passes };
  };
  const parts = Array.isArray(drawing['parts']) ? drawing['parts'].map(grown) : drawing['parts'];
  return {
    ...data,
    worker: { own: null, knots: 'french', strands: 'usual', ...record(data['worker']) },
    drawing: { ...drawing, parts },
  };
}

/** Version 3: oval and bound hoops, their positions and warp, sittings, a picture below the drawing, parts left out or locked. */
function mountAndShow(data: Data): Data {
  const drawing = record(data['drawing']);
  const hoop = data['hoop'];
  const parts = Array.isArray(drawing['parts'])
    ? drawing['parts'].map((part) => ({ shown: true, locked: false, ...record(part) }))
    : drawing['parts'];
  return {
    ...data,
    worker: { sittingMin: 60, sittingsPerWeek: 3, ...record(data['worker']) },
    hoop: typeof hoop === 'object' && hoop !== null ? { shortMm: null, bound: false, warp: null, ...hoop } : hoop,
    positions: [],
    drawing: { underlay: null, ...drawing, parts },
  };
}

/** Version 4: shades with their range, name and colour; two in one needle; roles, lots, colourways; what was worked. */
function keepShadesWhole(data: Data): Data {
  const whole = (given: unknown): Data => {
    const colour = record(given);
    const code = colour['shade'];
    const known = typeof code === 'string' ? shadeOf(code) : undefined;
    // A code that no range has is left as it is: the schema says what is wrong.
    return { role: '', second: null, lot: null, ...colour, shade: known ? refOf(known) : (code ?? null) };
  };
  const palette = Array.isArray(data['palette']) ? data['palette'].map(whole) : data['palette'];
  return { colourways: [], record: { done: [], uses: [] }, ...data, palette };
}

/** Before times were kept with what is done. */
const UNKNOWN_TIME = '1970-01-01T00:00:00.000Z';

/** Version 5: the record is a list of entries, each with an id and a time. What is made of old ones is the same whenever it is made. */
function noteInEntries(data: Data): Data {
  const before = record(data['record']);
  const uses = Array.isArray(before['uses']) ? before['uses'] : [];
  const times = uses.map((use) => String(record(use)['at'])).sort();
  const used = uses.map((use) => ({ type: 'thread-used', ...record(use) }));
  const noted = new Set(uses.map((use) => record(use)['part']));
  const done = (Array.isArray(before['done']) ? before['done'] : [])
    .filter((part) => !noted.has(part))
    .map((part) => ({ type: 'part-done', id: `done-${part}`, at: times.at(-1) ?? UNKNOWN_TIME, part }));
  return { ...data, record: [...done, ...used] };
}

/** Version 6: a school of layers, and second threads. Pieces begun before it are worked without any layer that was not chosen. */
function proposeLayers(data: Data): Data {
  const drawing = record(data['drawing']);
  const inOneThread = (given: unknown): Data => {
    const part = record(given);
    const { passes } = part;
    return Array.isArray(passes)
      ? { ...part, passes: passes.map((pass) => ({ second: null, ...record(pass) })) }
      : part;
  };
  const parts = Array.isArray(drawing['parts']) ? drawing['parts'].map(inOneThread) : drawing['parts'];
  return {
    ...data,
    worker: { layers: 'plain', ...record(data['worker']) },
    drawing: { ...drawing, parts },
  };
}

/** Version 7: schools of the order of work, what is fixed of it, and days of sittings. */
function orderTheWork(data: Data): Data {
  return {
    order: { pairs: [], first: [], last: [] },
    calendar: { days: [], at: '19:30', begin: null, doneBy: null, moved: [] },
    ...data,
    worker: { outline: null, byArea: 0, needles: 4, focus: 'background', carryMm: null, ...record(data['worker']) },
  };
}

/** Version 8: how the piece is finished; cloth laid on cloth, and cloth that is printed. Written out, as a migration that is shipped never changes. */
function planTheFinish(data: Data): Data {
  const drawing = record(data['drawing']);
  const parts = Array.isArray(drawing['parts'])
    ? drawing['parts'].map((part) => ({ scrap: null, printed: false, ...record(part) }))
    : drawing['parts'];
  return {
    finish: {
      end: null,
      marginMm: null,
      borderMm: 6,
      cornerMm: 3,
      edge: 'overcast',
      edgeColour: null,
      islands: null,
      backing: 'sewn',
      onto: 'denim',
      shape: 'disc',
      seamMm: null,
      openingMm: 40,
      sizeMm: null,
      cardFace: 'window',
      disc: 'felt',
      doubled: false,
      scallopMm: 25,
      fringe: 'none',
      fringeMm: 40,
      rowsIn10Cm: 24,
      price: { overhead: 0.1, asked: null },
    },
    ...data,
    drawing: { ...drawing, parts },
  };
}

/** Version 9: lines that are only marked; sizes that stay. What was laid out keeps the size that it has. */
function keepSizes(data: Data): Data {
  const drawing = record(data['drawing']);
  const parts = Array.isArray(drawing['parts'])
    ? drawing['parts'].map((part) => ({ marking: null, ...record(part) }))
    : drawing['parts'];
  return { ...data, drawing: { ...drawing, parts }, placement: { isSizeSet: true, ...record(data['placement']) } };
}

/** Version 10: areas painted from the picture below, with what matters most in it. */
function paintFromPictures(data: Data): Data {
  const drawing = record(data['drawing']);
  const parts = Array.isArray(drawing['parts'])
    ? drawing['parts'].map((part) => ({ painting: null, ...record(part) }))
    : drawing['parts'];
  return { ...data, drawing: { ...drawing, parts } };
}

/** Version 11: outlines set in by a distance. */
function setOutlinesIn(data: Data): Data {
  const drawing = record(data['drawing']);
  const set = (given: unknown): Data => {
    const part = record(given);
    const passes = Array.isArray(part['passes'])
      ? part['passes'].map((pass) => ({ insetMm: 0, ...record(pass) }))
      : part['passes'];
    return { ...part, passes };
  };
  const parts = Array.isArray(drawing['parts']) ? drawing['parts'].map(set) : drawing['parts'];
  return { ...data, drawing: { ...drawing, parts } };
}

/** Version 12: what the ring is made of. */
function sayWhatRingsAre(data: Data): Data {
  const hoop = data['hoop'];
  return { ...data, hoop: typeof hoop === 'object' && hoop !== null ? { ring: 'wood', ...hoop } : hoop };
}

/** Version 13: strands that differ by shade or in the first row, needles that take turns, and lines of a pen. */
function varyStrands(data: Data): Data {
  const drawing = record(data['drawing']);
  const varied = (pass: unknown): Data => ({
    shadeStrands: [],
    firstRowStrands: null,
    inTurn: false,
    ...record(pass),
  });
  const parts = Array.isArray(drawing['parts'])
    ? drawing['parts'].map((given) => {
        const part = record(given);
        const passes = Array.isArray(part['passes']) ? part['passes'].map(varied) : part['passes'];
        return { pen: false, ...part, passes };
      })
    : drawing['parts'];
  return { ...data, drawing: { ...drawing, parts } };
}

/** Version 14: how much of a piece is stitched, and of its parts. */
function sayHowMuch(data: Data): Data {
  const drawing = record(data['drawing']);
  const parts = Array.isArray(drawing['parts'])
    ? drawing['parts'].map((part) => ({ level: null, ...record(part) }))
    : drawing['parts'];
  return { level: 'usual', ...data, drawing: { ...drawing, parts } };
}

/**
 * Version 15: what lies behind the cloth; how a hoop, a patch, an edge and a fringe are finished. What was usual until now was not chosen:
 * a disc, a sewn backing. What a piece that is washed often ended as, stays.
 */
function chooseHowHandsDo(data: Data): Data {
  const finish = record(data['finish']);
  const end = finish['end'] ?? null;
  return {
    stabiliser: null,
    ...data,
    finish: {
      mounting: 'again',
      trimmed: 'before',
      stretching: 'as-needed',
      edgeOrder: 'before-cutting',
      attached: 'sewn',
      clothShape: 'rectangle',
      knotted: false,
      stitchesIn10Cm: 17,
      ...finish,
      end: end === null && data['use'] === 'washed' ? 'whitework' : end,
      backing: finish['backing'] === 'fusible' ? 'fusible' : null,
      shape: finish['shape'] === 'disc' ? null : finish['shape'],
    },
  };
}

/** What is not an object is let through as an empty one: the schema says afterwards what is wrong. */
function record(value: unknown): Data {
  return typeof value === 'object' && value !== null ? (value as Data) : {};
}

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
