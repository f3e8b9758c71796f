import { readFileSync } from 'node:fs'
import { ask } from './asking'
import { gridJob, wallOfReadings } from './jobs'
import { atMost, measured, type Row } from './row'

/** What is asked of a server: its address, and the number of its process. */
export interface Asked { address: string, pid: number }

const HALL = '/api/sites/holm-point/walls/ticket-hall'

/** The most memory that a process had so far, MB; not known where the system does not say. */
function memoryPeak(pid: number): number | undefined {
  try {
    return Number(/VmHWM:\s+(\d+) kB/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1024
  }
  catch {
    return undefined
  }
}

async function post(address: string, body: string): Promise<{ status: number, took: number }> {
  const began = performance.now()
  const response = await ask(`${address}/api/sites/import`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body,
  })
  await response.text()
  return { status: response.status, took: performance.now() - began }
}

/** Asks for something heavy, and reads a wall over and over meanwhile. */
async function beside(address: string, heavy: () => Promise<Response>): Promise<{ took: number, reads: number[] }> {
  const began = performance.now()
  let under = true
  const asked = heavy().then(async (response) => {
    await response.arrayBuffer()
    under = false
    if (!response.ok) throw new Error(`${response.url} was answered with ${response.status}`)
    return performance.now() - began
  })
  const reads: number[] = []
  while (under) {
    const from = performance.now()
    await (await ask(`${address}${HALL}`)).arrayBuffer()
    reads.push(performance.now() - from)
    await new Promise(done => setTimeout(done, 5))
  }
  return { took: await asked, reads: reads.sort((a, b) => a - b) }
}

/**
 * The heaviest walls that are taken: how long what is made of them takes, how long a read waits beside it, and the
 * memory it needs.
 */
export async function heavyRequests({ address, pid }: Asked): Promise<Row[]> {
  const screens = gridJob(50, 50)
  const readings = { ...gridJob(1, 1), walls: [wallOfReadings(5_000)] }
  for (const [id, job] of [['many-screens', screens], ['many-readings', readings]] as const) {
    const sent = await post(address, JSON.stringify({ ...job, site: { ...job.site, id } }))
    if (sent.status !== 201) throw new Error(`The wall of ${id} was refused with ${sent.status}.`)
  }
  const many = `${address}/api/sites/many-screens/walls/ticket-hall`
  const whole = JSON.stringify({ ...screens, site: { ...screens.site, id: 'again' } })
  const [fastener] = screens.catalogue.fasteners
  const models = JSON.stringify({
    models: Array.from({ length: 2_000 }, (_, n) => ({ ...fastener, id: `bench-${n}` })),
  })
  const requests: [string, number | undefined, () => Promise<Response>][] = [
    ['PDF of 2,500 screens', 5_000, () => ask(`${many}/sheet?format=pdf`)],
    ['Plan of 2,500 screens', undefined, () => ask(`${many}/plan`)],
    ['Test picture of 2,500 screens', undefined, () => ask(`${many}/pixels?format=svg`)],
    ['Plan of 5,000 readings', 2_000, () => ask(`${address}/api/sites/many-readings/walls/w/plan`)],
    [
      'Bringing in a wall of 2,500 screens',
      undefined,
      () =>
        ask(`${address}/api/sites/import`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: whole,
        }),
    ],
    [
      'Bringing in 2,000 fasteners',
      undefined,
      () =>
        ask(`${address}/api/catalogue/fastener/import`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: models,
        }),
    ],
  ]
  const rows: Row[] = []
  for (const [what, aim, heavy] of requests) {
    const { took, reads } = await beside(address, heavy)
    rows.push(aim ? atMost(what, took, aim, 'ms') : measured(what, took, 'ms'))
    rows.push(atMost(`  longest of ${reads.length} reads beside it`, reads.at(-1)!, 50, 'ms'))
  }
  const peak = memoryPeak(pid)
  return peak === undefined ? rows : [...rows, atMost('Most memory that the server had', peak, 500, 'MB')]
}

/** How long the server takes to refuse what no form would send. */
export async function refusals({ address }: Asked): Promise<Row[]> {
  const job = gridJob(1, 1)
  const bodies: [string, string][] = [
    ['20,000 entries that are nothing', JSON.stringify({ ...job, log: Array.from({ length: 20_000 }, () => ({})) })],
    ['100,000 lists in each other', '['.repeat(100_000) + ']'.repeat(100_000)],
    ['4 MB of walls that are nothing', JSON.stringify({ ...job, walls: Array.from({ length: 1_400_000 }, () => 0) })],
    ['4 MB of one name', JSON.stringify({ ...job, site: { ...job.site, name: 'a'.repeat(4_000_000) } })],
    [
      '200,000 unknown keys',
      JSON.stringify({
        ...job,
        site: 1,
        ...Object.fromEntries(Array.from({ length: 200_000 }, (_, n) => [`k${n}`, n])),
      }),
    ],
    [
      '5,000 readings, each wrong',
      JSON.stringify({
        ...job,
        walls: [{ ...job.walls[0], evidence: Array.from({ length: 5_000 }, (_, n) => ({ id: n, method: 'hope' })) }],
      }),
    ],
    ['over 5 MB', 'x'.repeat(5_300_000)],
  ]
  const rows: Row[] = []
  for (const [what, body] of bodies) {
    const times: number[] = []
    for (let n = 0; n < 3; n++) {
      const { status, took } = await post(address, body)
      if (status < 400 || status >= 500) throw new Error(`${what} was answered with ${status}`)
      times.push(took)
    }
    rows.push(atMost(`Refusing ${what}`, Math.min(...times), 100, 'ms'))
  }
  return rows
}
