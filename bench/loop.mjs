import { writeFileSync } from 'node:fs'
import { monitorEventLoopDelay } from 'node:perf_hooks'
import { isMainThread } from 'node:worker_threads'

/**
 * Loaded beside a server that is measured: notes how long its event loop was held, ms, whenever it is asked by SIGUSR2.
 */
if (isMainThread && process.env.WT_LOOP) {
  const delay = monitorEventLoopDelay({ resolution: 2 })
  delay.enable()
  process.on('SIGUSR2', () => {
    writeFileSync(process.env.WT_LOOP, JSON.stringify({ most: delay.max / 1e6, p99: delay.percentile(99) / 1e6 }))
    delay.reset()
  })
}
