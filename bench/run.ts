import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startServer, untilAnswering } from '../scripts/house.mjs'
import { goIn } from './asking'
import { answering } from './answering'
import { opening, openingOffline } from './opening'
import { frames } from './frames'
import { heavyRequests, refusals, type Asked } from './heavy'
import { fusing, placing, planning, wiring } from './planning'
import type { Row } from './row'
import { measure, type Sections } from './sections'
import { serving } from './serving'
import { truing } from './truing'
import { programmes } from './programme'
import { waits } from './waits'

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

const SECTIONS: Sections = {
  plan: planning,
  place: placing,
  framing: fusing,
  wire: wiring,
  answer: answering,
  true: truing,
  programme: programmes,
  open: () => onServer(async ({ address }) => [...await opening(address), ...await openingOffline(address)]),
  frames: () => onServer(({ address }) => frames(address)),
  serve: () => onServer(({ address }) => serving(address)),
  heavy: () => onServer(async asked => [...await heavyRequests(asked), ...await refusals(asked)]),
  wait: () => onServer(waits),
}
process.exitCode = (await measure(SECTIONS, process.argv.slice(2))).length > 0 ? 1 : 0
