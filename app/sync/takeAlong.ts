import type { SiteState } from '~~/core/api/sites'
import type { Job } from '~~/core/job'
import { siteFileAddress } from '../utils/siteFiles'
import { fetchWall } from './fetchWall'
import { frozenOfId, lastFrozen } from './frozen'
import { noteSeen, wallKey, type Device } from './device'

/** What a site weighs on this device, bytes, and how many walls, pictures and other files that is. */
export interface Taken { walls: number, photos: number, files?: number, bytes: number, at: string }

const PHOTO = /"photo":"([^"]+)"/g
const weighed = async (response: Response) => response.ok ? (await response.blob()).size : 0

/** Addresses of what is printed of a wall, as its panels ask for them by default. */
function sheetsOf(site: string, wall: string, { site: { units } }: Job, revision: string | undefined): string[] {
  const base = `/api/sites/${site}/walls/${wall}`
  const paper = units === 'metric' ? 'a3' : 'letter'
  if (revision === undefined) return []
  return [
    `${base}/sheet?format=pdf&revision=${revision}&paper=${paper}&units=${units}&fine=0`,
    `${base}/kit?format=pdf&revision=${revision}&units=${units}`,
  ]
}

/**
 * Brings everything of a site that is wanted at the wall to this device: its walls with their logs, what was issued,
 * pictures, sheets, and the site's other files.
 *
 * @param tell receives the progress, 0 to 1
 * @throws ApiError where there is no connection
 */
export async function takeAlong(device: Device, site: string, tell: (share: number) => void): Promise<Taken> {
  await navigator.storage?.persist?.().catch(() => false)
  const sites = await api<{ id: string, walls: { id: string }[] }[]>('/sites')
  const walls = sites.find(({ id }) => id === site)?.walls ?? []
  const [
    {
      site: { files = [] },
    },
  ] = await Promise.all([api<SiteState>(`/sites/${site}`), api('/catalogue'), api('/rules')])
  const taken: Taken = { walls: 0, photos: 0, files: files.length, bytes: 0, at: new Date().toISOString() }
  for (const [n, { id }] of walls.entries()) {
    tell(n / walls.length)
    const state = await fetchWall(site, id)
    await noteSeen(device, wallKey(site, id), state)
    const text = JSON.stringify(state)
    taken.bytes += text.length
    taken.walls++
    const wall = state.job.walls[0]!
    const issued = lastFrozen(state.job.log, wall)
    const frozen = issued === undefined ? undefined : await frozenOfId(device, site, id, issued)
    if (frozen) taken.bytes += JSON.stringify(frozen).length
    const letters = state.job.log.findLast(entry => entry.kind === 'issued' && entry.frozen === issued) as
      { revision?: string } | undefined
    for (const photo of new Set([...text.matchAll(PHOTO)].map(([, name]) => name!))) {
      taken.bytes
        += (await weighed(await fetch(photoAddress(site, photo))))
          + (await weighed(await fetch(photoAddress(site, photo, true))))
      taken.photos++
    }
    for (const sheet of sheetsOf(site, id, state.job, frozen && letters?.revision))
      taken.bytes += await weighed(await fetch(sheet))
  }
  for (const { file } of files) taken.bytes += await weighed(await fetch(siteFileAddress(site, file)))
  tell(1)
  return taken
}

/** Whether this device still has a site that was taken along: browsers clear what they like when room is short. */
export async function stillThere(device: Device, site: string, { walls }: Taken): Promise<boolean> {
  return await device.seen.where('key').startsWith(`${site}/`).count().catch(() => 0) >= walls
}
