import { database, openedLink } from '../../../accounts/access'
import { wallJobPages } from '../../../repositories/walls'
import { work } from '../../../work/pool'

/**
 * What a client sees of a wall through a link: its picture, what is open, the cautions, who signed. Nothing else of the
 * site.
 */
export default defineEventHandler(async (event) => {
  const { site, wall, link: { client, expiresAt } } = openedLink(event)
  const view = await work('clientView', { job: () => wallJobPages(database(event), site, wall) }, event)
  return { ...view, client, expiresAt }
})
