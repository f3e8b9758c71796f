import autocannon from 'autocannon'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import SQLite from 'better-sqlite3'
import { ask, who } from './asking'
import { atLeast, atMost, measured, type Row } from './row'

const AT_ONCE = 20
const SECONDS = 5

/** Fires requests from 20 connections; every answer must be good. */
async function fire(
  options: Omit<autocannon.Options, 'connections' | 'duration'>,
): Promise<{ rate: number, p95: number }> {
  const latencies: number[] = []
  const result = await new Promise<autocannon.Result>((done, fail) => {
    const run = autocannon({ ...options, connections: AT_ONCE, duration: SECONDS }, (error, result) =>
      error ? fail(error as Error) : done(result),
    )
    run.on('response', (_client, _status, _bytes, milliseconds) => latencies.push(milliseconds))
  })
  if (result.non2xx + result.errors > 0)
    throw new Error(`${options.url}: ${result.non2xx} refused, ${result.errors} failed`)
  latencies.sort((a, b) => a - b)
  return { rate: result.requests.average, p95: latencies[Math.floor(0.95 * latencies.length)]! }
}

/** How many times a second one prepared statement alone writes a document, as the house's database is set. */
function bareWrites(document: string): number {
  const folder = mkdtempSync(join(tmpdir(), 'wide-trellis-bench-'))
  const sqlite = new SQLite(join(folder, 'bare.db'))
  sqlite.pragma('journal_mode = WAL')
  sqlite.pragma('synchronous = FULL')
  sqlite.exec(
    'CREATE TABLE walls (key INTEGER PRIMARY KEY, version INTEGER, document TEXT); INSERT INTO walls VALUES (1, 1, '
    + '\'\')',
  )
  const write = sqlite.prepare('UPDATE walls SET version = version + 1, document = ? WHERE key = 1')
  let n = 0
  for (const until = performance.now() + 1000; performance.now() < until; n++) write.run(document)
  sqlite.close()
  rmSync(folder, { recursive: true, force: true })
  return n
}

/**
 * Reading and writing the demo's walls. Each connection saves a wall of its own, over and over, as
 * so many people at work would: a copy of the ticket hall with its own version.
 */
export async function serving(address: string): Promise<Row[]> {
  const hall = `${address}/api/sites/holm-point/walls/ticket-hall`
  const read = await fire({ url: hall, headers: who() })

  const { job } = await (await ask(hall)).json() as { job: { walls: object[] } }
  const walls = Array.from({ length: AT_ONCE }, (_, k) => ({ ...job.walls[0], id: `bench-${k}`, name: `Bench ${k}` }))
  const imported = await ask(`${address}/api/sites/import`, {
    method: 'POST', headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...job, site: { id: 'bench', name: 'Bench', units: 'metric' }, walls, log: [] }),
  })
  if (!imported.ok) throw new Error(`The bench's site was refused: ${await imported.text()}`)
  let next = 0
  const write = await fire({
    url: `${address}/api/sites/bench/walls/bench-0`,
    setupClient(client) {
      const wall = walls[next++]!
      let version = 1
      const request: autocannon.Request = {
        method: 'PUT',
        path: `/api/sites/bench/walls/${wall.id}`,
        headers: { ...who(), 'content-type': 'application/json', 'host': new URL(address).host },
      }
      client.setRequests([
        {
          ...request,
          setupRequest: () => ({
            ...request,
            body: JSON.stringify({ version, wall: { ...wall, width: 6200 + (version % 100) } }),
          }),
          onResponse: () => void version++,
        },
      ])
    },
  })
  return [
    measured(`Reading a wall, ${AT_ONCE} at once`, read.rate, 'a second'),
    atMost('Reading a wall, 95 % answered within', read.p95, 20, 'ms'),
    atLeast(`Saving a wall, ${AT_ONCE} at once`, write.rate, 800, 'a second'),
    atMost('Saving a wall, 95 % answered within', write.p95, 40, 'ms'),
    measured('The same bytes by one prepared statement alone', bareWrites(JSON.stringify(walls[0])), 'a second'),
  ]
}
