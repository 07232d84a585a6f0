import {
  Planner,
  planLevels,
  richVersion,
  simpleVersion,
  withinHours,
  type Version,
  type VersionWays,
  type WithinHours,
} from '@junctura/core/advice';
import { skeinsToBuy, willReach } from '@junctura/core/thread';
import type { JobInput, JobProgress, ShownVersion } from '../jobs.ts';
import { paintedPicturesOf } from './learning.ts';
import { pictureOf, reachOf } from './pieces.ts';

const NOTHING_DONE: ReadonlySet<string> = new Set();

/** The versions of a piece, each as soon as it is known. */
export async function versions(
  { piece, factors, box, hours, pixels }: JobInput<'versions'>,
  tell: (version: JobProgress<'versions'>) => void,
): Promise<null> {
  const pictures = await paintedPicturesOf(piece);
  // A planner of its own: what the open piece's planner remembers is of the piece as it is.
  const ways: VersionWays = { own: factors, pictures, planner: new Planner() };
  const shown = (kind: ShownVersion['kind'], version: Version, within: WithinHours | null = null): void => {
    const { plan } = version;
    const reaches = willReach(version.piece, plan, NOTHING_DONE, box);
    const toBuy = reaches.flatMap((reach) => {
      const skeins = skeinsToBuy(reach, plan.spread);
      return skeins > 0 ? [{ shade: reach.need.shade, skeins }] : [];
    });
    const stitches = new Set(plan.parts.flatMap(({ passes }) => passes.map(({ stitch }) => stitch)));
    tell({
      kind,
      choice: version.choice,
      hours: plan.totals.hours,
      stitches: [...stitches],
      colours: reaches.length,
      threadMm: plan.totals.threadMm,
      toBuy,
      within: within && { hours: within.withinHours, less: within.less, nextHour: within.nextHour },
      picture: pictureOf(
        version.piece,
        { plan, findings: [], narrow: [] },
        reachOf(version.piece, plan.design.circle),
        pixels,
      ),
    });
  };
  const levels = planLevels(piece, ways, (usual) => shown('usual', usual));
  shown('simple', simpleVersion(levels, ways));
  if (hours !== null) {
    const within = withinHours(levels, hours, ways);
    shown('within', within, within);
  }
  shown('rich', richVersion(levels, ways));
  return null;
}
