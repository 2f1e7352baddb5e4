/** Which workspace may import which: downward only. `bin/test imports` fails on anything else. */
const only = (name, from, allowed, comment) => ({
  name,
  comment,
  severity: 'error',
  from: { path: from },
  to: { path: '^(core|contract|server|web|simulator|e2e|benchmarks|tools)/', pathNot: allowed },
});

/** Within the core, floor by floor. */
const floors = [
  'base',
  'number',
  'units',
  'notation',
  'reading',
  'evaluate',
  'bare',
  'spoken',
  'mend',
  'session',
  'slate',
  'stick',
  'scale',
  'drawing',
  'setting-out',
  'quantities',
  'jig',
  'tables',
  'dxf',
  'paper',
  'conversation',
];
const below = {
  base: [],
  number: ['base'],
  units: ['base', 'number'],
  notation: ['base', 'number', 'units'],
  reading: ['base', 'number', 'units', 'notation'],
  evaluate: ['base', 'number', 'units', 'notation', 'reading'],
  bare: ['base', 'number', 'units', 'notation', 'reading', 'evaluate'],
  spoken: ['units'],
  mend: ['base', 'number', 'units', 'notation', 'reading', 'evaluate', 'bare'],
  session: ['base', 'number', 'units', 'notation', 'reading', 'evaluate', 'bare', 'mend'],
  slate: ['base', 'number', 'units', 'notation', 'reading', 'evaluate'],
  drawing: ['base', 'number', 'units'],
  scale: ['base', 'number', 'units', 'notation', 'reading', 'evaluate', 'drawing'],
  stick: ['base', 'number', 'units', 'notation', 'reading', 'evaluate', 'slate', 'drawing', 'scale'],
  'setting-out': ['base', 'number', 'units', 'notation', 'reading', 'evaluate', 'mend', 'drawing'],
  quantities: ['base', 'number', 'units', 'notation', 'reading', 'evaluate', 'bare', 'slate', 'drawing'],
  dxf: ['base', 'number', 'units', 'reading', 'stick', 'setting-out'],
  paper: ['drawing', 'stick', 'quantities'],
  tables: ['base', 'number', 'units', 'notation', 'reading', 'evaluate', 'drawing', 'jig'],
  jig: ['base', 'number', 'units', 'notation', 'reading', 'evaluate', 'bare', 'slate', 'stick'],
  conversation: [
    'base',
    'number',
    'units',
    'notation',
    'reading',
    'evaluate',
    'bare',
    'spoken',
    'mend',
    'slate',
    'stick',
  ],
};

/** Within the web, floor by floor: what each may import of the others. */
const webFloors = {
  adapters: [],
  job: ['adapters'],
  live: ['job', 'adapters'],
  ui: ['adapters'],
  parts: ['ui', 'live', 'job', 'adapters'],
  features: ['parts', 'ui', 'live', 'job', 'adapters'],
  app: ['features', 'parts', 'ui', 'live', 'job', 'adapters'],
};

/** Features, each with the others that it may use. Whoever uses one comes in by its `index.ts`. */
const webFeatures = {
  bench: ['scale', 'paper'],
  jobs: [],
  stick: [],
  scale: [],
  paper: [],
  'setting-out': [],
  quantities: [],
  jigs: [],
  tables: [],
  spoken: [],
  account: [],
  comfort: [],
  help: ['quantities'],
  'first-steps': ['bench'],
  measured: [],
  install: [],
};
const serverFeatures = {
  mail: [],
  jobs: [],
  feed: ['jobs'],
  changes: ['jobs', 'feed'],
  accounts: ['jobs', 'feed', 'mail'],
  members: ['jobs', 'feed', 'accounts'],
  demo: [],
};

const TESTS = '\\.test\\.ts$|/testing/';

