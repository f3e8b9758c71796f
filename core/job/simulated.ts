import type { Fault } from './fault'
import type { LogEntry } from '../log/entry'
import type { Job } from './job'
import type { Wall } from './wall'

/** Why a reading of a simulated instrument is not planned on a real site. */
const EXCLUDED = 'Simulated reading: it is of no real wall'

/** Whether a wall is planned on readings of simulated instruments: its sheets say so. */
export const isSimulated = ({ evidence = [] }: Pick<Wall, 'evidence'>): boolean =>
  evidence.some(({ simulated, setAside }) => simulated && setAside === undefined)

/**
 * What is wrong with an edit of a real wall that brings readings of simulated instruments in; those that are there,
 * excluded, are left.
 */
export function simulatedFaults(after: Pick<Wall, 'evidence'>, before: Pick<Wall, 'evidence'> | undefined): Fault[] {
  const known = new Set((before?.evidence ?? []).filter(({ simulated }) => simulated).map(({ id }) => id))
  return (after.evidence ?? []).flatMap(({ id, simulated, setAside }, n) =>
    simulated && (!known.has(id) || setAside === undefined)
      ? [
          {
            path: `$.evidence[${n}].simulated`,
            message: 'is a reading of a simulated instrument: a real wall does not take it',
          },
        ]
      : [],
  )
}

/** Whether an entry of the log holds readings of a simulated gauge. */
export function isSimulatedEntry(entry: unknown): boolean {
  const { kind, simulated } = (entry ?? {}) as { kind?: unknown, simulated?: unknown }
  return kind === 'seams' && simulated === true
}

/** What excludes an entry of simulated readings: nothing is taken out of a log. */
const exclusionOf = ({ id, at, wall }: LogEntry): LogEntry =>
  ({ id: `${id}-excluded`, at, by: 'import', wall, kind: 'correction', corrects: id, note: EXCLUDED })

/** A job as a real site takes it in: no demo, and readings of simulated instruments excluded. */
export function asReal<Of extends Pick<Job, 'site' | 'walls' | 'log'>>(job: Of): Of {
  const { demo: _, ...site } = job.site
  const walls = job.walls.map(wall =>
    wall.evidence?.some(({ simulated }) => simulated)
      ? {
          ...wall,
          evidence: wall.evidence.map(each =>
            each.simulated ? { ...each, setAside: each.setAside ?? EXCLUDED } : each,
          ),
        }
      : wall,
  )
  const corrected = new Set(job.log.flatMap(entry => entry.kind === 'correction' ? [entry.corrects] : []))
  const simulated = job.log.filter(entry => isSimulatedEntry(entry) && !corrected.has(entry.id))
  return { ...job, site, walls, log: [...job.log, ...simulated.map(exclusionOf)] }
}
