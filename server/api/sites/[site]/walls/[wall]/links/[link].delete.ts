import { database } from '../../../../../../accounts/access'
import { endLink } from '../../../../../../repositories/links'
import { audited } from '../../../../../../utils/audited'
import { timeNow } from '../../../../../../utils/clock'

/** Takes a client's link back. */
export default defineEventHandler((event) => {
  const [site, wall, link] = [
    getRouterParam(event, 'site')!,
    getRouterParam(event, 'wall')!,
    getRouterParam(event, 'link')!,
  ]
  const links = endLink(database(event), site, wall, link, timeNow())
  audited(event, 'link-ended', links.find(({ id }) => id === link)?.client ?? '', `${site}, ${wall}`)
  return links
})
