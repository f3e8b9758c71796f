import { database } from '../../../../../database/connection'
import { hearWall } from '../../../../../events/hub'
import { readWall } from '../../../../../repositories/walls'

/** So often something is sent, so that what lies between does not take the connection for a dead one, ms. */
const BEAT = 20_000

/** What happens to a wall as it happens (server-sent events): `log` with the entries that came in, `saved` with the version of its design. */
export default defineEventHandler((event) => {
  const [site, wall] = [getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!]
  const { version } = readWall(database(), site, wall)
  const stream = createEventStream(event)
  const beat = setInterval(() => void stream.push({ event: 'beat', data: '' }), BEAT)
  const end = hearWall(site, wall, ({ kind, ...told }) => void stream.push({ event: kind, data: JSON.stringify(told) }), () => void stream.close())
  stream.onClosed(() => {
    clearInterval(beat)
    end()
  })
  void stream.push({ event: 'saved', data: JSON.stringify({ version }) })
  return stream.send()
})