/** Features of a workspace use one another only as it is written, and only through their doors. */
const doors = (workspace, features) => {
  const folder = `${workspace}/src/features`;
  return [
    ...Object.entries(features).map(([feature, others]) => ({
      name: `${workspace}-${feature}-knows-its-neighbours`,
      severity: 'error',
      from: { path: `^${folder}/${feature}/`, pathNot: TESTS },
      to: { path: `^${folder}/`, pathNot: `^${folder}/(${[feature, ...others].join('|')})/` },
    })),
    {
      name: `${workspace}-features-through-their-doors`,
      comment: 'What others may use of a feature is in its index.ts.',
      severity: 'error',
      from: { path: `^${workspace}/src/features/([^/]+)/`, pathNot: TESTS },
      to: { path: `^${folder}/`, pathNot: `^${folder}/($1/|[^/]+/index\\.ts$)` },
    },
    {
      name: `${workspace}-features-through-their-doors-from-outside`,
      severity: 'error',
      from: { path: `^${workspace}/src/`, pathNot: `^${folder}/|${TESTS}` },
      to: { path: `^${folder}/`, pathNot: `^${folder}/[^/]+/index\\.ts$` },
    },
  ];
};

module.exports = {
  forbidden: [
    only('core-knows-nobody', '^core/', '^core/', 'The core imports nothing but itself.'),
    only('contract-knows-core', '^contract/', '^(core|contract)/', 'The contract imports the core at most.'),
    only('server-knows-contract-and-core', '^server/', '^(core|contract|server)/', 'The server never knows the web.'),
    only('web-knows-contract-and-core', '^web/', '^(core|contract|web)/', 'The web never knows the server.'),
    only(
      'e2e-speaks-to-the-running-build',
      '^e2e/',
      '^(contract|e2e|tools)/',
      'Browser tests know the interface, not the code.',
    ),
    only(
      'simulator-knows-both-ends',
      '^simulator/',
      '^(contract|core|server|web|simulator)/',
      'Nothing but the simulator puts the page and the server together.',
    ),
    {
      name: 'core-through-its-index',
      comment: 'Other workspaces import the public names of the core and the contract alone; tests may look inside.',
      severity: 'error',
      from: { pathNot: `^(core|benchmarks)/|${TESTS}`, path: '^(contract|server|web|simulator|e2e|tools)/' },
      to: {
        path: '^core/src/',
        pathNot:
          '^core/src/(((mend|spoken|spoken/heard|conversation|quantities|jig|tables|dxf|paper)/)?index|spoken/heard/said)\\.ts$',
      },
    },
    {
      name: 'core-is-pure',
      comment: 'No Node, no package, no network in the core; its tests may use their tools.',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '\\.test\\.ts$|/testing/' },
      to: { dependencyTypesNot: ['local', 'type-only'], pathNot: '^core/' },
    },
    ...floors.map((floor) => ({
      name: `core-${floor}-imports-downward`,
      severity: 'error',
      from: { path: `^core/src/${floor}/`, pathNot: '\\.test\\.ts$' },
      to: { path: '^core/src/', pathNot: `^core/src/(${[floor, ...below[floor]].join('|')})/` },
    })),
    ...Object.entries(webFloors).map(([floor, below]) => ({
      name: `web-${floor}-imports-downward`,
      severity: 'error',
      from: { path: `^web/src/${floor}/`, pathNot: TESTS },
      to: { path: '^web/src/', pathNot: `^web/src/(${[floor, ...below].join('|')})/` },
    })),
    {
      name: 'web-jobs-through-their-door',
      comment:
        'Screens use what `job/index.ts` names, the stories of marks, the take-off and job files, which only some of them load.',
      severity: 'error',
      from: { path: '^web/src/(parts|features|ui|app)/', pathNot: TESTS },
      to: { path: '^web/src/job/', pathNot: '^web/src/job/(index|mark-story|quantities|job-files)\\.ts$' },
    },
    {
      name: 'web-jobs-know-no-screen',
      comment: 'The jobs are plain TypeScript: `live/` makes them values that screens follow.',
      severity: 'error',
      from: { path: '^web/src/(job|adapters)/', pathNot: TESTS },
      to: { path: 'node_modules/(vue|@vue|pinia|@vueuse|vue-router|element-plus)/' },
    },
    ...doors('web', webFeatures),
    ...doors('server', serverFeatures),
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '^(?!node_modules/).*((^|/)dist/|\\.d\\.ts$)' },
    tsPreCompilationDeps: true,
    combinedDependencies: true,
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'types', 'default'] },
  },
};
