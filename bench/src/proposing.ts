import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { Planner, severityOf } from '@junctura/core/advice';
import { fitToHoop, readSvg, ShapePlacer } from '@junctura/core/drawing';
import { seededRandom } from '@junctura/core/measure';
import { plainHoop, type Piece } from '@junctura/core/piece';
import { Neighbours, Proposer } from '@junctura/core/propose';
import { USUAL_FACTORS } from '@junctura/core/work';
import { groundPiece } from './grounds.ts';
import { median, medianMs } from './median.ts';

/** Sixty drawings by other hands: forty of filled layers, twenty of lines. */
const COUNTS = { filled: 40, lines: 20 } as const;
const HOOP = plainHoop(150, 12);

function drawings(): Piece[] {
  // The two sets come with the core's tests.
  const require = createRequire(`${process.cwd()}/core/package.json`);
  const random = seededRandom(7);
  const sampled = <T>(items: readonly T[], count: number): T[] => {
    const left = [...items];
    return Array.from({ length: count }, () => left.splice(Math.floor(random.next() * left.length), 1)[0]!);
  };
  const set = JSON.parse(readFileSync(require.resolve('@iconify-json/flat-color-icons/icons.json'), 'utf8')) as {
    icons: Record<string, { body: string }>;
  };
  const lines = new URL('icons/', `file://${require.resolve('lucide-static/package.json')}`);
  const filled = sampled(Object.values(set.icons), COUNTS.filled).map(
    ({ body }) => `<svg xmlns="http://www.w3.org/2000/svg" width="48" height="48" viewBox="0 0 48 48">${body}</svg>`,
  );
  const drawn = sampled(
    readdirSync(lines).filter((name) => name.endsWith('.svg')),
    COUNTS.lines,
  ).map((name) => readFileSync(new URL(name, lines), 'utf8'));
  return [...filled, ...drawn].flatMap((svg) => {
    const read = readSvg(svg, 'x', 'x');
    if (!read.ok) return [];
    const piece = { ...read.value, hoop: HOOP };
    return [{ ...piece, placement: fitToHoop(piece, HOOP) }];
  });
}

/** What is proposed for drawings by other hands, and what proposing takes. */
export function benchProposing(): string[] {
  const kinds = new Map<string, number>();
  const warnings: number[] = [];
  let [parts, layered, areaMm2, straightMm2] = [0, 0, 0, 0];
  for (const piece of drawings()) {
    const { plan, findings } = new Planner().plan(piece, USUAL_FACTORS);
    warnings.push(findings.filter((finding) => severityOf(finding) !== 'note').length);
    for (const { placed, passes } of plan.parts) {
      const main = passes.find(({ role }) => role === 'filling');
      if (!main) continue;
      parts++;
      kinds.set(main.stitch, (kinds.get(main.stitch) ?? 0) + 1);
      if (passes.length > 1) layered++;
      areaMm2 += placed.areaMm2;
      if (main.stitch === 'split-fill' && main.direction === 'straight') straightMm2 += placed.areaMm2;
    }
  }
  const first = [...kinds].sort((a, b) => b[1] - a[1]).map(([stitch, count]) => `${stitch} ${count}`);
  const ground = groundPiece(20_000, 400);
  const loose = {
    ...ground,
    drawing: { ...ground.drawing, parts: ground.drawing.parts.map((part) => ({ ...part, passes: null })) },
  };
  const proposing = medianMs(() => {
    const shapes = new ShapePlacer().place(loose);
    new Proposer().settle(loose, shapes, new Neighbours(loose, shapes));
  }, 5);
  const planning = medianMs(() => new Planner().plan(loose, USUAL_FACTORS), 5);
  return [
    `proposals for ${parts} parts of ${warnings.length} drawings: ${kinds.size} kinds first (${first.join(', ')})`,
    `parts with more than one layer / all: ${(layered / parts).toFixed(2)}; filled area in straight split rows / all: ${(straightMm2 / areaMm2).toFixed(2)}`,
    `warnings on a drawing as proposed, in the middle: ${median(warnings)}`,
    `proposals for 400 areas / planning them: ${(proposing / planning).toFixed(2)}`,
  ];
}
