import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startServer, untilAnswering } from '../scripts/house.mjs'
import { goIn } from './asking'
import { answering } from './answering'
import { opening, openingOffline } from './opening'
import { frames } from './frames'
import { heavyRequests, refusals, type Asked } from './heavy'
import { framingStudy, worldsStudy } from './framing'
import { fusing, placing, planning, wiring } from './planning'
import { probingStudy } from './probing'
import type { Row } from './row'
import { serving } from './serving'
import { truing } from './truing'
import { kills, spoiltJobs } from './standing'
import { programmes } from './programme'
import { week } from './week'

const PORT = '4797'

/** Runs measurements against a server of the built application with a fresh database. */
async function onServer(measure: (asked: Asked) => Promise<Row[]>): Promise<Row[]> {
  const data = mkdtempSync(join(tmpdir(), 'wide-trellis-bench-'))
  const server = startServer({ PORT, WT_DATA: data, WT_DEMO: '1' }, 'pipe')
  const address = `http://127.0.0.1:${PORT}`
  try {
    await untilAnswering(server, address)
    await goIn(address)
    return await measure({ address, pid: server.pid! })
  }
  finally {
    server.kill('SIGTERM')
    rmSync(data, { recursive: true, force: true })
  }
}

const rows = [
  ...await planning(),
  ...await placing(),
  ...await fusing(),
  ...await wiring(),
  ...await answering(),
  ...await truing(),
  ...programmes(),
  ...await onServer(async ({ address }) => [...await opening(address), ...await openingOffline(address), ...await frames(address), ...await serving(address)]),
  ...await onServer(async asked => [...await heavyRequests(asked), ...await refusals(asked)]),
  ...await week(),
  ...await kills(50, 30),
  ...spoiltJobs(20_000),
]
console.table(Object.fromEntries(rows.map(({ what, measured, aim, met }) => [what, { measured, aim, met: met === undefined ? '' : met ? 'yes' : 'NO' }])))
console.log('\nThe framing map over 400 simulated walls for each way of reading')
console.table(framingStudy(400))
for (const group of ['two kinds', 'edges'] as const) {
  console.log(`\nThe framing map over 150 simulated walls of each world, one as modelled and others that break what it assumes; read by ${group}`)
  console.table(worldsStudy(150, group))
}
console.log('\nNails until every plate of a 2 × 3 wall is held, over 40 simulated walls read with a detector')
console.table(probingStudy(40))
if (rows.some(({ met }) => met === false)) console.log('Some aims are not met on this machine.')
