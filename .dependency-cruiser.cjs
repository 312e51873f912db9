const { readdirSync } = require('node:fs');

/** Every folder of the app's views but what surrounds them and what they share. */
const VIEWS = readdirSync(`${__dirname}/web/src/views`).filter(
  (name) => name !== 'frame' && name !== 'parts',
);

// The direction of imports, as docs/architecture says it: web -> core, and inside core
// quantity <- air <- duct, fitting, collector <- network <- verdict, leak, improve.
// `shop` knows geometry, not air.
const ROOMS = [
  'document',
  'catalogue',
  'quantity',
  'air',
  'duct',
  'fittings',
  'methods',
  'collector',
  'design',
  'journal',
  'file',
  'network',
  'assembly',
  'noise',
  'build',
  'room',
  'routing',
  'analysis',
  'reading',
  'inference',
  'sources',
  'api',
  'improve',
];

/** What each room of the core may import from, besides itself. */
const MAY_IMPORT = {
  document: ['catalogue'],
  catalogue: [],
  quantity: [],
  air: ['quantity'],
  duct: ['catalogue', 'quantity', 'air'],
  fittings: ['document', 'catalogue', 'quantity', 'air', 'duct'],
  methods: ['catalogue', 'quantity', 'air', 'duct', 'fittings'],
  collector: ['catalogue', 'quantity', 'air'],
  design: ['document', 'catalogue', 'quantity', 'fittings'],
  journal: ['document'],
  file: ['document', 'catalogue', 'design', 'journal'],
  assembly: ['catalogue', 'quantity', 'collector', 'design'],
  noise: ['quantity'],
  build: ['catalogue', 'quantity', 'duct', 'fittings', 'design'],
  room: ['catalogue', 'quantity', 'design', 'assembly'],
  routing: ['document', 'catalogue', 'quantity', 'duct', 'fittings', 'design', 'assembly', 'room'],
  network: [
    'catalogue',
    'quantity',
    'air',
    'duct',
    'fittings',
    'methods',
    'collector',
    'design',
    'routing',
  ],
  analysis: [
    'catalogue',
    'quantity',
    'air',
    'duct',
    'fittings',
    'collector',
    'design',
    'journal',
    'assembly',
    'noise',
    'routing',
    'network',
  ],
  reading: [
    'catalogue',
    'quantity',
    'air',
    'duct',
    'collector',
    'design',
    'journal',
    'network',
    'analysis',
  ],
  inference: [
    'catalogue',
    'quantity',
    'air',
    'duct',
    'design',
    'journal',
    'network',
    'analysis',
    'reading',
  ],
  sources: [
    'catalogue',
    'quantity',
    'air',
    'duct',
    'fittings',
    'collector',
    'design',
    'assembly',
    'noise',
    'build',
    'room',
    'routing',
    'analysis',
  ],
  api: [
    'document',
    'catalogue',
    'air',
    'fittings',
    'collector',
    'design',
    'journal',
    'file',
    'routing',
    'network',
    'reading',
    'analysis',
  ],
  improve: [
    'catalogue',
    'quantity',
    'duct',
    'fittings',
    'design',
    'assembly',
    'room',
    'routing',
    'network',
    'analysis',
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
          'node_modules/(zod|papaparse|@types/papaparse|ml-matrix|dxf|@tarikjabiri/dxf)/',
        ],
      },
    },
    {
      name: 'core-by-its-door',
      comment:
        'everyone but the benchmarks and the coefficients’ script reaches the core through its public doors',
      severity: 'error',
      from: { pathNot: ['^core/', '^scripts/(bench/|coefficients\\.)'] },
      to: { path: '^core/src/', pathNot: '^core/src/file/kept/' },
    },
    {
      name: 'ui-knows-no-dust',
      severity: 'error',
      from: { path: '^web/src/ui/' },
      to: { path: ['^web/src/(views|storage|model|workers|app)/', '^core/'] },
    },
    {
      name: 'features-stand-apart',
      comment: 'a view uses what views share (frame, parts), not another view',
      severity: 'error',
      from: {
        path: `^web/src/views/(${VIEWS.join('|')})/`,
        pathNot: '\\.test\\.ts$',
      },
      to: {
        path: `^web/src/views/(${VIEWS.join('|')})/`,
        pathNot: '^web/src/views/$1/',
      },
    },
    {
      name: 'storage-knows-no-views',
      severity: 'error',
      from: { path: '^web/src/storage/' },
      to: { path: '^web/src/(views|ui|app|model|workers)/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: require('node:path').join(__dirname, 'web', 'tsconfig.json') },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'types'] },
  },
};
