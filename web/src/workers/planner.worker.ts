import { Planner } from '@junctura/core/advice';
import { readSvg } from '@junctura/core/drawing';
import type { PlannerReply, PlannerRequest } from './messages.ts';
import { NewsWriter } from './planNews.ts';

const planner = new Planner();
const writer = new NewsWriter();

function answer(request: PlannerRequest): PlannerReply {
  const { ticket } = request;
  try {
    if (request.type === 'plan') return { type: 'planned', ticket, news: writer.write(planner.plan(request.piece)) };
    return { type: 'read', ticket, outcome: readSvg(request.text, request.id, request.name) };
  } catch (error) {
    return { type: 'failed', ticket, problem: error instanceof Error ? error.message : String(error) };
  }
}

self.onmessage = ({ data }: MessageEvent<PlannerRequest>) => self.postMessage(answer(data));
