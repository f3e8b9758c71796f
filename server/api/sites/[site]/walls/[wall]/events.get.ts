import { may } from '../../../../../../core/people'
import { database, firmOf, signedIn } from '../../../../../accounts/access'
import { accounts } from '../../../../../accounts/open'
import { openSession } from '../../../../../accounts/sessions'
import { hearWall } from '../../../../../events/hub'
import { readWall } from '../../../../../repositories/walls'

/** So often something is sent, so that what lies between does not take the connection for a dead one, ms. */
const BEAT = 20_000

/**
 * What happens to a wall as it happens (server-sent events): `log` with the entries that came in, `saved` with the
 * version of its design.
 */
export default defineEventHandler((event) => {
  const [site, wall] = [getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!]
  const { version } = readWall(database(event), site, wall)
  const stream = createEventStream(event)
  const { session } = signedIn(event)
  // Anyone who was let in when it began may have been removed since, or sent elsewhere.
  const still = () => {
    const now = openSession(accounts(), session, new Date())
    return !('ended' in now) && may(now.held, 'site.read', { site, closed: true })
  }
  const tell = (name: string, data: string) => void (still() ? stream.push({ event: name, data }) : stream.close())
  const beat = setInterval(() => tell('beat', ''), BEAT)
  const end = hearWall(firmOf(event).id, site, wall, ({ kind, ...told }) => tell(kind, JSON.stringify(told)), () => void stream.close())
  stream.onClosed(() => {
    clearInterval(beat)
    end()
  })
  void stream.push({ event: 'saved', data: JSON.stringify({ version }) })
  return stream.send()
})
