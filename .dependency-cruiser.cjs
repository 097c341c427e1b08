/** Rooms of the core in the order in which their computation may import one another. */
const coreOrder = [
  'quantities',
  'numerics',
  'results',
  'model',
  'catalogue',
  'engine',
  'vehicle',
  'electrics',
  'fuel',
  'plumbing',
  'harness',
  'bench',
  'commissioning',
  'tuning',
  'planning',
  'evaluation',
  'exchange',
];

const coreRules = coreOrder.slice(0, -1).map((folder, i) => ({
  name: `core-${folder}-imports-only-earlier`,
  comment:
    'A room of the core imports only from those before it; models, and the types of edits, may be read from anywhere.',
  severity: 'error',
  from: { path: `^packages/core/src/${folder}/`, pathNot: '\\.test\\.ts$' },
  to: {
    path: `^packages/core/src/(${[...coreOrder.slice(i + 1), 'testing'].join('|')})/`,
    pathNot: '/(model|commands/index)\\.ts$',
  },
}));

module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    ...coreRules,
    {
      name: 'core-outside-packages',
      comment: 'The core may use these packages only.',
      severity: 'error',
      from: { path: '^packages/core/src/', pathNot: '(\\.test\\.ts$|/tests/)' },
      to: { path: 'node_modules', pathNot: 'node_modules/(@noble/hashes|immer)/' },
    },
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^packages/core/src/', pathNot: '\\.test\\.ts$' },
      to: { path: '^(apps/|packages/contract/)' },
    },
    {
      name: 'core-knows-no-machine',
      severity: 'error',
      from: { path: '^packages/core/src/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'contract-knows-no-app',
      severity: 'error',
      from: { path: '^packages/contract/' },
      to: { path: '^apps/' },
    },
    {
      name: 'web-knows-no-server',
      severity: 'error',
      from: { path: '^apps/web/' },
      to: { path: '^apps/server/' },
    },
    {
      name: 'server-knows-no-web',
      severity: 'error',
      from: { path: '^apps/server/' },
      to: { path: '^apps/web/' },
    },
    {
      name: 'tests-only-in-tests',
      severity: 'error',
      from: { path: '^(packages|apps)/', pathNot: '(\\.test\\.tsx?$|/tests/)' },
      to: { path: '/tests/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '^(packages|apps)/[^/]+/(dist|tested|public)/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['brookrain-source', 'import', 'default', 'types'],
    },
  },
};
