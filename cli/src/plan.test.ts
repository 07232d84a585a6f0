import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { createCanvas } from '@napi-rs/canvas';
import { TIDY_RULES } from '@junctura/core/drawing';
import { runPlan, runPlanWithPictures } from './runPlan.ts';

const pool = 'demo/pieces/rock-pool.junctura.json';

const root = fileURLToPath(new URL('../..', import.meta.url));
const folder = mkdtempSync(join(tmpdir(), 'plan-'));
const drawing = join(folder, 'drawing.svg');
writeFileSync(
  drawing,
  '<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="100mm" viewBox="0 0 50 50"><rect id="field" width="15" height="10" fill="#c33"/>' +
    '<path id="edge" d="M0 20H20" stroke="#239"/><circle id="eye" cx="30" cy="30" r="0.9" fill="#239"/></svg>',
);

/** The command as people type it. */
function plan(...args: string[]): { status: number | null; stdout: string; stderr: string } {
  const { status, stdout, stderr } = spawnSync('npm', ['run', '-s', 'plan', '--', ...args], {
    cwd: root,
    encoding: 'utf8',
  });
  // npm itself may warn of settings of the machine that it does not know.
  return { status, stdout, stderr: stderr.replace(/^npm warn.*\n/gm, '') };
}
function strict(...args: string[]): z.infer<typeof contract> {
  const outcome = runPlan(args);
  if (!outcome.ok) throw new Error(outcome.problem);
  return contract.parse(JSON.parse(JSON.stringify(outcome.value)));
}

const amount = z.number().min(0);
const contract = z.strictObject({
  version: z.literal(1),
  level: z.enum(['simple', 'usual', 'rich']),
  within: z.strictObject({ hours: amount, less: z.array(z.string()), nextHour: z.array(z.string()) }).optional(),
  tidied: z.array(z.strictObject({ rule: z.enum(TIDY_RULES), count: amount, parts: z.array(z.string()) })),
  design: z.strictObject({ widthMm: amount, heightMm: amount, scaleMmPerUnit: amount, circleMm: amount }),
  hoop: z.strictObject({ nominalMm: amount, innerMm: amount, clearMm: z.number() }).nullable(),
  parts: z.array(
    z.strictObject({
      id: z.string(),
      name: z.string(),
      kind: z.enum(['area', 'line', 'spot']),
      areaMm2: amount,
      lengthMm: amount,
      colour: z.string(),
      passes: z.array(
        z.strictObject({
          stitch: z.string(),
          role: z.enum(['padding', 'edge', 'filling', 'beside', 'outline', 'vein', 'accent']),
          direction: z.enum(['straight', 'guides', 'along', 'across', 'radial', 'outline']),
          angleDeg: z.number(),
          thread: z.string(),
          strands: amount,
          params: z.record(z.string(), z.union([z.number(), z.string()])),
          stitches: amount,
          frontMm: amount,
          backMm: amount,
          wrapMm: amount,
          throughMm: amount,
          threadMm: amount,
          seconds: amount,
          colours: z.array(z.string()),
          reason: z.string(),
        }),
      ),
    }),
  ),
  colours: z.array(
    z.strictObject({
      id: z.string(),
      name: z.string(),
      hex: z.string(),
      threadMm: amount,
      strandMetres: amount,
      loads: amount,
      cuts: amount,
      skeins: z.strictObject({ p50: amount, p90: amount, p95: amount }),
    }),
  ),
  totals: z.strictObject({
    stitches: amount,
    threadMm: amount,
    hours: z.strictObject({ p10: amount, p50: amount, p90: amount }),
    skeins90: amount,
    toBuy: amount,
  }),
  findings: z.array(
    z.strictObject({
      id: z.string(),
      severity: z.enum(['stop', 'warn', 'note']),
      part: z.string().nullable(),
      text: z.string(),
      figures: z.record(z.string(), z.union([z.number(), z.string()])),
    }),
  ),
});

