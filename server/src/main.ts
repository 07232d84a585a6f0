import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { createApp } from './app.ts';
import { limitedServer } from './limits.ts';
import * as say from './words.ts';

const DEFAULT_PORT = 4173;
/** After a signal, requests under way have this long to end, ms. */
const GRACE_MS = 3000;

function fail(sentence: string): never {
  process.stderr.write(`${sentence}\n`);
  process.exit(1);
}

function portFrom(text: string | undefined): number {
  if (text === undefined || text === '') return DEFAULT_PORT;
  const port = Number(text);
  if (!Number.isInteger(port) || port < 1 || port > 65535) fail(say.badPort(text));
  return port;
}

const dist = fileURLToPath(new URL('../../web/dist', import.meta.url));
if (!existsSync(`${dist}/index.html`)) fail('Junctura is not built yet: run npm start, which builds it.');

const port = portFrom(process.env['PORT']);
const host = process.env['HOST'] || 'localhost';
/** Other devices are let in only where that was asked for. */
const isOpen = !['localhost', '127.0.0.1', '::1'].includes(host);
const log = (line: string): void => void process.stderr.write(`${line}\n`);
/** Further names under which it may be asked for, as behind another server. */
const hosts = (process.env['HOSTS'] ?? '')
  .split(',')
  .map((name) => name.trim())
  .filter((name) => name !== '');
const app = createApp({ dist, log, handsOver: isOpen, hosts: [host, ...hosts] });
const server = limitedServer(app).listen(port, host);
server.once('listening', () => process.stdout.write(`${isOpen ? say.readyForAll(port) : say.ready(host, port)}\n`));
server.once('error', (error) => {
  if ((error as NodeJS.ErrnoException).code === 'EADDRINUSE') {
    fail(say.portTaken(port, port + 1));
  } else fail(say.notStarted(error.message));
});
for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.once(signal, () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), GRACE_MS).unref();
  });
}
