import { seededRandom } from '@junctura/core/measure';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { FakeWorker, fakeWorkers, type Behaviour } from '../testing/fakeWorker.ts';
import { WorkerClient } from './workerClient.ts';
import { WorkerPool } from './workerPool.ts';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

const odds = (n: number) => ({ needs: [], runs: n, factors: { width: 1, stitch: 1, thread: {}, handSpread: 0.1 } });
/** Gives back what it was asked with. */
const ECHO: Behaviour = { handlers: { odds: ({ runs }) => runs } };
/** Every answer, once all timers have run. */
async function settled<T>(answers: readonly Promise<T>[]): Promise<(T | 'unanswered')[]> {
  const found: (T | 'unanswered')[] = answers.map(() => 'unanswered');
  answers.forEach((answer, i) => void answer.then((value) => (found[i] = value)));
  await vi.runAllTimersAsync();
  return found;
}

describe('asking a worker', () => {
  it('answers every job, whatever the worker does at it, and never mixes answers up', async () => {
    for (let seed = 1; seed <= 150; seed++) {
      const random = seededRandom(seed);
      const fates = ['answers', 'answers', 'answers', 'dies', 'stalls', 'answers and dies'] as const;
      const client = new WorkerClient(
        fakeWorkers({
          handlers: { odds: ({ runs }) => (runs % 7 === 3 ? Promise.reject(new Error('no')) : runs) },
          delayMs: () => Math.floor(random.next() * 40),
          fate: () => fates[Math.floor(random.next() * fates.length)]!,
        }),
      );
      const asked: { n: number; key: string | undefined; answer: ReturnType<typeof client.ask<'odds'>> }[] = [];
      const stops: AbortController[] = [];
      for (let n = 0; n < 14; n++) {
        const key = random.next() < 0.4 ? 'k' : undefined;
        const stop = new AbortController();
        stops.push(stop);
        const asking = { ...(key ? { key } : {}), patienceMs: 100, signal: stop.signal };
        asked.push({ n, key, answer: client.ask('odds', odds(n), asking) });
        if (random.next() < 0.2) stops[Math.floor(random.next() * stops.length)]!.abort();
        if (random.next() < 0.5) await vi.advanceTimersByTimeAsync(random.next() * 30);
      }
      const answers = await settled(asked.map(({ answer }) => answer));
      answers.forEach((answer, n) => {
        expect(answer).not.toBe('unanswered');
        if (answer !== null && answer !== 'unanswered' && answer.ok) expect(answer.value).toBe(n);
        if (answer === null) expect(asked[n]!.key === 'k' || stops[n]!.signal.aborted).toBe(true);
      });
      // Of one key the newest is never overtaken.
      const newest = asked.findLast(({ key }) => key === 'k');
      if (newest && !stops[newest.n]!.signal.aborted) expect(answers[newest.n]).not.toBeNull();
      expect(client.load).toBe(0);
    }
  });

  it('says why a job failed, and goes on with a new worker where the old one died', async () => {
    let n = 0;
    const fresh = vi.fn();
    const client = new WorkerClient(fakeWorkers({ ...ECHO, fate: () => (++n === 2 ? 'dies' : 'answers') }), fresh);
    const answers = await settled([1, 2, 3].map((runs) => client.ask('odds', odds(runs))));
    expect(answers).toEqual([
      { ok: true, value: 1 },
      { ok: false, problem: 'out of memory' },
      { ok: true, value: 3 },
    ]);
    expect(fresh).toHaveBeenCalledTimes(2);
  });

  it('gives up what takes too long, and what comes of it later is passed over', async () => {
    let late = 500;
    const client = new WorkerClient(fakeWorkers({ ...ECHO, delayMs: () => late }));
    const [slow] = await settled([client.ask('odds', odds(1), { patienceMs: 100 })]);
    expect(slow).toMatchObject({ ok: false, problem: expect.stringContaining('too long') });
    late = 0;
    expect(await settled([client.ask('odds', odds(2), { patienceMs: 100 })])).toEqual([{ ok: true, value: 2 }]);
  });

  it('tells how far it is, and nothing more once it is cancelled', async () => {
    const told: number[] = [];
    const stop = new AbortController();
    const client = new WorkerClient(
      fakeWorkers({
        handlers: {
          readPicture: async (_input, tell) => {
            for (let share = 0.25; share <= 1; share += 0.25) {
              tell(share);
              await new Promise((resolve) => setTimeout(resolve, 50));
            }
            return { ok: false, problem: 'never' };
          },
        },
      }),
    );
    const input = { file: new Blob(), options: {} as never, id: 'x', name: 'x' };
    const answer = client.ask('readPicture', input, { signal: stop.signal, onProgress: (share) => told.push(share) });
    await vi.advanceTimersByTimeAsync(70);
    stop.abort();
    expect(await settled([answer])).toEqual([null]);
    expect(told).toEqual([0.25, 0.5]);
  });

  it('answers with null whatever is open when it is closed', async () => {
    const client = new WorkerClient(fakeWorkers({ ...ECHO, delayMs: () => 50 }));
    const open = [1, 2].map((n) => client.ask('odds', odds(n)));
    client.close();
    expect(await settled(open)).toEqual([null, null]);
  });
});

describe('a pool of workers', () => {
  it('begins no more workers than it has room for, and shares the jobs among them', async () => {
    FakeWorker.started = 0;
    let busy = 0;
    let most = 0;
    const pool = new WorkerPool(
      3,
      fakeWorkers({
        handlers: {
          odds: async ({ runs }) => {
            most = Math.max(most, ++busy);
            await new Promise((resolve) => setTimeout(resolve, 10));
            busy--;
            return runs;
          },
        },
      }),
    );
    const answers = await settled(Array.from({ length: 60 }, (_, n) => pool.ask('odds', odds(n))));
    expect(
      answers.map((answer) => (answer !== null && answer !== 'unanswered' && answer.ok ? answer.value : null)),
    ).toEqual(Array.from({ length: 60 }, (_, n) => n));
    expect(FakeWorker.started).toBe(3);
    expect(most).toBe(3);
  });
});
