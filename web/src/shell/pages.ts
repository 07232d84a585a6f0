/**
 * The addresses of the application, as the router writes them. The server answers each of them with the application, so that a reload
 * finds it: nothing but this list has to know a new page. It imports nothing, as the server reads it, too.
 */
export const PAGES = {
  bench: '/',
  'begin-name': '/begin/name',
  'begin-motif': '/begin/motif',
  begin: '/begin/piece/:id',
  piece: '/piece/:id/:step?',
  'light-table': '/light-table/:id',
  'at-the-hoop': '/hoop/:id',
  take: '/take/:code?',
  threads: '/threads',
  compare: '/stitches/compare',
  knots: '/stitches/knots',
  handling: '/stitches/handling',
  practice: '/stitches/practice',
  book: '/stitches/:id?',
} as const satisfies Record<string, `/${string}`>;
