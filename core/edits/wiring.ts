import type { BoxKind, Source, Wall, WallBox } from '../job'
import type { UnitSystem } from '../units'
import { nextId } from './survey'

/** What a new circuit is until its figures are read at the panel. */
const USUAL: Record<UnitSystem, Pick<Source, 'amps' | 'volts'>> = { metric: { amps: 16, volts: 230 }, imperial: { amps: 20, volts: 120 } }

/** Adds a circuit of the panel, or an outlet that is on the wall. */
export function addSource(wall: Wall, kind: 'circuit' | 'outlet', units: UnitSystem, feature?: string): void {
  wall.sources = [...wall.sources ?? [], { id: nextId('s', wall.sources), kind, ...USUAL[units], ...feature !== undefined && { feature } }]
}

/** Changes a source; a figure that is undefined is not known from then on. */
export function editSource(wall: Wall, id: string, change: Partial<Source>): void {
  wall.sources = wall.sources?.map((source) => {
    if (source.id !== id) return source
    return Object.fromEntries(Object.entries({ ...source, ...change }).filter(([, value]) => value !== undefined)) as unknown as Source
  })
}

export function removeSource(wall: Wall, id: string): void {
  wall.sources = wall.sources?.filter(source => source.id !== id)
}

/** Gives each of some screens a box of a kind, where it has none yet. */
export function addBoxes(wall: Wall, kind: BoxKind, model: string, screens: string[]): void {
  for (const screen of screens) {
    if (wall.boxes?.some(box => box.kind === kind && box.for.includes(screen))) continue
    wall.boxes = [...wall.boxes ?? [], { id: nextId('b', wall.boxes), kind, model, for: [screen] }]
  }
}

/** Puts a box somewhere by hand, or leaves its place to be worked out again. */
export function setBox(wall: Wall, id: string, place: { x: number, y: number } | undefined): void {
  wall.boxes = wall.boxes?.map((box): WallBox => {
    if (box.id !== id) return box
    const { x: _x, y: _y, ...rest } = box
    return place ? { ...rest, ...place } : rest
  })
}

export function removeBox(wall: Wall, id: string): void {
  wall.boxes = wall.boxes?.filter(box => box.id !== id)
}
