import { createServer } from 'node:net'
import { resolve } from 'node:path'
import { installAndBuild, startServer, untilAnswering } from './house.mjs'

const port = process.env.PORT || '3000'
const data = resolve(process.env.WT_DATA || '.data')

/** Whether a server can listen here; asked before a build that might be for nothing. */
function isFree(port) {
  return new Promise((answer) => {
    const probe = createServer()
    probe.once('error', () => answer(false))
    probe.listen(Number(port), () => probe.close(() => answer(true)))
  })
}

if (!/^\d+$/.test(port) || Number(port) > 65535) {
  console.error(`PORT must be a number up to 65535, and is “${port}”.`)
  process.exit(2)
}
if (!await isFree(port)) {
  console.error(`Port ${port} is in use. Stop what uses it, or choose another: PORT=3001 npm run demo`)
  process.exit(1)
}

await installAndBuild()
const server = startServer({ PORT: port, WT_DATA: data, WT_DEMO: '1', WT_KEYS: process.env.WT_KEYS || `${data}.keys` })
let stopping = false
for (const signal of ['SIGINT', 'SIGTERM']) {
  process.on(signal, () => {
    if (stopping) return
    stopping = true
    server.kill('SIGTERM')
  })
}
server.on('exit', code => process.exit(stopping ? 0 : code ?? 1))
try {
  await untilAnswering(server, `http://127.0.0.1:${port}`)
  console.log(`\nWide Trellis is at http://localhost:${port}\nIts data is in ${data}. Stop it with Ctrl-C.\n`)
}
catch (error) {
  console.error(error.message)
  server.kill('SIGTERM')
  process.exitCode = 1
}
