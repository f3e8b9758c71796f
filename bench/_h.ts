import { mkdtempSync } from 'node:fs'
import { startServer, untilAnswering } from '../scripts/house.mjs'
import { heavyRequests, refusals } from './heavy'

const server = startServer({ PORT: '4797', WT_DATA: mkdtempSync('/tmp/wt-h-'), WT_DEMO: '1' }, 'pipe')
const address = 'http://127.0.0.1:4797'
await untilAnswering(server, address)
try { console.table(await heavyRequests({ address, pid: server.pid! })); console.table(await refusals({ address, pid: server.pid! })) }
finally { server.kill() }
