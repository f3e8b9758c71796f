import { spawnSync } from 'node:child_process'
import { CHECKS, install, run, runTogether, tool } from './house.mjs'

/**
 * What is quick to know before a commit: lint, dependency rules, types, and the unit tests of what changed. Mounted
 * components are tested where the application itself changed: starting it takes longer than all the rest.
 */
install()
const changed = spawnSync('git', ['status', '--porcelain', '--', 'app', 'tests/fixtures'], { encoding: 'utf8' }).stdout
if (changed === '') process.env.WT_MOUNTED = '0'
run('Preparing types', tool('nuxt'), ['prepare'])
await runTogether(
  CHECKS.types,
  CHECKS.lint,
  ['Unit tests of what changed', tool('vitest'), ['run', '--changed', '--passWithNoTests']],
  CHECKS.folders,
)
