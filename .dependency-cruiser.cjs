// Which way imports may go: see docs/decisions.md.
const ORDER = [
  'measure',
  'geometry',
  'colour',
  'materials',
  'stitches',
  'piece',
  'drawing',
  'painting',
  'propose',
  'work',
  'order',
  'thread',
  'transfer',
  'finish',
  'log',
  'advice',
  'paper',
];

const rightwards = ORDER.map((folder, i) => ({
  name: `core-${folder}-imports-leftwards`,
  severity: 'error',
  // A test may look at its folder from above: with the whole planner.
  from: { path: `^core/src/${folder}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^core/src/(${ORDER.slice(i + 1).join('|') || 'none'})/` },
}));

const publicFace = ORDER.map((folder) => ({
  name: `core-${folder}-through-its-index`,
  severity: 'error',
  // Helpers of tests may look inside.
  from: { path: '^core/src/', pathNot: `^core/src/(${folder}|testing)/` },
  to: { path: `^core/src/${folder}/`, pathNot: `^core/src/${folder}/(index\\.ts|data/)` },
}));

module.exports = {
  forbidden: [
    ...rightwards,
    ...publicFace,
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '\\.test\\.ts$|^core/src/testing/' },
      to: { path: '^(web|server|cli|demo|e2e|bench|fuzz)/|^(node:)?(fs|path|os|http|crypto|worker_threads)(/|$)' },
    },
    {
      name: 'no-interface-in-core',
      severity: 'error',
      from: { path: '^core/src/' },
      to: { path: 'node_modules/(vue|pinia|naive-ui|idb|express)' },
    },
    {
      name: 'stitch-kinds-keep-apart',
      severity: 'error',
      from: { path: '^core/src/stitches/kinds/([^/]+)/' },
      to: { path: '^core/src/stitches/kinds/([^/]+)/', pathNot: '^core/src/stitches/kinds/$1/' },
    },
    {
      name: 'web-knows-no-server',
      severity: 'error',
      from: { path: '^web/' },
      to: { path: '^(server|cli|demo|e2e|bench|fuzz)/', pathNot: '^demo/(pieces|pictures|box|motifs)/' },
    },
    {
      name: 'features-through-their-face',
      severity: 'error',
      from: { path: '^web/src/features/([^/]+)/' },
      to: { path: '^web/src/features/([^/]+)/', pathNot: '^web/src/features/($1/|[^/]+/index\\.ts$)' },
    },
    {
      name: 'only-the-shell-knows-features',
      severity: 'error',
      from: { path: '^web/src/(ui|session|hoop|picture|workers|keeping)/' },
      to: { path: '^web/src/(features|shell)/' },
    },
    {
      name: 'features-know-no-shell',
      severity: 'error',
      from: { path: '^web/src/features/' },
      to: { path: '^web/src/shell/' },
    },
    {
      name: 'ui-knows-no-pieces',
      severity: 'error',
      from: { path: '^web/src/ui/' },
      to: {
        path: '^web/src/(session|hoop|picture|workers|keeping)/|^core/src/(piece|drawing|propose|work|order|thread|advice)/',
      },
    },
    {
      name: 'what-is-kept-knows-no-session',
      severity: 'error',
      from: { path: '^web/src/(keeping|workers|picture)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^web/src/(session|hoop)/' },
    },
    {
      name: 'server-and-cli-know-no-web',
      severity: 'error',
      from: { path: '^(server|cli)/' },
      // The list of addresses is read by both; it imports nothing. The planner's picture is painted by the application's own painter.
      to: { path: '^web/src/', pathNot: '^web/src/(shell/pages\\.ts$|picture/)' },
    },
    {
      name: 'through-the-public-face',
      severity: 'error',
      from: { path: '^(web|server|cli|demo|e2e|bench|fuzz)/' },
      to: { path: '^core/src/', pathNot: '^core/src/([^/]+/index|testing/[^/]+)\\.ts$' },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    { name: 'resolvable', severity: 'error', from: {}, to: { couldNotResolve: true, pathNot: '^(virtual:|\\./|\\?)' } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|node_modules/\\.)' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'types', 'default'] },
  },
};
