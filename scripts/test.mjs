import { spawnSync } from 'node:child_process'
import { CHECKS, install, run, runTogether, tool } from './house.mjs'
import { findChromium } from './chromium.mjs'

install()
if (!findChromium()) installChromium()
run('Preparing types', tool('nuxt'), ['prepare'])
await runTogether(
  CHECKS.types,
  ['Building', process.execPath, ['scripts/build.mjs']],
  ['Unit and property tests', tool('vitest'), ['run']],
  CHECKS.lint,
  CHECKS.folders,
)
run('Journeys through the built application', tool('playwright'), ['test'])

/** Takes Debian's Chromium where this machine has none and its user may install it. */
function installChromium() {
  const root = process.getuid?.() === 0
  const sudo = !root && spawnSync('sudo', ['-n', 'true']).status === 0
  if (!root && !sudo) {
    console.error(
      'The journeys need Chromium. Install it (Debian: apt-get install chromium-headless-shell), or name it in '
      + 'CHROMIUM.',
    )
    process.exit(1)
  }
  const apt = args =>
    run(`apt-get ${args.join(' ')}`, root ? 'apt-get' : 'sudo', root ? args : ['-n', 'apt-get', ...args], {
      DEBIAN_FRONTEND: 'noninteractive',
    })
  apt(['update'])
  apt(['install', '-y', 'chromium-headless-shell'])
}
