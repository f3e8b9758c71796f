import { may } from '../../../../../../core/people'
import { database, firmOf, signedIn } from '../../../../../accounts/access'
import { accounts } from '../../../../../accounts/open'
import { openSession } from '../../../../../accounts/sessions'
import { subscribeToWall } from '../../../../../events/hub'
import { apiError } from '../../../../../utils/apiError'
import { readWall } from '../../../../../repositories/walls'
import { timeNow, unseenFor } from '../../../../../utils/clock'

/** So often something is sent, so that what lies between does not take the connection for a dead one, ms. */
const BEAT = 20_000

/** How many walls each session hears at this moment. */
const hearing = new Map<string, number>()
/** Pages of one browser: more than anybody has open. */
const MOST_STREAMS = 8

/** Counts a stream of a session. @returns ends it @throws 429 where it has too many */
function enter(session: string): () => void {
  const open = hearing.get(session) ?? 0
  if (open >= MOST_STREAMS) {
    const message = `A device can follow ${MOST_STREAMS} walls at once. Close one of its pages.`
    throw apiError(429, 'too-many-streams', message)
  }
  hearing.set(session, open + 1)
  return () => {
    const left = (hearing.get(session) ?? 1) - 1
    if (left > 0) hearing.set(session, left)
    else hearing.delete(session)
  }
}

/**
 * What happens to a wall as it happens (server-sent events): `log` with the entries that came in, `saved` with the
 * version of its design.
 */
export default defineEventHandler((event) => {
  const [site, wall] = [getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!]
  const { version } = readWall(database(event), site, wall)
  const { session } = signedIn(event)
  const leave = enter(session)
  const stream = createEventStream(event)
  // Anyone who was let in when it began may have been removed since, or sent elsewhere.
  const still = () => {
    const now = openSession(accounts(), session, timeNow(), unseenFor)
    return !('ended' in now) && may(now.held, 'site.read', { site, closed: true })
  }
  const tell = (name: string, data: string) => void (still() ? stream.push({ event: name, data }) : stream.close())
  const beat = setInterval(() => tell('beat', ''), BEAT)
  const close = () => void stream.close()
  const end = subscribeToWall(firmOf(event).id, site, wall, ({ kind, data }) => tell(kind, data), close)
  stream.onClosed(() => {
    clearInterval(beat)
    leave()
    end()
  })
  void stream.push({ event: 'saved', data: JSON.stringify({ version }) })
  return stream.send()
})
