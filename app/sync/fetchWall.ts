import type { LogEntry } from '~~/core/job'
import type { ServerWall } from '~~/core/api/walls'

/**
 * A wall as the server has it now. Of a long log only the segment that is being written comes with the wall; the full
 * ones before it are fetched by themselves.
 *
 * @throws ApiError
 */
export async function fetchWall(site: string, wall: string): Promise<ServerWall> {
  const path = `/sites/${site}/walls/${wall}`
  const { earlier = 0, ...state } = await api<ServerWall & { earlier?: number }>(path)
  if (earlier === 0) return state
  const log: LogEntry[] = []
  for (let segment = 0; segment < earlier; segment++)
    log.push(...await api<LogEntry[]>(`${path}/log?segment=${segment}`))
  return { ...state, job: { ...state.job, log: [...log, ...state.job.log] } }
}
