import { randomInt, timingSafeEqual } from 'node:crypto';
import { networkInterfaces } from 'node:os';
import express, { Router, type ErrorRequestHandler, type Request, type RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import { MAX_PIECE_CHARACTERS } from '@junctura/core/piece';
import { PieceChecker } from './checkPieces.ts';
import * as say from './words.ts';

/** How long a piece waits for the other device, ms, how many wait at once, from all devices and from one, and how much they are together, bytes. */
export const HAND_OVER_MS = 10 * 60_000;
export const MOST_WAITING = 20;
export const MOST_FROM_ONE = 5;
export const MOST_BYTES_WAITING = 100_000_000;
/** A piece that opens as a file can be handed over: most of its signs are one byte. */
const MOST_BYTES = MAX_PIECE_CHARACTERS;
/** The number of pieces that are taken in at the same time: each lies in memory until it is checked. */
const MOST_AT_ONCE = 3;
/** How many wrong codes are tried from one device in that time. */
const MOST_TRIES = 30;

/** Signs that no one takes for another. */
const SIGNS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
export const CODE_SIGNS = 8;

/** A piece that waits. */
interface Waiting {
  readonly code: string;
  readonly bytes: Uint8Array;
  readonly from: string;
  readonly until: number;
}

/** Pieces on their way from one device to another: in memory, each taken once, none longer than {@link HAND_OVER_MS}. */
export class HandOvers {
  private waiting: readonly Waiting[] = [];

  constructor(private readonly now: () => number = Date.now) {}

  /**
   * The code under which a piece waits; null where too many wait, or too much.
   * @param from the address of the device that sent it
   */
  put(bytes: Uint8Array, from: string): string | null {
    this.forget();
    const together = this.waiting.reduce((sum, own) => sum + own.bytes.length, bytes.length);
    const own = this.waiting.filter((other) => other.from === from).length;
    if (this.waiting.length >= MOST_WAITING || own >= MOST_FROM_ONE || together > MOST_BYTES_WAITING) return null;
    const code = Array.from({ length: CODE_SIGNS }, () => SIGNS[randomInt(SIGNS.length)]).join('');
    this.waiting = [...this.waiting, { code, bytes, from, until: this.now() + HAND_OVER_MS }];
    return code;
  }

  /** What waits under a code, which then waits no more; null where nothing does. */
  take(code: string): Uint8Array | null {
    this.forget();
    const wanted = Buffer.from(code.padEnd(CODE_SIGNS).slice(0, CODE_SIGNS));
    // All are compared, each in the same time: how long it takes tells nothing.
    const [found] = this.waiting.filter((entry) => {
      const own = Buffer.from(entry.code);
      return wanted.length === own.length && timingSafeEqual(wanted, own);
    });
    if (!found || code.length !== CODE_SIGNS) return null;
    this.waiting = this.waiting.filter((entry) => entry !== found);
    return found.bytes;
  }

  private forget(): void {
    this.waiting = this.waiting.filter(({ until }) => until > this.now());
  }
}

/** Where a request really comes from. */
function addressOf({ socket }: Request): string {
  return socket.remoteAddress ?? '';
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
export function handOver(isOn: boolean, handOvers = new HandOvers(), checker = new PieceChecker()): Router {
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
    // Counted by the address of the connection: a forwarded header can claim any other.
    keyGenerator: addressOf,
    validate: false,
    message: { problem: 'Too many codes were tried. Wait ten minutes.' },
  });
  let underWay = 0;
  const oneOfFew: RequestHandler = (_request, response, next) => {
    if (underWay >= MOST_AT_ONCE) return void response.status(503).json({ problem: say.BUSY });
    underWay++;
    response.once('close', () => underWay--);
    next();
  };
  const body = express.raw({ type: 'application/json', limit: MOST_BYTES });
  router.post('/', oneOfFew, body, async (request, response) => {
    const bytes: unknown = request.body;
    const problem = Buffer.isBuffer(bytes) ? await checker.check(bytes) : say.NO_PIECE;
    if (problem !== null) return void response.status(400).json({ problem });
    const code = handOvers.put(bytes as Buffer, addressOf(request));
    if (code === null) return void response.status(503).json({ problem: say.TOO_MANY_WAIT });
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
  const tooLarge: ErrorRequestHandler = (error: { status?: number }, _request, response, next) => {
    if (error.status !== 413) return next(error);
    response.status(413).json({ problem: say.tooLarge(MOST_BYTES / 1e6) });
  };
  router.use(tooLarge);
  return router;
}