/** A square picture of grey bands that run up and down, by the pixels to its side. */
function bandsPicture(name: string, size: number): string {
  const canvas = createCanvas(size, size);
  const brush = canvas.getContext('2d');
  for (let x = 0; x < size; x++) {
    const light = Math.round(128 + 90 * Math.sin((40 * x) / size));
    brush.fillStyle = `rgb(${light}, ${light}, ${light})`;
    brush.fillRect(x, 0, 1, size);
  }
  const file = join(folder, name);
  writeFileSync(file, canvas.toBuffer('image/png'));
  return file;
}
async function painted(...args: string[]): Promise<z.infer<typeof paintedContract>> {
  const outcome = await runPlanWithPictures(args);
  if (!outcome.ok) throw new Error(outcome.problem);
  return paintedContract.parse(JSON.parse(JSON.stringify(outcome.value)));
}
const share = z.number().min(0).max(1);
const paintedContract = z.object({
  parts: z.array(z.object({ id: z.string(), passes: z.array(z.object({ stitch: z.string(), strands: z.number() })) })),
  hoop: z.object({ nominalMm: z.number() }),
  painting: z.strictObject({
    shades: z.number().int().min(1),
    stitches: z.number().int().min(1),
    deltaE: z.strictObject({ mean: z.number().min(0), p95: z.number().min(0) }),
    floor: z.strictObject({ mean: z.number().min(0) }),
    lonelyShare: share,
  }),
});

describe('painting from a picture', () => {
  it('paints the largest area of a drawing, or the one that is named, and writes the stitched picture at its size', async () => {
    const picture = bandsPicture('bands.png', 300);
    const out = join(folder, 'stitched.png');
    const args = [drawing, '--paint', picture, '--shades', '6', '--hoop', '100', '--fit'];
    const largest = await painted(...args, '--picture', out, '--dpi', '60');
    expect(largest.parts.find(({ id }) => id === 'field')!.passes.map(({ stitch }) => stitch)).toContain(
      'needle-painting',
    );
    expect(largest.painting.shades).toBeLessThanOrEqual(6);
    const { deltaE, floor } = largest.painting;
    expect(deltaE.mean).toBeLessThanOrEqual(1.35 * floor.mean + 1);
    // Signature, and the width in the header: as many dots as the picture is wide on the cloth.
    const written = readFileSync(out);
    expect(written.subarray(1, 4).toString()).toBe('PNG');
    expect(written.readUInt32BE(16)).toBeGreaterThan((60 * 60) / 25.4);
    await expect(painted(...args, '--outline-part', 'edge')).rejects.toThrow(/no area called 'edge'/);
  });

  it('makes one part of a picture alone, however it is asked', async () => {
    const picture = bandsPicture('alone.png', 120);
    const [bare, named] = [
      await painted(picture, '--paint', '--shades', '4', '--hoop', '75', '--fit'),
      await painted(picture, '--shades', '4', '--paint', picture, '--hoop', '75', '--fit'),
    ];
    expect(named.painting).toEqual(bare.painting);
    expect(bare.parts.map(({ id }) => id)).toEqual(['picture']);
    expect(bare.hoop.nominalMm).toBe(75);
  });

  it.each([
    [['--paint', 'nowhere.png'], /picture not found: nowhere\.png/],
    [['--paint', drawing], /can’t read the picture/],
    [['--paint', 'x.png', '--shades', '1'], /--shades takes a number from 2 to 50/],
    [['--shades', '8'], /go with --paint/],
    [['--dpi', '300'], /go with --picture/],
  ])('refuses %j in a sentence', async (args, expected) => {
    const outcome = await runPlanWithPictures([drawing, ...args]);
    expect(outcome.ok ? '' : outcome.problem).toMatch(expected);
  });
});

