import type { Handlers } from './serve.ts';

/** Everything that takes time. What a job needs is loaded when it is asked for first, so that code comes once. */
export const handlers: Handlers = {
  plan: async (input, tell) => (await import('./jobs/planning.ts')).plan(input, tell),
  readDrawing: async (input) => (await import('./jobs/drawings.ts')).readDrawing(input),
  tidy: async (input) => (await import('./jobs/drawings.ts')).tidied(input),
  remedies: async (input, tell) => (await import('./jobs/planning.ts')).remedies(input, tell),
  proposals: async (input) => (await import('./jobs/planning.ts')).proposals(input),
  positions: async (input) => (await import('./jobs/planning.ts')).positions(input),
  mendPair: async (input) => (await import('./jobs/planning.ts')).mend(input),
  varyPalette: async (input) => (await import('./jobs/planning.ts')).vary(input),
  orderWays: async (input, tell) => (await import('./jobs/planning.ts')).compareOrders(input, tell),
  finish: async (input) => (await import('./jobs/planning.ts')).finish(input),
  odds: async (input) => (await import('./jobs/planning.ts')).odds(input),
  savings: async (input) => (await import('./jobs/planning.ts')).thriftier(input),
  paintShades: async (input) => (await import('./jobs/painting.ts')).paintShades(input),
  judgePainting: async (input) => (await import('./jobs/painting.ts')).judge(input),
  paintWays: async (input, tell) => (await import('./jobs/painting.ts')).ways(input, tell),
  onTop: async (input) => (await import('./jobs/painting.ts')).onTop(input),
  lie: async (input) => (await import('./jobs/painting.ts')).lie(input),
  versions: async (input, tell) => (await import('./jobs/versions.ts')).versions(input, tell),
  tryHoop: async (input) => (await import('./jobs/pieces.ts')).hoopTrial(input),
  thumbnail: async (input) => (await import('./jobs/pieces.ts')).thumbnail(input),
  openPicture: async (input) => (await import('./jobs/pictures.ts')).open(input.file),
  readPicture: async (input, tell) => (await import('./jobs/pictures.ts')).read(input, tell),
  subject: async (input) => (await import('./jobs/painting.ts')).subject(input),
  palette: async (input) => (await import('./jobs/pictures.ts')).palette(input),
};
