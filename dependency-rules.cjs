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
  'mend',
  'session',
  'slate',
  'stick',
  'scale',
  'drawing',
  'setting-out',
];
const below = {
  base: [],
  number: ['base'],
  units: ['base', 'number'],
  notation: ['base', 'number', 'units'],
  reading: ['base', 'number', 'units'],
  evaluate: ['base', 'number', 'units', 'notation', 'reading'],
  mend: ['base', 'number', 'units', 'notation', 'reading', 'evaluate'],
  session: ['base', 'number', 'units', 'notation', 'reading', 'evaluate', 'mend'],
  slate: ['base', 'number', 'units', 'notation', 'reading', 'evaluate'],
  drawing: ['base', 'number', 'units'],
  scale: ['base', 'number', 'units', 'notation', 'reading', 'evaluate', 'drawing'],
  stick: ['base', 'number', 'units', 'notation', 'reading', 'evaluate', 'slate', 'drawing', 'scale'],
  'setting-out': ['base', 'number', 'units', 'notation', 'reading', 'evaluate', 'mend', 'drawing'],
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
      comment: 'Other workspaces import the public names of the core and the contract alone.',
      severity: 'error',
      from: { pathNot: '^(core|benchmarks)/', path: '^(contract|server|web|simulator|e2e|tools)/' },
      to: { path: '^core/src/', pathNot: '^core/src/(mend/)?index\\.ts$' },
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
    { name: 'no-circles', severity: 'error', from: { pathNot: '\\.vue$' }, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|node_modules)/|\\.d\\.ts$' },
    tsPreCompilationDeps: true,
    combinedDependencies: true,
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'types', 'default'] },
  },
};
