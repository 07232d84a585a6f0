import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { connect, type AddressInfo } from 'node:net';
import { request, type OutgoingHttpHeaders } from 'node:http';
import { hostname, networkInterfaces, tmpdir } from 'node:os';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync } from 'node:zlib';
import { join } from 'node:path';
import { afterAll, describe, expect, it, vi } from 'vitest';
import { deltaE, labOf, whiteBalanced } from '@junctura/core/colour';
import { RANGES, shopSchema, THRUMWICK } from '@junctura/core/materials';
import { emptyPiece, writePiece } from '@junctura/core/piece';
import { PAGES } from '../../web/src/shell/pages.ts';
import { createApp } from './app.ts';
import { underLamp } from './camera.ts';
import { HAND_OVER_MS, HandOvers, MOST_BYTES_WAITING, MOST_WAITING } from './handOver.ts';
import { limitedServer } from './limits.ts';

const dist = mkdtempSync(join(tmpdir(), 'dist-'));
mkdirSync(join(dist, 'assets'));
writeFileSync(join(dist, 'index.html'), '<!doctype html><title>Junctura</title>');
writeFileSync(join(dist, 'assets/a.js'), 'export {};');
const PACKED = `export const many = '${'thread '.repeat(400)}';`;
writeFileSync(join(dist, 'assets/b.js'), PACKED);
writeFileSync(join(dist, 'assets/b.js.br'), brotliCompressSync(PACKED));
const logged: string[] = [];
const server = createApp({ dist, log: (line) => void logged.push(line) }).listen(0);
const get = (path: string): Promise<Response> =>
  fetch(`http://127.0.0.1:${(server.address() as AddressInfo).port}${path}`);
afterAll(() => server.close());

