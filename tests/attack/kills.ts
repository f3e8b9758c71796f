import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import SQLite from 'better-sqlite3'
import { startServer, tool } from '../../scripts/house.mjs'
import { freePort, House } from '../e2e/house'

const HALL = '/sites/holm-point/walls/ticket-hall'
const waited = (ms: number) => new Promise(done => setTimeout(done, ms))
const cutShort = () => { throw new Error('The writer ended by itself') }

/** What the server acknowledged before it was killed, and what of that was not there afterwards. */
export interface Kept {
  kills: number
  entries: number
  saves: number
  imports?: number
  issues?: number
  lost: string[]
}

/** Kills a server while entries and saves come in, over and over, each time at another moment. */
export async function killedWhileWriting(house: House, kills: number): Promise<Kept> {
  const entries: string[] = []
  const lost: string[] = []
  let [saves, version] = [0, 0]
  for (let kill = 0; kill < kills; kill++) {
    let under = true
    const record = async () => {
      for (let n = 0; under; n++) {
        const id = `k${kill}-${n}`
        const entry = { id, at: new Date().toISOString(), by: 'Odd', wall: 'ticket-hall', kind: 'remark', note: 'x' }
        const posted = { method: 'POST', body: JSON.stringify(entry) }
        const answer = await house.api(`${HALL}/log`, posted).catch(() => undefined)
        if (answer?.status === 201) entries.push(id)
      }
    }
    const save = async () => {
      while (under) {
        const state = await house.wall().catch(() => undefined)
        if (!state) continue
        const wall = { ...state.job.walls[0], height: 3300 + state.version % 50 }
        const body = JSON.stringify({ wall, version: state.version })
        const answer = await house.api(HALL, { method: 'PUT', body }).catch(() => undefined)
        if (answer?.status !== 200) continue
        saves++
        version = JSON.parse(answer.body).version
      }
    }
    const [before, savedBefore] = [entries.length, saves]
    const writing = Promise.all([record(), save()])
    while (entries.length < before + 2 || saves === savedBefore) await waited(10)
    await waited(90 * (kill % 7))
    await house.kill()
    under = false
    await writing
    await house.start()
    const now = await house.wall()
    const there = new Set(now.job.log.map(({ id }: { id: string }) => id))
    lost.push(...entries.filter(id => !there.has(id)), ...now.version < version ? [`version ${version}`] : [])
  }
  return { kills, entries: entries.length, saves, lost }
}

/**
 * Kills a process that writes through the repositories alone, over and over, each time at another moment: the same
 * promise as over HTTP, with hundreds of writes to each kill.
 */
export async function killedWriters(kills: number): Promise<Kept> {
  const folder = mkdtempSync(join(tmpdir(), 'wide-trellis-kills-'))
  const file = join(folder, 'firm.db')
  const [entries, sites, issues]: [string[], string[], string[]] = [[], [], []]
  const lost: string[] = []
  let [saves, version] = [0, 0]
  for (let kill = 0; kill < kills; kill++) {
    const writer = spawn(tool('tsx'), ['tests/attack/writer.ts', file, `k${kill}`],
      { stdio: ['ignore', 'pipe', 'inherit'], detached: true })
    let said = ''
    writer.stdout.on('data', (text: Buffer) => { said += String(text) })
    const ended = once(writer.stdout, 'close')
    // Counted, not timed: two entries and two versions are out however slow the machine is, then a moment more.
    while (said.split('\n').length <= 8 + kill % 3) {
      await Promise.race([once(writer.stdout, 'data'), ended.then(cutShort)])
    }
    await waited(37 * (kill % 11))
    // The whole group: the runner has a process of its own below it.
    process.kill(-writer.pid!, 'SIGKILL')
    await ended
    // The last line may be cut short.
    for (const [what, which] of said.split('\n').slice(0, -1).map(line => line.split(' ') as [string, string])) {
      if (what === 'entry') entries.push(which)
      else if (what === 'site') sites.push(which)
      else if (what === 'issued') issues.push(which)
      else [saves, version] = [saves + 1, Number(which)]
    }
    const reader = new SQLite(file)
    const there = new Set(reader.prepare('SELECT id FROM log').pluck().all())
    const now = reader.prepare<[], number>('SELECT version FROM walls').pluck().get()!
    const withWalls = 'SELECT sites.id FROM sites JOIN walls ON walls.site = sites.key'
    const walls = new Set(reader.prepare(withWalls).pluck().all())
    lost.push(...entries.filter(id => !there.has(id)), ...now < version ? [`version ${version}`] : [])
    const frozen = new Set(reader.prepare('SELECT id FROM revisions').pluck().all())
    const issued = reader.prepare(`SELECT json_extract(entry, '$.frozen') FROM log WHERE kind = 'issued'`).pluck().all()
    lost.push(...sites.filter(id => !walls.has(id)), ...issues.filter(id => !issued.includes(id)))
    // A site is there with all of its log, or is not seen.
    const halfLogs = `SELECT sites.id FROM sites JOIN walls ON walls.site = sites.key JOIN log ON log.site = sites.key
      WHERE sites.id LIKE 'site-%' GROUP BY sites.key HAVING count(*) <> 500`
    lost.push(...reader.prepare<[], string>(halfLogs).pluck().all())
    // Nothing is issued of which what was frozen is not there.
    lost.push(...(issued as string[]).filter(id => !frozen.has(id)))
    reader.close()
  }
  rmSync(folder, { recursive: true })
  return { kills, entries: entries.length, saves, imports: sites.length, issues: issues.length, lost }
}

/** Kills a server on a new folder while it starts, over and over, and gives what is missing once it was left to. */
export async function killedWhileStarting(kills: number): Promise<{ kills: number, missing: string[] }> {
  const data = mkdtempSync(join(tmpdir(), 'wide-trellis-first-'))
  for (let kill = 0; kill < kills; kill++) {
    const server = startServer({ PORT: String(await freePort()), WT_DATA: data, WT_DEMO: '1' }, 'pipe')
    await waited(120 + 120 * (kill % 5) + kill)
    server.kill('SIGKILL')
    await once(server, 'exit')
  }
  const house = await House.open(data)
  const catalogue = JSON.parse((await house.api('/catalogue')).body) as Record<string, unknown[]>
  const shipped = JSON.parse(readFileSync('demo/catalogue.json', 'utf8')) as Record<string, unknown[]>
  const lists = ['displays', 'mounts', 'fasteners', 'screwKits']
    .filter(list => catalogue[list]!.length !== shipped[list]!.length)
  const sites = JSON.parse((await house.api('/sites')).body) as unknown[]
  await house.close()
  return { kills, missing: [...lists, ...sites.length === 3 ? [] : [`${3 - sites.length} sites`]] }
}
