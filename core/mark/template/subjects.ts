import type { Point, Rect } from '../../geometry'
import { itemName, type Catalogue, type ScreenArray } from '../../job'
import { mountModels, plateHoles, type ArrayPlan, type Hole, type Position } from '../../mount'
import type { BoxPlan } from '../../wire'
import { screenLabel } from '../../job/screenLabel'

/** A stretch of a slot from the middle of what is drawn, mm. */
export interface TemplateSlot { x1: number, x2: number, y: number, diameter: number }

/**
 * Something drawn as large as it is: a plate with its holes, or what is cut out for a box; all from its middle, mm, y
 * up.
 */
export interface TemplateSubject {
  /** Id of a screen or of a box, and of all others that are alike. */
  ids: string[]
  kind: 'plate' | 'cut-out'
  names: string[]
  /** Where the middle of each comes on the wall. */
  at: Point[]
  outline: Rect
  slots: TemplateSlot[]
  holes: (Point & Pick<Hole, 'bit' | 'depth' | 'row' | 'rank'>)[]
}

const round = (mm: number) => Math.round(mm * 10) / 10
const keyOf = ({ kind, outline, holes }: TemplateSubject) =>
  JSON.stringify([
    kind,
    round(outline.width),
    round(outline.height),
    holes.map(({ x, y, bit, depth }) => [round(x), round(y), bit, depth]),
  ])

function plateOf(
  position: Position,
  mountOf: (position: Position) => { plate: { slots: TemplateSlot[] } } | undefined,
): TemplateSubject[] {
  const { plate, bolts = [] } = position
  const mount = mountOf(position)
  if (!plate || !mount) return []
  const { centre, rect } = plate
  return [
    {
      ids: [position.id],
      kind: 'plate',
      names: [screenLabel(position)],
      at: [centre],
      outline: { x: rect.x - centre.x, y: rect.y - centre.y, width: rect.width, height: rect.height },
      slots: mount.plate.slots.map(({ x1, x2, y, diameter }) => ({ x1, x2, y, diameter })),
      holes: [...(bolts.length > 0 ? [] : plateHoles(position)), ...bolts].map(({ x, y, bit, depth, row, rank }) => ({
        x: x - centre.x,
        y: y - centre.y,
        row,
        rank,
        ...(bit !== undefined && { bit }),
        ...(depth !== undefined && { depth }),
      })),
    },
  ]
}

function cutOutOf({ id, number, cutout, held, kind }: BoxPlan): TemplateSubject[] {
  if (!held || kind === 'floor' || cutout.height <= 0) return []
  const { width, height } = cutout
  return [
    {
      ids: [id],
      kind: 'cut-out',
      names: [`box ${itemName({ id, number })}`],
      at: [{ x: cutout.x + width / 2, y: cutout.y + height / 2 }],
      outline: { x: -width / 2, y: -height / 2, width, height },
      slots: [],
      holes: [],
    },
  ]
}

/**
 * All plates and cut-outs of a wall; those that are alike to a tenth of a millimetre are one, for all of their places.
 */
export function templateSubjects(
  wall: { arrays: ScreenArray[] },
  { arrays, wiring }: { arrays: ArrayPlan[], wiring: { boxes: BoxPlan[] } },
  catalogue: Catalogue,
): TemplateSubject[] {
  const all = [
    ...arrays.flatMap(({ id, positions }) => {
      const array = wall.arrays.find(each => each.id === id)
      const modelOf = array && mountModels(array, catalogue)
      return positions.flatMap(position => plateOf(position, each => modelOf?.(each)))
    }),
    ...wiring.boxes.flatMap(cutOutOf),
  ]
  const alike = new Map<string, TemplateSubject>()
  for (const each of all) {
    const known = alike.get(keyOf(each))
    if (known)
      alike.set(keyOf(each), {
        ...known,
        ids: [...known.ids, ...each.ids],
        names: [...known.names, ...each.names],
        at: [...known.at, ...each.at],
      })
    else alike.set(keyOf(each), each)
  }
  return [...alike.values()]
}
