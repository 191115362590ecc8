// The direction of imports: base ← picture ← query ← … ← review; core ← standins ← verify, store ← page, workers ← features ← app.
const CORE = [
  'base',
  'picture',
  'query',
  'profile',
  'vocabulary',
  'engine',
  'records',
  'strategy',
  'review',
  'sources',
  'selection',
  'figures',
  'doing',
  'account',
  'handed',
]
const coreRules = CORE.map((folder, i) => ({
  name: `core-${folder}-looks-only-down`,
  severity: 'error',
  from: { path: `^src/core/${folder}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^src/core/(${CORE.slice(i + 1).join('|') || 'nothing'})/`, dependencyTypesNot: ['type-only'] },
}))

module.exports = {
  forbidden: [
    {
      name: 'no-cycles',
      severity: 'error',
      from: { path: '^src' },
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    ...coreRules,
    {
      name: 'fixtures-are-for-tests',
      severity: 'error',
      from: { path: '^src/', pathNot: '\\.(test|fixture|arbitrary)\\.ts$' },
      to: { path: '\\.fixture\\.ts$' },
    },
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.(test|fixture)\\.ts$' },
      to: { path: '^src/(standins|store|page|workers|features|ui|app|cli)/' },
    },
    {
      name: 'core-knows-no-screen',
      severity: 'error',
      from: { path: '^src/core/' },
      to: { path: 'node_modules/(react|react-dom|next|antd|idb|comlink|zustand)/' },
    },
    {
      name: 'standins-know-only-the-core',
      severity: 'error',
      from: { path: '^src/standins/' },
      to: { path: '^src/(store|page|workers|features|ui|app|cli)/' },
    },
    {
      name: 'verifying-knows-only-core-and-standins',
      severity: 'error',
      from: { path: '^src/verify/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/(store|page|workers|features|ui|app|cli)/' },
    },
    {
      name: 'ui-knows-nothing-of-the-job',
      severity: 'error',
      from: { path: '^src/ui/' },
      to: { path: '^src/(core|standins|store|page|workers|features|app|cli)/' },
    },
    {
      name: 'store-looks-down',
      severity: 'error',
      from: { path: '^src/store/' },
      to: { path: '^src/(page|workers|features|ui|app|cli)/' },
    },
    {
      name: 'page-is-react-around-the-store',
      severity: 'error',
      from: { path: '^src/page/' },
      to: { path: '^src/(workers|features|ui|app|cli)/' },
    },
    {
      name: 'workers-are-thin',
      severity: 'error',
      from: { path: '^src/workers/', pathNot: '^src/workers/records/blocks-here\\.ts$|\\.test\\.ts$' },
      to: { path: '^src/(page|features|ui|app|cli)/|^src/store/(?!digest-soon\\.ts$)' },
    },
    {
      name: 'workers-read-blocks-in-one-place',
      comment: 'Workers read records where they lie; how they lie there is known in the store alone.',
      severity: 'error',
      from: { path: '^src/workers/records/blocks-here\\.ts$' },
      to: {
        path: '^src/(page|features|ui|app|cli)/|^src/store/(?!(?:db|compress|connection|derived|digest-soon|kept-state)\\.ts$)',
      },
    },
    {
      name: 'features-do-not-meet',
      severity: 'error',
      from: { path: '^src/features/([^/]+)/' },
      to: { path: '^src/features/', pathNot: '^src/features/($1|shared)/' },
    },
    {
      name: 'shared-is-below-features',
      severity: 'error',
      from: { path: '^src/features/shared/' },
      to: { path: '^src/features/', pathNot: '^src/features/shared/' },
    },
    {
      name: 'features-below-app',
      severity: 'error',
      from: { path: '^src/features/' },
      to: { path: '^src/(app|cli)/' },
    },
    {
      name: 'doors-of-the-core',
      comment:
        'From outside, a core folder is entered by its index; its fixtures are for the tests of any folder.',
      severity: 'error',
      from: { path: '^src/(standins|verify|store|page|workers|features|app|cli)/' },
      to: {
        path: '^src/core/[^/]+/',
        pathNot:
          '^src/core/[^/]+/index\\.ts$|^src/core/account/documents/(word|worksheet-word)\\.ts$|^src/core/records/style\\.ts$|^src/core/base/jitless\\.ts$|\\.fixture\\.ts$',
      },
    },
    {
      name: 'no-deep-core',
      severity: 'error',
      from: { path: '^src/core/([^/]+)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/core/([^/]+)/.+', pathNot: '^src/core/$1/|^src/core/[^/]+/index\\.ts$' },
    },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.css$' },
  },
}