describe('the guide as a file', () => {
  it('is one page with every step of the order and of the chosen finish, for the chosen hand', async () => {
    const out = join(folder, 'guide.html');
    const outcome = await runPlanWithPictures([
      drawing,
      ...['--hoop', '150', '--fit', '--order', 'colour', '--finish', 'patch', '--guide', out, '--hand', 'left'],
    ]);
    if (!outcome.ok) throw new Error(outcome.problem);
    const told = z
      .object({
        order: z.object({ steps: z.array(z.object({ n: z.number(), step: z.number() })) }),
        finish: z.object({ steps: z.array(z.object({ id: z.string() })) }),
      })
      .parse(JSON.parse(JSON.stringify(outcome.value)));
    const html = readFileSync(out, 'utf8');
    const listed = [...html.matchAll(/<li data-step="([^"]+)"/g)].map(([, step]) => step);
    const steps = new Set(told.order.steps.map(({ step }) => String(step)));
    expect(listed).toEqual([...steps, ...told.finish.steps.map((_, i) => `F${i + 1}`)]);
    expect(html.includes('For the left hand.')).toBe(true);
    expect(html.includes('src="data:image/png;base64,')).toBe(true);
  });

  it('of a piece with scraps has a picture, and every scrap as a step that the plan tells, too', async () => {
    const out = join(folder, 'moth.html');
    const moth = fileURLToPath(new URL('../../demo/pieces/moth-on-oak-leaf.junctura.json', import.meta.url));
    const outcome = await runPlanWithPictures([moth, '--order', 'colour', '--guide', out]);
    if (!outcome.ok) throw new Error(outcome.problem);
    const { order } = z
      .object({
        order: z.object({
          steps: z.array(z.object({ n: z.number(), step: z.number(), part: z.string() })),
          lays: z.array(z.object({ step: z.number(), part: z.string(), before: z.number() })),
        }),
      })
      .parse(JSON.parse(JSON.stringify(outcome.value)));
    const html = readFileSync(out, 'utf8');
    expect(html.includes('src="data:image/png;base64,')).toBe(true);
    const listed = [...html.matchAll(/<li data-step="(\d+)"/g)].map(([, step]) => Number(step));
    const told = [...new Set([...order.steps, ...order.lays].map(({ step }) => step))].sort((a, b) => a - b);
    expect(listed).toEqual(told);
    expect(order.lays.length).toBe(5);
    for (const { part, before } of order.lays) {
      expect(order.steps.filter((step) => step.part === part).every(({ n }) => n >= before)).toBe(true);
    }
  });

  it('that has no place says so, and a hand needs a guide', async () => {
    const nowhere = await runPlanWithPictures([drawing, '--guide', join(folder, 'no', 'such', 'folder.html')]);
    expect(nowhere.ok ? '' : nowhere.problem).toMatch(/can’t write .*folder\.html/);
    const alone = await runPlanWithPictures([drawing, '--hand', 'left']);
    expect(alone.ok ? '' : alone.problem).toMatch(/--hand goes with --guide/);
  });
});

