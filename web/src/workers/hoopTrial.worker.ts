import { Planner, tryHoop } from '@junctura/core/advice';
import { outerHalvesMm } from '@junctura/core/materials';
import { paintPicture } from '../picture/paintPicture.ts';
import { sceneOf } from '../picture/scene.ts';
import { viewOf } from '../picture/view.ts';
import type { TrialReply, TrialRequest } from './trialMessages.ts';

const PICTURE_PX = 300;

/** Kept from one hoop to the next: a design that only grows is not cut anew. */
const planner = new Planner();

self.onmessage = ({ data }: MessageEvent<TrialRequest>) => {
  const { trial, piece, workings } = tryHoop(data.piece, data.hoop, planner, data.own);
  const canvas = new OffscreenCanvas(PICTURE_PX, PICTURE_PX);
  const size = { width: PICTURE_PX, height: PICTURE_PX };
  const reach = Math.max(...outerHalvesMm(data.hoop));
  const brush = canvas.getContext('2d')!;
  for (const slice of paintPicture(brush, sceneOf(piece, workings), viewOf(reach, size), size, 'front')) void slice;
  const reply: TrialReply = { ticket: data.ticket, trial, picture: canvas.transferToImageBitmap() };
  self.postMessage(reply, { transfer: [reply.picture] });
};
