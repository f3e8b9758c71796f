import type { Finding } from '../../finding'
import type { Interval, Point } from '../../geometry'
import { clip, liesIn, subtract, union } from '../../intervals'
import type { Mount } from '../../job'
import { isAt, type AsBuilt, type MadeHole } from '../../log'
import { words } from '../../units'
import { holeId, isHoleIn, numberOfHole } from '../holes/holeId'
import type { Hole, MountedCell } from '../position'
import { screenLabel } from '../../job/screenLabel'

/**
 * Holes of a plate that are made and that it keeps to: the row of slots of each, and where they let the plate's centre
 * be, mm.
 */
export interface Pin { made: (MadeHole & { row: string })[], x: Interval[], y: Interval[] }

const EVERYWHERE: Interval = { from: -1e7, to: 1e7 }
/** How far a screw may stand off the middle of its slot's height, mm. */
const PLAY = 1

/** The holes of a screen's plate in the log, each with its row. */
function madeFor(screen: string, mount: Mount, { holes }: AsBuilt): Pin['made'] {
  if (holes.length === 0) return []
  const rowOf = (id: string) => mount.needs.rows.find(row => isHoleIn(screen, row, id))
  return holes.flatMap((made) => {
    const row = rowOf(made.hole)
    return row === undefined ? [] : [{ ...made, row }]
  })
}

/**
 * What the holes that were made for a screen ask of its plate: its slots lie over every one that took its fastener. Of
 * one that was made again elsewhere the last counts.
 */
export function pinFor(screen: string, mount: Mount, built: AsBuilt): Pin | undefined {
  const hits = madeFor(screen, mount, built).filter(({ result }) => result === 'hit')
  const made = [...new Map(hits.map(hit => [hit.hole, hit])).values()]
  if (made.length === 0) return undefined
  const slotsOf = (row: string) => mount.plate.slots.filter(slot => slot.row === row)
  const within = (stretches: Interval[], others: Interval[]) => others.flatMap(other => clip(other, stretches))
  return {
    made,
    x: made.reduce(
      (left, { x, row }) => within(left, union(slotsOf(row).map(({ x1, x2 }) => ({ from: x - x2, to: x - x1 })))),
      [EVERYWHERE],
    ),
    y: made.reduce(
      (left, { y, row }) =>
        within(left, union(slotsOf(row).map(slot => ({ from: y - slot.y - PLAY, to: y - slot.y + PLAY })))),
      [EVERYWHERE],
    ),
  }
}

/** Where a plate may not be so that it keeps to made holes; nowhere where it cannot reach them anyhow. */
export function barredByPin(allowed: Interval[] | undefined, nominal: number, reach: number): Interval[] {
  if (!allowed || clip({ from: nominal - reach, to: nominal + reach }, allowed).length === 0) return []
  return subtract([EVERYWHERE], allowed)
}

/** Where a plate was slid to the end of what its made holes allow, sums in another order end this far past it, mm. */
const SAME = 1e-6

/** Whether a plate keeps to the holes that were made for it. */
export function keepsTo({ x, y }: Pin, centre: Point): boolean {
  const within = (at: number) => ({ from, to }: Interval) => liesIn({ from: from - SAME, to: to + SAME }, at)
  return x.some(within(centre.x)) && y.some(within(centre.y))
}

/** Holes with what the drill met, where it was drilled where they are, and with what is disputed of them. */
export function marked(holes: Hole[], { holes: all, disputed }: AsBuilt): Hole[] {
  if (all.length === 0 && disputed.length === 0) return holes
  return holes.map((hole) => {
    const made = all.find(made => made.hole === hole.id && isAt(made, hole))
    const disputes = disputed.find(each => each.hole === hole.id)?.results.map(({ entry }) => entry)
    return made || disputes ? { ...hole, ...made && { made: made.result }, ...disputes && { disputes } } : hole
  })
}

/**
 * The holes of a plate with those that are made in the place of planned ones, each of the planned one nearest to it
 * in its row, under the id under which it was made.
 *
 * @param at what a fastener at a place would meet
 */
export function withMade(
  holes: Hole[],
  { screen, mount, centre }: { screen: string, mount: Mount, centre: Point },
  built: AsBuilt,
  at: (x: number, y: number) => Partial<Hole>,
): Hole[] {
  const pin = pinFor(screen, mount, built)
  if (!pin || !keepsTo(pin, centre)) return marked(holes, built)
  return mount.needs.rows.flatMap((row) => {
    const planned = holes.filter(hole => hole.row === row)
    const kept: Hole[] = []
    for (const { hole: id, x, y, result } of pin.made.filter(made => made.row === row)) {
      const nearest = planned.sort((a, b) => Math.abs(a.x - x) - Math.abs(b.x - x)).shift()
      if (!nearest) continue
      const { member: _member, ply: _ply, margin: _margin, byHand: _byHand, ...rest } = nearest
      const slot = mount.plate.slots.findIndex(
        slot => slot.row === row && liesIn({ from: centre.x + slot.x1 - SAME, to: centre.x + slot.x2 + SAME }, x),
      )
      kept.push({ ...rest, ...(slot >= 0 && { slot }), x, y, ...at(x, y), id, made: result })
    }
    const taken = new Set(kept.map(({ id }) => numberOfHole(id)))
    const free = Array.from({ length: mount.needs.members }, (_, n) => n + 1)
      .filter(number => !taken.has(number))
      .map(number => holeId(screen, row, number))
    // What is known of a hole is known by the name that it has now.
    const others = marked(
      planned.sort((a, b) => a.x - b.x).map((hole, n) => ({ ...hole, id: free[n] ?? hole.id })),
      built,
    )
    return [...kept, ...others].sort((a, b) => a.x - b.x).map((hole, n) => ({ ...hole, rank: n + 1 }))
  })
}

const off = (stretches: Interval[], at: number) =>
  Math.min(...stretches.map(({ from, to }) => Math.max(from - at, at - to, 0)))

/** A stop where a plate cannot keep to the holes that were made for it, by how much. */
export function madeFindings(cell: MountedCell, mount: Mount, built: AsBuilt): Finding[] {
  const { id: screen, plate: { centre } } = cell
  const name = screenLabel(cell)
  const pin = pinFor(screen, mount, built)
  if (!pin || keepsTo(pin, centre)) return []
  const count = pin.made.length === 1 ? 'a hole' : `${pin.made.length} holes`
  const [along, up] = [off(pin.x, centre.x), off(pin.y, centre.y)]
  return [
    {
      severity: 'stop',
      code: 'hole-left-behind',
      stage: 'mount',
      subject: { kind: 'screen', id: screen },
      message:
        Number.isFinite(along) && Number.isFinite(up)
          ? words`${name} cannot use ${count} already drilled for it: its plate would have to move ${along} sideways
            and ${up} up or down.`
          : words`${name} cannot use ${count} already drilled for it: no position of its plate has slots over all of
            them.`,
      remedy: words`Move the array back, or fill the unused holes and drill new ones.`,
    },
  ]
}
