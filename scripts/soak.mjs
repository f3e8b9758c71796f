import { randomInt } from 'node:crypto'
import { build, install, run, tool } from './house.mjs'

/**
 * The full form of what the gate tries briefly: property tests from another seed with ten times the cases, kills and
 * spoilt jobs by the hundred, and the studies over simulated walls. `npm run soak -- 42` repeats one.
 */
const seed = process.argv[2] ?? String(randomInt(2 ** 31))
console.log(`Seed ${seed}: \`npm run soak -- ${seed}\` draws the same cases again.`)
install()
run('Preparing types', tool('nuxt'), ['prepare'])
const env = { WT_SOAK: '1', WT_JOURNEYS: 'all', WT_SEED: seed }
run('Unit and property tests', tool('vitest'), ['run', '--testTimeout', '600000'], env)
run('Kills, spoilt jobs and studies', tool('tsx'), ['bench/soak.ts'], env)
build()
run('All journeys through the built application', tool('playwright'), ['test'], env)
