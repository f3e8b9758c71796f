import { database, seenBy } from '../../accounts/access'
import { readCatalogue } from '../../repositories/catalogue'
import { listSites } from '../../repositories/sites'

/** The firm's catalogue; of the walls that use a model, those that the caller sees. */
export default defineEventHandler((event) => {
  const db = database(event)
  const seen = new Set(listSites(db, seenBy(event)).flatMap(({ id, walls }) => walls.map(wall => `${id}/${wall.id}`)))
  const { kept, ...catalogue } = readCatalogue(db)
  return {
    ...catalogue,
    kept: Object.fromEntries(
      Object.entries(kept).map(([id, keeping]) => [
        id,
        { ...keeping, usedBy: keeping.usedBy.filter(({ site, wall }) => seen.has(`${site}/${wall}`)) },
      ]),
    ),
  }
})
