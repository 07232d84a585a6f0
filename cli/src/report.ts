import type { Planned } from './planFile.ts';
import { judgePainted, type PlannedPass } from '@junctura/core/work';
import { isAccepted, sayFinding, severityOf } from '@junctura/core/advice';
import { skeinsToBuyInAll, willReach } from '@junctura/core/thread';
import { roundTo } from '@junctura/core/measure';

const NOTHING_DONE: ReadonlySet<string> = new Set();

const r = (value: number): number => roundTo(value, 4);

/** The headless planner's answer, version 1. Lengths are mm of needle thread. */
export function report({ piece, workings: { plan, findings }, tidied, box, within }: Planned): object {
  const { design, hoop, totals } = plan;
  const reaches = willReach(piece, plan, NOTHING_DONE, box);
  return {
    version: 1,
    level: piece.level,
    ...(within && { within: { hours: within.withinHours, less: within.less, nextHour: within.nextHour } }),
    tidied: tidied.filter(({ isDone }) => isDone).map(({ rule, count, parts }) => ({ rule, count, parts })),
    design: {
      widthMm: r(design.widthMm),
      heightMm: r(design.heightMm),
      scaleMmPerUnit: roundTo(design.scaleMmPerUnit, 8),
      circleMm: r((design.circle?.r ?? 0) * 2),
    },
    hoop: hoop && { nominalMm: hoop.nominalMm, innerMm: r(hoop.innerMm), clearMm: r(hoop.clearMm) },
    parts: plan.parts.map(({ part, placed, passes }) => ({
      id: part.id,
      name: part.name,
      kind: part.kind,
      areaMm2: r(placed.areaMm2),
      lengthMm: r(placed.lengthMm),
      colour: part.colour,
      passes: passes.map((pass) => passReport(pass, part.colour)),
    })),
    colours: plan.colours.map((need) => ({
      id: need.id,
      name: need.name,
      hex: need.hex,
      threadMm: r(need.threadMm),
      strandMetres: r(need.strandMetres),
      loads: need.loads,
      cuts: need.cuts,
      skeins: need.skeins,
    })),
    totals: {
      stitches: totals.stitches,
      threadMm: r(totals.threadMm),
      hours: { p10: r(totals.hours.p10), p50: r(totals.hours.p50), p90: r(totals.hours.p90) },
      skeins90: totals.skeins90,
      toBuy: skeinsToBuyInAll(reaches, plan.spread),
    },
    findings: findings
      .filter((finding) => !isAccepted(piece, finding))
      .map((finding) => ({
        id: finding.id,
        severity: severityOf(finding),
        part: finding.part,
        text: sayFinding(finding, plan.parts.find(({ part }) => part.id === finding.part)?.part.name ?? ''),
        figures: finding.figures,
      })),
  };
}

/** How near the painted part comes to its picture; nothing where none is painted. */
export function paintingReport({ piece, workings, pictures }: Planned): object {
  for (const planned of workings.plan.parts) {
    const judged = judgePainted(piece, planned, pictures);
    if (!judged) continue;
    const { shades, stitches, deltaE, floor, lonelyShare } = judged;
    return {
      painting: {
        shades,
        stitches,
        deltaE: { mean: r(deltaE.mean), p95: r(deltaE.p95) },
        floor: { mean: r(floor.mean) },
        lonelyShare: r(lonelyShare),
      },
    };
  }
  return {};
}

function passReport(pass: PlannedPass, own: string): object {
  const colours = [...new Set(pass.threads.map(({ colour }) => colour ?? own))];
  const { quantities } = pass;
  return {
    stitch: pass.stitch,
    role: pass.role,
    direction: pass.direction,
    angleDeg: r(pass.angleDeg),
    thread: pass.thread,
    strands: pass.strands,
    params: pass.params,
    stitches: quantities.stitches,
    frontMm: r(quantities.frontMm),
    backMm: r(quantities.backMm),
    wrapMm: r(quantities.wrapMm),
    throughMm: r(quantities.throughMm),
    threadMm: r(quantities.threadMm),
    seconds: roundTo(quantities.seconds, 1),
    colours,
    reason: pass.reason,
  };
}
