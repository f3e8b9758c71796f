import { madeId, type Blocking, type BoxKind, type Source, type Wall, type WallBox } from '../job'
import type { UnitSystem } from '../units'
import type { Bay, RoutePlan } from '../wire'

/** What a new circuit is until its figures are read at the panel. */
const USUAL: Record<UnitSystem, Pick<Source, 'amps' | 'volts'>> = {
  metric: { amps: 16, volts: 230 },
  imperial: { amps: 20, volts: 120 },
}

/**
 * Adds where power or a signal comes from: a circuit of the panel, an outlet or a data plate that is on the wall, a
 * player or rack.
 */
export function addSource(wall: Wall, kind: Source['kind'], units: UnitSystem, feature?: string): void {
  const feeds = kind === 'circuit' || kind === 'outlet'
  wall.sources = [
    ...(wall.sources ?? []),
    { id: madeId('s', wall.sources), kind, ...(feeds && USUAL[units]), ...(feature !== undefined && { feature }) },
  ]
}

/** Changes a source; what is undefined is not known from then on. */
export function editSource(wall: Wall, id: string, change: Partial<Source>): void {
  wall.sources = wall.sources?.map((source) => {
    if (source.id !== id) return source
    return Object.fromEntries(
      Object.entries({ ...source, ...change }).filter(([, value]) => value !== undefined),
    ) as unknown as Source
  })
}

export function removeSource(wall: Wall, id: string): void {
  wall.sources = wall.sources?.filter(source => source.id !== id)
}

/** Gives each of some screens a box of a kind, where it has none yet. */
export function addBoxes(wall: Wall, kind: BoxKind, model: string, screens: string[]): void {
  for (const screen of screens) {
    if (wall.boxes?.some(box => box.kind === kind && box.for.includes(screen))) continue
    wall.boxes = [...wall.boxes ?? [], { id: madeId('b', wall.boxes), kind, model, for: [screen] }]
  }
}

function changeBox(wall: Wall, id: string, change: (box: WallBox) => WallBox): void {
  wall.boxes = wall.boxes?.map(box => box.id === id ? change(box) : box)
}

/** Puts a box somewhere manually, or leaves its place to be calculated again. */
export function setBox(wall: Wall, id: string, place: { x: number, y: number } | undefined): void {
  changeBox(wall, id, ({ x: _x, y: _y, ...rest }) => place ? { ...rest, ...place } : rest)
}

/** Chooses the model of cable to a box, or leaves it to be calculated. */
export function setBoxCable(wall: Wall, id: string, cable: string | undefined): void {
  changeBox(wall, id, ({ cable: _, ...rest }) => cable ? { ...rest, cable } : rest)
}

export function removeBox(wall: Wall, id: string): void {
  wall.boxes = wall.boxes?.filter(box => box.id !== id)
}

/**
 * Enters blocking where a line stopped: in the bay that it was in, or over the whole wall where it was in none; with
 * what of the line was left behind it.
 */
export function enterStopped(wall: Wall, y: number, bay: Bay | undefined, lost?: Blocking['lost']): void {
  wall.blocking = [
    ...(wall.blocking ?? []),
    {
      id: madeId('k', wall.blocking), y, found: true, ...(bay && { x1: bay.from, x2: bay.to }), ...(lost && { lost }),
    },
  ]
}

/** What was left behind some blocking is recovered. */
export function enterRecovered(wall: Wall, id: string): void {
  wall.blocking = wall.blocking?.map(({ lost, ...row }) => row.id === id || lost === undefined ? row : { ...row, lost })
}

/** Enters that a line went through: no blocking is in the bays along its way. */
export function enterPassed(wall: Wall, { legs }: Pick<RoutePlan, 'legs'>, bays: Bay[]): void {
  const went = legs.filter(({ from, to }) => Math.abs(from.y - to.y) > 1).flatMap(({ from, to }) => {
    const bay = bays.find(each => from.x >= each.from && from.x <= each.to)
    return bay ? [{ x1: bay.from, x2: bay.to, y1: Math.min(from.y, to.y), y2: Math.max(from.y, to.y) }] : []
  })
  wall.passed = [...wall.passed ?? [], ...went]
}

/** Says what is open above or below; nothing where that is not known. */
export function setVoid(wall: Wall, side: 'above' | 'below', value: NonNullable<Wall['void']>['above']): void {
  const { [side]: _, ...other } = wall.void ?? {}
  wall.void = value ? { ...other, [side]: value } : other
  if (Object.keys(wall.void).length === 0) delete wall.void
}

/** Says whether blocking was looked for; what is known of it stands against nobody having looked. */
export function setLooked(wall: Wall, looked: boolean): void {
  if (looked) wall.blocking ??= []
  else if (wall.blocking?.length === 0) delete wall.blocking
}

/** Says whether its members bear; nothing where that is not known. */
export function setBearing(wall: Wall, bearing: boolean | undefined): void {
  if (bearing === undefined) delete wall.bearing
  else wall.bearing = bearing
}
