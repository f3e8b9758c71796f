import { idFrom, isZone, type Site } from '../../core/job'
import type { Database } from '../database/perDatabase'
import { freeSiteId } from '../repositories/importing'
import { validationError } from './apiError'

/**
 * A new site from what a form sends; its clocks are those of whoever creates it until its place is entered.
 *
 * @throws 422 by field
 */
export function newSite(db: Database, { name, units, zone }: Record<string, unknown>): Site {
  const faults = [
    ...(typeof name === 'string' && name.trim() ? [] : [{ path: '$.name', message: 'must not be empty' }]),
    ...(typeof name === 'string' && name.trim().length > 200
      ? [{ path: '$.name', message: 'must be at most 200 characters' }]
      : []),
    ...(units === 'metric' || units === 'imperial' ? [] : [{ path: '$.units', message: 'must be metric or imperial' }]),
  ]
  if (faults.length > 0) throw validationError(faults)
  const written = (name as string).trim()
  const id = freeSiteId(db, idFrom(written, 'site'))
  return { id, name: written, units: units as Site['units'], ...isZone(zone) && { zone } }
}
