import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import sharp from 'sharp'
import { cookieOf, startServer, untilAnswering } from '../scripts/house.mjs'
import type { Wall } from '../core/job'
import { atLeast, atMost, measured, type Row } from './row'

const [SITES, WALLS, CREWS, ENTRIES, PHOTOS] = [10, 20, 20, 20_000, 2_000]
const [RATE, SECONDS] = [20, 60]
const PORT = '4798'

const waited = (ms: number) => new Promise(done => setTimeout(done, ms))
const share = (sorted: number[], part: number) => sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))]!
const rss = (pid: number) => Number(/VmRSS:\s+(\d+) kB/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1024

/** Has somebody invited, who goes in by the link: his session, as a cookie. */
async function joined(
  address: string, name: string, invited: (who: { name: string, address: string }) => Promise<ArrayBuffer>,
): Promise<string> {
  const made = await invited({ name, address: `${name.replace(' ', '-').toLowerCase()}@week.example` })
  const { address: link } = JSON.parse(Buffer.from(made).toString()) as { address: string }
  const answer = await fetch(`${address}/api/invitations/${link.split('/').at(-1)}`, {
    method: 'POST', headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name, password: `${name} carries ladders` }),
  })
  const cookies = answer.headers.getSetCookie().map(cookie => cookie.split(';')[0]!)
  const session = cookies.find(cookie => cookie.startsWith('wide-trellis='))
  if (!session) throw new Error(`${name} does not go in: ${answer.status} ${await answer.text()}`)
  return session
}

/**
 * A week of twenty crews on one server: 200 walls, 20,000 entries and 2,000 photographs are put in as devices send
 * them; then everybody is signed in and listens, and for a minute twenty things a second are read and written; then
 * ever more,
 * until it is too slow.
 */
