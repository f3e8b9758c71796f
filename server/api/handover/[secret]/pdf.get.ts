import { database, openedLink } from '../../../accounts/access'
import { packAnswer } from '../../../archive/pack'
import { wallJobPages, siteUnits } from '../../../repositories/walls'

/** The handover as PDF, for anyone with the link. */
export default defineEventHandler((event) => {
  const { site, wall } = openedLink(event)
  const units = siteUnits(database(event), site)
  return packAnswer(event, {
    site,
    wall,
    format: 'pdf',
    job: () => wallJobPages(database(event), site, wall),
    options: { paper: units === 'metric' ? 'a4' : 'letter', units },
  })
})
