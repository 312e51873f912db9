// The direction of imports, as docs/architecture says it: web -> core, and inside core
// quantity <- air <- duct, fitting, collector <- network <- verdict, leak, improve.
// `shop` knows geometry, not air.
const ROOMS = [
  'catalogue',
  'quantity',
  'air',
  'duct',
  'fitting',
  'methods',
  'collector',
  'shop',
  'network',
  'stack',
  'noise',
  'build',
  'floor',
  'layout',
  'verdict',
  'reading',
  'leak',
  'source',
  'answer',
  'advise',
];

/** What each room of the core may import from, besides itself. */
const MAY_IMPORT = {
  catalogue: [],
  quantity: [],
  air: ['quantity'],
  duct: ['catalogue', 'quantity', 'air'],
  fitting: ['catalogue', 'quantity', 'air'],
  methods: ['catalogue', 'quantity', 'air', 'duct', 'fitting'],
  collector: ['catalogue', 'quantity', 'air'],
  shop: ['catalogue', 'quantity'],
  stack: ['catalogue', 'quantity', 'collector', 'shop'],
  noise: ['quantity'],
  build: ['catalogue', 'quantity', 'duct', 'shop'],
  floor: ['catalogue', 'quantity', 'shop', 'stack'],
  layout: ['catalogue', 'quantity', 'duct', 'shop', 'stack', 'floor'],
  network: [
    'catalogue',
    'quantity',
    'air',
    'duct',
    'fitting',
    'methods',
    'collector',
    'shop',
    'layout',
  ],
  verdict: [
    'catalogue',
    'quantity',
    'air',
    'duct',
    'fitting',
    'collector',
    'shop',
    'stack',
    'noise',
    'layout',
    'network',
  ],
  reading: ['catalogue', 'quantity', 'air', 'duct', 'collector', 'shop', 'network', 'verdict'],
  leak: ['catalogue', 'quantity', 'air', 'duct', 'shop', 'network', 'verdict', 'reading'],
  source: [
    'catalogue',
    'quantity',
    'air',
    'duct',
    'fitting',
    'collector',
    'shop',
    'stack',
    'noise',
    'build',
    'floor',
    'layout',
    'verdict',
  ],
  answer: [
    'catalogue',
    'air',
    'fitting',
    'collector',
    'shop',
    'layout',
    'network',
    'reading',
    'verdict',
  ],
  advise: [
    'catalogue',
    'quantity',
    'duct',
    'shop',
    'stack',
    'floor',
    'layout',
    'network',
    'verdict',
  ],
};

const roomRules = ROOMS.map((room) => ({
  name: `core-${room}`,
  comment: `${room} may import only ${MAY_IMPORT[room].join(', ') || 'nothing'} of the core`,
  severity: 'error',
  // A test may build what it tests from anywhere.
  from: { path: `^core/src/${room}/`, pathNot: '\\.test\\.ts$' },
  to: {
    path: '^core/src/',
    pathNot: [`^core/src/${room}/`, ...MAY_IMPORT[room].map((other) => `^core/src/${other}/`)],
  },
}));

module.exports = {
  forbidden: [
    ...roomRules,
    {
      name: 'all-imports-are-found',
      comment: 'an import whose file is not found escapes every other rule',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'core-stands-alone',
      comment:
        'core imports nothing but itself and a few registry packages (tests: their references)',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '\\.test\\.ts$' },
      to: {
        pathNot: [
          '^core/src/',
          'node_modules/(zod|papaparse|@types/papaparse|ml-matrix|dxf-parser|@tarikjabiri/dxf|loglevel)/',
        ],
      },
    },
    {
      name: 'core-by-its-door',
      comment:
        'everyone but the benchmarks and the coefficients’ script reaches the core through its one public door',
      severity: 'error',
      from: { pathNot: ['^core/', '^scripts/(bench\\.ts|trace-bench\\.ts|coefficients\\.)'] },
      to: { path: '^core/src/', pathNot: '^core/src/(index\\.ts$|shop/kept/)' },
    },
    {
      name: 'ui-knows-no-dust',
      severity: 'error',
      from: { path: '^web/src/ui/' },
      to: { path: ['^web/src/(views|store|app)/', '^core/'] },
    },
    {
      name: 'features-stand-apart',
      comment: 'a view uses what views share (frame, parts), not another view',
      severity: 'error',
      from: {
        path: '^web/src/views/(air|collector|floor|log|shops|sources)/',
        pathNot: '\\.test\\.ts$',
      },
      to: {
        path: '^web/src/views/(air|collector|floor|log|shops|sources)/',
        pathNot: '^web/src/views/$1/',
      },
    },
    {
      name: 'store-knows-no-views',
      severity: 'error',
      from: { path: '^web/src/store/' },
      to: { path: '^web/src/(views|ui|app)/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: require('node:path').join(__dirname, 'web', 'tsconfig.json') },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'types'] },
  },
};
