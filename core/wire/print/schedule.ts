import type { Subject } from '../../subject'
import type { CablePlan } from '../cables/cables'
import type { Wiring } from '../wiring'

/**
 * A line of the cable schedule: a number for its labels, what it is, both ends, and its lengths, mm; absent where not
 * known.
 */
export interface ScheduleLine {
  id: string
  subject: Subject
  number: number
  kind: string
  model: string
  from: string
  to: string
  port?: number
  way: string
  needed: number
  slack: number
  taken?: number
  offcut?: number
  /** Whether it is cut from a reel, so that what is left over is the reel's. */
  reel: boolean
  /** Why no length can be taken. */
  open?: string
}

const WAYS = { above: 'from above', below: 'from below', bay: 'inside the wall', surface: 'raceway' } as const

/**
 * The schedule of all cables, in the order in which they are pulled: power first, then signal, then what is plugged
 * behind the displays.
 */
export function scheduleOf({ cables, routes }: Pick<Wiring, 'cables' | 'routes'>): ScheduleLine[] {
  const routed = (cable: CablePlan) => routes.find(({ id }) => id === cable.route)
  const rank = (cable: CablePlan) => routed(cable) ? (cable.kind === 'power' ? 0 : 1) : cable.kind === 'cord' ? 2 : 3
  return [...cables].sort((a, b) => rank(a) - rank(b)).map((cable, n): ScheduleLine => {
    const route = routed(cable)
    return {
      id: cable.id,
      subject: { kind: 'cable', id: cable.id },
      number: n + 1,
      kind: cable.kind,
      model: cable.model ? (cable.model.name ?? cable.model.id) : 'none suitable',
      from: cable.from,
      to: cable.to,
      ...(cable.port !== undefined && { port: cable.port }),
      way: route ? WAYS[route.way] : 'behind or beside the displays',
      needed: cable.needed.value,
      reel: cable.model !== undefined && !cable.model.plug,
      slack: cable.slack,
      ...(cable.taken !== undefined && { taken: cable.taken, offcut: cable.offcut! }),
      ...(cable.unknown !== undefined
        ? { open: `${cable.unknown} is not known` }
        : !cable.model && { open: 'no suitable cable in the catalogue' }),
    }
  })
}
