import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { cpSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import SQLite from 'better-sqlite3'
import { tool } from '../../scripts/house.mjs'

const FIXTURE = 'tests/fixtures/data/0020_astray/data'
const waited = (ms: number) => new Promise(done => setTimeout(done, ms))

/** Starts a program, kills it after so many ms, or lets it end; gives its exit code. */
async function killedAfter(
  ms: number | undefined, command: string, args: string[], data: string,
): Promise<number | null> {
  const child = spawn(command, args, { env: { ...process.env, WT_DATA: data }, stdio: 'ignore', detached: true })
  const ended = once(child, 'exit') as Promise<[number | null]>
  if (ms !== undefined) {
    await Promise.race([ended, waited(ms)])
    if (child.exitCode === null) process.kill(-child.pid!, 'SIGKILL')
  }
  return (await ended)[0]
}

const backup = (ms: number | undefined, args: string[], data: string) =>
  killedAfter(ms, process.execPath, ['scripts/backup.mjs', ...args], data)

/** The hashes of the logs of a data folder in their order; why it has none, where it is damaged or not there. */
function logsIn(data: string): string {
  const file = join(data, 'wide-trellis.db')
  if (!existsSync(file)) return 'no database'
  const db = new SQLite(file)
  try {
    const [{ integrity_check: whole }] = db.pragma('integrity_check') as [{ integrity_check: string }]
    return whole === 'ok' ? db.prepare('SELECT hash FROM log ORDER BY key').pluck().all().join(' ') : whole
  }
  finally {
    db.close()
  }
}

/** What was lost or half done after kills of backup, restore and migration, each time at another moment. */
export async function killedKeepers(kills: number): Promise<{ kills: number, wrong: string[] }> {
  const root = mkdtempSync(join(tmpdir(), 'wide-trellis-keepers-'))
  const [data, kept] = [join(root, 'data'), join(root, 'kept')]
  cpSync(FIXTURE, data, { recursive: true })
  const before = logsIn(data)
  await backup(undefined, ['make', kept], data)
  // Later than the backup, so that the two are told apart.
  const later = new SQLite(join(data, 'wide-trellis.db'))
  later.exec(`INSERT INTO log (site, seq, id, wall, kind, hash, entry)
    SELECT site, 9999, 'late', wall, kind, 'late', entry FROM log LIMIT 1`)
  later.close()
  const after = logsIn(data)
  const wrong: string[] = []
  for (let kill = 0; kill < kills; kill++) {
    const ms = 60 + 23 * kill % 400
    const to = join(root, `backup-${kill}`)
    await backup(ms, ['make', to], data)
    if (logsIn(data) !== after) wrong.push(`backup ${ms} ms: the data folder has changed`)
    if (existsSync(to) && logsIn(to) !== after) wrong.push(`backup ${ms} ms: a backup under its name is not whole`)
    const at = join(root, `restored-${kill}`)
    cpSync(data, at, { recursive: true })
    await backup(ms, ['restore', kept], at)
    const isAside = () => readdirSync(root)
      .some(name => name.startsWith(`restored-${kill}.before`) && logsIn(join(root, name)) === after)
    const half = existsSync(at) ? ![before, after].includes(logsIn(at)) : !isAside()
    if (half) wrong.push(`restore ${ms} ms: what was there is lost`)
    await backup(undefined, ['restore', kept], at)
    if (logsIn(at) !== before || !(isAside() || existsSync(at))) wrong.push(`restore ${ms} ms: did not go on`)
    const old = join(root, `old-${kill}`)
    cpSync(join('tests/fixtures/data/0010_mounting/data'), old, { recursive: true })
    const open = ['tests/attack/opener.ts', join(old, 'wide-trellis.db')]
    await killedAfter(400 + 4 * ms, tool('tsx'), open, old)
    if (await killedAfter(undefined, tool('tsx'), open, old) !== 0) wrong.push(`migration ${ms} ms: cannot be opened`)
    for (const name of readdirSync(root)) if (name.includes(`-${kill}`)) rmSync(join(root, name), { recursive: true })
  }
  rmSync(root, { recursive: true })
  return { kills, wrong }
}
