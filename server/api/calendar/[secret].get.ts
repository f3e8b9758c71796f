import { firmOfId, listFirms } from '../../accounts/firms'
import { accounts, databaseOfFirm } from '../../accounts/open'
import { listPeople } from '../../accounts/people'
import { feedOf } from '../../calendar/feed'
import { opened } from '../../guard/limits'
import { openCalendar } from '../../repositories/calendars'
import { firmOfSecret } from '../../repositories/links'
import { publishedBetween, readProgramme } from '../../repositories/programme'
import { listPlaces } from '../../repositories/sites'
import { notFound } from '../../utils/apiError'

const DAY = 86_400_000

/**
 * A calendar that a person subscribed to, by the secret in its address: what was published for a crew or a person, from
 * a month ago on.
 */
export default defineEventHandler(event => opened(event, () => {
  const { firm: id, secret } = firmOfSecret(getRouterParam(event, 'secret')!.replace(/\.ics$/, ''))
  const firm = id === undefined ? listFirms(accounts())[0] : firmOfId(accounts(), id)
  if (!firm) throw notFound('this calendar')
  const db = databaseOfFirm(firm)
  const { kind, of } = openCalendar(db, secret)
  const { settings, publishedAt } = readProgramme(db)
  const person = kind === 'person' ? listPeople(accounts(), firm.key).find(({ id }) => id === of) : undefined
  // Anyone who is no longer of the firm hears nothing more, whatever address he has.
  if (kind === 'person' && !person) throw notFound('this calendar')
  const all = publishedBetween(
    db,
    new Date(Date.now() - 31 * DAY).toISOString(),
    new Date(Date.now() + 366 * DAY).toISOString(),
  )
  const mine = all.filter(({ crew, people }) => kind === 'crew' ? crew === of : people.includes(of))
  const sites = new Map(
    listPlaces(db).map(({ id, name, address, access }) => [
      id,
      { name, ...(address !== undefined && { address }), ...(access !== undefined && { access }) },
    ]),
  )
  const name = kind === 'crew' ? settings.crews.find(({ id }) => id === of)?.name ?? of : person!.name
  setHeader(event, 'content-type', 'text/calendar; charset=utf-8')
  return feedOf(`${name}: visits`, mine, sites, getRequestURL(event).origin, new Date(publishedAt ?? 0))
}))
