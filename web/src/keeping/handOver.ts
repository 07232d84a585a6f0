import { failure, success, z, type Outcome } from '@junctura/core/measure';
import { readPieceFile, writePiece, type PieceFile } from '@junctura/core/piece';

const ADDRESS = '/hand-over';
const GONE = 'Junctura doesn’t answer. Check that it is still running, and that both devices are on the same network.';

const stateSchema = z.object({ isOn: z.boolean(), addresses: z.array(z.string().max(200)).max(50) });
export type HandOverState = z.infer<typeof stateSchema>;
const handedSchema = z.object({ code: z.string().regex(/^[A-Z2-9]{8}$/), minutes: z.number() });
export type HandedOver = z.infer<typeof handedSchema>;

/** Whether the server hands pieces over, and where other devices find it. */
export function handOverState(): Promise<Outcome<HandOverState>> {
  return ask('', { method: 'GET' }, (text) => stateSchema.parse(JSON.parse(text)));
}

/** Puts a piece with its record on the server, for another device to take. */
export function handOver({ piece, record }: PieceFile): Promise<Outcome<HandedOver>> {
  const headers = { 'content-type': 'application/json' };
  return ask('', { method: 'POST', headers, body: writePiece(piece, record) }, (text) =>
    handedSchema.parse(JSON.parse(text)),
  );
}

/** Takes what was handed over under a code. */
export async function takeHandedOver(code: string): Promise<Outcome<PieceFile>> {
  const plain = plainCode(code);
  if (plain === null) return failure('A code has eight letters and digits, such as KT7M2WQX.');
  const answered = await ask(`/${plain}`, { method: 'POST' }, (text) => text);
  return answered.ok ? readPieceFile(answered.value) : answered;
}

/** A code as it was typed or read from a picture, with blanks, small letters or the whole address round it; null where it is none. */
export function plainCode(text: string): string | null {
  const plain = text
    .trim()
    .toUpperCase()
    .replace(/^.*\/TAKE\//, '')
    .replace(/[\s-]/g, '');
  return /^[A-Z2-9]{8}$/.test(plain) ? plain : null;
}

async function ask<T>(path: string, request: RequestInit, read: (text: string) => T): Promise<Outcome<T>> {
  try {
    const response = await fetch(ADDRESS + path, request);
    const text = await response.text();
    if (response.ok) return success(read(text));
    return failure(problemIn(text) ?? 'Junctura could not take the piece. Try again, or save it to a file instead.');
  } catch {
    return failure(GONE);
  }
}

function problemIn(text: string): string | null {
  try {
    return z.object({ problem: z.string().min(1).max(700) }).parse(JSON.parse(text)).problem;
  } catch {
    return null;
  }
}
