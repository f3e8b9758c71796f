/** Which folder may know which: data flows from what was measured, through the core, to what is shown. */
const STAGES = ['survey', 'arrange', 'mount', 'fix', 'wire', 'mark', 'hang', 'true', 'close']
/** Of the folders within a stage: which knows not which. */
const FOLDERS = [
  ['tasks-know-no-schedule', 'programme/tasks', 'programme/(schedule|visits|stock|lessons)'],
  ['holes-know-no-slide', 'mount/holes', 'mount/(slide|findings)'],
  ['placing-knows-no-finding', 'mount/slide', 'mount/findings'],
  ['circuits-know-no-way', 'wire/circuits', 'wire/(boxes|routes|cables|print|findings)'],
  ['boxes-know-no-route', 'wire/boxes', 'wire/(routes|cables|print|findings)'],
  ['routes-know-no-cable', 'wire/routes', 'wire/(cables|print|findings)'],
]

module.exports = {
  forbidden: [
    {
      name: 'core-is-pure',
      comment:
        'The core runs in a browser, a worker, the server and the command line: no interface, server, database or '
        + 'Node.',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: {
        path: [
          '^(app|server|cli|bench)/',
          '^node_modules/(vue|nuxt|pinia|@vueuse|drizzle-orm|better-sqlite3|h3|comlink)/',
        ],
      },
    },
    {
      name: 'core-needs-no-node',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-takes-few-packages',
      comment: 'A package in the core runs everywhere; each is chosen, not come by.',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: {
        path: '^node_modules/',
        pathNot: '^node_modules/(yup|canonicalize|@noble/hashes|simple-statistics|@date-fns/tz|qrcode|@types/qrcode)/',
      },
    },
    ...STAGES.map((stage, n) => ({
      name: `${stage}-looks-at-no-later-stage`,
      comment: 'A stage is worked out from the job and the stages before it; what composes them stands after all.',
      severity: 'error',
      from: { path: `^core/${stage}/`, pathNot: '\\.test\\.ts$' },
      to: { path: `^core/(${[...STAGES.slice(n + 1), 'plan', 'revision', 'edits', 'remedies'].join('|')})(/|\\.ts)` },
    })),
    {
      name: 'the-log-knows-no-stage',
      severity: 'error',
      from: { path: '^core/log/', pathNot: '\\.test\\.ts$' },
      to: { path: `^core/(${[...STAGES, 'plan', 'revision', 'edits'].join('|')})(/|\\.ts)` },
    },
    {
      name: 'fastening-lies-below-the-stages',
      severity: 'error',
      from: { path: '^core/fastening/', pathNot: '\\.test\\.ts$' },
      to: { path: `^core/(${[...STAGES, 'plan', 'revision', 'edits'].join('|')})(/|\\.ts)` },
    },
    {
      name: 'app-asks-the-server-by-its-api',
      comment: 'What the server answers is in core/api, for both.',
      severity: 'error',
      from: { path: '^app/' },
      to: { path: '^server/' },
    },
    {
      name: 'stages-of-the-screen-know-no-other',
      comment: 'A new stage is a folder and a line in the list: no stage reaches into the folder of another.',
      severity: 'error',
      from: { path: '^app/stages/([a-z]+)/' },
      to: { path: '^app/stages/([a-z]+)/', pathNot: '^app/stages/$1/' },
    },
    ...FOLDERS.map(([name, from, to]) => ({
      name,
      comment: 'Within a stage too data flows one way.',
      severity: 'error',
      from: { path: `^core/${from}/`, pathNot: '\\.test\\.ts$' },
      to: { path: `^core/${to}/` },
    })),
    { name: 'server-knows-no-app', severity: 'error', from: { path: '^server/' }, to: { path: '^app/' } },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.core.json' },
    enhancedResolveOptions: {
      extensions: ['.ts', '.js', '.mjs', '.vue'],
      exportsFields: ['exports'],
      conditionNames: ['import', 'node', 'default'],
    },
  },
}
