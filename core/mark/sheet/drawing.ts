import type { Finding } from '../../finding'
import { featureParts, type Wall } from '../../job'
import type { ArrayPlan } from '../../mount'
import type { Member, Piece } from '../../survey'
import type { Wiring } from '../../wire'
import type { Marking } from '../index'
import { levelAt } from '../level'
import { rowsOf } from '../marks'
import { INK, label } from '../../sheet'
import { group, line, rect, type Shape } from '../../svg'
import { screenLabel } from '../../job/screenLabel'

/** What a sheet shows of a wall's plan. */
export interface Shown {
  members: Member[]
  arrays: ArrayPlan[]
  wiring: Wiring
  marking: Marking
  findings: Finding[]
  piece?: Piece
}

/** From the wall to the paper: x and y of the wall's lower left corner on paper, mm, and the reduction 1:n. */
export interface View { left: number, foot: number, scale: number }

const THIN = { 'stroke': INK, 'stroke-width': 0.18, 'fill': 'none' }
const HEAVY = { ...THIN, 'stroke-width': 0.5 }
const MEMBER = { 'fill': '#efe6d2', 'stroke': '#a58a55', 'stroke-width': 0.12 }
/** What is cut or bored for cables. */
const CUT = { ...THIN, stroke: '#9d231b' }
const CHAIN = { 'stroke': '#2350a0', 'stroke-width': 0.25, 'stroke-dasharray': '4 1 0.8 1' }

/** The wall drawn to scale for paper: members, features, cases, plates, holes, level and centre lines. */
export function drawWall(wall: Wall, plan: Shown, { left, foot, scale }: View): Shape {
  const x = (mm: number) => left + mm / scale
  const y = (mm: number) => foot - mm / scale
  const box = (r: { x: number, y: number, width: number, height: number }, paint: Record<string, string | number>) =>
    rect(x(r.x), y(r.y + r.height), r.width / scale, r.height / scale, paint)
  const { levelLine } = plan.marking

  const members = plan.members.map(({ centre, width }) =>
    box({ x: centre - width / 2, y: 0, width, height: wall.height }, MEMBER),
  )
  const features = (wall.features ?? []).flatMap(feature =>
    featureParts(feature).map(part => box(part, { ...THIN, fill: '#ffffff' })))
  const arrays = plan.arrays.flatMap(({ outline, positions, strips }) => [
    ...strips.map(strip => box(strip.rect, { ...THIN, fill: '#dcd8cd' })),
    ...positions.flatMap(({ row, column, outer, plate, holes = [] }) => [
      box(outer, THIN),
      plate ? box(plate.rect, { ...THIN, 'stroke-dasharray': '1 0.6' }) : '',
      label(screenLabel({ row, column }), x(outer.x) + 0.8, y(outer.y) - 0.8, Math.min(2.2, outer.height / scale / 3)),
      ...holes.map(hole => group(
        {},
        line(x(hole.x) - 1.2, y(hole.y), x(hole.x) + 1.2, y(hole.y), THIN),
        line(x(hole.x), y(hole.y) - 1.2, x(hole.x), y(hole.y) + 1.2, THIN),
      )),
    ]),
    line(
      x(outline.x + outline.width / 2),
      y(outline.y) + 3,
      x(outline.x + outline.width / 2),
      y(outline.y + outline.height) - 3,
      CHAIN,
    ),
  ])
  const cross = (at: { x: number, y: number }, by: number) => group(
    {},
    line(x(at.x) - by, y(at.y) - by, x(at.x) + by, y(at.y) + by, CUT),
    line(x(at.x) - by, y(at.y) + by, x(at.x) + by, y(at.y) - by, CUT),
  )
  const wiring = [
    ...plan.wiring.boxes
      .filter(({ held, kind }) => held && kind !== 'floor')
      .map(({ cutout }) => box(cutout, { ...CUT, 'stroke-width': 0.35 })),
    ...plan.wiring.works.openings.map(({ rect }) => box(rect, { ...CUT, 'stroke-dasharray': '0.8 0.5' })),
    ...plan.wiring.works.bores.map(bore => cross(bore, 0.8)),
  ]
  const level = levelLine
    ? [
        line(x(0) - 3, y(levelAt(levelLine, 0)), x(wall.width) + 3, y(levelAt(levelLine, wall.width)), CHAIN),
        label('level line', x(0) + 1, y(levelAt(levelLine, 0)) - 0.8, 2.4, { fill: '#2350a0' }),
      ]
    : []
  return group(
    {},
    ...members,
    box({ x: 0, y: 0, width: wall.width, height: wall.height }, HEAVY),
    ...features,
    ...arrays,
    ...wiring,
    ...level,
  )
}

/** Ticks of the top row of holes along the foot of the drawing: one laying of the tape. */
export function drawTape(plan: Shown, view: View, show: (mm: number) => string): Shape | string {
  const top = rowsOf(plan.marking.marks)[0]
  if (!top) return ''
  const y = view.foot + 4
  let free = -Infinity
  const ticks = top.marks.flatMap(({ running }) => {
    const x = view.left + (running + plan.marking.datum.x) / view.scale
    const text = show(running)
    const clear = x - text.length * 0.6 > free
    if (clear) free = x + text.length * 0.6 + 0.6
    return [line(x, y - 1.5, x, y, THIN), clear ? label(text, x, y + 3, 2.4, { 'text-anchor': 'middle' }) : '']
  })
  return group(
    {},
    line(
      view.left,
      y,
      view.left + Math.max(...top.marks.map(({ running }) => running + plan.marking.datum.x)) / view.scale,
      y,
      THIN,
    ),
    ...ticks,
  )
}
