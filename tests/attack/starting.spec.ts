import { once } from 'node:events'
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, statSync, truncateSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import SQLite from 'better-sqlite3'
import { startServer } from '../../scripts/house.mjs'
import { expect, freePort, House, testAlone as test } from '../e2e/house'
import { cases } from '../fixtures/soak'
import { killedKeepers } from './keeperKills'
import { killedWhileStarting, killedWhileWriting, killedWriters } from './kills'

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
    ['text', file => writeFileSync(file, 'Dear diary, '.repeat(200)), /is not a database/],
    ['truncated', file => truncateSync(file, Math.floor(statSync(file).size / 2)), /is damaged|lacks/],
    [
      'overwritten',
      (file) => {
        const bytes = readFileSync(file)
        bytes.fill(0xa5, 4096, 40_960)
        writeFileSync(file, bytes)
      },
      /is damaged|could not be/,
    ],
    ['empty', file => truncateSync(file, 0), /is empty, but/],
    [
      'newer',
      file => changed(file, 'INSERT INTO __drizzle_migrations (hash, created_at) VALUES (\'x\', 99999999999999)'),
      /newer version of Wide Trellis/,
    ],
    [
      'other',
      (file) => {
        rmSync(file)
        changed(file, 'CREATE TABLE recipes (name TEXT)')
      },
      /not one of Wide Trellis/,
    ],
    ['without-table', file => changed(file, 'DROP TABLE wall_models'), /is incomplete; missing: wall_models/],
    [
      'folder',
      (file) => {
        rmSync(file)
        mkdirSync(file)
      },
      /cannot be opened/,
    ],
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
  expect([wrong.code, wrong.said]).toEqual([1, expect.stringMatching(/is a file, but must be a folder/)])
  const second = await startedOn(house.data)
  expect([second.code, second.said]).toEqual([1, expect.stringMatching(/is in use by process \d+, since 20/)])
  expect((await house.api('/sites')).status).toBe(200)
  await house.stop()
  await house.start()
})

test('a first start that is cut short, wherever that is, is taken up again', async () => {
  expect((await killedWhileStarting(cases(4, 30))).missing).toEqual([])
})

test('what was acknowledged is there after every kill', async ({ house }) => {
  test.setTimeout(600_000)
  const { kills, entries, saves, lost } = await killedWhileWriting(house, cases(4, 50))
  expect(lost).toEqual([])
  expect(entries).toBeGreaterThan(kills)
  expect(saves).toBeGreaterThan(0)
})

test('a log whose end was cut off, its signed heads with it, is told on the page of its site', async () => {
  const house = await House.open()
  const remark = { at: new Date().toISOString(), wall: 'ticket-hall', kind: 'remark', note: 'dry' }
  const entries = Array.from({ length: 60 }, (_, n) => ({ ...remark, id: `cut-${n}` }))
  const log = '/sites/holm-point/walls/ticket-hall/log'
  expect((await house.api(log, { method: 'POST', body: JSON.stringify({ entries }) })).status).toBe(200)
  const chain = async () => JSON.parse((await house.api('/sites/holm-point/chain')).body) as Record<string, unknown>
  expect(await chain()).toMatchObject({ head: expect.any(String), proof: expect.stringContaining('holm-point;') })
  await house.stop()
  const file = join(house.data, 'wide-trellis.db')
  for (const table of ['log', 'heads']) changed(file, `DROP TRIGGER ${table}_no_delete`)
  for (const cut of ['DELETE FROM heads', `DELETE FROM log WHERE id IN ('cut-58', 'cut-59')`]) changed(file, cut)
  await house.start()
  expect(await chain()).toMatchObject({ lost: expect.stringContaining('its end is missing') })
  await house.close()
})

test('backup, restore and migration that are killed lose nothing, and go on when they are begun again', async () => {
  test.setTimeout(600_000)
  expect((await killedKeepers(cases(2, 50))).wrong).toEqual([])
})

test('what a repository has returned is there after every kill @long', async () => {
  test.setTimeout(600_000)
  const { kills, entries, saves, lost } = await killedWriters(cases(3, 50))
  expect(lost).toEqual([])
  expect([entries, saves].every(count => count > kills)).toBe(true)
})
