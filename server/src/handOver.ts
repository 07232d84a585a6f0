import { randomInt, timingSafeEqual } from 'node:crypto';
import { networkInterfaces } from 'node:os';
import express, { Router } from 'express';
import { rateLimit } from 'express-rate-limit';
import { readPieceFile } from '@junctura/core/piece';

/** How long a piece waits for the other device, ms, how many wait at once, and how large each is at most. */
export const HAND_OVER_MS = 10 * 60_000;
export const MOST_WAITING = 20;
const MOST_BYTES = '10mb';
/** How many wrong codes are tried from one device in that time, and how many pieces are handed over. */
const MOST_TRIES = 30;

/** Signs that no one takes for another. */
const SIGNS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
export const CODE_SIGNS = 8;

/** Pieces on their way from one device to another: in memory, each taken once, none longer than {@link HAND_OVER_MS}. */
export class HandOvers {
  private waiting: { readonly code: string; readonly text: string; readonly until: number }[] = [];

  constructor(private readonly now: () => number = Date.now) {}

  /** The code under which a text waits; null where too many wait. */
  put(text: string): string | null {
    this.forget();
    if (this.waiting.length >= MOST_WAITING) return null;
    const code = Array.from({ length: CODE_SIGNS }, () => SIGNS[randomInt(SIGNS.length)]).join('');
    this.waiting.push({ code, text, until: this.now() + HAND_OVER_MS });
    return code;
  }

  /** What waits under a code, which then waits no more; null where nothing does. */
  take(code: string): string | null {
    this.forget();
    const wanted = Buffer.from(code.padEnd(CODE_SIGNS).slice(0, CODE_SIGNS));
    // All are compared, each in the same time: how long it takes tells nothing.
    const found = this.waiting.filter((entry) => {
      const own = Buffer.from(entry.code);
      return wanted.length === own.length && timingSafeEqual(wanted, own);
    });
    if (found.length === 0 || code.length !== CODE_SIGNS) return null;
    this.waiting = this.waiting.filter((entry) => entry !== found[0]);
    return found[0]!.text;
  }

  private forget(): void {
    this.waiting = this.waiting.filter(({ until }) => until > this.now());
  }
}

/** Under which addresses other devices of this home find the server. */
function addresses(port: number | undefined): string[] {
  const all = Object.values(networkInterfaces()).flatMap((own) => own ?? []);
  return all
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => `http://${address}:${port}`);
}

/**
 * Hands pieces with their records from one device of a home to another. Off unless other devices are let in.
 * @param isOn whether they are
 */
export function handOver(isOn: boolean, handOvers = new HandOvers()): Router {
  const router = Router();
  router.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  router.get('/', (request, response) => {
    response.json({ isOn, addresses: isOn ? addresses(request.socket.localPort) : [] });
  });
  if (!isOn) return router;
  const limit = rateLimit({
    windowMs: HAND_OVER_MS,
    limit: MOST_TRIES,
    skipSuccessfulRequests: true,
    message: { problem: 'Too many codes were tried. Wait ten minutes.' },
  });
  const text = express.text({ type: 'application/json', limit: MOST_BYTES });
  router.post('/', text, (request, response) => {
    const read = readPieceFile(typeof request.body === 'string' ? request.body : '');
    if (!read.ok) return void response.status(400).json({ problem: read.problem });
    const code = handOvers.put(request.body as string);
    if (code === null) {
      return void response
        .status(503)
        .json({ problem: 'Too many pieces are waiting to be collected. Collect one, or wait ten minutes.' });
    }
    response.status(201).json({ code, minutes: HAND_OVER_MS / 60_000 });
  });
  router.post('/:code', limit, (request, response) => {
    const found = handOvers.take(String(request.params['code']));
    if (found === null) {
      return void response.status(404).json({
        problem: 'There is no piece under this code. A code works once and lasts ten minutes: send the piece again.',
      });
    }
    response.type('json').send(found);
  });
  return router;
}
