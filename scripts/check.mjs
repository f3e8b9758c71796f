import { spawnSync } from 'node:child_process'
import { install, run, runTogether, tool } from './house.mjs'

/**
 * What is quick to know before a commit: lint, dependency rules, types, and the unit tests of what changed. Mounted
 * components are tested where the application itself changed: starting it takes longer than all the rest.
 */
install()
const changed = spawnSync('git', ['status', '--porcelain', '--', 'app', 'tests/fixtures'], { encoding: 'utf8' }).stdout
if (changed === '') process.env.WT_MOUNTED = '0'
run('Preparing types', tool('nuxt'), ['prepare'])
await runTogether(
  [['Linting', tool('eslint'), ['.', '--cache', '--cache-location', 'node_modules/.cache/eslint']], ['Checking which folder knows which', tool('depcruise'), ['--config', 'dependency-rules.cjs', 'core', 'app', 'server', 'cli']]],
  [['Checking types', tool('nuxt'), ['typecheck']], ['Unit tests of what changed', tool('vitest'), ['run', '--changed', '--passWithNoTests']]],
)
