import { ask } from './asking'
import type { Asked } from './heavy'
import { gridJob } from './jobs'
import { atMost, type Row } from './row'

/** A log of so many entries is nearly full. */
const ENTRIES = 90_000
const SITE = 'long-log'
const json = (method: string, body: unknown): RequestInit => ({
  method, headers: { 'content-type': 'application/json' }, body: typeof body === 'string' ? body : JSON.stringify(body),
})
const times = <Result>(count: number, act: (n: number) => Promise<Result>) =>
  Promise.all(Array.from({ length: count }, (_, n) => act(n)))

/** The longest that a small read waits while something is asked for, ms; and how long that takes. */
async function waited(address: string, act: () => Promise<unknown>): Promise<{ longest: number, took: number }> {
  let [longest, under] = [0, true]
  const reads = (async () => {
    while (under) {
      const from = performance.now()
      await (await ask(`${address}/api/session`)).arrayBuffer()
      longest = Math.max(longest, performance.now() - from)
      await new Promise(done => setTimeout(done, 5))
    }
  })()
  const from = performance.now()
  await act()
  const took = performance.now() - from
  under = false
  await reads
  return { longest, took }
}

/** How long others wait beside single requests that once stopped everybody, and beside a hundred at once. */
export async function waits({ address }: Asked): Promise<Row[]> {
  const job = gridJob(3, 3)
  const [wall] = job.walls
  const entry = (id: string, more: object = { kind: 'remark', note: 'seen at the wall' }) =>
    ({ id, at: '2026-11-20T09:00:00Z', by: 'Odd', wall: wall!.id, ...more })
  const log = Array.from({ length: ENTRIES }, (_, n) => entry(`e${n}`))
  const file = json('POST', { ...job, site: { ...job.site, id: SITE }, log })
  const bringIn = async () => {
    const sent = await ask(`${address}/api/sites/import`, file)
    if (sent.status !== 201) throw new Error(`The site with a long log was refused with ${sent.status}.`)
  }
  const hall = `${address}/api/sites/holm-point/walls/ticket-hall`
  const at = `${address}/api/sites/${SITE}`
  const here = `${at}/walls/${wall!.id}`
  const get = async (path: string) => void await (await ask(path)).arrayBuffer()
  const post = async (path: string, body: unknown) => void await (await ask(path, json('POST', body))).arrayBuffer()
  const anonymous = (body: string) => fetch(`${address}/api/session`, json('POST', body)).then(answer => answer.text())
  const hole = { kind: 'hole', x: 1, y: 1, result: 'hit' }
  const holes = Array.from({ length: 500 }, (_, n) => entry(`h${n}`, { ...hole, hole: `none-${n}` }))
  const gaps = Array.from({ length: 9_000 }, () => ({ between: ['r1c1', 'r1c2'], end: 'top', mm: 1 }))
  const seams = entry('s1', { kind: 'seams', array: job.walls[0]!.arrays[0]!.id, round: 1, gaps })
  const one: [string, () => Promise<unknown>][] = [
    ['its import', bringIn],
    ['the wall', () => get(here)],
    ['the list of walls', () => get(`${address}/api/walls`)],
    ['the chain of its site', () => get(`${at}/chain`)],
    ['its job file', () => get(`${at}/job`)],
    ['its ZIP file', () => get(`${at}/archive`)],
    ['500 holes that are not in the plan', () => post(`${here}/log`, { entries: holes })],
    ['9,000 gaps', () => post(`${here}/log`, seams)],
    ['a sign-in of 4.8 MB, anonymous', () => anonymous(`[${'[],'.repeat(1_600_000)}[]]`).catch(() => '')],
    ['a wrong sign-in', () => anonymous(JSON.stringify({ address: 'nobody@x.example', password: 'wrong guess here' }))],
    ['the handover pack', () => get(`${here}/handover?format=zip`)],
  ]
  const many: [string, () => Promise<unknown>][] = [
    ['100 times the wall', () => times(100, () => get(here))],
    ['100 wrong sign-ins', () => times(100, n => anonymous(
      JSON.stringify({ address: `n${n}@x.example`, password: 'wrong guess here' })))],
    ['100 entries, each by itself', () => times(100, n => post(`${here}/log`, entry(`x${n}`)))],
    ['100 handover packs', () => times(100, () => get(`${hall}/handover?format=zip`))],
  ]
  const rows: Row[] = []
  for (const [limit, acts] of [[200, one], [500, many]] as const) {
    for (const [what, act] of acts) {
      const { longest } = await waited(address, act)
      rows.push(atMost(`Log of ${ENTRIES} entries: others wait beside ${what}`, longest, limit, 'ms'))
    }
  }
  const packs = times(60, () => get(`${hall}/handover?format=pdf`))
  const from = performance.now()
  const sheet = await ask(`${hall}/sheet?format=svg`)
  await sheet.arrayBuffer()
  rows.push(atMost('A sheet while one orders 60 packs', performance.now() - from, 2_000, 'ms'))
  await packs
  return rows
}
