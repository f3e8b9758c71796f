import type { AsBuilt } from '../../log'
import { holeId, isHoleIn, numberOfHole } from './holeId'
import type { MountedCell } from '../position'

const apart = (a: { x: number, y: number }, b: { x: number, y: number }) => Math.hypot(a.x - b.x, a.y - b.y)

/** A hole that is nearer to an issued one than a tape shows is that one, mm. */
const SAME = 0.5

interface Named { id: string, screen: string, row: string, x: number, y: number }

/** Whose hole one is that was drilled and not issued, by the name under which it was drilled. */
function placeOf(id: string, cells: MountedCell[]): Omit<Named, 'x' | 'y'> | undefined {
  for (const { id: screen, holes } of cells) {
    const row = holes.map(hole => hole.row).find(row => isHoleIn(screen, row, id))
    if (row !== undefined) return { id, screen, row }
  }
  return undefined
}

/** What was issued of an array and is in the wall: each hole by the name that it has on paper and on the wall. */
function knownOf(array: string, cells: MountedCell[], { issued, holes }: AsBuilt): Named[] {
  const plates = issued?.arrays.find(each => each.array.id === array)?.plates ?? []
  const planned = plates.flatMap(({ screen, holes }) => holes.map(hole => ({ ...hole, screen })))
  const made = holes.flatMap(({ hole: id, x, y, result }) => {
    const at = planned.find(each => each.id === id) ?? placeOf(id, cells)
    return at && result === 'hit' ? [{ ...at, x, y }] : []
  })
  const isMade = new Set(made.map(({ id }) => id))
  return [...made, ...planned.filter(({ id }) => !isMade.has(id))]
}

/**
 * The holes of an array by names that last: one that stays where it was issued or made keeps its name, one that moves
 * takes that of the nearest which is gone, and one that is new gets a number that none of its row ever had.
 *
 * @param cells in whose plates holes are named by their order along the wall
 */
export function withLastingNames(array: string, cells: MountedCell[], built: AsBuilt): MountedCell[] {
  const known = knownOf(array, cells, built)
  if (known.length === 0) return cells
  const names = new Map<object, string>()
  const free = new Set(known)
  const take = (hole: object, named: Named) => {
    names.set(hole, named.id)
    free.delete(named)
  }
  const all = cells.flatMap(({ id: screen, holes }) => holes.map(hole => ({ screen, hole })))
  for (const { screen, hole } of all) {
    const there = [...free].find(each => each.screen === screen && each.row === hole.row && apart(each, hole) <= SAME)
    if (there) take(hole, there)
  }
  for (const { screen, hole } of all.filter(({ hole }) => !names.has(hole))) {
    const near = [...free].filter(each => each.screen === screen && each.row === hole.row)
      .sort((a, b) => apart(a, hole) - apart(b, hole))[0]
    if (near) take(hole, near)
  }
  const used = new Set([
    ...known.map(({ id }) => id), ...built.issued?.names ?? [], ...built.holes.map(({ hole }) => hole),
  ])
  const fresh = (screen: string, row: string): string => {
    const numbers = new Set([...used].filter(id => isHoleIn(screen, row, id)).map(numberOfHole))
    let n = 1
    while (numbers.has(n)) n++
    return holeId(screen, row, n)
  }
  return cells.map(({ holes, ...cell }) => ({ ...cell, holes: holes.map((hole) => {
    const id = names.get(hole) ?? fresh(cell.id, hole.row)
    used.add(id)
    return id === hole.id && numberOfHole(id) === hole.rank ? hole : { ...hole, id, rank: numberOfHole(id) }
  }) }))
}
