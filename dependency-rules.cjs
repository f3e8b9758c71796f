/** Which folder may know which: data flows from what was measured, through the core, to what is shown. */
module.exports = {
  forbidden: [
    {
      name: 'core-is-pure',
      comment: 'The core runs in a browser, a worker, the server and the command line: no interface, server, database or Node.',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: { path: ['^(app|server|cli|bench)/', '^node_modules/(vue|nuxt|pinia|@vueuse|drizzle-orm|better-sqlite3|h3|comlink)/'] },
    },
    { name: 'core-needs-no-node', severity: 'error', from: { path: '^core/', pathNot: '\\.test\\.ts$' }, to: { dependencyTypes: ['core'] } },
    {
      name: 'core-takes-few-packages',
      comment: 'A package in the core runs everywhere; each is chosen, not come by.',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: { path: '^node_modules/', pathNot: '^node_modules/(yup|canonicalize|@noble/hashes)/' },
    },
    {
      name: 'stages-never-reach-back',
      comment: 'A stage takes the results of earlier stages, not of later ones.',
      severity: 'error',
      from: { path: '^core/(survey|arrange|mount|fix|mark)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^core/(hang|true|close|plan)(/|\\.ts)' },
    },
    { name: 'the-log-knows-no-stage', severity: 'error', from: { path: '^core/log/', pathNot: '\\.test\\.ts$' }, to: { path: '^core/(survey|arrange|mount|fix|mark|hang|plan)(/|\\.ts)' } },
    { name: 'fastening-lies-below-the-stages', severity: 'error', from: { path: '^core/fastening/', pathNot: '\\.test\\.ts$' }, to: { path: '^core/(survey|arrange|mount|fix|mark|hang|plan)(/|\\.ts)' } },
    { name: 'survey-stands-alone', severity: 'error', from: { path: '^core/survey/', pathNot: '\\.test\\.ts$' }, to: { path: '^core/(arrange|mount|fix|mark)/' } },
    { name: 'app-asks-the-server-by-its-api', severity: 'error', from: { path: '^app/' }, to: { path: '^server/', dependencyTypesNot: ['type-only'] } },
    { name: 'server-knows-no-app', severity: 'error', from: { path: '^server/' }, to: { path: '^app/' } },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.core.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.js', '.mjs', '.vue'], exportsFields: ['exports'], conditionNames: ['import', 'node', 'default'] },
  },
}
