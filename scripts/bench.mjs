import { build, install, run, tool } from './house.mjs'

install()
build()
run('Benchmarks', tool('tsx'), ['bench/run.ts', ...process.argv.slice(2)])
