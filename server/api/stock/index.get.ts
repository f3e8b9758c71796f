import type { ModelKind } from '../../../core/catalogue'
import { stockLines } from '../../../core/programme/stock/stock'
import { database } from '../../accounts/access'
import { publishedBetween, readProgramme } from '../../repositories/programme'
import { stockByPlace } from '../../repositories/stock'
import { listWalls } from '../../repositories/wallStates'
import { wallsSeen } from '../../utils/walls'
import { now } from '../../utils/now'
import { everyModel } from '../../repositories/catalogue'

const [DAY, LONGEST] = [86_400_000, 366]

/**
 * How the stock stands against what the visits of the next days need, `?days=` of them, 14 where none is said; or
 * against all that the walls of one `?site=` still need.
 */
export default defineEventHandler((event) => {
  const db = database(event)
  const { site: ofSite } = getQuery(event)
  const days = Math.min(LONGEST, Math.max(1, Number(getQuery(event).days) || 14))
  // What there is and what is short is the firm's; of a site that the caller does not see, its name is not told.
  const seen = new Set(wallsSeen(event).map(({ site, id }) => `${site}/${id}`))
  const walls = listWalls(db, () => () => true, { work: true })
  const { settings } = readProgramme(db)
  const coming = new Set(
    publishedBetween(db, now(), new Date(Date.now() + days * DAY).toISOString()).map(
      ({ site, wall }) => `${site}/${wall}`,
    ),
  )
  const models = new Map(everyModel(db).map(({ kind, model }) => [`${kind}/${model.id}`, model]))
  const lines = stockLines({
    counted: stockByPlace(db),
    used: walls.flatMap(({ work }) => work?.used ?? []),
    reserved: walls
      .filter(({ site, id }) =>
        typeof ofSite === 'string' ? site === ofSite && seen.has(`${site}/${id}`) : coming.has(`${site}/${id}`),
      )
      .flatMap(({ site, id, siteName, name, work }) =>
        (work?.needed ?? []).map(part => ({
          ...part,
          wall: seen.has(`${site}/${id}`) ? `${siteName}, ${name}` : 'another site',
        })),
      ),
    minimums: (settings.minimums ?? []) as { kind: ModelKind, model: string, least: number }[],
    vanOf: person => settings.crews.find(({ people }) => people.includes(person))?.id,
    packOf: (kind, model) => models.get(`${kind}/${model}`)?.pack,
  })
  return {
    days,
    pending: walls.filter(({ stale }) => stale).length,
    places: [
      { id: 'store', name: 'Store' },
      ...settings.crews.map(({ id, name, van }) => ({ id, name: van ?? `Van of ${name}` })),
    ],
    lines: lines.map(line => ({
      ...line,
      name: models.get(`${line.kind}/${line.model}`)?.name ?? line.model,
      pack: models.get(`${line.kind}/${line.model}`)?.pack,
    })),
  }
})