describe('the headless planner', () => {
  it('keeps its contract on a drawing and on a piece', () => {
    const { design, hoop, parts } = strict(drawing);
    expect(design.scaleMmPerUnit).toBe(2);
    expect(hoop).toBeNull();
    expect(parts.map(({ id, kind }) => [id, kind])).toEqual([
      ['field', 'area'],
      ['edge', 'line'],
      ['eye', 'area'],
    ]);
    expect(strict(join(root, 'demo/pieces/kite.junctura.json')).hoop!.nominalMm).toBe(100);
  });

  it('tidies a drawing and says how, or takes it as it is drawn; what it is for changes what it is worked in', () => {
    const file = join(folder, 'untidy.svg');
    writeFileSync(
      file,
      '<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="100mm" viewBox="0 0 100 100">' +
        '<path id="own" d="M0 0H30V30H0Z" fill="#c33" stroke="#c33" stroke-width="2"/>' +
        '<path id="two" d="M40 0H51V30H40Z M70 0H81V30H70Z" fill="#239"/></svg>',
    );
    const [tidied, drawn] = [strict(file), strict(file, '--as-drawn')];
    expect(tidied.tidied.map(({ rule, count }) => [rule, count])).toEqual([
      ['islands', 1],
      ['own-strokes', 1],
    ]);
    expect(tidied.parts.map(({ id }) => id)).toEqual(['own', 'two', 'two-2']);
    expect(drawn.tidied).toEqual([]);
    expect(drawn.parts.map(({ id }) => id)).toEqual(['own', 'own-outline', 'two']);
    expect(tidied.parts[0]!.passes[0]!.colours).toEqual([tidied.parts[0]!.colour]);
    const stitches = (use: string): string[] =>
      strict(file, '--use', use).parts.map(({ passes }) => passes.at(-1)!.stitch);
    expect(stitches('worn')).not.toEqual(stitches('framed'));
    expect(runPlan([file, '--use', 'eaten']).ok).toBe(false);
  });

  it('does as it is told', () => {
    const told = strict(
      drawing,
      '--stitch',
      'satin',
      '--strands',
      '1',
      '--param',
      'p=0.5',
      '--angle',
      '-30',
      '--scale',
      '1',
      '--slack',
      '0',
      '--cloth',
      'denim',
      '--hoop',
      '125',
    );
    const [field, edge] = told.parts;
    expect(field!.areaMm2).toBeCloseTo(150, 1);
    expect(field!.passes).toHaveLength(1);
    expect(field!.passes[0]).toMatchObject({ stitch: 'satin', strands: 1, params: { spacingMm: 0.5 } });
    expect(field!.passes[0]!.frontMm).toBeCloseTo(150 / 0.5, -1);
    const { frontMm, backMm, wrapMm, throughMm, threadMm, stitches } = field!.passes[0]!;
    expect(threadMm).toBeCloseTo(frontMm + backMm + wrapMm + throughMm, 2);
    expect(throughMm).toBeCloseTo(stitches * 2 * 0.8, 2);
    expect(edge!.passes[0]!.stitch).not.toBe('satin');
    expect(told.hoop!.innerMm).toBe(119);
  });

  it('fits to the hoop, and lets a spot stitch stand for a small round area', () => {
    const told = strict(drawing, '--hoop', '100', '--fit', '--stitch', 'french');
    // The eye is raised, and near the edge of the design: it gets the air that raised work wants.
    expect(told.hoop!.clearMm).toBeGreaterThan(12);
    expect(told.findings.map(({ id }) => id)).not.toContain('near-ring');
    const flat = join(folder, 'flat.svg');
    writeFileSync(
      flat,
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 50 50"><rect width="15" height="10" fill="#c33"/><path d="M0 20H20" stroke="#239"/></svg>',
    );
    const fitted = strict(flat, '--hoop', '100', '--fit');
    expect(fitted.hoop!.clearMm).toBeCloseTo(12, 1);
    expect(fitted.design.circleMm).toBeCloseTo(94 - 24, 1);
    expect(told.parts.map(({ passes }) => passes[0]!.stitch === 'french')).toEqual([false, false, true]);
  });

  const empty = join(folder, 'empty.svg');
  writeFileSync(empty, '<svg xmlns="http://www.w3.org/2000/svg"/>');
  it.each([
    [[], /no file given/],
    [['nowhere.svg'], /file not found: nowhere.svg/],
    [[empty], /nothing in it to stitch/],
    [[drawing, '--stitch', 'tatting'], /--stitch must be one of running/],
    [[drawing, '--cloth', 'paper'], /--cloth must be one of/],
    [[drawing, '--strands', '7'], /strands/],
    [[drawing, '--strands', '2.5'], /whole number/],
    [[drawing, '--hoop', 'big'], /--hoop takes a number/],
    [[drawing, '--param', 'p'], /key=value/],
    [[drawing, '--stitch', 'satin', '--param', 'p=0.5', '--param', 'nonsense=1'], /nonsense: no stitch of this plan/],
    [[drawing, '--param', 'nonsense=1'], /no stitch of this plan/],
    [[drawing, '--stitch', 'satin', '--param', 'p=99'], /p=99/],
    [[drawing, '--fit', '--scale', '1'], /not both/],
    [[drawing, '--colour'], /--colour/],
  ])('says in one line what is wrong with %j', (args, expected) => {
    const outcome = runPlan(args);
    expect(outcome.ok ? 'nothing' : outcome.problem).toMatch(expected);
    expect(outcome.ok ? '\n' : outcome.problem).not.toContain('\n');
  });

  it('prints one document on success, and one line on stderr and nothing else on failure', () => {
    const good = plan(drawing);
    expect([good.status, good.stderr]).toEqual([0, '']);
    expect(contract.parse(JSON.parse(good.stdout)).parts).toHaveLength(3);
    const bad = plan('nowhere.svg');
    expect([bad.status, bad.stdout]).toEqual([1, '']);
    expect(bad.stderr).toBe('file not found: nowhere.svg\n');
  });

  it('works a half ring as arithmetic has it, and obeys an angle on it', () => {
    const ring = join(folder, 'ring.svg');
    writeFileSync(
      ring,
      '<svg xmlns="http://www.w3.org/2000/svg" width="60mm" viewBox="0 0 60 60"><path d="M0 30A30 30 0 0 1 60 30H49A19 19 0 0 0 11 30Z" fill="#933"/></svg>',
    );
    const turning = strict(ring, '--stitch', 'satin').parts[0]!.passes.find(({ role }) => role === 'filling')!;
    expect(turning.direction).toBe('across');
    // Spans of 11 mm at the spacing along the outer edge, each brought back behind.
    const spans = (Math.PI * 30) / Number(turning.params['spacingMm']);
    expect(turning.stitches / spans).toBeGreaterThan(0.97);
    expect(turning.stitches / spans).toBeLessThan(1.05);
    expect(turning.backMm / (spans * 11)).toBeGreaterThan(0.94);
    expect(turning.backMm / (spans * 11)).toBeLessThan(1.06);
    const { colours, totals } = strict(ring, '--stitch', 'satin');
    expect(colours[0]!.loads).toBeLessThanOrEqual(18);
    // Under an hour at the hoop; mounting the cloth takes ten minutes more.
    expect(totals.hours.p50).toBeLessThan(1.1);
    const straight = strict(ring, '--stitch', 'satin', '--angle', '20').parts[0]!.passes[0]!;
    expect(straight).toMatchObject({ direction: 'straight', angleDeg: 20 });
    expect((straight.frontMm * Number(straight.params['spacingMm'])) / ((Math.PI * (900 - 361)) / 2)).toBeCloseTo(1, 1);
  });

  it('plans what a hoop piece can be, quickly, and says of the rest what is wrong', () => {
    const drawn = (name: string, body: string): string => {
      const file = join(folder, name);
      writeFileSync(file, `<svg xmlns="http://www.w3.org/2000/svg" width="100mm" viewBox="0 0 100 100">${body}</svg>`);
      return file;
    };
    const far = drawn('far.svg', '<path d="M0 0H999999V999999H0Z" fill="#a33"/>');
    expect(runPlan([far])).toMatchObject({ ok: false, problem: expect.stringMatching(/larger than 3 m/) as string });
    const stray = strict(
      drawn('stray.svg', '<path d="M9 9H30L-547280 20L9 30Z"/><rect x="40" y="40" width="20" height="20"/>'),
    );
    expect(stray.findings.map(({ id }) => id)).toContain('too-large');
    expect(stray.parts[1]!.passes.length).toBeGreaterThan(0);
  });

  it('tells an order that keeps its rules, within its bound, by colour and by area', () => {
    interface Told {
      readonly order: {
        readonly steps: readonly { n: number; part: string; layer: number; sitting: number; because: string[] }[];
        readonly rules: readonly { id: string; before: string; after: string }[];
        readonly totals: Record<string, number>;
        readonly bound: Record<string, number>;
        readonly drawingOrder: Record<string, number>;
      };
    }
    // By colour it is never longer than as it is drawn; by area a shorter way for the eye may cost a minute or two.
    for (const [by, longest] of [
      ['colour', 1],
      ['area', 1.005],
    ] as const) {
      const outcome = runPlan([pool, '--order', by, '--needles', '3', '--sitting', '45']);
      if (!outcome.ok) throw new Error(outcome.problem);
      const { order } = outcome.value as Told;
      const first = new Map<string, number>();
      const last = new Map<string, number>();
      for (const { n, part, layer } of order.steps) {
        const key = `${part}:${layer}`;
        if (!first.has(key)) first.set(key, n);
        last.set(key, n);
      }
      expect(order.rules.length).toBeGreaterThan(50);
      for (const { before, after } of order.rules) {
        if (before !== after) expect(first.get(before)!).toBeLessThan(last.get(after)!);
      }
      for (const key of ['threadings', 'colourChanges', 'hoopMoves']) {
        expect(order.totals[key]).toBeGreaterThanOrEqual(order.bound[key]!);
      }
      expect(order.totals['seconds']).toBeLessThanOrEqual(longest * order.drawingOrder['seconds']!);
      expect(order.steps.at(-1)!.sitting).toBe(order.totals['sittings']);
    }
    expect(runPlan([pool, '--needles', '3'])).toMatchObject({ ok: false });
  });

  it('tells how a record stands to the plan', () => {
    const file = join(folder, 'entries.json');
    const at = (minutes: number): string =>
      new Date(Date.parse('2026-05-01T19:00:00Z') + 60_000 * minutes).toISOString();
    writeFileSync(
      file,
      JSON.stringify([
        { type: 'sitting-begun', id: 'a', at: at(0), needles: 4 },
        { type: 'part-done', id: 'b', at: at(5), part: 'rim' },
      ]),
    );
    const outcome = runPlan([pool, '--record', file]);
    if (!outcome.ok) throw new Error(outcome.problem);
    const { record } = outcome.value as { record: { doneParts: string[]; left: { seconds: Record<string, number> } } };
    expect(record.doneParts).toEqual(['rim']);
    expect(record.left.seconds['p10']).toBeLessThan(record.left.seconds['p90']!);
    writeFileSync(file, '[{"type":"step-done"}]');
    expect(runPlan([pool, '--record', file])).toMatchObject({ ok: false });
  });
});
