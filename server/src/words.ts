export const BUSY = 'Other pieces are being sent just now. Wait a moment, then send it again.';

export const NO_PIECE = 'This is not a Junctura piece.';

export const TOO_MANY_WAIT = 'Too many pieces are waiting to be collected. Collect one, or wait ten minutes.';

export const tooLarge = (most: number): string =>
  `This piece is too large to send: up to ${most} MB can be sent. Make the picture below the drawing smaller, or remove it.`;

export const wrongHost = (host: string): string =>
  `Junctura doesn’t answer under the address “${host}”. Open it under the address that it printed when it started, or add this one to HOSTS.`;

export const badPort = (text: string): string => `PORT must be a number from 1 to 65535, not “${text}”.`;

export const portTaken = (port: number, next: number): string =>
  `Port ${port} is used by another program. Choose another one: PORT=${next} npm start`;

export const notStarted = (why: string): string => `The server could not start. ${why}`;

export const ready = (host: string, port: number): string => `Junctura is ready: http://${host}:${port}`;

export const readyForAll = (port: number): string =>
  `Junctura is ready: http://localhost:${port} (other devices on this network can connect too)`;
