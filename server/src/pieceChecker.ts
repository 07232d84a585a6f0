import { parentPort } from 'node:worker_threads';
import { readPieceFile } from '@junctura/core/piece';

/** Runs beside the server: what takes long to read keeps nobody else waiting. Answers what is wrong with each piece; null: nothing. */
parentPort?.on('message', ({ number, bytes }: { number: number; bytes: Uint8Array }) => {
  const read = readPieceFile(new TextDecoder().decode(bytes));
  parentPort?.postMessage({ number, problem: read.ok ? null : read.problem });
});
