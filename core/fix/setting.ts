import type { Carrier, Mount, Wall } from '../job'
import type { Strip } from '../mount'
import { rowsOf, type Row } from './loads'

/** What a fastener's head bears on: the mount's plate, the web of a steel rail, or a board of wood; mm. */
export interface Bearer { kind: 'plate' | Carrier['kind'], thickness: number }

/** How the fasteners of a wall come to hold a screen on its mount. */
export interface Setting {
  mount: Mount
  /** Undefined where the rail's sheet does not give how thick its steel is. */
  bearer: Bearer | undefined
  /** Rows of fasteners that turn about one foot. */
  rows: Row[]
  /** How many screens' weight comes to one such set of fasteners. */
  share: number
  /** How far a rail or a board holds the plate off the wall, mm. */
  standOff: number
  /** The nearest that a fastener is to an edge of the base and to another one, mm; absent where it does not count. */
  edge?: number
  spacing?: number
}

/** What holds a plate that is fixed to the wall itself. */
export function plainSetting(mount: Mount): Setting {
  return { mount, bearer: { kind: 'plate', thickness: mount.plate.thickness }, rows: rowsOf(mount), share: 1, standOff: 0 }
}

/** What holds plates that stand on rails or boards: the member to which most of the weight comes. */
export function carriedSetting(mount: Mount, carrier: Carrier, strips: Strip[]): Setting {
  const share = Math.max(0, ...strips.flatMap(({ supports }) => supports.map(({ share }) => share)))
  const thickness = carrier.kind === 'board' ? carrier.thickness : carrier.web
  const [board] = strips.filter(({ of }) => of === 'board')
  const rows: Row[] = board
    ? board.heights.map(y => ({ count: 1, above: y - board.rect.y }))
    : rowsOf(mount).map(({ above }) => ({ count: 1, above }))
  return { mount, bearer: thickness === undefined ? undefined : { kind: carrier.kind, thickness }, rows, share, standOff: carrier.thickness }
}

/** The nearest edge of the base to any of some places: the wall's own sides and top, and openings in it; mm. */
export function nearestEdge(places: { x: number, y: number }[], { width, height, features = [] }: Wall): number {
  const openings = features.filter(({ kind }) => kind === 'door' || kind === 'window')
  const away = (x: number, y: number) => openings.map(o => Math.hypot(Math.max(o.x - x, 0, x - o.x - o.width), Math.max(o.y - y, 0, y - o.y - o.height)))
  return Math.min(...places.flatMap(({ x, y }) => [x, width - x, height - y, ...away(x, y)]))
}

/** The least distance between any two places, mm; infinite where there is but one. */
export function nearestPair(places: { x: number, y: number }[]): number {
  const sorted = [...places].sort((a, b) => a.x - b.x)
  let least = Infinity
  sorted.forEach((place, n) => {
    for (let next = n + 1; next < sorted.length && sorted[next]!.x - place.x < least; next++) {
      least = Math.min(least, Math.hypot(sorted[next]!.x - place.x, sorted[next]!.y - place.y))
    }
  })
  return least
}
