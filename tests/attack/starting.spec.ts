import { once } from 'node:events'
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, statSync, truncateSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import SQLite from 'better-sqlite3'
import { startServer } from '../../scripts/house.mjs'
import { expect, freePort, House, test } from '../e2e/house'

/** Starts a server on a folder and waits for its end. */
async function startedOn(data: string): Promise<{ code: number | null, said: string }> {
  const server = startServer({ PORT: String(await freePort()), WT_DATA: data, WT_DEMO: '1' }, 'pipe')
  let said = ''
  server.stderr!.on('data', (text: Buffer) => { said += String(text) })
  const late = setTimeout(() => server.kill('SIGKILL'), 30_000)
  const [code] = await once(server, 'exit') as [number | null]
  clearTimeout(late)
  return { code, said: said.trim() }
}
/** A data folder as a server leaves it. */
async function left(): Promise<string> {
  const house = await House.open()
  await house.stop()
  return house.data
}

test('what cannot be served is told in one line, and left as it is', async () => {
  const good = await left()
  const cases: [string, (file: string) => void, RegExp][] = [
    ['text', file => writeFileSync(file, 'Dear diary, '.repeat(200)), /is no database/],
    ['truncated', file => truncateSync(file, Math.floor(statSync(file).size / 2)), /is damaged|lacks/],
    ['overwritten', (file) => {
      const bytes = readFileSync(file)
      bytes.fill(0xA5, 4096, 40_960)
      writeFileSync(file, bytes)
    }, /is damaged|could not be/],
    ['empty', file => truncateSync(file, 0), /is empty, and was not/],
    ['newer', file => changed(file, 'INSERT INTO __drizzle_migrations (hash, created_at) VALUES (\'x\', 99999999999999)'), /newer Wide Trellis/],
    ['other', (file) => {
      rmSync(file)
      changed(file, 'CREATE TABLE recipes (name TEXT)')
    }, /none of Wide Trellis/],
    ['without-table', file => changed(file, 'DROP TABLE wall_models'), /lacks what it should have: wall_models/],
    ['folder', (file) => {
      rmSync(file)
      mkdirSync(file)
    }, /cannot be opened/],
  ]
  for (const [name, spoil, words] of cases) {
    const data = mkdtempSync(join(tmpdir(), `wide-trellis-${name}-`))
    cpSync(good, data, { recursive: true })
    const file = join(data, 'wide-trellis.db')
    spoil(file)
    const before = name === 'folder' ? undefined : readFileSync(file)
    const { code, said } = await startedOn(data)
    expect([name, code, said.split('\n').length]).toEqual([name, 1, 1])
    expect(said).toMatch(words)
    expect(said).toContain(file)
    if (before) expect([name, readFileSync(file).equals(before)]).toEqual([name, true])
    rmSync(data, { recursive: true })
  }
  rmSync(good, { recursive: true })
})

function changed(file: string, statement: string): void {
  const db = new SQLite(file)
  db.exec(statement)
  db.close()
}

test('a data folder that is a file is told, and one that is in use is left to whoever has it', async ({ house }) => {
  const file = join(mkdtempSync(join(tmpdir(), 'wide-trellis-file-')), 'data')
  writeFileSync(file, 'x')
  const wrong = await startedOn(file)
  expect([wrong.code, wrong.said]).toEqual([1, expect.stringMatching(/is a file, and should be a folder/)])
  const second = await startedOn(house.data)
  expect([second.code, second.said]).toEqual([1, expect.stringMatching(/is in use by process \d+, since 20/)])
  expect((await house.api('/sites')).status).toBe(200)
  await house.stop()
  await house.start()
})

test('a first start that is cut short, wherever that is, is taken up again', async () => {
  const data = mkdtempSync(join(tmpdir(), 'wide-trellis-first-'))
  for (const after of [120, 240, 360, 480, 600]) {
    const server = startServer({ PORT: String(await freePort()), WT_DATA: data, WT_DEMO: '1' }, 'pipe')
    await new Promise(done => setTimeout(done, after))
    server.kill('SIGKILL')
    await once(server, 'exit')
  }
  const house = await House.open(data)
  const { displays, mounts } = JSON.parse((await house.api('/catalogue')).body)
  const shipped = JSON.parse(readFileSync('demo/catalogue.json', 'utf8'))
  expect([displays.length, mounts.length]).toEqual([shipped.displays.length, shipped.mounts.length])
  expect(JSON.parse((await house.api('/sites')).body)).toHaveLength(3)
  await house.close()
})

test('what was acknowledged is there after every kill', async ({ house }) => {
  const address = '/sites/holm-point/walls/ticket-hall'
  const acknowledged = { entries: [] as string[], version: 0 }
  for (let kill = 0; kill < 5; kill++) {
    let under = true
    const writing = Promise.all([
      (async () => {
        for (let n = 0; under; n++) {
          const id = `k${kill}-${n}`
          const entry = { id, at: new Date().toISOString(), by: 'Odd', wall: 'ticket-hall', kind: 'remark', note: 'x' }
          const answer = await house.api(`${address}/log`, { method: 'POST', body: JSON.stringify(entry) }).catch(() => undefined)
          if (answer?.status === 201) acknowledged.entries.push(id)
        }
      })(),
      (async () => {
        while (under) {
          const state = await house.wall().catch(() => undefined)
          if (!state) continue
          const wall = { ...state.job.walls[0], height: 3300 + state.version % 50 }
          const answer = await house.api(address, { method: 'PUT', body: JSON.stringify({ wall, version: state.version }) }).catch(() => undefined)
          if (answer?.status === 200) acknowledged.version = JSON.parse(answer.body).version
        }
      })(),
    ])
    await new Promise(done => setTimeout(done, 150 + 90 * kill))
    await house.kill()
    under = false
    await writing
    await house.start()
    const { job, version } = await house.wall()
    const kept = new Set(job.log.map(({ id }: { id: string }) => id))
    expect(acknowledged.entries.filter(id => !kept.has(id))).toEqual([])
    expect(version).toBeGreaterThanOrEqual(acknowledged.version)
  }
  expect(acknowledged.entries.length).toBeGreaterThan(5)
})