export async function week(): Promise<Row[]> {
  const data = mkdtempSync(join(tmpdir(), 'wide-trellis-week-'))
  const loop = join(data, 'loop.json')
  Object.assign(process.env, { WT_LOOP: loop, NODE_OPTIONS: `--import=${pathToFileURL('bench/loop.mjs').href}` })
  const server = startServer({ PORT, WT_DATA: data, WT_DEMO: '1' }, 'pipe')
  delete process.env.NODE_OPTIONS
  const address = `http://127.0.0.1:${PORT}`
  const held = async () => {
    rmSync(loop, { force: true })
    server.kill('SIGUSR2')
    while (!existsSync(loop)) await waited(20)
    await waited(50)
    return JSON.parse(readFileSync(loop, 'utf8')) as { most: number, p99: number }
  }
  try {
    await untilAnswering(server, address)
    const planner = await cookieOf(address)
    const asked = async (cookie: string, path: string, init: RequestInit = {}) => {
      const answer = await fetch(`${address}/api${path}`, {
        ...init,
        headers: { cookie, 'content-type': 'application/json', ...(init.headers as object) },
      })
      const body = await answer.arrayBuffer()
      if (!answer.ok) throw new Error(`${path}: ${answer.status} ${Buffer.from(body).toString().slice(0, 200)}`)
      return body
    }
    const json = async (path: string) =>
      JSON.parse(Buffer.from(await asked(planner, path)).toString()) as { job: { walls: Wall[], catalogue: object } }

    // Walls, and who is sent where.
    const { job } = await json('/sites/holm-point/walls/ticket-hall')
    const walls = Array.from({ length: WALLS }, (_, n) => ({ ...job.walls[0]!, id: `w${n}`, name: `Wall ${n}` }))
    for (let n = 0; n < SITES; n++)
      await asked(planner, '/sites/import', {
        method: 'POST',
        body: JSON.stringify({ ...job, site: { id: `week-${n}`, name: `Week ${n}`, units: 'metric' }, walls, log: [] }),
      })
    const sites = Array.from({ length: SITES }, (_, n) => `week-${n}`)
    // More entries are put in than one person may send in an hour.
    const invite = (who: object) =>
      asked(planner, '/people/invitations', { method: 'POST', body: JSON.stringify({ ...who, role: 'crew', sites }) })
    const crews = await Promise.all(Array.from({ length: CREWS }, (_, n) => joined(address, `Crew ${n + 1}`, invite)))

    // The week's entries and photographs, as devices send them.
    const picture = await sharp({ create: { width: 1600, height: 1200, channels: 3, background: '#707880' } })
      .composite([
        { input: Buffer.from('<svg width="1600" height="1200"><circle cx="700" cy="500" r="300" fill="#334"/></svg>') },
      ])
      .jpeg()
      .toBuffer()
    const photos: [string, string][] = []
    const began = performance.now()
    await held()
    await Promise.all(crews.map(async (crew, k) => {
      for (let n = k; n < ENTRIES / 100; n += CREWS) {
        const [site, wall] = [sites[n % SITES]!, `w${Math.floor(n / SITES) % WALLS}`]
        const entries = Array.from({ length: 100 }, (_, m) => ({
          id: `e${n}-${m}`,
          at: new Date().toISOString(),
          wall,
          kind: 'remark',
          note: `seen at hole ${m}`,
        }))
        await asked(crew, `/sites/${site}/walls/${wall}/log`, { method: 'POST', body: JSON.stringify({ entries }) })
      }
      for (let n = k; n < PHOTOS; n += CREWS) {
        // Each differs by its last bytes, which a picture may have.
        const bytes = Buffer.concat([picture, Buffer.from(`photograph ${n}`)])
        const kept = JSON.parse(
          Buffer.from(
            await asked(crew, `/sites/${sites[n % SITES]!}/photos`, {
              method: 'POST',
              body: new Uint8Array(bytes),
              headers: { 'content-type': 'image/jpeg', 'x-wide-trellis': 'photograph' },
            }),
          ).toString(),
        ) as { photo: string }
        photos.push([sites[n % SITES]!, kept.photo])
      }
    }))
    const filled = performance.now() - began
    const whileFilling = await held()

    // Everybody listens at a wall, and things are read and written at an even rate.
    const stop = new AbortController()
    for (const [k, crew] of crews.entries())
      void fetch(`${address}/api/sites/${sites[k % SITES]!}/walls/w${k % WALLS}/events`, {
        headers: { cookie: crew },
        signal: stop.signal,
      })
        .then(({ body }) => body!.pipeTo(new WritableStream()))
        .catch(() => {})
    const versions = new Map<string, number>()
    const memory: number[] = []
    let serial = 0
    const timed = async (into: number[], act: () => Promise<unknown>) => {
      const from = performance.now()
      await act()
      into.push(performance.now() - from)
    }
    /** So many things a second for so long, seven of ten read; gives how long each took, in order of size. */
    const load = async (rate: number, seconds: number) => {
      const [reads, writes]: [number[], number[]] = [[], []]
      const pending: Promise<unknown>[] = []
      const from = performance.now()
      for (let k = 0; k < rate * seconds; k++) {
        const n = serial++
        // Each crew writes as often as another: one person may send so many entries an hour.
        const crew = crews[Math.floor(n / 10) % CREWS]!
        const [site, wall] = [sites[n % SITES]!, `w${Math.floor(n / SITES) % WALLS}`]
        const path = `/sites/${site}/walls/${wall}`
        const [photoSite, photo] = photos[(n * 37) % photos.length]!
        const key = `${site}/${wall}`
        const save = () => {
          const version = versions.get(key) ?? 1
          versions.set(key, version + 1)
          return timed(writes, () =>
            asked(planner, path, {
              method: 'PUT',
              body: JSON.stringify({
                version,
                wall: { ...walls[Number(wall.slice(1))]!, width: 6200 + (version % 100) },
              }),
            }),
          )
        }
        pending.push(
          n % 10 === 9
            ? save()
            : n % 10 >= 7
              ? timed(writes, () =>
                  asked(crew, `${path}/log`, {
                    method: 'POST',
                    body: JSON.stringify({
                      id: `live-${n}`,
                      at: new Date().toISOString(),
                      wall,
                      kind: 'remark',
                      note: 'now',
                    }),
                  }),
                )
              : timed(reads, () =>
                  asked(
                    crew,
                    n % 10 < 4 ? path : n % 10 < 5 ? '/sites' : `/sites/${photoSite}/photos/${photo}?thumb=1`,
                  ),
                ),
        )
        if (k % (rate * 5) === 0) memory.push(rss(server.pid!))
        await waited(Math.max(0, from + (k + 1) * 1_000 / rate - performance.now()))
      }
      await Promise.all(pending)
      for (const times of [reads, writes]) times.sort((a, b) => a - b)
      return { reads, writes }
    }
    const { reads, writes } = await load(RATE, SECONDS)
    const underway = await held()
    const [atQuarter, atEnd] = [memory[Math.floor(memory.length / 4)]!, memory.at(-1)!]

    // Faster and faster, until it is too slow.
    let most = 0
    for (const rate of [50, 100, 200, 300, 400, 600, 800, 1_000, 1_200, 1_600]) {
      const at = await load(rate, 10)
      if (share(at.reads, 0.95) > 20 || share(at.writes, 0.95) > 40) break
      most = rate
    }
    stop.abort()

    // What session and rights cost: the same question with and without a session, one after the other.
    const [without, within]: [number[], number[]] = [[], []]
    for (let n = 0; n < 1_500; n++) {
      await timed(without, () => asked('', '/session'))
      await timed(within, () => asked(crews[0]!, '/session'))
    }
    for (const times of [without, within]) times.sort((a, b) => a - b)
    return [
      measured(`A week put in: ${SITES * WALLS} walls, ${ENTRIES} entries, ${PHOTOS} photographs`, filled / 1_000, 's'),
      atMost('  the event loop held meanwhile, at most', whileFilling.most, 100, 'ms'),
      atMost(`${RATE} a second, ${CREWS} crews signed in: reading, 95 % answered within`, share(reads, 0.95), 20, 'ms'),
      atMost('  writing, 95 % answered within', share(writes, 0.95), 40, 'ms'),
      atMost('  the event loop held, at most', underway.most, 100, 'ms'),
      atMost('  memory at the end, against that after a quarter', atEnd / atQuarter, 1.1, 'times'),
      measured('  memory at the end', atEnd, 'MB'),
      atLeast(
        'Most things a second that are read within 20 ms and written within 40, 95 % of them',
        most,
        RATE,
        'a second',
      ),
      atMost('Session and rights, a request, median', share(within, 0.5) - share(without, 0.5), 1, 'ms'),
    ]
  }
  finally {
    server.kill('SIGTERM')
    await waited(500)
    rmSync(data, { recursive: true, force: true })
  }
}