describe('the server', () => {
  it('is healthy', async () => {
    const response = await get('/healthz');
    expect(response.status).toBe(200);
    expect(await response.json()).toEqual({ status: 'ok' });
  });

  /** Every address that a page can have: with its optional parts and without, with a slash at the end and without. */
  const ADDRESSES = Object.values(PAGES).flatMap((page) => {
    const filled = [page.replace(/\/:\w+\?/g, ''), page.replace(/:\w+\??/g, 'a-1')].map((path) =>
      path.replace(/:\w+/g, 'b_2'),
    );
    return [...new Set(filled.flatMap((path) => [path || '/', path.endsWith('/') ? path : `${path}/`]))];
  });

  it.each(ADDRESSES)('answers %s with the application, as a reload asks for it', async (path) => {
    const response = await get(path);
    expect(response.status).toBe(200);
    expect(await response.text()).toContain('Junctura');
    expect(response.headers.get('cache-control')).toBe('no-cache');
  });

  it('hands out what was packed when it was built, to those who can unpack it', async () => {
    const asked = async (encoding: string): Promise<string | null> => {
      const headers = { 'accept-encoding': encoding };
      const { port } = server.address() as AddressInfo;
      return (await fetch(`http://127.0.0.1:${port}/assets/b.js`, { headers })).headers.get('content-encoding');
    };
    expect(await asked('br')).toBe('br');
    expect(await asked('identity')).toBeNull();
    expect(await (await get('/assets/b.js')).text()).toBe(PACKED);
  });

  it('has a printer that says it is simulated, and shrinks the page the same every time', async () => {
    const answers = await Promise.all([1, 2].map(async () => (await get('/stand-ins/printer')).json()));
    expect(answers[0]).toEqual(answers[1]);
    expect(answers[0]).toMatchObject({ simulated: true, across: 0.972, down: 0.984 });
  });

  it('has a thread shop that says it is simulated, with every shade, some of them out of stock', async () => {
    const [stock, again] = await Promise.all([1, 2].map(async () => (await get('/stand-ins/shop')).json()));
    expect(stock).toEqual(again);
    const { threads } = shopSchema.parse(stock);
    expect(threads).toHaveLength(RANGES.reduce((sum, { shades }) => sum + shades.length, 0));
    const out = threads.filter(({ lots }) => lots.length === 0).length;
    expect(out).toBeGreaterThan(3);
    expect(out).toBeLessThan(threads.length / 8);
    expect(threads.some(({ lots }) => lots.length > 1)).toBe(true);
  });

  it('has a scale, and a camera whose picture is put right by its grey card', async () => {
    expect(await (await get('/stand-ins/scale')).json()).toMatchObject({ simulated: true, stepGrams: 0.1 });
    const picture = await get('/stand-ins/camera');
    expect(picture.headers.get('content-type')).toContain('svg');
    const shade = THRUMWICK.shades[60]!;
    const taken = underLamp(shade.hex);
    expect(deltaE(labOf(taken), shade.lab)).toBeGreaterThan(5);
    const right = whiteBalanced([taken], { seen: underLamp('#aaaaaa'), truly: '#aaaaaa' });
    expect(right.ok && deltaE(labOf(right.value[0]!), shade.lab)).toBeLessThan(2.5);
  });

  it.each([
    '/nothing',
    '/piece',
    '/piece/a/b/c',
    '/light-table',
    '/threads/x',
    '/assets/none.js',
    '/assets/../../package.json',
  ])('has nothing at %s', async (path) => {
    expect((await get(path)).status).toBe(404);
  });

  it.each(['/assets/%ff', '/%c0%af', '/piece/%', '/stand-ins/%e0%a4%a'])(
    'answers %s with a plain sentence, without a trace or path, and one line in its log',
    async (path) => {
      const before = logged.length;
      const response = await get(path);
      expect([400, 404]).toContain(response.status);
      const text = await response.text();
      expect(text).toMatch(/^[^\n<]{10,80}\n$/);
      expect(text).not.toMatch(/at |node_modules|\/work|Error/);
      expect(logged.slice(before).every((line) => !line.includes('\n'))).toBe(true);
      expect(logged.length - before).toBeLessThanOrEqual(1);
    },
  );

  describe('hands pieces over', () => {
    const piece = writePiece(emptyPiece('p', 'Moth'));
    const open = createApp({ dist, handsOver: true, hosts: ['kitchen.example'] }).listen(0);
    const ask = (path: string, method = 'POST', body?: string): Promise<Response> =>
      fetch(`http://127.0.0.1:${(open.address() as AddressInfo).port}/hand-over${path}`, {
        method,
        ...(body === undefined ? {} : { body, headers: { 'content-type': 'application/json' } }),
      });
    afterAll(() => open.close());

    it('only where other devices are let in', async () => {
      expect(await (await get('/hand-over')).json()).toEqual({ isOn: false, addresses: [] });
      expect(await (await ask('', 'GET')).json()).toMatchObject({ isOn: true });
      const { port } = server.address() as AddressInfo;
      const refused = await fetch(`http://127.0.0.1:${port}/hand-over`, { method: 'POST', body: piece });
      expect(refused.status).toBe(404);
    });

    it('once, as it was, to who has the code; what is no piece or too large is refused', async () => {
      const { code } = (await (await ask('', 'POST', piece)).json()) as { code: string };
      expect(code).toMatch(/^[A-Z2-9]{8}$/);
      const taken = await ask(`/${code}`);
      expect([taken.headers.get('cache-control'), await taken.text()]).toEqual(['no-store', piece]);
      expect((await ask(`/${code}`)).status).toBe(404);
      for (const bad of ['', '{}', 'x', JSON.stringify({ ...emptyPiece('p', 'x'), use: 'flown' })]) {
        const refused = await ask('', 'POST', bad);
        expect([refused.status, ((await refused.json()) as { problem: string }).problem.length > 10]).toEqual([
          400,
          true,
        ]);
      }
      const large = await ask('', 'POST', `"${'x'.repeat(25_000_000)}"`);
      expect([large.status, ((await large.json()) as { problem: string }).problem]).toEqual([
        413,
        expect.stringMatching(/too large to send: up to 24 MB/),
      ]);
    });

    it('for ten minutes, twenty at a time, five from one device, and no more in all than lie easily in memory', () => {
      let now = 0;
      const handOvers = new HandOvers(() => now);
      const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
      const text = (taken: Uint8Array | null): string | null => taken && new TextDecoder().decode(taken);
      const codes = Array.from({ length: MOST_WAITING }, (_, i) =>
        handOvers.put(bytes(`piece ${i}`), `device ${i % 4}`)!,
      );
      expect(new Set(codes).size).toBe(MOST_WAITING);
      expect(handOvers.put(bytes('one more'), 'another')).toBeNull();
      for (const wrong of ['', 'x', codes[0]!.slice(1), `${codes[0]}A`, 'é'.repeat(8)])
        expect(handOvers.take(wrong)).toBeNull();
      now = HAND_OVER_MS - 1;
      expect(text(handOvers.take(codes[3]!))).toBe('piece 3');
      // There is room again, but not for who has five waiting.
      expect(handOvers.put(bytes('one more'), 'device 0')).toBeNull();
      expect(handOvers.put(bytes('one more'), 'device 3')).not.toBeNull();
      now = HAND_OVER_MS;
      expect(handOvers.take(codes[4]!)).toBeNull();
      expect(handOvers.put(new Uint8Array(MOST_BYTES_WAITING - 10), 'device 0')).not.toBeNull();
      expect(handOvers.put(bytes('a little more'), 'device 1')).toBeNull();
    });

    it('while it answers everybody else: what takes long to read is read elsewhere', async () => {
      const sent = [
        '['.repeat(9_900_000),
        `{"format":"junctura-piece","version":11,"x":"${'y'.repeat(9_000_000)}"}`,
      ].map((body) => ask('', 'POST', body));
      // Both are refused, and one that came meanwhile was not kept waiting by either.
      const first = await Promise.race([
        get('/healthz').then(() => 'health'),
        ...sent.map((one) => one.then(() => 'sent')),
      ]);
      expect(first).toBe('health');
      for (const one of sent) expect((await one).status).toBe(400);
    });

    it('under its own names, whatever a header says of where a request comes from', async () => {
      const { port } = open.address() as AddressInfo;
      const asked = (headers: OutgoingHttpHeaders): Promise<{ status: number; text: string }> =>
        new Promise((resolve, reject) => {
          const sent = request(
            { host: '127.0.0.1', port, path: '/hand-over/AAAABBBB', method: 'POST', headers },
            (response) => {
              let text = '';
              response.on('data', (data) => (text += String(data)));
              response.on('end', () => resolve({ status: response.statusCode ?? 0, text }));
            },
          );
          sent.on('error', reject).end();
        });
      const told = vi.spyOn(console, 'error');
      for (const host of ['localhost', '127.0.0.1', '[::1]', hostname(), `${hostname()}.local`, 'kitchen.example'])
        expect((await asked({ host: `${host}:${port}`, 'x-forwarded-for': 'x, y' })).status, host).toBe(404);
      const elsewhere = await asked({ host: `elsewhere.example:${port}` });
      expect([elsewhere.status, elsewhere.text.trim().split('\n').length]).toEqual([421, 1]);
      expect(elsewhere.text).toContain('HOSTS');
      expect(told).not.toHaveBeenCalled();
      told.mockRestore();
    });

    it('but not to who tries one code after the other', async () => {
      let last = 0;
      for (let i = 0; i < 40 && last !== 429; i++) last = (await ask(`/AAAA${String(2222 + i)}`)).status;
      expect(last).toBe(429);
      const { code } = (await (await ask('', 'POST', piece)).json()) as { code: string };
      expect((await ask(`/${code}`)).status).toBe(429);
    });
  });

  it('gives up on requests that are sent by halves', async () => {
    const slow = limitedServer(createApp({ dist }), { headersMs: 200, requestMs: 300, lookEveryMs: 100 });
    await new Promise<void>((resolve) => slow.listen(0, '127.0.0.1', resolve));
    const socket = connect((slow.address() as AddressInfo).port, '127.0.0.1');
    socket.write('GET / HTTP/1.1\r\nHost: x\r\nX-Half');
    const said = await new Promise<string>((resolve) => {
      let heard = '';
      socket.on('data', (data) => (heard += String(data)));
      socket.on('close', () => resolve(heard));
    });
    expect(said).toMatch(/^HTTP\/1.1 408/);
    slow.close();
  });

  it('listens on this machine alone, and ends within five seconds of a signal though a request is under way', async () => {
    const main = fileURLToPath(new URL('./main.ts', import.meta.url));
    const port = 41_000 + (process.pid % 1000);
    const built = fileURLToPath(new URL('../../web/dist/index.html', import.meta.url));
    expect(existsSync(built)).toBe(true);
    const child = spawn(process.execPath, ['--import', 'tsx', main], {
      env: { ...process.env, PORT: String(port), HOST: '' },
    });
    const ready = await new Promise<string>((resolve) => child.stdout.once('data', (data) => resolve(String(data))));
    expect(ready).toContain(`http://localhost:${port}`);
    const outside = Object.values(networkInterfaces())
      .flat()
      .find((address) => address?.family === 'IPv4' && !address.internal);
    if (outside) await expect(fetch(`http://${outside.address}:${port}/healthz`)).rejects.toThrow();
    const socket = connect(port, 'localhost');
    socket.on('error', () => undefined);
    socket.write('GET / HTTP/1.1\r\nHost: x\r\nX-Half');
    const began = Date.now();
    child.kill('SIGTERM');
    await new Promise((resolve) => child.once('exit', resolve));
    expect(Date.now() - began).toBeLessThan(5000);
    socket.destroy();
  });

  it('allows what the application needs and no more', async () => {
    const { headers } = await get('/');
    const policy = headers.get('content-security-policy')!;
    expect(policy).toContain("default-src 'none'");
    expect(policy).toContain("script-src 'self'");
    expect(policy).not.toMatch(/unsafe-eval|script-src[^;]*unsafe-inline|https?:/);
    expect(headers.get('strict-transport-security')).toBeNull();
    expect(headers.get('x-powered-by')).toBeNull();
    expect(headers.get('cache-control')).toBe('no-cache');
    expect((await get('/assets/a.js')).headers.get('cache-control')).toContain('immutable');
  });
});
