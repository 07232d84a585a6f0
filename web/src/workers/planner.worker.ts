import { Planner } from '@junctura/core/advice';
import { designCircle, readSvg, settleInHoop } from '@junctura/core/drawing';
import { success, type Outcome } from '@junctura/core/measure';
import type { Piece } from '@junctura/core/piece';
import type { PlannerReply, PlannerRequest } from './messages.ts';
import { NewsWriter } from './planNews.ts';

const planner = new Planner();
const writer = new NewsWriter();

/** A drawing as a new piece, in a hoop that suits it. */
function readDrawing(text: string, id: string, name: string): Outcome<Piece> {
  const read = readSvg(text, id, name);
  if (!read.ok) return read;
  const circle = designCircle(read.value);
  return circle && circle.r > 0 ? success(settleInHoop(read.value, circle)) : read;
}

function answer(request: PlannerRequest): PlannerReply {
  const { ticket } = request;
  try {
    if (request.type === 'plan')
      return { type: 'planned', ticket, news: writer.write(planner.plan(request.piece, 1, request.own)) };
    return { type: 'read', ticket, outcome: readDrawing(request.text, request.id, request.name) };
  } catch (error) {
    return { type: 'failed', ticket, problem: error instanceof Error ? error.message : String(error) };
  }
}

self.onmessage = ({ data }: MessageEvent<PlannerRequest>) => self.postMessage(answer(data));
