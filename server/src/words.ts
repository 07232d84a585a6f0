export const badPort = (text: string): string => `PORT must be a number from 1 to 65535, not “${text}”.`;

export const portTaken = (port: number, next: number): string =>
  `Port ${port} is used by another program. Choose another one: PORT=${next} npm start`;

export const notStarted = (why: string): string => `The server could not start. ${why}`;

export const ready = (host: string, port: number): string => `Junctura is ready: http://${host}:${port}`;

export const readyForAll = (port: number): string =>
  `Junctura is ready: http://localhost:${port} (other devices on this network can connect too)`;
