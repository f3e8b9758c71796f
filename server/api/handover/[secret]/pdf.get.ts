import { database } from '../../../database/connection'
import { packAnswer } from '../../../archive/pack'
import { openLink } from '../../../repositories/links'
import { readJobText, siteUnits } from '../../../repositories/walls'

/** The handover as PDF, for whoever has the link. */
export default defineEventHandler((event) => {
  const { site, wall } = openLink(database(), getRouterParam(event, 'secret')!, new Date())
  const units = siteUnits(database(), site)
  return packAnswer(event, { site, wall, format: 'pdf', job: readJobText(database(), site, wall), options: { paper: units === 'metric' ? 'a4' : 'letter', units } })
})
