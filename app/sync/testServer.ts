import type { LogEntry, Wall } from '~~/core/job'
import type { ServerWall } from '~~/core/api/walls'
import type { Server } from './sending'
import { ApiError } from '../utils/api'
import { exampleJob, exampleWall } from '~~/tests/fixtures/job'

/** The example wall as a server has it. */
export const stateOf = (version = 1, wall: Wall = exampleWall()): ServerWall => ({
  job: { ...exampleJob(), walls: [wall] },
  version,
  savedAt: '',
  savedBy: 'Isla',
})
/** A server in memory; `fails` says what to answer instead. */
export class Standin implements Server {
  walls = new Map<string, ServerWall>([['w1', stateOf()], ['w2', stateOf()]])
  log: LogEntry[] = []
  asked: string[] = []
  fails: (what: string) => Error | undefined = () => undefined
  private ask(what: string) {
    this.asked.push(what)
    const error = this.fails(what)
    if (error) throw error
  }

  saveWall: Server['saveWall'] = (change) => {
    this.ask(`wall ${change.id} ${change.wall.width}`)
    const known = this.walls.get(change.id)!
    if (known.version !== change.version) throw new ApiError(409, 'stale', 'Another user saved.', [], known)
    const saved = { version: known.version + 1, savedAt: '', savedBy: 'Odd' }
    this.walls.set(change.id, { ...known, ...saved, job: { ...known.job, walls: [change.wall] } })
    return Promise.resolve(saved)
  }

  addEntries: Server['addEntries'] = (site, wall, entries) => {
    this.ask(`log ${wall} ${entries.map(({ id }) => id).join(' ')}`)
    return Promise.resolve({ results: entries.map((entry) => {
      if (entry.id.startsWith('bad'))
        return { error: { message: 'It is wrong.', faults: [{ path: '$.x', message: 'must be right' }] } }
      if (!this.log.some(({ id }) => id === entry.id)) this.log.push(entry)
      return { entry: { ...entry, seq: this.log.length } as LogEntry }
    }) })
  }

  saveSettings: Server['saveSettings'] = change => Promise.resolve(change)
  addRevision: Server['addRevision'] = ({ id }) => Promise.resolve(this.ask(`frozen ${id}`))
  addKey: Server['addKey'] = key => Promise.resolve(this.ask(`key ${key.x}`))
  addPhoto: Server['addPhoto'] = ({ name }) => Promise.resolve(this.ask(`photo ${name}`))
}
